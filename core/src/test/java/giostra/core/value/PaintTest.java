package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Colours, gradients and nudges as people write them. */
class PaintTest {
  /** Source: CSS Color 4, section "The RGB Hexadecimal Notations" and its examples. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "#00ff00 | #00ff00",
        "#0000ffcc | #0000ffcc",
        "#123 | #112233",
        "#00fc | #0000ffcc",
        "#FFF | #ffffff",
        "rgb(28 43 39 / 80%) | #1c2b27cc",
        "rgba(28, 43, 39, .5) | #1c2b2780",
        "rgb(0 0 0) | #000000",
        "transparent | #00000000"
      })
  void coloursAreReadAsTheStandardWritesThem(String written, String css) {
    assertThat(Colour.parse(written).css()).isEqualTo(css);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "red-ish", "#12", "#12345", "rgb(300 0 0)", "rgb(1 2)", "url(x)"})
  void whatIsNoColourIsRefusedWithAnExample(String written) {
    assertThatThrownBy(() -> new PaintKind().read("Bar, colour", written))
        .hasMessageContaining("Bar, colour")
        .hasMessageContaining("#1c2b27");
  }

  /**
   * Source: WCAG 2.2, "contrast ratio"; the three greys are those that its understanding documents
   * are often quoted with, from memory.
   */
  @ParameterizedTest
  @CsvSource({"#777777,4.48", "#767676,4.54", "#595959,7.00", "#000000,21", "#ffffff,1"})
  void contrastWithWhite(String colour, double expected) {
    assertThat(Colour.contrast(Colour.parse(colour), Colour.parse("#fff")))
        .isCloseTo(expected, within(0.005));
  }

  /** Source: Compositing and Blending 1, "source-over"; 8 bits, rounded. */
  @Test
  void whatIsHalfClearIsMixedWithWhatLiesBelow() {
    Colour white = Colour.parse("#fff");
    Colour mixed = Colour.parse("#00000080").over(white);
    assertThat(mixed.css()).isEqualTo("#7f7f7f");
    assertThat(Colour.contrast(mixed, white)).isCloseTo(4.0, within(0.06));
    assertThat(Colour.CLEAR.over(white)).isEqualTo(white);
  }

  @Property
  void whatIsWrittenReadsTheSame(
      @ForAll @IntRange(max = 255) int red,
      @ForAll @IntRange(max = 255) int green,
      @ForAll @IntRange(max = 255) int alpha,
      @ForAll @IntRange(max = 360) int angle,
      @ForAll @IntRange(max = 100) int at) {
    Colour colour = new Colour(red, green, 7, alpha);
    assertThat(Colour.parse(colour.css())).isEqualTo(colour);
    Ground ground =
        new Ground.Gradient(
            alpha % 2 == 0
                ? new Ground.Line(angle)
                : new Ground.Round(red % 2 == 0, at, angle % 101),
            java.util.List.of(
                new Ground.Stop(new Ink.Own(colour), 0),
                new Ground.Stop(new Ink.Own(Colour.CLEAR), at),
                new Ground.Stop(Ink.of(ToneColour.ACCENT), 100)));
    assertThat(Ground.parse(ground.written())).isEqualTo(ground);
  }

