package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The rule of docs/engine.md, "Suggested counts"; the counts are worked out by hand. */
class SuggestionTest {
  @ParameterizedTest
  @CsvSource({
    // inner, comfortable, gap, peek, sides, most, count
    "944, 300, 24, 0, 0, 12, 2", // three would be 298.67
    "948, 300, 24, 0, 0, 12, 3", // three are 300 exactly
    "708, 240, 16, 0, 0, 12, 2",
    "752, 240, 16, 0, 0, 12, 3",
    "1120, 200, 24, 40, 2, 12, 4", // 1120 - 128 + 24 = 1016; 1016 / 224 = 4.5
    "1120, 200, 24, 40, 2, 3, 3",
    "240, 300, 12, 32, 1, 12, 1"
  })
  void countsAreThoseOfTheRule(
      double inner, double comfortable, double gap, double peek, int sides, int most, int count) {
    assertThat(Suggestion.count(inner, comfortable, gap, peek, sides, most)).isEqualTo(count);
  }

  @Property
  void itIsTheMostThatStaysComfortable(
      @ForAll @DoubleRange(min = 200, max = 2000) double inner,
      @ForAll @DoubleRange(min = 80, max = 600) double comfortable,
      @ForAll @DoubleRange(min = 0, max = 60) double gap,
      @ForAll @IntRange(min = 1, max = 12) int most) {
    int count = Suggestion.count(inner, comfortable, gap, 0, 0, most);
    assertThat(count).isBetween(1, most);
    if (count > 1) {
      assertThat((inner - (count - 1) * gap) / count).isGreaterThanOrEqualTo(comfortable - 1e-6);
    }
    if (count < most) {
      assertThat((inner - count * gap) / (count + 1)).isLessThan(comfortable);
    }
  }
}
