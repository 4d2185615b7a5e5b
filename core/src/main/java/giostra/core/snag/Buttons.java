package giostra.core.snag;

import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The buttons of all items on a page, by what they are called. */
final class Buttons {
  /** One of them. */
  record Button(Piece piece, Item item, Fields.Pressed pressed) {
    /** What it is called by those who do not see it. */
    String name() {
      String label = pressed.link().label();
      return label.isEmpty() ? pressed.words() : label;
    }

    String address() {
      return pressed.link().address();
    }

    private String key() {
      return name().strip().toLowerCase(Locale.ROOT);
    }
  }

  private final Map<String, Map<String, Piece>> places = new LinkedHashMap<>();

  Buttons(Document document) {
    document.pieces().stream()
        .filter(piece -> !piece.values().get(PieceSettings.HIDDEN))
        .flatMap(Buttons::of)
        .forEach(button ->
            places
                .computeIfAbsent(button.key(), _ -> new LinkedHashMap<>())
                .putIfAbsent(button.address(), button.piece));
  }

  /** Those of a piece, as they are read. */
  static Stream<Button> of(Piece piece) {
    return piece.onShow().stream()
        .flatMap(item ->
            Fields.buttons(piece, item).stream().map(pressed -> new Button(piece, item, pressed)));
  }

  /** Those of a piece by their names. */
  static Map<String, List<Button>> byName(Piece piece) {
    return of(piece)
        .collect(Collectors.groupingBy(Button::key, LinkedHashMap::new, Collectors.toList()));
  }

  /** Where those lead that are called the same, and which piece has the first that leads there. */
  Map<String, Piece> places(Button button) {
    return places.getOrDefault(button.key(), Map.of());
  }

  /** A value that is equal where what a piece's buttons are called leads where it did. */
  Object key(Piece piece) {
    return of(piece)
        .map(button ->
            places(button).entrySet().stream()
                .map(each -> List.of(each.getKey(), Fields.called(each.getValue())))
                .toList())
        .toList();
  }
}
