package giostra.core.value;

/**
 * The way from channels as they are written to light, and back. Source: IEC 61966-2-1, as CSS Color
 * 4 (10.2) and WCAG 2.2, "relative luminance", have it.
 */
public final class Srgb {
  private static final double[] LINEAR = new double[256];

  static {
    for (int i = 0; i < LINEAR.length; i++) {
      LINEAR[i] = linear(i / 255.0);
    }
  }

  private Srgb() {}

  /** The light of a channel, both 0 to 1. */
  public static double linear(double channel) {
    return channel <= 0.04045 ? channel / 12.92 : Math.pow((channel + 0.055) / 1.055, 2.4);
  }

  /**
   * The light of a channel, 0 to 1.
   *
   * @param channel 0 to 255
   */
  public static double linear(int channel) {
    return LINEAR[channel];
  }

  /** The channel of a light, both 0 to 1. */
  public static double gamma(double light) {
    return light <= 0.0031308 ? light * 12.92 : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
  }

  /** A channel of 0 to 1, or a little more or less, as 0 to 255. */
  public static int channel(double value) {
    return (int) Math.round(Math.clamp(value, 0, 1) * 255);
  }

  /** Relative luminance, 0 to 1, of channels of 0 to 255. Source: WCAG 2.2. */
  public static double luminance(int red, int green, int blue) {
    return 0.2126 * LINEAR[red] + 0.7152 * LINEAR[green] + 0.0722 * LINEAR[blue];
  }
}
