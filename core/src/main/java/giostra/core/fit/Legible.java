package giostra.core.fit;

import giostra.core.value.Colour;
import giostra.core.value.Srgb;

/**
 * How well words can be read on a picture: the mean contrast of the worst twentieth of what lies
 * under them. A pixel or two of glare do not hide a letter, and a mean does not jump where an edge
 * moves by one, as a percentile does; a twentieth is our own, no source. Source of the contrast:
 * WCAG 2.2, "contrast ratio" and "relative luminance".
 */
public final class Legible {
  /** The share of what lies under words that counts. */
  static final double WORST = 0.05;

  /** Hundredths that contrasts are told apart by. */
  private static final int BINS = 2100;

  private final double[] weights = new double[BINS + 1];
  private double all;

  /**
   * Adds a colour that the words lie on.
   *
   * @param ink of the words, which may be clear in part
   * @param below solid, as 0xRRGGBB
   * @param weight how much of it there is
   */
  public void add(Colour ink, int below, double weight) {
    weights[(int) Math.round(contrast(ink, below) * 100)] += weight;
    all += weight;
  }

  /** How much there is of all that was added. */
  public double all() {
    return all;
  }

  /** The contrast, 1 to 21; 21 where there is nothing under them. */
  public double contrast() {
    double most = WORST * all;
    double left = most;
    double sum = 0;
    for (int i = 0; i <= BINS && left > 0; i++) {
      double counted = Math.min(left, weights[i]);
      sum += counted * i / 100;
      left -= counted;
    }
    return most > 0 ? sum / most : 21;
  }

  private static double contrast(Colour ink, int below) {
    int red = below >> 16 & 255;
    int green = below >> 8 & 255;
    int blue = below & 255;
    int alpha = ink.alpha();
    double a =
        Srgb.luminance(
            mixed(ink.red(), red, alpha),
            mixed(ink.green(), green, alpha),
            mixed(ink.blue(), blue, alpha));
    double b = Srgb.luminance(red, green, blue);
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }

  /** A channel over a solid one, as whole numbers. */
  public static int mixed(int above, int below, int alpha) {
    return (above * alpha + below * (255 - alpha) + 127) / 255;
  }
}
