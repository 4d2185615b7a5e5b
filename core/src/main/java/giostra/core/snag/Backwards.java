package giostra.core.snag;

import giostra.core.page.ConditionSettings;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Seasons that end before they begin, of a piece or of one of its items. */
final class Backwards {
  private Backwards() {}

  static List<Snag> check(Looked at) {
    return at.piece().map(piece -> of(at, piece)).orElse(List.of());
  }

  private static List<Snag> of(Looked at, Piece piece) {
    var found = new ArrayList<Snag>();
    of(at, piece, piece).ifPresent(found::add);
    for (Item item : piece.items()) {
      of(at, piece, item).ifPresent(snag -> found.add(snag.of(item.id())));
    }
    return found;
  }

  private static Optional<Snag> of(Looked at, Piece piece, Node of) {
    try {
      ConditionSettings.typed(of.values());
      return Optional.empty();
    } catch (Refused e) {
      return Optional.of(
          Snag.of(
                  Rule.BACKWARDS,
                  piece.id(),
                  Extent.always(at.document()),
                  Said.of("backwards", "what", e.what(), "found", e.found(), "must", e.allowed()))
              .about(ConditionSettings.SEASON_ENDS.id(), ConditionSettings.SEASON_BEGINS.id())
              .withFixes(
                  List.of(
                      Snag.Fix.of(
                          Said.of("no-end"),
                          new Edit.SetValue(
                              of.id(), ConditionSettings.SEASON_ENDS.id(), "", null)))));
    }
  }
}
