package giostra.core.tempo;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.value.Easings;
import java.time.Duration;
import java.util.Locale;
import org.junit.jupiter.api.Test;

/** Source: CLDR's patterns for the locales, ECMA-402 for the rounding. */
class NumberStyleTest {
  private static String written(String locale, int decimals, double value) {
    return new NumberStyle(Locale.forLanguageTag(locale), decimals, true, false).format(value);
  }

  @Test
  void eachLocaleGroupsItsOwnWay() {
    assertThat(written("en", 0, 48_000)).isEqualTo("48,000");
    assertThat(written("de", 1, 1_018.5)).isEqualTo("1.018,5");
    assertThat(written("fr", 0, 48_000)).isEqualTo("48\u202f000");
    assertThat(written("en-IN", 0, 1_234_567)).isEqualTo("12,34,567");
  }

  @Test
  void halvesAreRoundedAwayFromZero() {
    assertThat(written("en", 0, 2.5)).isEqualTo("3");
    assertThat(written("en", 0, -2.5)).isEqualTo("-3");
    assertThat(written("en", 0, -.4)).isEqualTo("0");
  }

  @Test
  void theWidestValueOnTheWayIsNotAlwaysTheLast() {
    var style = new NumberStyle(Locale.ENGLISH, 0, true, false);
    assertThat(style.widest(Count.timed(2000, 5, Duration.ofSeconds(1), Easings.LINEAR)))
        .hasSameSizeAs("2,000");
    assertThat(style.widest(Count.timed(0, 990, Duration.ofSeconds(1), Easings.OVERSHOOT)))
        .hasSizeGreaterThanOrEqualTo(5);
  }
}
