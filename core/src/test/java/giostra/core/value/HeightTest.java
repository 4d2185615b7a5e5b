package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Source: CSS Values 4 for svh; a ratio is width to height as in CSS Sizing 4, "aspect-ratio". */
class HeightTest {
  @ParameterizedTest
  @CsvSource({
    "auto, auto, 0",
    "480, 480px, 480",
    "30rem, 30rem, 480",
    "16:9, 16:9, 675",
    "16 / 9, 16:9, 675",
    "60svh, 60svh, 480",
    "60%, 60svh, 480",
    "60vh, 60svh, 480",
    "60dvh, 60dvh, 480",
    "60 LVH, 60lvh, 540"
  })
  void itIsReadAndWrittenAndComputed(String typed, String written, double px) {
    Height height = Height.parse(typed);
    assertThat(height.written()).isEqualTo(written);
    assertThat(Height.parse(written)).isEqualTo(height);
    // Something 1200 px wide on a screen 800 px high, 900 without bars.
    assertThat(height.px(1200, 800, 900)).isEqualTo(px);
  }

  @ParameterizedTest
  @CsvSource({"tall", "0:9", "120svh", "12px 3px"})
  void whatIsNoHeightIsRefusedWithWhatIsAllowed(String typed) {
    assertThatThrownBy(() -> new TallKind(120, 1600).read("Height", typed))
        .hasMessageContaining("it must be auto, a length from 120 to 1600 px, a ratio");
  }
}
