package giostra.core.value;

import java.util.Map;

/** Curves that have names. They stand apart: a type that makes its own heirs may lock up. */
public final class Easings {
  private Easings() {}

  /** Even progress. */
  public static final Easing LINEAR = new Easing.Linear();

  /** {@code ease} of CSS. */
  public static final Easing EASE = new Easing.Bezier(.25, .1, .25, 1);

  /** {@code ease-in} of CSS. */
  public static final Easing EASE_IN = new Easing.Bezier(.42, 0, 1, 1);

  /** {@code ease-out} of CSS. */
  public static final Easing EASE_OUT = new Easing.Bezier(0, 0, .58, 1);

  /** {@code ease-in-out} of CSS. */
  public static final Easing EASE_IN_OUT = new Easing.Bezier(.42, 0, .58, 1);

  /** Past the end and back; our own points. */
  public static final Easing OVERSHOOT = new Easing.Bezier(.3, 1.4, .6, 1);

  /** Leaves at once and comes to rest without haste; our own points. */
  public static final Easing CALM = new Easing.Bezier(.32, .06, .24, 1);

  /** Those that CSS has a word for. */
  public static final Map<String, Easing> NAMED =
      Map.of(
          "linear",
          LINEAR,
          "ease",
          EASE,
          "ease-in",
          EASE_IN,
          "ease-out",
          EASE_OUT,
          "ease-in-out",
          EASE_IN_OUT,
          "step-start",
          new Easing.Steps(1, Easing.Jump.START),
          "step-end",
          new Easing.Steps(1, Easing.Jump.END));
}
