package giostra.core.value;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A colour in sRGB with alpha, each channel in 256 steps. Source: CSS Color 4, "RGB Hexadecimal
 * Notations" and "The RGB functions".
 *
 * @param red 0 to 255
 * @param green 0 to 255
 * @param blue 0 to 255
 * @param alpha 0 (clear) to 255 (solid)
 */
public record Colour(int red, int green, int blue, int alpha) {
  /** Nothing to be seen. */
  public static final Colour CLEAR = new Colour(0, 0, 0, 0);

  private static final Pattern HEX =
      Pattern.compile("#([0-9a-f]{3}|[0-9a-f]{4}|[0-9a-f]{6}|[0-9a-f]{8})");
  private static final Pattern RGB =
      Pattern.compile(
          "rgba?\\(\\s*(\\d{1,3})[\\s,]+(\\d{1,3})[\\s,]+(\\d{1,3})\\s*(?:[/,]\\s*([\\d.]+)(%?)\\s*)?\\)");

  public Colour {
    for (int channel : new int[] {red, green, blue, alpha}) {
      Require.within(0, 255, "channel of a colour", channel);
    }
  }

  /**
   * Reads {@code #1c2b27}, {@code #1c2b27cc}, their short forms, {@code rgb(28 43 39 / 80%)}, its
   * older form with commas, or {@code transparent}.
   *
   * @throws Refused when it is none of these
   */
  public static Colour parse(String text) {
    String written = text.strip().toLowerCase(Locale.ROOT);
    if (written.equals("transparent") || written.equals("none")) {
      return CLEAR;
    }
    Matcher hex = HEX.matcher(written);
    if (hex.matches()) {
      return ofHex(hex.group(1));
    }
    Matcher rgb = RGB.matcher(written);
    if (rgb.matches()) {
      try {
        double share = rgb.group(4) == null ? 1 : Double.parseDouble(rgb.group(4));
        if ("%".equals(rgb.group(5))) {
          share /= 100;
        }
        return new Colour(
            Integer.parseInt(rgb.group(1)),
            Integer.parseInt(rgb.group(2)),
            Integer.parseInt(rgb.group(3)),
            (int) Math.round(share * 255));
      } catch (NumberFormatException | Refused e) {
        throw refused(text);
      }
    }
    throw refused(text);
  }

  private static Refused refused(String text) {
    return new Refused("colour", text.strip(), "a colour such as #1c2b27 or rgb(28 43 39 / 80%)");
  }

  private static Colour ofHex(String digits) {
    String full = digits.length() < 6 ? digits.replaceAll("[0-9a-fA-F]", "$0$0") : digits;
    return new Colour(
        channel(full, 0),
        channel(full, 1),
        channel(full, 2),
        full.length() == 8 ? channel(full, 3) : 255);
  }

  private static int channel(String digits, int index) {
    return Integer.parseInt(digits.substring(2 * index, 2 * index + 2), 16);
  }

  /** As CSS has it: {@code #1c2b27}, with two more digits where it is not solid. */
  public String css() {
    String solid = String.format(Locale.ROOT, "#%02x%02x%02x", red, green, blue);
    return alpha == 255 ? solid : solid + String.format(Locale.ROOT, "%02x", alpha);
  }

  /** This colour over a solid one. Source: Compositing and Blending 1, "source-over". */
  public Colour over(Colour below) {
    return over(below, alpha / 255.0);
  }

  /** So much of this colour, whatever it lets through itself, over a solid one. */
  public Colour over(Colour below, double share) {
    return new Colour(
        mixed(red, below.red, share),
        mixed(green, below.green, share),
        mixed(blue, below.blue, share),
        255);
  }

  private static int mixed(int above, int below, double share) {
    return (int) Math.round(above * share + below * (1 - share));
  }

  /** Relative luminance of a solid colour, 0 to 1. Source: WCAG 2.2, "relative luminance". */
  public double luminance() {
    return Srgb.luminance(red, green, blue);
  }

  /** Contrast of two solid colours, 1 to 21. Source: WCAG 2.2, "contrast ratio". */
  public static double contrast(Colour one, Colour other) {
    double a = one.luminance();
    double b = other.luminance();
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }
}
