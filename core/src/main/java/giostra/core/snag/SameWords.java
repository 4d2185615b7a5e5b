package giostra.core.snag;

import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Buttons of a piece that say the same and lead elsewhere: who hears them one after the other, out
 * of their places, cannot tell them apart. Source: WCAG 2.2, 2.4.9, "Link Purpose (Link Only)". Its
 * way out keeps the words at the beginning of the name (2.5.3, "Label in Name").
 */
final class SameWords {
  private SameWords() {}

  private record Button(Item item, Fields.Pressed pressed) {
    /** What it is called by those who do not see it. */
    String name() {
      String label = pressed.link().label();
      return label.isEmpty() ? pressed.words() : label;
    }

    String address() {
      return pressed.link().address();
    }
  }

  static List<Snag> check(Looked at) {
    if (!(at.node() instanceof Piece piece)) {
      return List.of();
    }
    Map<String, List<Button>> byName = new LinkedHashMap<>();
    for (Item item : piece.onShow()) {
      for (Fields.Pressed pressed : Fields.buttons(piece, item)) {
        var button = new Button(item, pressed);
        byName
            .computeIfAbsent(button.name().strip().toLowerCase(Locale.ROOT), _ -> new ArrayList<>())
            .add(button);
      }
    }
    return byName.values().stream()
        .filter(all -> all.stream().map(Button::address).distinct().count() > 1)
        .map(all -> found(at, piece, all))
        .toList();
  }

  private static Snag found(Looked at, Piece piece, List<Button> all) {
    long places = all.stream().map(Button::address).distinct().count();
    Button first = all.getFirst();
    Snag snag =
        Snag.of(
                Rule.SAME_WORDS,
                piece.id(),
                Extent.always(at.document()),
                Said.of("same-words", "words", first.name(), "n", places))
            .of(first.item().id());
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
