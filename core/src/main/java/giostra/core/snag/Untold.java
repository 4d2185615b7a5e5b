package giostra.core.snag;

import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.value.Setting;
import java.util.List;
import java.util.stream.Stream;
import org.jsoup.Jsoup;

/**
 * A picture of which nobody has said what is on it, nor that it is decoration: who does not see it
 * is told nothing. Source: WCAG 2.2, 1.1.1 "Non-text Content"; failure F38, decoration that is not
 * marked as such, and F65, a picture without a text alternative.
 */
final class Untold {
  private Untold() {}

  static List<Snag> check(Looked at) {
    return switch (at.node()) {
      case Piece piece ->
          Stream.of(
                  piece.onShow().stream().flatMap(item -> of(at, piece, item)),
                  blocks(at, piece),
                  texts(at, piece))
              .flatMap(found -> found)
              .toList();
      case Section section -> Stream.concat(blocks(at, section), texts(at, section)).toList();
      default -> List.of();
    };
  }

  private static Stream<Snag> of(Looked at, Piece piece, Item item) {
    List<? extends Setting<?>> shown = Leading.shown(piece);
    // Who speaks is named beside a portrait, which decorates by itself: nothing is asked there.
    if (!shown.contains(ItemSettings.ALT)) {
      return Stream.empty();
    }
    boolean said = !Fields.shown(piece, item, ItemSettings.ALT).isEmpty();
    return Stream.of(ItemSettings.PICTURE, ItemSettings.BACK_PICTURE)
        .filter(shown::contains)
        .filter(piece.type().room()::reads)
        // What an item says is of its front.
        .filter(each -> !said || each == ItemSettings.BACK_PICTURE)
        .filter(each -> at.pictures().untold(item.values().get(each)))
        .map(each -> found(at, piece, item, each));
  }

  private static Stream<Snag> blocks(Looked at, Node node) {
    return Leading.of(node)
        .filter(each -> each instanceof Block.Picture || each instanceof Block.Pin)
        .filter(each -> each.values().get(BlockSettings.ALT).isEmpty())
        .filter(each -> at.pictures().untold(each.values().get(BlockSettings.SOURCE)))
        .map(each -> found(at, node, each, BlockSettings.SOURCE));
  }

  /** Pictures within texts; who gives one an empty text there says that it is decoration. */
  private static Stream<Snag> texts(Looked at, Node node) {
    return Leading.of(node)
        .filter(each -> !(each instanceof Item item) || item.onShow())
        .filter(each ->
            Leading.texts(node, each)
                .filter(html -> html.contains("<img"))
                .flatMap(html ->
                    Jsoup.parseBodyFragment(html).select("img[data-picture]:not([alt])").stream())
                .anyMatch(image -> at.pictures().untold(image.attr("data-picture"))))
        .map(each ->
            Snag.of(Rule.UNTOLD, node.id(), Extent.always(at.document()), Said.of("untold"))
                .of(each.id()));
  }

  private static Snag found(Looked at, Node node, Node of, Setting<String> picture) {
    return Snag.of(Rule.UNTOLD, node.id(), Extent.always(at.document()), Said.of("untold"))
        .of(of.id())
        .about(picture.id(), ItemSettings.ALT.id());
  }
}
