package giostra.core.snag;

import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.LinkSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.value.RichKind;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jsoup.Jsoup;

/**
 * A link of a node to a place on its own page.
 *
 * @param of what has the link
 * @param setting its address; none where it is within a text
 * @param name of the place
 */
record Leading(Node of, Optional<Setting<String>> setting, String name) {

  /** What belongs to a section or a piece itself, and to no piece in it. */
  static Stream<Node> of(Node node) {
    return Stream.concat(
        Stream.of(node),
        node.children().stream().filter(child -> !(child instanceof Piece)).flatMap(Leading::of));
  }

  /** All links of a section or a piece that lead to a place on the page, as they are read. */
  static List<Leading> in(Node node) {
    var found = new ArrayList<Leading>();
    of(node)
        .forEach(each -> {
          switch (each) {
            case Piece piece when !piece.values().get(PieceSettings.TITLE_BUTTON).isEmpty() ->
                link(piece, PieceSettings.TITLE_LINK, found);
            case Item item when node instanceof Piece piece -> item(piece, item, found);
            case Block.Button button -> link(button, BlockSettings.LINK, found);
            case Section _, Node _ -> {}
          }
          texts(node, each).forEach(html -> within(each, html, found));
        });
    return found;
  }

  private static void item(Piece piece, Item item, List<Leading> found) {
    if (shown(piece).contains(ItemSettings.LINK.address())) {
      link(item, ItemSettings.LINK, found);
    }
    for (LinkSettings each : List.of(ItemSettings.BUTTON_LINK, ItemSettings.BUTTON_2_LINK)) {
      Setting<String> words =
          each == ItemSettings.BUTTON_LINK ? ItemSettings.BUTTON : ItemSettings.BUTTON_2;
      if (!Fields.shown(piece, item, words).isEmpty()) {
        link(item, each, found);
      }
    }
  }

  /** The settings of items that a piece shows. */
  static List<? extends Setting<?>> shown(Piece piece) {
    return Fields.of(piece.type(), piece.values()).stream().map(Fields.Field::setting).toList();
  }

  /**
   * The long texts that something says.
   *
   * @param node the piece or section that it belongs to
   */
  static Stream<String> texts(Node node, Node each) {
    return switch (each) {
      case Block.Text text -> Stream.of(text.values().get(BlockSettings.PARAGRAPHS));
      case Item item when node instanceof Piece piece ->
          shown(piece).stream()
              .filter(setting -> setting.kind() instanceof RichKind)
              .map(setting -> item.values().get(setting))
              .filter(String.class::isInstance)
              .map(String.class::cast);
      default -> Stream.of();
    };
  }

  private static void link(Node node, LinkSettings link, List<Leading> found) {
    place(node.values().get(link.address()))
        .ifPresent(name -> found.add(new Leading(node, Optional.of(link.address()), name)));
  }

  private static void within(Node node, String html, List<Leading> found) {
    if (html.contains("#")) {
      Jsoup.parseBodyFragment(html).select("a[href]").stream()
          .flatMap(link -> place(link.attr("href")).stream())
          .forEach(name -> found.add(new Leading(node, Optional.empty(), name)));
    }
  }

  /** The place on its own page that an address leads to; the top of it is always there. */
  private static Optional<String> place(String address) {
    return address.startsWith("#") && address.length() > 1 && !address.equalsIgnoreCase("#top")
        ? Optional.of(address.substring(1))
        : Optional.empty();
  }
}
