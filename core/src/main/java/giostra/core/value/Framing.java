package giostra.core.value;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * From what to what of a picture a slow move goes: two frames, each a point of what shows of the
 * picture and how much larger than its box the picture is there.
 *
 * @param first where it begins
 * @param last where it ends
 */
public record Framing(Frame first, Frame last) {
  /** As large as a picture is drawn at the most, of its box. */
  public static final double MOST = 4;

  private static final String NUMBER = "(\\d{1,3}(?:\\.\\d{1,3})?)";
  private static final String FRAME = NUMBER + "%?[\\s,]+" + NUMBER + "%?[\\s,]+" + NUMBER;
  private static final Pattern WRITTEN = Pattern.compile(FRAME + "\\s+to\\s+" + FRAME);

  /** All of it, all the time. */
  public static final Framing NONE = new Framing(Frame.WHOLE, Frame.WHOLE);

  /**
   * What shows of a picture in its box.
   *
   * @param x percent from the left: that point lies at the same share of the box
   * @param y percent from the top
   * @param large how many times as large as its box the picture is, 1 to 4, in hundredths
   */
  public record Frame(double x, double y, double large) {
    static final Frame WHOLE = new Frame(50, 50, 1);

    public Frame {
      Require.within(0, 100, "frame, from the left (%)", x);
      Require.within(0, 100, "frame, from the top (%)", y);
      Require.within(1, MOST, "frame, times as large", large);
      x = Math.round(x * 10) / 10.0;
      y = Math.round(y * 10) / 10.0;
      large = Math.round(large * 100) / 100.0;
    }

    String written() {
      return Require.number(x) + "% " + Require.number(y) + "% " + Require.number(large);
    }

    /** As the script has it: without signs. */
    String plain() {
      return written().replace("%", "");
    }
  }

  /** Whether it says nothing. */
  public boolean isNone() {
    return equals(NONE);
  }

  /**
   * Reads {@code 20% 30% 1.4 to 70% 50% 1}; the signs may be left out, nothing is none.
   *
   * @throws Refused when it is not two frames
   */
  public static Framing parse(String text) {
    String said = text.strip();
    if (said.isEmpty()) {
      return NONE;
    }
    Matcher match = WRITTEN.matcher(said);
    if (!match.matches()) {
      throw new Refused("frames", text, "two frames");
    }
    return new Framing(frame(match, 1), frame(match, 4));
  }

  private static Frame frame(Matcher match, int from) {
    return new Frame(
        Double.parseDouble(match.group(from)),
        Double.parseDouble(match.group(from + 1)),
        Double.parseDouble(match.group(from + 2)));
  }

  /** As people write it; nothing where it is none. */
  public String written() {
    return isNone() ? "" : first.written() + " to " + last.written();
  }

  /** Six numbers for the page's script. */
  public String plain() {
    return first.plain() + " " + last.plain();
  }
}
