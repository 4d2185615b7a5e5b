package giostra.core.snag;

import giostra.core.band.Band;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;

/** Viewport widths next to each other at which something is wrong. */
public final class Runs {
  private Runs() {}

  /** First and last whole width of each run in a band, in px. */
  public static List<int[]> of(Band band, IntPredicate wrong) {
    var found = new ArrayList<int[]>();
    for (int width = Extent.first(band); width <= Extent.last(band); width++) {
      if (!wrong.test(width)) {
        continue;
      }
      if (!found.isEmpty() && found.getLast()[1] + 1 == width) {
        found.getLast()[1] = width;
      } else {
        found.add(new int[] {width, width});
      }
    }
    return found;
  }
}
