package giostra.core.band;

import java.util.Locale;

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

  /** A number as people write it: no needless decimals, never a comma, whatever the locale. */
  public static String number(double value) {
    if (value == Math.rint(value) && Math.abs(value) < 1e15) {
      return Long.toString((long) value);
    }
    return String.format(Locale.ROOT, "%.4f", value).replaceAll("0+$", "").replaceAll("\\.$", "");
  }
}
