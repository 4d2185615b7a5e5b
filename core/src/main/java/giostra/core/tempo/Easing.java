package giostra.core.tempo;

import giostra.core.page.CounterSettings;
import giostra.core.value.Require;
import java.util.Locale;

/**
 * An easing function: progress of the effect at a share of the time. Source: CSS Easing Functions
 * 2, "Cubic Bézier easing functions" and "The linear easing function".
 */
public sealed interface Easing {
  /** Even progress. */
  Easing LINEAR = new Linear();

  /** {@code ease} of CSS. */
  Easing EASE = new Bezier(.25, .1, .25, 1);

  /** {@code ease-in} of CSS. */
  Easing EASE_IN = new Bezier(.42, 0, 1, 1);

  /** {@code ease-out} of CSS. */
  Easing EASE_OUT = new Bezier(0, 0, .58, 1);

  /** {@code ease-in-out} of CSS. */
  Easing EASE_IN_OUT = new Bezier(.42, 0, .58, 1);

  /** Past the end and back; our own points. */
  Easing OVERSHOOT = new Bezier(.3, 1.4, .6, 1);

  /** Even progress. */
  record Linear() implements Easing {}

  /**
   * A cubic curve from (0, 0) to (1, 1) with two control points.
   *
   * @param x1 0 to 1
   * @param x2 0 to 1
   */
  record Bezier(double x1, double y1, double x2, double y2) implements Easing {
    public Bezier {
      Require.within(0, 1, "x1", x1);
      Require.within(0, 1, "x2", x2);
    }
  }

  /** The curve of a counter. */
  static Easing of(CounterSettings.Curve curve) {
    return switch (curve) {
      case LINEAR -> LINEAR;
      case EASE -> EASE;
      case EASE_IN -> EASE_IN;
      case EASE_OUT -> EASE_OUT;
      case EASE_IN_OUT -> EASE_IN_OUT;
      case OVERSHOOT -> OVERSHOOT;
    };
  }

  /**
   * Progress at a share of the time, 0 at 0 and 1 at 1; between them it may leave 0 to 1.
   *
   * @param share held to 0 to 1
   */
  default double at(double share) {
    double x = Math.clamp(share, 0, 1);
    return switch (this) {
      case Linear _ -> x;
      case Bezier b -> x == 0 || x == 1 ? x : cubic(b.y1, b.y2, parameter(b, x));
    };
  }

  /** As the page script takes it: null, or the four numbers. */
  default String plan() {
    return switch (this) {
      case Linear _ -> "null";
      case Bezier(var x1, var y1, var x2, var y2) ->
          String.format(
              Locale.ROOT,
              "[%s,%s,%s,%s]",
              Require.number(x1),
              Require.number(y1),
              Require.number(x2),
              Require.number(y2));
    };
  }

  private static double cubic(double one, double two, double t) {
    double left = 1 - t;
    return 3 * left * left * t * one + 3 * left * t * t * two + t * t * t;
  }

  /** Where on the curve x is reached; x grows with it, so halving finds the place. */
  private static double parameter(Bezier b, double x) {
    double low = 0;
    double high = 1;
    for (int i = 0; i < 60; i++) {
      double middle = (low + high) / 2;
      if (cubic(b.x1, b.x2, middle) < x) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }
}
