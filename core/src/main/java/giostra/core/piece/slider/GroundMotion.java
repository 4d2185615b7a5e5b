package giostra.core.piece.slider;

import giostra.core.drive.Pacing;
import giostra.core.page.DriveSettings;
import giostra.core.page.Item;
import giostra.core.value.Focus;
import giostra.core.value.Framing;
import giostra.core.value.Framing.Frame;
import java.util.List;

/**
 * What of a picture is seen under the words of a slide while it moves slowly: where it begins, in
 * the middle and where it ends. The script does the same by the same sums, see {@code ground.ts}.
 */
final class GroundMotion {
  private static final List<Double> MOMENTS = List.of(0.0, 0.5, 1.0);

  /**
   * A picture drawn larger than its box, and moved.
   *
   * @param large how many times as large
   * @param left how far its left edge is from that of the box, in widths of it
   * @param top the same from above, in heights
   */
  record View(double large, double left, double top) {
    /** As it lies in its box. */
    static final View STILL = new View(1, 0, 0);

    private static View of(Frame frame) {
      return new View(
          frame.large(),
          frame.x() / 100 * (1 - frame.large()),
          frame.y() / 100 * (1 - frame.large()));
    }

    private static View about(Focus point, double large, double aside) {
      return new View(large, point.x() / 100 * (1 - large) + aside, point.y() / 100 * (1 - large));
    }

    private View towards(View other, double share) {
      return new View(
          large + (other.large - large) * share,
          left + (other.left - left) * share,
          top + (other.top - top) * share);
    }

    /** Where a point of the picture is seen, px from the left of a box so wide. */
    double seenX(double x, double wide) {
      return x * large + left * wide;
    }

    /** The same from above. */
    double seenY(double y, double high) {
      return y * large + top * high;
    }

    /** What point of the picture is seen somewhere. */
    double pointX(double x, double wide) {
      return (x - left * wide) / large;
    }

    /** The same from above. */
    double pointY(double y, double high) {
      return (y - top * high) / large;
    }
  }

  private GroundMotion() {}

  /** All that is looked at of the picture of a slide about a point; as it lies where it stands. */
  static List<View> of(Pacing pacing, Item item, Focus point, boolean mirrored) {
    if (!pacing.movesItself()) {
      return List.of(View.STILL);
    }
    Framing own = item.values().get(DriveSettings.FRAMING);
    if (!own.isNone()) {
      return between(View.of(own.first()), View.of(own.last()));
    }
    double large = 1 + pacing.groundBy() / 100.0;
    double aside = pacing.groundBy() / 200.0 * (mirrored ? -1 : 1);
    View near = View.about(point, large, 0);
    return switch (pacing.groundMoves()) {
      case NONE -> List.of(View.STILL);
      case NEARER -> between(View.STILL, near);
      case AWAY -> between(near, View.STILL);
      case FROM_START -> between(View.about(point, large, aside), View.about(point, large, -aside));
      case FROM_END -> between(View.about(point, large, -aside), View.about(point, large, aside));
    };
  }

  /** How many times as large as its box the picture of an item is drawn at the most. */
  static double largest(Pacing pacing, Item item) {
    return of(pacing, item, Focus.CENTER, false).stream().mapToDouble(View::large).max().orElse(1);
  }

  private static List<View> between(View first, View last) {
    return MOMENTS.stream().map(share -> first.towards(last, share)).toList();
  }
}
