package giostra.core.fit;

import giostra.core.value.Refused;
import giostra.core.value.Require;

/**
 * A track in one band at one width: items of one size along an axis, some of them in view.
 *
 * <p>Lengths are CSS px. The gap lies between items, never before the first or after the last (CSS
 * Box Alignment 3, "Gaps Between Boxes"). Everything that has to do with pixels is here; which
 * items a stop starts with does not depend on pixels, see {@link Stops}.
 *
 * @param inner inner size of the container along the track, above 0
 * @param items number of items on show, 1 or more
 * @param view items in view at once, 1 to 12; with "stretch few" already lowered to the items
 * @param gap space between two neighbours, 0 or more
 * @param peek how much of a neighbour shows, 0 or more
 * @param sides on how many sides it shows: 1 (the end) or 2
 * @param stride items that one move advances; more than the view counts as the view
 * @param endless whether it is asked to go round
 */
public record Track(
    double inner,
    int items,
    int view,
    double gap,
    double peek,
    int sides,
    int stride,
    boolean endless) {

  public Track {
    Require.above(0, "inner size (px)", inner);
    Require.atLeast(1, "items", items);
    Require.within(1, 12, "in view", view);
    Require.atLeast(0, "gap (px)", gap);
    Require.atLeast(0, "peek (px)", peek);
    Require.within(1, 2, "peek sides", sides);
    Require.atLeast(1, "stride", stride);
    stride = Math.min(stride, view);
    if (!(size(inner, items, view, gap, peek, sides) > 0)) {
      throw new Refused(
          "room for items",
          Require.number(size(inner, items, view, gap, peek, sides)) + " px",
          "above 0 px: gaps and peek take all of " + Require.number(inner) + " px");
    }
  }

  /** Whether anything moves: controls and autoplay are off where it does not. */
  public boolean moves() {
    return items > view;
  }

  /**
   * Sides on which a neighbour shows: none where nothing moves or the peek is 0, and one where a
   * single item is out of view, which cannot stand on both.
   */
  public int peeking() {
    return peeking(items, view, peek, sides);
  }

  /** Size of one item: three in 1200 with gaps of 24 are 384 each; with 40 px peeks 341.333. */
  public double item() {
    return size(inner, items, view, gap, peek, sides);
  }

  /** From the start of one item to the start of the next. */
  public double pitch() {
    return item() + gap;
  }

  /** Length of all items with the gaps between them. */
  public double length() {
    return items * item() + (items - 1) * gap;
  }

  /** How far the first item in view stands from the start of the container. */
  public double inset() {
    return peeking() == 2 ? peek + gap : 0;
  }

  /**
   * Whether it really goes round. The items themselves are moved, without copies, so none may have
   * to show twice: with one item off view the rest must still fill the container.
   */
  public boolean loops() {
    return endless && moves() && fills(items, item(), gap, inner);
  }

  /**
   * Whether so many items fill a container while one of them is off view. Without a gap they often
   * fill it to the hair, so a sum may miss by what doubles round.
   */
  public static boolean fills(int items, double item, double gap, double inner) {
    return item > 0 && items * (item + gap) - item >= inner - 1e-6;
  }

  /** Its stops. */
  public Stops stops() {
    return loops() ? Stops.endless(items, view, stride) : Stops.ending(items, view, stride);
  }

  /**
   * How far the track is moved at a stop, against the reading direction. With an end it is never
   * moved so far that a blank shows; endless, the first stop may be moved by minus the inset.
   */
  public double offset(int stop) {
    double wanted = stops().starts().get(stop) * pitch() - inset();
    return loops() ? wanted : Math.clamp(wanted, 0, Math.max(0, length() - inner));
  }

  /** Length of one whole round of an endless track. */
  public double round() {
    return items * pitch();
  }

  private static int peeking(int items, int view, double peek, int sides) {
    return peek == 0 || items <= view ? 0 : Math.min(sides, items - view);
  }

  private static double size(
      double inner, int items, int view, double gap, double peek, int sides) {
    int k = peeking(items, view, peek, sides);
    return (inner - k * (peek + gap) - (view - 1) * gap) / view;
  }
}
