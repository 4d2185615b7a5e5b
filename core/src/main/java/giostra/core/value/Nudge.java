package giostra.core.value;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How far something small is moved from its place, since eyes and boxes disagree about middles.
 *
 * @param x px to the right, in tenths
 * @param y px down, in tenths
 */
public record Nudge(double x, double y) {
  /** Where it stands. */
  public static final Nudge NONE = new Nudge(0, 0);

  /** Px at the most, either way. */
  public static final double MOST = 20;

  private static final String NUMBER = "([+-]?\\d+(?:\\.\\d+)?)(?:px)?";
  private static final Pattern WRITTEN = Pattern.compile(NUMBER + "[\\s,]+" + NUMBER);

  public Nudge {
    Require.within(-MOST, MOST, "nudge (px)", x);
    Require.within(-MOST, MOST, "nudge (px)", y);
    x = Math.round(x * 10) / 10.0;
    y = Math.round(y * 10) / 10.0;
  }

  /**
   * Reads {@code 0.4px -1.2px}; the units may be left out.
   *
   * @throws Refused when it is not two numbers of px
   */
  public static Nudge parse(String text) {
    Matcher match = WRITTEN.matcher(text.strip());
    if (!match.matches()) {
      throw new Refused("nudge", text, "two numbers of px");
    }
    return new Nudge(Double.parseDouble(match.group(1)), Double.parseDouble(match.group(2)));
  }

  /** As the CSS property {@code translate} has it. */
  public String css() {
    return Require.number(x) + "px " + Require.number(y) + "px";
  }
}
