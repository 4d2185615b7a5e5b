package giostra.core.tempo;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.ibm.icu.number.LocalizedNumberFormatter;
import com.ibm.icu.number.Notation;
import com.ibm.icu.number.NumberFormatter;
import com.ibm.icu.number.NumberFormatter.GroupingStrategy;
import com.ibm.icu.number.Precision;
import com.ibm.icu.util.ULocale;
import giostra.core.value.Require;
import java.math.RoundingMode;
import java.util.Locale;

/**
 * How numbers are written: as CLDR has it for the locale, rounded half away from zero as {@code
 * Intl.NumberFormat} does by default. Source: ECMA-402, "roundingMode" (half expand) and
 * "useGrouping"; UTS #35, "Number Patterns" and "Compact Number Formats".
 *
 * @param decimals 0 to 6, always written
 */
public record NumberStyle(Locale locale, int decimals, boolean grouping, boolean compact) {
  /** A count, and how its numbers are written. */
  private record Way(NumberStyle style, Count count) {}

  /** An edit asks for the same ones again and again; ICU takes its time. */
  private static final Cache<Way, String> WIDEST =
      Caffeine.newBuilder().maximumSize(10_000).build();

  public NumberStyle {
    Require.within(0, 6, "decimals", decimals);
  }

  /** A number as text. */
  public String format(double value) {
    return format(formatter(), value);
  }

  private String format(LocalizedNumberFormatter formatter, double value) {
    // No negative zero on the way through it: people read 0.
    double scale = Math.pow(10, decimals);
    double shown = Math.abs(value) * scale < .5 ? 0 : value;
    return formatter.format(shown).toString();
  }

  /**
   * Of all values on the way, the one that takes most room: most digits, all as wide as the others.
   */
  public String widest(Count count) {
    return WIDEST.get(new Way(this, count), way -> way.style.found(way.count));
  }

  private String found(Count count) {
    LocalizedNumberFormatter formatter = formatter();
    String widest = format(formatter, count.end());
    double[] range = count.range();
    // Written out, a number is longest at an end; in compact notation it may be so anywhere.
    int steps = compact ? 400 : 1;
    for (int i = 0; i <= steps; i++) {
      String each = format(formatter, range[0] + (range[1] - range[0]) * i / steps);
      if (each.length() > widest.length()) {
        widest = each;
      }
    }
    var noughts = new StringBuilder();
    widest
        .codePoints()
        .map(c -> Character.isDigit(c) ? c - Character.digit(c, 10) : c)
        .forEach(noughts::appendCodePoint);
    return noughts.toString();
  }

  /** In compact notation four digits stand together. Source: ECMA-402, "useGrouping" (min2). */
  private GroupingStrategy groups() {
    if (!grouping) {
      return GroupingStrategy.OFF;
    }
    return compact ? GroupingStrategy.MIN2 : GroupingStrategy.AUTO;
  }

  private LocalizedNumberFormatter formatter() {
    return NumberFormatter.withLocale(ULocale.forLocale(locale))
        .notation(compact ? Notation.compactShort() : Notation.simple())
        .grouping(groups())
        .precision(Precision.fixedFraction(decimals))
        .roundingMode(RoundingMode.HALF_UP);
  }
}
