package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Heights;
import java.util.List;
import java.util.Locale;

/**
 * Texts within a thousandth of another number of lines, in a room that stays the same: systems
 * round the widths of letters differently. That they do by so much is common practice, no source.
 */
final class Close {
  private Close() {}

  static List<Snag> check(Looked at) {
    return at.piece()
        .map(piece -> at.heights(piece).close().stream().map(each -> snag(at, each)).toList())
        .orElse(List.of());
  }

  private static Snag snag(Looked at, Heights.Close each) {
    Band band = at.document().bands().band(each.band());
    return Snag.of(
            Rule.CLOSE,
            at.node().id(),
            Extent.of(each.from(), each.to(), band),
            Said.of(
                "close",
                "words",
                each.words(),
                "part",
                each.part().name().toLowerCase(Locale.ROOT),
                "lines",
                each.lines(),
                "from",
                each.from(),
                "to",
                each.to()))
        .of(each.item());
  }
}
