package giostra.core.snag;

import giostra.core.page.Fields;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import java.util.List;

/** Pictures that are given by address. */
final class UnknownPictures {
  private UnknownPictures() {}

  static List<Snag> check(Looked at) {
    return at.piece()
        .filter(piece -> !Fields.off(piece, "picture"))
        .map(piece -> of(at, piece))
        .orElse(List.of());
  }

  private static List<Snag> of(Looked at, Piece piece) {
    return piece.onShow().stream()
        .filter(item ->
            at.pictures()
                .find(item.values().get(ItemSettings.PICTURE))
                .filter(size -> !size.known())
                .isPresent())
        .map(item ->
            Snag.of(
                    Rule.UNKNOWN_PICTURE,
                    piece.id(),
                    Extent.always(at.document()),
                    Said.of("unknown-picture"))
                .of(item.id()))
        .toList();
  }
}
