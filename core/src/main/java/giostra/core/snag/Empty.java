package giostra.core.snag;

import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** An item or a pin of which nothing shows, or a heading under which there is nothing. */
final class Empty {
  /** What shows of an item by itself, its back too; a button needs an address besides its words. */
  private static final List<Setting<String>> SHOWING =
      Stream.concat(
              ItemSettings.READ.stream()
                  .filter(each -> each != ItemSettings.BUTTON && each != ItemSettings.BUTTON_2),
              Stream.of(
                  ItemSettings.PICTURE,
                  ItemSettings.ICON,
                  ItemSettings.GROUND_CLIP,
                  ItemSettings.BACK_ICON,
                  ItemSettings.BACK_PICTURE,
                  ItemSettings.BACK_HEADING,
                  ItemSettings.BACK_TEXT))
          .toList();

  /** What of that stands by the heading of a panel. */
  private static final Set<Setting<String>> OF_HEADING =
      Set.of(ItemSettings.HEADING, ItemSettings.ICON);

  private Empty() {}

  static List<Snag> check(Looked at) {
    return switch (at.node()) {
      case Piece piece when Judged.of(piece).showsAnyway() -> List.of();
      case Piece piece ->
          Stream.concat(
                  piece.onShow().stream()
                      .filter(item -> empty(piece, item))
                      .map(item -> found(at, piece, item)),
                  pins(at, piece))
              .toList();
      default -> List.of();
    };
  }

  private static Stream<Snag> pins(Looked at, Piece piece) {
    return piece.type().hasPins()
        ? piece.onShow().stream()
            .flatMap(item -> item.pins().stream())
            .filter(pin -> !pin.shows())
            .map(pin ->
                Snag.of(Rule.EMPTY, piece.id(), Extent.always(at.document()), Said.of("empty-pin"))
                    .of(pin.id())
                    .withFixes(
                        List.of(Snag.Fix.of(Said.of("no-pin"), new Edit.RemoveNode(pin.id())))))
        : Stream.of();
  }

  private static boolean empty(Piece piece, Item item) {
    List<Setting<?>> asked =
        Fields.of(piece.type(), piece.values()).stream()
            .<Setting<?>>map(Fields.Field::setting)
            .toList();
    boolean panel = piece.type().hasPanels();
    Stream<Setting<String>> showing =
        SHOWING.stream()
            .filter(asked::contains)
            .filter(each -> !panel || !OF_HEADING.contains(each))
            .filter(piece.type().room()::reads);
    return item.children().isEmpty()
        && Fields.buttons(piece, item).isEmpty()
        && showing.allMatch(each -> Fields.shown(piece, item, each).isBlank());
  }

  private static Snag found(Looked at, Piece piece, Item item) {
    return Snag.of(
            Rule.EMPTY,
            piece.id(),
            Extent.always(at.document()),
            Said.of(piece.type().hasPanels() ? "empty-panel" : "empty-item"))
        .of(item.id())
        .withFixes(
            List.of(
                Snag.Fix.of(
                    Said.of("hide"),
                    new Edit.SetValue(item.id(), ItemSettings.HIDDEN.id(), "", true))));
  }
}
