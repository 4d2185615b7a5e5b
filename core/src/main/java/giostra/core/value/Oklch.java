package giostra.core.value;

/**
 * A colour by how light it looks, how colourful it is, and its hue. Source: CSS Color 4, "Sample
 * code for Color Conversions" and "Oklab and OKLCh".
 *
 * @param lightness 0 to 1
 * @param chroma 0 and up, in practice to 0.4
 * @param hue degrees
 */
public record Oklch(double lightness, double chroma, double hue) {

  static final Colour BLACK = new Colour(0, 0, 0, 255);
  static final Colour WHITE = new Colour(255, 255, 255, 255);

  /**
   * A share of the way from a colour to black or white in OKLab, which have no hue. Source: CSS
   * Color 5, "color-mix()"; CSS Color 4, "Interpolating with Alpha". What no screen has is cut, as
   * browsers do.
   *
   * @param share 0 to 1
   */
  static Colour mixed(Colour from, Colour to, double share) {
    double own = from.alpha() / 255.0 * (1 - share);
    double all = own + share;
    Oklch seen = of(from);
    double light = (seen.lightness * own + of(to).lightness * share) / all;
    double[] rgb = new Oklch(light, 0, seen.hue).rgb(seen.chroma * own / all);
    return new Colour(
        Srgb.channel(rgb[0]),
        Srgb.channel(rgb[1]),
        Srgb.channel(rgb[2]),
        (int) Math.round(all * 255));
  }

  /** Of a colour, whatever its alpha. */
  public static Oklch of(Colour colour) {
    double r = Srgb.linear(colour.red() / 255.0);
    double g = Srgb.linear(colour.green() / 255.0);
    double b = Srgb.linear(colour.blue() / 255.0);
    double l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
    double m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
    double s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
    double light = 0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s;
    double a = 1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s;
    double bb = 0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s;
    double hue = Math.toDegrees(Math.atan2(bb, a));
    return new Oklch(light, Math.hypot(a, bb), hue < 0 ? hue + 360 : hue);
  }

  /** The same hue and colourfulness at another lightness. */
  public Oklch at(double other) {
    return new Oklch(Math.clamp(other, 0, 1), chroma, hue);
  }

  /**
   * The colour on a screen. One that no screen has is less colourful, at the same lightness and
   * hue.
   *
   * @param alpha 0 to 255
   */
  public Colour colour(int alpha) {
    double least = 0;
    double most = chroma;
    if (!inGamut(rgb(most))) {
      for (int i = 0; i < 20; i++) {
        double middle = (least + most) / 2;
        if (inGamut(rgb(middle))) {
          least = middle;
        } else {
          most = middle;
        }
      }
      most = least;
    }
    double[] rgb = rgb(most);
    return new Colour(Srgb.channel(rgb[0]), Srgb.channel(rgb[1]), Srgb.channel(rgb[2]), alpha);
  }

  private double[] rgb(double c) {
    double a = c * Math.cos(Math.toRadians(hue));
    double b = c * Math.sin(Math.toRadians(hue));
    double l = cubed(lightness + 0.3963377774 * a + 0.2158037573 * b);
    double m = cubed(lightness - 0.1055613458 * a - 0.0638541728 * b);
    double s = cubed(lightness - 0.0894841775 * a - 1.2914855480 * b);
    return new double[] {
      Srgb.gamma(4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s),
      Srgb.gamma(-1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s),
      Srgb.gamma(-0.0041960863 * l - 0.7034186147 * m + 1.7076147010 * s)
    };
  }

  private static boolean inGamut(double[] rgb) {
    for (double each : rgb) {
      if (each < -0.0005 || each > 1.0005) {
        return false;
      }
    }
    return true;
  }

  private static double cubed(double value) {
    return value * value * value;
  }
}
