package giostra.core.value;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How far something leans out of the page, seen from in front.
 *
 * @param back degrees that its upper end leans back, in tenths; negative for towards the eye
 * @param aside degrees that its right side leans back, in tenths; negative for its left side
 */
public record Tilt(double back, double aside) {
  /** Flat on the page. */
  public static final Tilt NONE = new Tilt(0, 0);

  /** Degrees at the most, either way. */
  public static final double MOST = 45;

  /** How far away the eye is, px; ours, no source. */
  private static final int EYE = 900;

  private static final String NUMBER = "([+-]?\\d+(?:\\.\\d+)?)(?:deg|°)?";
  private static final Pattern WRITTEN = Pattern.compile(NUMBER + "[\\s,]+" + NUMBER);

  public Tilt {
    Require.within(-MOST, MOST, "tilt (degrees)", back);
    Require.within(-MOST, MOST, "tilt (degrees)", aside);
    back = Math.round(back * 10) / 10.0 + 0.0;
    aside = Math.round(aside * 10) / 10.0 + 0.0;
  }

  /**
   * Reads {@code 6deg -4deg}; the units may be left out.
   *
   * @throws Refused when it is not two numbers of degrees
   */
  public static Tilt parse(String text) {
    Matcher match = WRITTEN.matcher(text.strip());
    if (!match.matches()) {
      throw new Refused("tilt", text, "two numbers of degrees");
    }
    return new Tilt(Double.parseDouble(match.group(1)), Double.parseDouble(match.group(2)));
  }

  /** As people write it. */
  public String written() {
    return Require.number(back) + "deg " + Require.number(aside) + "deg";
  }

  /** As the CSS property {@code transform} has it. */
  public String css() {
    return equals(NONE)
        ? "none"
        : "perspective("
            + EYE
            + "px) rotateX("
            + Require.number(back)
            + "deg) rotateY("
            + Require.number(aside)
            + "deg)";
  }
}
