package giostra.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
import giostra.core.look.Cascade.Voice;
import giostra.core.value.Kind;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The rule of docs/engine.md, "Viewport, bands, cascade": state first, then layer, then band. */
class CascadeTest {
  private static final Setting<Length> PADDING =
      Setting.byBand("padding", "Padding", new Kind.Size(0, 100), Length.px(0));
  private static final Bands BANDS = Bands.INITIAL;

  private static Values padding(String band, double px) {
    return Values.NONE.with(PADDING, band, Length.px(px));
  }

  private static Resolved<Length> resolve(List<Voice> voices, Set<State> states, String band) {
    return Cascade.resolve(PADDING, voices, states, BANDS, BANDS.band(band));
  }

  @Test
  void aPiecesRestValueDoesNotKillItsLooksHoverValue() {
    Voice piece = Voice.atRest(Layer.PIECE, padding("desktop", 10));
    Voice look = new Voice(Layer.LOOK, Map.of(State.HOVER, padding("desktop", 20)));
    assertThat(resolve(List.of(piece, look), Set.of(State.HOVER), "desktop").value())
        .isEqualTo(Length.px(20));
    assertThat(resolve(List.of(piece, look), Set.of(), "desktop").value()).isEqualTo(Length.px(10));
  }

  @Test
  void aPiecesLeadValueBeatsItsLooksPhoneValue() {
    Voice piece = Voice.atRest(Layer.PIECE, padding("desktop", 10));
    Voice look = Voice.atRest(Layer.LOOK, padding("phone", 20));
    Resolved<Length> found = resolve(List.of(look, piece), Set.of(), "phone");
    assertThat(found.value()).isEqualTo(Length.px(10));
    assertThat(found.origin()).isEqualTo(new Origin(Layer.PIECE, "desktop", State.REST));
    assertThat(found.losers().getFirst().origin().layer()).isEqualTo(Layer.LOOK);
  }

  @Test
  void theNearestWiderBandCounts() {
    Voice piece =
        Voice.atRest(Layer.PIECE, padding("desktop", 10).with(PADDING, "tablet", Length.px(5)));
    assertThat(resolve(List.of(piece), Set.of(), "phone").value()).isEqualTo(Length.px(5));
    Voice narrow = Voice.atRest(Layer.PIECE, padding("phone", 3));
    assertThat(resolve(List.of(narrow), Set.of(), "desktop").origin().layer())
        .isEqualTo(Layer.INITIAL);
  }

  @Test
  void disabledShutsOutPressedAndHover() {
    Voice piece =
        new Voice(
            Layer.PIECE,
            Map.of(
                State.PRESSED,
                padding("desktop", 1),
                State.HOVER,
                padding("desktop", 2),
                State.REST,
                padding("desktop", 3)));
    assertThat(
            resolve(List.of(piece), Set.of(State.DISABLED, State.PRESSED, State.HOVER), "desktop")
                .value())
        .isEqualTo(Length.px(3));
    assertThat(resolve(List.of(piece), Set.of(State.PRESSED, State.HOVER), "desktop").value())
        .isEqualTo(Length.px(1));
  }
}
