package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Source: CSS Color 4, "Oklab and OKLCh"; the figures of the three colours are from memory. */
class OklchTest {
  @ParameterizedTest
  @CsvSource({
    "#ff0000, 0.62796, 0.25768, 29.234",
    "#00ff00, 0.86644, 0.29483, 142.495",
    "#0000ff, 0.45201, 0.31321, 264.052"
  })
  void primariesAreWhereTheStandardHasThem(String hex, double light, double chroma, double hue) {
    Oklch found = Oklch.of(Colour.parse(hex));
    assertThat(found.lightness()).isCloseTo(light, within(0.0002));
    assertThat(found.chroma()).isCloseTo(chroma, within(0.0002));
    assertThat(found.hue()).isCloseTo(hue, within(0.05));
  }

  /** White is at one, without colour: so the standard defines it. */
  @Test
  void greysHaveNoColour() {
    assertThat(Oklch.of(Colour.parse("#ffffff")).lightness()).isCloseTo(1, within(0.0001));
    assertThat(Oklch.of(Colour.parse("#000000")).lightness()).isCloseTo(0, within(0.0001));
    for (String grey : new String[] {"#333333", "#808080", "#c4c4c4"}) {
      assertThat(Oklch.of(Colour.parse(grey)).chroma()).isCloseTo(0, within(0.0001));
    }
  }

  @Test
  void everyColourComesBack() {
    for (int red = 0; red < 256; red += 17) {
      for (int green = 0; green < 256; green += 17) {
        for (int blue = 0; blue < 256; blue += 17) {
          var colour = new Colour(red, green, blue, 255);
          assertThat(Oklch.of(colour).colour(255)).isEqualTo(colour);
        }
      }
    }
  }

  @Test
  void whatNoScreenHasKeepsItsLightnessAndHue() {
    Oklch blue = Oklch.of(Colour.parse("#0000ff"));
    Oklch light = Oklch.of(blue.at(0.9).colour(255));
    assertThat(light.lightness()).isCloseTo(0.9, within(0.01));
    assertThat(light.hue()).isCloseTo(blue.hue(), within(4.0));
    assertThat(light.chroma()).isLessThan(blue.chroma());
  }
}
