package giostra.core.value;

import java.util.List;
import java.util.function.Function;

/**
 * The colour of a ground at a point of its box. Source: CSS Images 3, "Linear Gradients" and
 * "Radial Gradients" (farthest corner); colours between two are those between them premultiplied.
 */
public final class GroundAt {
  /** Steps that the way of a gradient is looked at in. */
  private static final int STEPS = 512;

  private final Ground ground;
  private final double width;
  private final double height;

  /** Its colours along its way, as 0xAARRGGBB: those of one colour are one. */
  private final int[] colours;

  /**
   * A ground in a box.
   *
   * @param width of the box, px
   * @param height of the box, px
   * @param inks the colours of its inks
   */
  public GroundAt(Ground ground, double width, double height, Function<Ink, Colour> inks) {
    this.ground = ground;
    this.width = width;
    this.height = height;
    this.colours =
        switch (ground) {
          case Ground.Plain(Ink ink) -> new int[] {argb(inks.apply(ink))};
          case Ground.Gradient(_, List<Ground.Stop> stops) -> {
            var all = new int[STEPS + 1];
            for (int i = 0; i <= STEPS; i++) {
              all[i] = argb(between(stops, 100.0 * i / STEPS, inks));
            }
            yield all;
          }
        };
  }

  private static int argb(Colour colour) {
    return colour.alpha() << 24 | colour.red() << 16 | colour.green() << 8 | colour.blue();
  }

  /** Its colour at px from the left and from above, as 0xAARRGGBB. */
  public int at(double x, double y) {
    return switch (ground) {
      case Ground.Plain _ -> colours[0];
      case Ground.Gradient gradient ->
          colours[(int) Math.round(Math.clamp(way(gradient.course(), x, y), 0, 1) * STEPS)];
    };
  }

  private double way(Ground.Course course, double x, double y) {
    return switch (course) {
      case Ground.Line(double angle) -> {
        double radians = Math.toRadians(angle);
        double across = Math.sin(radians);
        double up = Math.cos(radians);
        double length = Math.abs(width * across) + Math.abs(height * up);
        yield ((x - width / 2) * across - (y - height / 2) * up) / length + 0.5;
      }
      case Ground.Round(boolean circle, double left, double above) -> {
        double middleX = width * left / 100;
        double middleY = height * above / 100;
        double farX = Math.max(middleX, width - middleX);
        double farY = Math.max(middleY, height - middleY);
        // An ellipse to the farthest corner has the shape of the one to the farthest sides.
        double radiusX = circle ? Math.hypot(farX, farY) : farX * Math.sqrt(2);
        double radiusY = circle ? radiusX : farY * Math.sqrt(2);
        yield Math.hypot((x - middleX) / radiusX, (y - middleY) / radiusY);
      }
    };
  }

  private static Colour between(List<Ground.Stop> stops, double at, Function<Ink, Colour> inks) {
    Ground.Stop before = stops.getFirst();
    if (at <= before.at()) {
      return inks.apply(before.ink());
    }
    for (Ground.Stop next : stops) {
      if (at < next.at()) {
        double share = (at - before.at()) / (next.at() - before.at());
        return mixed(inks.apply(before.ink()), inks.apply(next.ink()), share);
      }
      before = next;
    }
    return inks.apply(stops.getLast().ink());
  }

  private static Colour mixed(Colour one, Colour other, double share) {
    double alpha = one.alpha() * (1 - share) + other.alpha() * share;
    if (alpha == 0) {
      return Colour.CLEAR;
    }
    return new Colour(
        channel(one.red(), one.alpha(), other.red(), other.alpha(), share, alpha),
        channel(one.green(), one.alpha(), other.green(), other.alpha(), share, alpha),
        channel(one.blue(), one.alpha(), other.blue(), other.alpha(), share, alpha),
        (int) Math.round(alpha));
  }

  private static int channel(
      int one, int oneAlpha, int other, int otherAlpha, double share, double alpha) {
    return (int) Math.round((one * oneAlpha * (1 - share) + other * otherAlpha * share) / alpha);
  }
}