  /** Source: CSS Images 3, "Color Stop Fixup". */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "linear-gradient(#000, #fff) | linear-gradient(180deg,#000000 0%,#ffffff 100%)",
        "linear-gradient(90deg, #000, #888 , #fff) | linear-gradient(90deg,#000000 0%,#888888 50%,#ffffff 100%)",
        "linear-gradient(0deg, #000 20%, #888, #999, #fff 80%) | linear-gradient(0deg,#000000 20%,#888888 40%,#999999 60%,#ffffff 80%)",
        "linear-gradient(0deg, #000 60%, #fff 40%) | linear-gradient(0deg,#000000 60%,#ffffff 60%)",
        "radial-gradient(#000, #fff) | radial-gradient(at 50% 50%,#000000 0%,#ffffff 100%)",
        "radial-gradient(ellipse, #000, #fff) | radial-gradient(at 50% 50%,#000000 0%,#ffffff 100%)",
        "Radial-Gradient( circle at 30% 12.5%, #abc 20%, #fff) | radial-gradient(circle at 30% 12.5%,#aabbcc 20%,#ffffff 100%)",
        "linear-gradient(rgb(0 0 0 / 50%), transparent 10%) | linear-gradient(180deg,#00000080 0%,#00000000 10%)"
      })
  void coloursWithoutAPlaceStandEvenly(String written, String css) {
    assertThat(Ground.parse(written).written()).isEqualTo(css);
    assertThat(Ground.parse(Ground.parse(written).css())).isEqualTo(Ground.parse(written));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "linear-gradient(#000)",
        "linear-gradient(to top, #000, #fff)",
        "linear-gradient(400deg, #000, #fff)",
        "radial-gradient(#000)",
        "radial-gradient(circle at 30px 20%, #000, #fff)",
        "radial-gradient(at 101% 20%, #000, #fff)",
        "radial-gradient(closest-side, #000, #fff)",
        "conic-gradient(#000, #fff)",
        "linear-gradient(#000, url(x))"
      })
  void whatIsNoGroundIsRefused(String written) {
    assertThatThrownBy(() -> new UnderKind().read("Bar, ground", written))
        .hasMessageContaining("Bar, ground")
        .hasMessageContaining("linear-gradient(180deg");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"0.4 -1.2 | 0.4px -1.2px", "1px 0px | 1px 0px", ".25 0 |", "-3.14,2 | -3.1px 2px"})
  void nudgesGoByTenthsOfAPixel(String written, String css) {
    if (css == null) {
      assertThatThrownBy(() -> new MovedKind().read("Icon nudged", written))
          .hasMessageContaining("two numbers of px");
    } else {
      assertThat(Nudge.parse(written).css()).isEqualTo(css);
    }
  }

  @Test
  void aNudgeIsNoMove() {
    assertThatThrownBy(() -> new MovedKind().read("Icon nudged", "21 0"))
        .hasMessageContaining("from -20 to 20");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "accent | accent | var(--g-mark)",
        "Ink / 75% | ink/75% | color-mix(in srgb,var(--g-ink) 75%,#0000)",
        "accent deeper | accent-deeper-1 | color-mix(in oklab,var(--g-mark),#000 10%)",
        "accent-deeper-2 | accent-deeper-2 | color-mix(in oklab,var(--g-mark),#000 20%)",
        "line lighter 6/1% | line-lighter-6/1% | color-mix(in srgb,color-mix(in oklab,var(--g-line),#fff 60%) 1%,#0000)"
      })
  void stepsOfAColourOfTheToneAreWrittenInOneWord(String written, String kept, String css) {
    Ink ink = Ink.parse(written);
    assertThat(ink.written()).isEqualTo(kept);
    assertThat(Ink.parse(kept)).isEqualTo(ink);
    assertThat(ink.css()).isEqualTo(css);
    Ground ground = Ground.parse("linear-gradient(90deg, " + kept + " 10%, #fff, " + kept + ")");
    assertThat(Ground.parse(ground.written())).isEqualTo(ground);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "accent deeper 7",
        "accent deeper 0x",
        "ink/0%",
        "ink/101%",
        "ink 75%",
        "accent darker",
        "around",
        "deeper",
        "accent-deeper-2-lighter-1"
      })
  void whatIsNoStepIsRefusedWithWhatIs(String written) {
    assertThatThrownBy(() -> new PaintKind().read("Bar, ink", written))
        .hasMessageContaining("Bar, ink")
        .hasMessageContaining("accent deeper 2");
    assertThatThrownBy(() -> new UnderKind().read("Bar, ground", written))
        .hasMessageContaining("Bar, ground");
  }

  @Test
  void wordsMayHaveTheColourOfThoseAroundThem() {
    assertThat(new PaintKind(true).read("Link, ink", "around")).isEqualTo(Ink.AROUND);
    assertThat(Ink.AROUND.css()).isEqualTo("currentColor");
  }

  /** Of colours that are not so dark that eight bits are too few to tell them apart. */
  @Property
  void stepsGoToBlackAndToWhite(
      @ForAll @IntRange(min = 60, max = 255) int red,
      @ForAll @IntRange(min = 60, max = 255) int green,
      @ForAll @IntRange(min = 60, max = 255) int blue,
      @ForAll @IntRange(min = 1, max = 5) int step) {
    Colour of = new Colour(red, green, blue, 255);
    double light = Oklch.of(of).lightness();
    Colour deeper = new Ink.Named(ToneColour.ACCENT, step, 100).of(of);
    Colour more = new Ink.Named(ToneColour.ACCENT, step + 1, 100).of(of);
    Colour lighter = new Ink.Named(ToneColour.ACCENT, -step, 50).of(of);
    assertThat(Oklch.of(deeper).lightness()).isCloseTo(light * (1 - step / 10.0), within(0.01));
    assertThat(Oklch.of(more).lightness()).isLessThanOrEqualTo(Oklch.of(deeper).lightness());
    assertThat(Oklch.of(lighter).lightness())
        .isCloseTo(light + (1 - light) * step / 10.0, within(0.02));
    assertThat(lighter.alpha()).isEqualTo(128);
  }
}
