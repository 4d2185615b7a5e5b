package giostra.core.snag;

import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.List;

/** Words and signs that are hard to tell from what they stand on. */
final class Faint {
  private Faint() {}

  static List<Snag> check(Looked at) {
    if (at.piece().isEmpty()) {
      return List.of();
    }
    Piece piece = at.piece().get();
    var found = new ArrayList<Snag>();
    found.addAll(Judged.of(piece).found(Rule.CONTRAST, piece, at));
    found.addAll(PartContrast.snags(at.document(), piece, at.pictures()));
    return found;
  }
}
