package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Source: CSS Values and Units 4, "Relative Lengths"; 1rem of 16 px is the browsers' initial. */
class LengthTest {
  @ParameterizedTest
  @CsvSource({
    "24, 24px, 24", "24px, 24px, 24", "1.5 rem, 1.5rem, 24", "'1,5rem', 1.5rem, 24",
    "2em, 2em, 32", "10 %, 10%, 100", ".5px, 0.5px, 0.5", "24PX, 24px, 24"
  })
  void isReadAsPeopleTypeItAndResolvedInAThousand(String typed, String css, double px) {
    Length length = Length.parse(typed);
    assertThat(length.css()).isEqualTo(css);
    assertThat(length.in(1000)).isCloseTo(px, within(1e-9));
    assertThat(Length.parse(css)).isEqualTo(length);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "px", "12vw", "twelve", "1e3px", "--4", "12px 4px"})
  void whatIsNoLengthIsRefusedWithWhatIsAllowed(String typed) {
    assertThatThrownBy(() -> Length.parse(typed))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("it must be a number with px, %, rem or em");
  }

  @Test
  void aNumberThatIsNoneIsRefused() {
    assertThatThrownBy(() -> Length.px(Double.NaN)).isInstanceOf(Refused.class);
  }
}
