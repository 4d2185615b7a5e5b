package giostra.core.value;

import java.util.Locale;
import java.util.function.Supplier;

/** Checks of arguments whose messages give the name, the value and the range. NaN never passes. */
public final class Require {
  private Require() {}

  /** Refuses a value that is not above {@code floor}. */
  public static void above(double floor, String name, double value) {
    if (!(value > floor)) {
      throw new Refused(name, number(value), "above " + number(floor));
    }
  }

  /** Refuses a value below {@code least}. */
  public static void atLeast(double least, String name, double value) {
    if (!(value >= least)) {
      throw new Refused(name, number(value), number(least) + " or more");
    }
  }

  /** Refuses a value outside {@code least} to {@code most}, both allowed. */
  public static void within(double least, double most, String name, double value) {
    if (!(value >= least && value <= most)) {
      throw new Refused(name, number(value), number(least) + " to " + number(most));
    }
  }

  /** Refuses text that cannot be kept: with control characters, or with half a character. */
  public static void text(String what, String text, Supplier<String> allowed) {
    for (int at = 0, c; at < text.length(); at += Character.charCount(c)) {
      c = text.codePointAt(at);
      if (c < ' ' && c != '\n' && c != '\t') {
        throw new Refused(what, "holding a control character", allowed.get());
      }
      if (c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE) {
        // Source: Unicode, "Surrogates": half a pair is no character, and UTF-8 cannot write it.
        throw new Refused(what, "holding half a character", allowed.get());
      }
    }
  }

  /** A number as people write it: no needless decimals, never a comma, whatever the locale. */
  public static String number(double value) {
    if (value == Math.rint(value) && Math.abs(value) < 1e15) {
      return Long.toString((long) value);
    }
    return String.format(Locale.ROOT, "%.4f", value).replaceAll("0+$", "").replaceAll("\\.$", "");
  }
}
