package giostra.core.layout;

import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.look.Property;
import giostra.core.value.Around;
import giostra.core.value.Length;

/**
 * The room that a part keeps free around itself, and how much of the width it takes at the most. A
 * part that can say nothing of that takes all of it.
 *
 * @param of what holds of the part
 */
public record RoomAround(PartBox of) {
  private boolean kept() {
    return of.part().has(Property.MARGIN);
  }

  /** What has no letters of its own stands among those of the page. */
  private double px(Length length, Screen screen) {
    return of.part().has(Property.TEXT_SIZE) ? of.px(length, screen) : length.constantPx();
  }

  private Around margin() {
    return of.of(Property.MARGIN);
  }

  /** How wide it is with what it keeps free, px. */
  public double outer(double width, Screen screen) {
    if (!of.part().has(Property.MOST_WIDE)) {
      return width;
    }
    Length most = of.of(Property.MOST_WIDE);
    return Math.min(width, most.slope() > 0 ? most.in(width) : px(most, screen));
  }

  /** What it keeps free at both sides, px. */
  public double sides(Screen screen) {
    return kept() ? px(margin().second(), screen) + px(margin().fourth(), screen) : 0;
  }

  /** What it keeps free where reading begins, px. */
  public double before(Screen screen) {
    return kept() ? px(margin().fourth(), screen) : 0;
  }

  /** What it keeps free above, px. */
  public double above(Screen screen) {
    return kept() ? px(margin().first(), screen) : 0;
  }

  /** What it keeps free above and below, px. */
  public double down(Screen screen) {
    return kept() ? px(margin().first(), screen) + px(margin().third(), screen) : 0;
  }

  /** Words have no ground, so what they keep free is within their box; others keep it around it. */
  private boolean within() {
    return of.part().has(Property.TEXT_SIZE);
  }

  /** What is left for what is in it, px. */
  public double inner(double width, Screen screen) {
    double sides = sides(screen);
    double most = outer(width, screen);
    return Math.max(0, within() ? most - sides : Math.min(most, width - sides));
  }

  /** How wide a picture is drawn that has no letters, in a room that is so wide. */
  public Piecewise drawn(Piecewise room) {
    double sides = kept() ? margin().across() : 0;
    Piecewise left = room.through(new Line(1, -sides)).atLeast(0);
    return of.part().has(Property.MOST_WIDE)
        ? left.min(room.through(Line.of(of.of(Property.MOST_WIDE))))
        : left;
  }

  /** What is in it, with the room around it. */
  public Flow around(Flow flow) {
    boolean all =
        (!kept() || margin().isZero())
            && (!of.part().has(Property.MOST_WIDE)
                || of.of(Property.MOST_WIDE).equals(Length.percent(100)));
    if (all || flow == Flow.NONE) {
      return flow;
    }
    return (width, screen) -> {
      screen.fits(sides(screen), width);
      return flow.height(inner(width, screen), screen) + down(screen);
    };
  }
}
