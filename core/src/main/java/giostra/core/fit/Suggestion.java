package giostra.core.fit;

import giostra.core.value.Require;

/** How many items to show for a comfortable item width. */
public final class Suggestion {
  private Suggestion() {}

  /**
   * The most items that stay at least {@code comfortable} wide; one where even that does not fit.
   *
   * @param inner inner width of the container where the band is narrowest, in px
   * @param comfortable the width an item should not fall below, in px
   * @param peeking sides with a peek, 0 to 2
   * @param most the designer's maximum, 1 to 12
   */
  public static int count(
      double inner, double comfortable, double gap, double peek, int peeking, int most) {
    Require.above(0, "inner width (px)", inner);
    Require.above(0, "comfortable width (px)", comfortable);
    Require.within(1, 12, "most in view", most);
    double fits = (inner - peeking * (peek + gap) + gap) / (comfortable + gap);
    // What fits exactly does so whatever a division leaves in its last digits.
    return (int) Math.clamp(Math.floor(fits + 1e-9), 1, most);
  }
}
