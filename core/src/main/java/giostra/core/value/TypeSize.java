package giostra.core.value;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The size of letters: always the same, or growing with the lesser side of the screen between two
 * sizes. Source: CSS Values 4, "Comparison Functions: clamp()" and "The Viewport-percentage
 * Lengths: vmin".
 *
 * @param least it is no smaller
 * @param base what it is on a screen without extent
 * @param vmin how much of the lesser side is added, in percent; 0 where it is always the same
 * @param most it is no larger
 */
public record TypeSize(Length least, Length base, double vmin, Length most) {
  private static final Pattern FLUID =
      Pattern.compile(
          "clamp\\(([^,+]{1,20}),([^,+]{1,20})\\+\\s*([\\d.]{1,9})vmin\\s*,([^,+]{1,20})\\)");

  /** By how much it may grow at the most, vmin. */
  public static final double FASTEST = 20;

  public TypeSize {
    Require.within(0, FASTEST, "growth of a text size (vmin)", vmin);
    for (Length each : List.of(least, base, most)) {
      if (each.unit() == Length.Unit.PERCENT) {
        throw new Refused("text size", each.css(), "px, rem or em: no share of something");
      }
    }
    if (!(least.constantPx() <= most.constantPx())) {
      throw new Refused("greatest text size", most.css(), "at least " + least.css());
    }
  }

  /** Always that size. */
  public static TypeSize of(Length size) {
    return new TypeSize(size, size, 0, size);
  }

  /**
   * Reads a length, or {@code clamp(28px, 22.4px + 1.5vmin, 40px)}.
   *
   * @throws Refused when it is neither
   */
  public static TypeSize parse(String text) {
    String written = text.strip().toLowerCase(Locale.ROOT);
    if (!written.startsWith("clamp")) {
      return of(Length.parse(written));
    }
    Matcher fluid = FLUID.matcher(written);
    if (!fluid.matches()) {
      throw new Refused("text size", text.strip(), "a length or clamp(28px, 22px + 1.5vmin, 40px)");
    }
    double vmin;
    try {
      vmin = Double.parseDouble(fluid.group(3));
    } catch (NumberFormatException e) {
      throw new Refused("growth of a text size (vmin)", fluid.group(3), "a number");
    }
    Length least = Length.parse(fluid.group(1));
    Length base = Length.parse(fluid.group(2));
    Length most = Length.parse(fluid.group(4));
    // What does not grow, as it is written, is one size: the least, the greatest, or in between.
    return Require.number(vmin).equals("0")
        ? of(held(least, base, most))
        : new TypeSize(least, base, vmin, most);
  }

  /** Source: CSS Values 4, clamp(): the least goes before the greatest. */
  private static Length held(Length least, Length base, Length most) {
    Length under = base.constantPx() > most.constantPx() ? most : base;
    return under.constantPx() < least.constantPx() ? least : under;
  }

  /**
   * So many times as large, but no larger than some px.
   *
   * @param factor above 0
   */
  public TypeSize times(double factor, double most) {
    // Shares of the letters around grow with these.
    if (base.unit() == Length.Unit.EM) {
      return this;
    }
    Length larger = held(this.most, factor, most);
    return fluid()
        ? new TypeSize(
            held(least, factor, most),
            new Length(base.amount() * factor, base.unit()),
            Math.min(FASTEST, vmin * factor),
            larger)
        : of(larger);
  }

  private static Length held(Length length, double factor, double most) {
    var larger = new Length(length.amount() * factor, length.unit());
    return larger.constantPx() > most ? Length.px(most) : larger;
  }

  /** Whether it grows with the screen. */
  public boolean fluid() {
    return vmin > 0;
  }

  /**
   * Px that it is.
   *
   * @param lesser the lesser side of the screen in px
   */
  public double px(double lesser) {
    return fluid()
        ? Math.clamp(base.constantPx() + vmin * lesser / 100, least.constantPx(), most.constantPx())
        : base.constantPx();
  }

  /** As CSS has it; {@link #parse} reads it back. */
  public String css() {
    return fluid()
        ? "clamp("
            + least.css()
            + ","
            + base.css()
            + " + "
            + Require.number(vmin)
            + "vmin,"
            + most.css()
            + ")"
        : base.css();
  }
}
