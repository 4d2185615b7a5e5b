package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LayoutUnitTest {
  /** Read off Debian's Chromium: a line of letters of a size, in 64ths of a px. */
  @ParameterizedTest
  @CsvSource({
    "17.214, 1.1, 1212",
    "11.9138, 1.4, 1066",
    "11.0674, 1.6, 1132",
    "13.7742, 1.1, 970",
    "10.0861, 1.7, 1098",
    "10.071, 1.1, 709",
    "14.5254, 1.7, 1581",
    "10.55, 1.4, 945",
    "16, 1.6, 1638",
  })
  void aLineIsAsHighAsTheBrowserHasIt(double size, double leading, int units) {
    assertThat(LayoutUnit.line(size, leading) * 64).isEqualTo(units);
  }
}
