package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Source of the order of lengths: CSS Backgrounds and Borders 3, "Drop Shadows". */
class ShadowsTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "none | none",
        "0 6 14 #11201d45 | 0 6px 14px #11201d45",
        "inset 0 0 0 1.5px accent | inset 0 0 0 1.5px accent",
        "0 10px 28px -8px rgb(17 32 29 / 24%) | 0 10px 28px -8px #11201d3d",
        "0 1 2 ink, inset 1 -1 0 2 line | 0 1px 2px ink, inset 1px -1px 0 2px line"
      })
  void areReadAsPeopleTypeThemAndReadBack(String typed, String written) {
    Shadows read = Shadows.parse(typed);
    assertThat(read.written()).isEqualTo(written);
    assertThat(Shadows.parse(read.written())).isEqualTo(read);
  }

  @Test
  void aNamedColourFollowsTheTone() {
    assertThat(Shadows.parse("0 0 0 4px line").css()).isEqualTo("0 0 0 4px var(--g-line)");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "0 6px",
        "0 6px 14px",
        "0 6px -1px #000",
        "0 600px 0 #000",
        "red 0 0 0",
        "0 0 0 reddish",
        "0 0 0 #000, 0 0 0 #000, 0 0 0 #000, 0 0 0 #000, 0 0 0 #000",
        "0 0 0 url(x)"
      })
  void whatIsNoneIsRefused(String typed) {
    assertThatThrownBy(() -> Shadows.parse(typed)).isInstanceOf(Refused.class);
  }

  /** What is huge is refused by its length, not read to its end again for each of its commas. */
  @ParameterizedTest
  @ValueSource(strings = {",", "(", "0 0 0 #000,", "inset ", "9"})
  void whatIsHugeIsRefusedAtOnce(String part) {
    String huge = part.repeat(1_000_000) + ")";
    assertThatThrownBy(() -> Shadows.parse(huge))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("characters long");
  }
}
