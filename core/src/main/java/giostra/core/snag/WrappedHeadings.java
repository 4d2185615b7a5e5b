package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Heights;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Headings of tabs that take more than two rows or lines; two can still be told apart at a glance.
 * Common practice, no source.
 */
final class WrappedHeadings {
  private static final int MOST = 2;

  private WrappedHeadings() {}

  static List<Snag> check(Looked at) {
    if (!(at.node() instanceof Piece.Tabs tabs)) {
      return List.of();
    }
    var found = new ArrayList<Snag>();
    Heights heights = at.heights(tabs);
    for (Band band : at.document().bands().all()) {
      for (int[] range : Runs.of(band, width -> heights.headingRows(width) > MOST)) {
        int rows =
            IntStream.rangeClosed(range[0], range[1]).map(heights::headingRows).max().orElseThrow();
        found.add(
            Snag.of(
                    Rule.WRAPPED_HEADINGS,
                    tabs.id(),
                    Extent.of(range[0], range[1], band),
                    Said.of("wrapped-headings", "rows", rows, "from", range[0], "to", range[1]))
                .measured(rows, MOST, Measure.Unit.ROWS));
      }
    }
    return found;
  }
}
