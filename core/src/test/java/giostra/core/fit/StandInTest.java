package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import giostra.core.value.Stand;
import giostra.core.value.Typeface;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * What stands in for a family until it has come; how a page is broken with it is FontsJourney's.
 */
class StandInTest {
  /** Debian's package fonts-liberation, as wide as the fonts that it stands for. */
  private static final Path LIBERATION = Path.of("/usr/share/fonts/truetype/liberation");

  @ParameterizedTest
  @CsvSource({
    "SANS, false, LiberationSans-Regular",
    "SANS, true, LiberationSans-Bold",
    "SERIF, false, LiberationSerif-Regular",
    "SERIF, true, LiberationSerif-Bold",
    "CODE, false, LiberationMono-Regular",
    "CODE, true, LiberationMono-Bold"
  })
  void itIsAsWideAsIsSaid(Stand stand, boolean bold, String file) throws IOException {
    byte[] bytes = Files.readAllBytes(LIBERATION.resolve(file + ".ttf"));
    try (var font = new NativeFont(bytes)) {
      double wide = HarfBuzz.width(StandIn.WORDS, font) / Shaper.EM;
      assertThat(StandIn.wide(stand, bold)).isCloseTo(wide, within(0.005));
    }
  }

  @Test
  void nothingStandsInForWhatIsNotThereNorForAHand() {
    assertThat(StandIn.of(OwnFonts.family(List.of("gone-0123456789abcdef")), Stand.SANS, false))
        .isEmpty();
    assertThat(StandIn.of(Typeface.CAVEAT.face(), Typeface.CAVEAT.stand(), false)).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(
      mode = EnumSource.Mode.MATCH_NONE,
      names = {"OWN_.", "CAVEAT"})
  void itTakesTheRoomOfItsFamily(Typeface face) {
    for (boolean bold : new boolean[] {false, true}) {
      StandIn in = StandIn.of(face.face(), face.stand(), bold).orElseThrow();
      double own =
          HarfBuzz.shipped()
              .width(StandIn.WORDS, face.face(), bold ? 700 : 400, Shaper.Manner.RUNNING);
      assertThat(in.size() * StandIn.wide(face.stand(), bold) * Shaper.EM)
          .isCloseTo(own, within(0.001));
      Shaper.Reach reach = HarfBuzz.shipped().reach(face.face()).orElseThrow();
      assertThat(in.above() * in.size()).isCloseTo(reach.above(), within(1e-9));
      assertThat(in.below() * in.size()).isCloseTo(reach.below(), within(1e-9));
      // No family is twice as wide as another.
      assertThat(in.size()).isBetween(0.6, 1.5);
      assertThat(reach.above() + reach.below()).isBetween(1.0, 1.7);
    }
  }
}
