package giostra.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
import giostra.core.value.Length;
import giostra.core.value.SizeKind;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The rule of docs/engine.md, "Viewport, bands, cascade": state first, then layer, then band. */
class CascadeTest {
  private static final Bands BANDS = Bands.INITIAL;
  private static final Part BOX =
      Part.of("some.box", "Box", State.CURRENT, State.HOVER, State.PRESSED, State.DISABLED)
          .with(Property.PADDING, new SizeKind(0, 100), Length.px(0));

  private static Styles said(State state, String band, double px) {
    return Styles.NONE.with(BOX.key(Property.PADDING, state), band, Length.px(px));
  }

  private static Resolved<Length> resolve(State state, String band, Scope.Voice... voices) {
    var scope = new Scope(BANDS, List.of(voices));
    Resolved<Length> found = Cascade.resolve(BOX, Property.PADDING, state, scope, BANDS.band(band));
    assertThat(Cascade.value(BOX, Property.PADDING, state, scope, BANDS.band(band)))
        .as("the same without what did not hold")
        .isEqualTo(found.value());
    return found;
  }

  @Test
  void aPiecesRestValueDoesNotKillItsLooksHoverValue() {
    var piece = new Scope.Voice(Layer.PIECE, said(State.REST, "desktop", 10));
    var look = new Scope.Voice(Layer.LOOK, said(State.HOVER, "desktop", 20));
    assertThat(resolve(State.HOVER, "desktop", piece, look).value()).isEqualTo(Length.px(20));
    assertThat(resolve(State.REST, "desktop", piece, look).value()).isEqualTo(Length.px(10));
  }

  @Test
  void aPiecesLeadValueBeatsItsLooksPhoneValue() {
    var piece = new Scope.Voice(Layer.PIECE, said(State.REST, "desktop", 10));
    var look = new Scope.Voice(Layer.LOOK, said(State.REST, "phone", 20));
    Resolved<Length> found = resolve(State.REST, "phone", look, piece);
    assertThat(found.value()).isEqualTo(Length.px(10));
    assertThat(found.origin()).isEqualTo(new Origin(Layer.PIECE, "desktop", State.REST));
    assertThat(found.losers().getFirst().origin().layer()).isEqualTo(Layer.LOOK);
  }

  @Test
  void theNearestWiderBandCounts() {
    Styles both =
        said(State.REST, "desktop", 10)
            .with(BOX.key(Property.PADDING, State.REST), "tablet", Length.px(5));
    assertThat(resolve(State.REST, "phone", new Scope.Voice(Layer.PIECE, both)).value())
        .isEqualTo(Length.px(5));
    var narrow = new Scope.Voice(Layer.PIECE, said(State.REST, "phone", 3));
    assertThat(resolve(State.REST, "desktop", narrow).origin().layer()).isEqualTo(Layer.INITIAL);
  }

  @Test
  void disabledShutsOutPressedAndHover() {
    Styles all =
        said(State.PRESSED, "desktop", 1)
            .with(BOX.key(Property.PADDING, State.HOVER), "desktop", Length.px(2))
            .with(BOX.key(Property.PADDING, State.REST), "desktop", Length.px(3));
    var piece = new Scope.Voice(Layer.PIECE, all);
    assertThat(resolve(State.DISABLED, "desktop", piece).value()).isEqualTo(Length.px(3));
    assertThat(resolve(State.PRESSED, "desktop", piece).value()).isEqualTo(Length.px(1));
    assertThat(resolve(State.CURRENT, "desktop", piece).value()).isEqualTo(Length.px(3));
  }

  @Test
  void whatIsPressedIsUnderThePointerToo() {
    var piece = new Scope.Voice(Layer.PIECE, said(State.HOVER, "desktop", 2));
    assertThat(resolve(State.PRESSED, "phone", piece).value()).isEqualTo(Length.px(2));
  }

  @Test
  void anInitialValueOfAStateHoldsAgainstWhatIsSaidForRest() {
    Part lit = BOX.in(State.HOVER, Property.PADDING, Length.px(7));
    var scope =
        new Scope(BANDS, List.of(new Scope.Voice(Layer.ITEM, said(State.REST, "desktop", 10))));
    assertThat(Cascade.value(lit, Property.PADDING, State.HOVER, scope, BANDS.band("tablet")))
        .isEqualTo(Length.px(7));
  }
}
