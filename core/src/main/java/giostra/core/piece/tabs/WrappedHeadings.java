package giostra.core.piece.tabs;

import giostra.core.band.Band;
import giostra.core.layout.Heights;
import giostra.core.snag.Extent;
import giostra.core.snag.Looked;
import giostra.core.snag.Measure;
import giostra.core.snag.Rule;
import giostra.core.snag.Runs;
import giostra.core.snag.Said;
import giostra.core.snag.Snag;
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

  static List<Snag> of(Tabs tabs, Looked at) {
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
