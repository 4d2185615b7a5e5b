package giostra.journeys;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.ClipSettings;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.PinSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.List;
import java.util.stream.IntStream;

/** Pages with many nodes of one type that are alike, each in a section of its own. */
final class Subjects {
  private static final int ITEMS = 5;

  private Subjects() {}

  static Document page(String kind, List<String> ids) {
    List<Section> sections =
        ids.stream()
            .map(id ->
                new Section(
                    "s-" + id,
                    Values.NONE.with(SectionSettings.PADDING, "desktop", Length.px(40)),
                    List.of(kind.equals("pin") ? pinned(id) : block(NodeType.named(kind), id))))
            .toList();
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page(
            "page", Values.NONE.with(PageSettings.TITLE, Values.ALL, "Subjects"), sections));
  }

  /** One node of a type, filled. */
  static Block block(NodeType type, String id) {
    Values values =
        switch (type) {
          case PICTURE ->
              text(BlockSettings.SOURCE, "lamp-walk")
                  .with(BlockSettings.SHAPE, "desktop", BlockSettings.Shape.SQUARE);
          case BUTTON ->
              text(BlockSettings.LABEL, "Press")
                  .with(BlockSettings.LINK.address(), Values.ALL, "#there");
          case OWN_HTML -> text(BlockSettings.MARKUP, "<p>Own markup</p>");
          default -> Values.NONE;
        };
    List<? extends Node> children =
        type.isPiece()
            ? IntStream.rangeClosed(1, ITEMS).mapToObj(n -> item(type, id, n)).toList()
            : type == NodeType.COLUMNS ? List.of(column(id + "-1"), column(id + "-2")) : List.of();
    return (Block) type.make(id, values, children);
  }

  /** A slider with something pinned to its first slide. */
  private static Block pinned(String id) {
    var slider = (Piece) block(NodeType.SLIDER, id);
    Block pin = new Block.Pin(id + "-pin", text(PinSettings.WORDS, "From 12"));
    List<Item> items =
        slider.items().stream()
            .map(item -> item.equals(slider.items().getFirst()) ? item.holding(List.of(pin)) : item)
            .toList();
    return (Block) slider.holding(items);
  }

  private static Column column(String id) {
    return new Column(
        id, Values.NONE, List.of(words(id + "-words", "In column " + id.charAt(id.length() - 1))));
  }

  private static Block.Text words(String id, String words) {
    return new Block.Text(id, text(BlockSettings.PARAGRAPHS, words));
  }

  private static Item item(NodeType kind, String id, int n) {
    Values values =
        text(ItemSettings.HEADING, "Heading " + n)
            .with(
                ItemSettings.TEXT,
                Values.ALL,
                "Some words about it. ".repeat(n * 2 % 5 + 1).strip())
            .with(ItemSettings.KICKER, Values.ALL, "Kicker " + n)
            .with(ItemSettings.SUBHEADING, Values.ALL, "Subheading " + n)
            .with(ItemSettings.NAME, Values.ALL, "Name " + n)
            .with(ItemSettings.ROLE, Values.ALL, "role " + n)
            .with(ItemSettings.PICTURE, Values.ALL, "lamp-walk")
            // The last has none of its own: it shows that of its piece.
            .with(ItemSettings.ICON, Values.ALL, n == ITEMS ? "" : "sun")
            .with(ItemSettings.CATEGORY, Values.ALL, n % 2 == 0 ? "Second" : "First")
            .with(ItemSettings.BACK_HEADING, Values.ALL, "Back " + n)
            .with(ItemSettings.BACK_TEXT, Values.ALL, "Words behind")
            .with(ItemSettings.TO, Values.ALL, 1234.0 * n);
    if (kind == NodeType.TABS) {
      values = values.with(ItemSettings.PICTURE, Values.ALL, n == 2 ? "lamp-walk" : "");
    }
    if (kind == NodeType.VIDEO) {
      values = values.with(ClipSettings.CLIP, Values.ALL, "bloom");
    }
    if (kind == NodeType.ACCORDION) {
      values = values.with(ItemSettings.PICTURE, Values.ALL, "");
    }
    List<Block> panel =
        kind.hasPanels() ? List.of(words(id + "-" + n + "-block", "In the panel")) : List.of();
    return new Item(id + "-" + n, values, panel);
  }

  private static Values text(Setting<String> setting, String text) {
    return Values.NONE.with(setting, Values.ALL, text);
  }
}
