package giostra.core.fit;

import giostra.core.value.Colour;

/**
 * How well words can be read on a picture: the contrast that all but the worst twentieth of what
 * lies under them has. A pixel or two of glare do not hide a letter; a twentieth is our own, no
 * source. Source of the contrast: WCAG 2.2, "contrast ratio" and "relative luminance".
 */
public final class Legible {
  /** The share of what lies under words that may be worse. */
  public static final double WORST = 0.05;

  private static final int BINS = 2048;
  private static final double MOST = Math.log(21);
  private static final double[] LINEAR = new double[256];

  static {
    for (int i = 0; i < LINEAR.length; i++) {
      double share = i / 255.0;
      LINEAR[i] = share <= 0.04045 ? share / 12.92 : Math.pow((share + 0.055) / 1.055, 2.4);
    }
  }

  private final double[] weights = new double[BINS + 1];
  private double all;

  /** Adds a colour that the words lie on. */
  public void add(Colour ink, Colour below, double weight) {
    double ratio = contrast(ink, below);
    weights[(int) Math.round(Math.log(ratio) / MOST * BINS)] += weight;
    all += weight;
  }

  /** The contrast, 1 to 21; 21 where there is nothing under them. */
  public double contrast() {
    double sum = 0;
    for (int i = 0; i <= BINS; i++) {
      sum += weights[i];
      if (sum > 0 && sum >= WORST * all) {
        return Math.exp(i * MOST / BINS);
      }
    }
    return 21;
  }

  private static double contrast(Colour ink, Colour below) {
    double share = ink.alpha() / 255.0;
    double a =
        luminance(
            mixed(ink.red(), below.red(), share),
            mixed(ink.green(), below.green(), share),
            mixed(ink.blue(), below.blue(), share));
    double b = luminance(below.red(), below.green(), below.blue());
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }

  private static int mixed(int above, int below, double share) {
    return (int) Math.round(above * share + below * (1 - share));
  }

  private static double luminance(int red, int green, int blue) {
    return 0.2126 * LINEAR[red] + 0.7152 * LINEAR[green] + 0.0722 * LINEAR[blue];
  }
}
