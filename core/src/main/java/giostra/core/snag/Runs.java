package giostra.core.snag;

import giostra.core.band.Band;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.function.IntPredicate;
import java.util.stream.Stream;

/** Viewport widths next to each other at which something is wrong. */
public final class Runs {
  private Runs() {}

  /** From one width that is looked at to the next; what is wrong in less than that is not seen. */
  private static final double STEP = 1.03;

  /**
   * First and last whole width of each run in a band, in px, found by a look at some of them; where
   * a run begins and ends is exact.
   */
  public static List<int[]> ofSome(Band band, IntPredicate wrong) {
    List<Integer> widths = widths(band, STEP);
    var found = new ArrayList<int[]>();
    int i = 0;
    while (i < widths.size()) {
      int first = i;
      while (i < widths.size() && wrong.test(widths.get(i))) {
        i++;
      }
      if (i > first) {
        int from = widths.get(first);
        int to = widths.get(i - 1);
        found.add(
            new int[] {
              first == 0 ? from : edge(widths.get(first - 1), from, wrong),
              i == widths.size() ? to : edge(widths.get(i), to, wrong)
            });
      }
      i++;
    }
    return found;
  }

  /** Some widths of a band, each so many times the one before, and its last. */
  static List<Integer> widths(Band band, double step) {
    var found = new ArrayList<Integer>();
    int last = Extent.last(band);
    for (double width = Extent.first(band); width < last; width *= step) {
      found.add((int) width);
    }
    found.add(last);
    return found;
  }

  /** Between a width that is right and one that is wrong: the last of the latter. */
  static int edge(int right, int wrong, IntPredicate isWrong) {
    int good = right;
    int bad = wrong;
    while (Math.abs(good - bad) > 1) {
      int middle = (good + bad) / 2;
      if (isWrong.test(middle)) {
        bad = middle;
      } else {
        good = middle;
      }
    }
    return bad;
  }

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

  /**
   * A run of widths at which something is wrong, in px, and the worst of it.
   *
   * @param from the first viewport width
   * @param to the last
   */
  public record Worst<T>(int from, int to, T worst) {}

  /**
   * The runs in a band at which something is found, each with what is worst at its ends and in its
   * middle.
   */
  public static <T> List<Worst<T>> worst(
      Band band, IntFunction<Optional<T>> found, Comparator<T> least) {
    return ofSome(band, width -> found.apply(width).isPresent()).stream()
        .map(run -> {
          T worst =
              Stream.of(run[0], (run[0] + run[1]) / 2, run[1])
                  .flatMap(width -> found.apply(width).stream())
                  .max(least)
                  .orElseThrow();
          return new Worst<>(run[0], run[1], worst);
        })
        .toList();
  }
}
