package giostra.core.snag;

import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.snag.Buttons.Button;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Buttons that say the same and lead elsewhere, in a piece or on its page: who hears them one after
 * the other, out of their places, cannot tell them apart. Source: WCAG 2.2, 2.4.9, "Link Purpose
 * (Link Only)". Its way out keeps the words at the beginning of the name (2.5.3, "Label in Name").
 */
final class SameWords {
  private SameWords() {}

  static List<Snag> check(Looked at) {
    if (!(at.node() instanceof Piece piece)) {
      return List.of();
    }
    return Buttons.byName(piece).values().stream().flatMap(all -> of(at, piece, all)).toList();
  }

  private static Stream<Snag> of(Looked at, Piece piece, List<Button> all) {
    if (all.stream().map(Button::address).distinct().count() > 1) {
      return Stream.of(found(at, piece, all));
    }
    // What is there first keeps its words.
    Map.Entry<String, Piece> first =
        at.buttons().places(all.getFirst()).entrySet().stream().findFirst().orElse(null);
    return first == null || first.getKey().equals(all.getFirst().address())
        ? Stream.of()
        : Stream.of(elsewhere(at, piece, all, first.getValue()));
  }

  private static Snag elsewhere(Looked at, Piece piece, List<Button> all, Piece other) {
    return named(
        Snag.of(
                Rule.SAME_WORDS,
                piece.id(),
                Extent.always(at.document()),
                Said.of(
                    "same-words-elsewhere",
                    "words",
                    all.getFirst().name(),
                    "other",
                    Fields.called(other)))
            .of(all.getFirst().item().id()),
        piece,
        all);
  }

  private static Snag found(Looked at, Piece piece, List<Button> all) {
    long places = all.stream().map(Button::address).distinct().count();
    Button first = all.getFirst();
    return named(
        Snag.of(
                Rule.SAME_WORDS,
                piece.id(),
                Extent.always(at.document()),
                Said.of("same-words", "words", first.name(), "n", places))
            .of(first.item().id()),
        piece,
        all);
  }

  /** With the way out to add to what each is called what its item is called. */
  private static Snag named(Snag snag, Piece piece, List<Button> all) {
    List<String> headings =
        all.stream()
            .map(each -> Fields.shown(piece, each.item(), ItemSettings.HEADING).strip())
            .distinct()
            .toList();
    if (headings.size() < all.size() || headings.contains("")) {
      return snag;
    }
    List<Edit> named =
        all.stream()
            .<Edit>map(each ->
                new Edit.SetValue(
                    each.item().id(),
                    label(each),
                    "",
                    each.pressed().words()
                        + ": "
                        + Fields.shown(piece, each.item(), ItemSettings.HEADING).strip()))
            .toList();
    return snag.withFixes(List.of(new Snag.Fix(Said.of("name-by-headings"), named)));
  }

  /** The setting that names it. */
  private static String label(Button button) {
    if (button.pressed().second()) {
      return ItemSettings.BUTTON_2_LINK.label().id();
    }
    boolean own = ItemSettings.BUTTON_LINK.in(button.item().values()).leads();
    return (own ? ItemSettings.BUTTON_LINK : ItemSettings.LINK).label().id();
  }
}
