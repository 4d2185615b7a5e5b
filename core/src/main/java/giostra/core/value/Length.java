package giostra.core.value;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * A length as a designer writes it: a number and its unit.
 *
 * <p>Percentages are of whatever the setting says (the container, as a rule). {@code rem} and
 * {@code em} are both 16 px here: published pages leave the root at the browser's initial font
 * size, and pieces set their own to {@code 1rem}. Source: CSS Values and Units 4, "Relative
 * Lengths".
 *
 * @param amount finite, in {@code unit}s
 */
public record Length(double amount, Unit unit) {
  /** Initial font size of browsers, in px. Common practice, no source. */
  public static final double ROOT_FONT_PX = 16;

  private static final Pattern WRITTEN =
      Pattern.compile("([+-]?(?:\\d+(?:[.,]\\d*)?|[.,]\\d+))\\s*(px|%|rem|em)?");

  /** The units that are taken. */
  public enum Unit {
    PX("px"),
    PERCENT("%"),
    REM("rem"),
    EM("em");

    private final String css;

    Unit(String css) {
      this.css = css;
    }

    /** As written in CSS. */
    public String css() {
      return css;
    }
  }

  public Length {
    if (!Double.isFinite(amount)) {
      throw new Refused("length", Double.toString(amount), "a finite number");
    }
  }

  /** So many CSS px. */
  public static Length px(double amount) {
    return new Length(amount, Unit.PX);
  }

  /** So many percent of the container. */
  public static Length percent(double amount) {
    return new Length(amount, Unit.PERCENT);
  }

  /**
   * Reads {@code 24}, {@code 24px}, {@code 1.5 rem}, {@code 1,5rem} or {@code 10 %}; a bare number
   * is px.
   *
   * @throws Refused when it is none of these
   */
  public static Length parse(String text) {
    var match = WRITTEN.matcher(text.strip().toLowerCase(Locale.ROOT));
    if (!match.matches()) {
      throw new Refused("length", text.strip(), "a number with px, %, rem or em");
    }
    double amount = Double.parseDouble(match.group(1).replace(',', '.'));
    String unit = match.group(2) == null ? "px" : match.group(2);
    for (Unit each : Unit.values()) {
      if (each.css.equals(unit)) {
        return new Length(amount, each);
      }
    }
    throw new IllegalStateException(unit);
  }

  /**
   * Px that this is in a container.
   *
   * @param containerPx what percentages are of, in px
   */
  public double in(double containerPx) {
    return slope() * containerPx + constantPx();
  }

  /** Share of the container in it, 0 for all but percentages. */
  public double slope() {
    return unit == Unit.PERCENT ? amount / 100 : 0;
  }

  /** The part in px that does not depend on the container. */
  public double constantPx() {
    return switch (unit) {
      case PX -> amount;
      case REM, EM -> amount * ROOT_FONT_PX;
      case PERCENT -> 0;
    };
  }

  /** Whether it is nothing, in whatever unit. */
  public boolean isZero() {
    return amount == 0;
  }

  /** As written in CSS, e.g. {@code 1.5rem}; {@link #parse} reads it back. */
  public String css() {
    return Require.number(amount) + unit.css();
  }
}
