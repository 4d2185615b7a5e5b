package giostra.core.value;

import java.util.List;
import java.util.function.Function;

/**
 * The colour of a ground at a point of its box. Source: CSS Images 3, "Linear Gradients" and
 * "Radial Gradients" (farthest corner); colours between two are those between them premultiplied.
 *
 * @param width of the box, px
 * @param height of the box, px
 */
public record GroundAt(Ground ground, double width, double height, Function<Ink, Colour> inks) {
  /** Its colour at px from the left and from above. */
  public Colour at(double x, double y) {
    return switch (ground) {
      case Ground.Plain(Ink ink) -> inks.apply(ink);
      case Ground.Gradient(Ground.Course course, List<Ground.Stop> stops) ->
          between(stops, 100 * way(course, x, y));
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

  private Colour between(List<Ground.Stop> stops, double at) {
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
