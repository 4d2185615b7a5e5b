package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.fit.TextFit.Run;
import giostra.core.value.Refused;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.assertj.core.api.Assertions;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/**
 * Lines of texts; the reference is Chromium, in the journeys. Here: what has to hold whatever the
 * font measures.
 */
class TextFitTest {
  private static final Face SANS = Face.of("Source Sans 3 Variable", 400);
  private static final Face BOLD = Face.of("Source Sans 3 Variable", 700);
  private static final String TEXT =
      "The old coal path is raked only once, on the first evening. After that the leaves stay where"
          + " they fall, and four hundred lamps\u00a0find them \u2013 Gew\u00e4chshaus, ca\u00f1a, d\u00e9j\u00e0-vu.";

  private static TextFit fit(String text) {
    return TextFit.of(text, SANS, 16, 0, Locale.ENGLISH);
  }

  @Test
  void aTextThatIsMeasuredOnceAnswersAsOneThatIsMeasuredAnew() {
    TextFit once = fit(TEXT);
    var random = new Random(7);
    for (int i = 0; i < 3000; i++) {
      double width = 20 + random.nextDouble() * 900;
      assertThat(once.lines(width)).as("in %s px", width).isEqualTo(fit(TEXT).lines(width));
    }
  }

  @Test
  void moreRoomNeverTakesMoreLines() {
    TextFit fit = fit(TEXT);
    int before = Integer.MAX_VALUE;
    for (double width = 10; width < 1500; width += 0.5) {
      int lines = fit.lines(width);
      assertThat(lines).as("in %s px", width).isLessThanOrEqualTo(before);
      before = lines;
    }
    assertThat(before).isEqualTo(1);
    assertThat(fit.lines(fit.natural())).isEqualTo(1);
    assertThat(fit.lines(fit.natural() - 1)).isEqualTo(2);
  }

  @Test
  void aLineFeedEndsALineAndWhiteSpaceCollapses() {
    assertThat(fit("one\ntwo\nthree").lines(1000)).isEqualTo(3);
    assertThat(fit("one   two\t three").natural()).isEqualTo(fit("one two three").natural());
    assertThat(fit("  one ").natural()).isEqualTo(fit("one").natural());
    assertThat(fit("").lines(100)).isZero();
    assertThat(fit("   ").lines(100)).isZero();
    assertThat(fit("").natural()).isZero();
  }

  /** Source: UAX #14, classes GL (no break at a no-break space) and SHY's break opportunity. */
  @Test
  void noBreakSpacesHoldAndSoftHyphensBreak() {
    assertThat(fit("four\u00a0lamps").least()).isEqualTo(fit("four\u00a0lamps").natural());
    TextFit soft = fit("glass\u00adhouse");
    assertThat(soft.lines(soft.natural())).isEqualTo(1);
    assertThat(soft.lines(soft.natural() - 1)).isEqualTo(2);
    double drawn = Math.max(fit("glass-").natural(), fit("house").natural());
    assertThat(soft.least()).as("with the hyphen drawn").isCloseTo(drawn, Offset.offset(0.3));
  }

  @Test
  void aWordThatDoesNotFitBreaksAnywhere() {
    TextFit word = fit("Donaudampfschiffahrtsgesellschaft");
    assertThat(word.widest()).isEqualTo("Donaudampfschiffahrtsgesellschaft");
    assertThat(word.lines(word.least())).isEqualTo(1);
    assertThat(word.lines(word.least() / 2 + 12)).isEqualTo(2);
    assertThat(word.lines(1)).as("a letter a line").isEqualTo(33);
  }

  @Test
  void runsOfSeveralFacesAreOneText() {
    double plain = fit("come as you are: we count").natural();
    TextFit mixed =
        TextFit.of(
            List.of(
                new Run("come ", SANS), new Run("as you are", BOLD), new Run(": we count", SANS)),
            16,
            0,
            0,
            Locale.ENGLISH);
    assertThat(mixed.natural()).isGreaterThan(plain);
    // No line breaks between the bold word and the colon after it.
    double together = BOLD.width("are", 16, 0) + SANS.width(":", 16, 0);
    assertThat(mixed.least())
        .isCloseTo(Math.max(together, SANS.width("count", 16, 0)), Offset.offset(0.6));
    TextFit same =
        TextFit.of(List.of(new Run("one ", SANS), new Run(" two", SANS)), 16, 0, 0, Locale.ENGLISH);
    assertThat(same.natural())
        .as("spaces of two runs")
        .isCloseTo(fit("one two").natural(), Offset.offset(0.5));
  }

  @Test
  void sizeAndSpacingScale() {
    TextFit large = TextFit.of(TEXT, SANS, 32, 0, Locale.ENGLISH);
    assertThat(large.natural()).isCloseTo(2 * fit(TEXT).natural(), Offset.offset(1e-6));
    for (int width = 100; width < 700; width += 7) {
      assertThat(large.lines(2 * width)).isEqualTo(fit(TEXT).lines(width));
    }
    double spaced = TextFit.of("lamps", SANS, 16, 2, Locale.ENGLISH).natural();
    assertThat(spaced).isCloseTo(fit("lamps").natural() + 5 * 2, Offset.offset(1e-9));
    Assertions.assertThatThrownBy(() -> TextFit.of("x", SANS, 0, 0, Locale.ENGLISH))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("font size");
  }

  @Test
  void charactersThatNoFaceHasAreTold() {
    assertThat(fit("caf\u00e9 \u2014 \u201cna\u00efve\u201d, \u20ac5").missing()).isEmpty();
    assertThat(fit("\u7af9 and \u7af9, \u0e01, \u0416").missing()).isEmpty();
    assertThat(fit("\ud80c\udc00 and \ud80c\udc00, \u1208, \u0416").missing())
        .containsExactly("\ud80c\udc00", "\u1208");
    assertThat(fit("joined\u200d\ufe0f\u00ad").missing()).as("what is not drawn").isEmpty();
    Assertions.assertThatThrownBy(() -> Face.of("Nowhere Sans", 400))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Source Sans 3 Variable");
    Assertions.assertThatThrownBy(() -> Face.of("Source Sans 3 Variable", 0))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("weight of a face");
  }

  /** Source: UAX #11, "East Asian Width": ideographs, kana and syllables are as wide as high. */
  @Test
  void whatNoFontHasThatShipsIsAsWideAsItIsHighInEastAsia() {
    Face face = Face.of("Source Sans 3 Variable", 400);
    assertThat(face.missing("\ud81c\udc00\ud82c\udd70\ud83c\udfa0")).hasSize(3);
    assertThat(face.width("\ud81c\udc00\ud82c\udd70\ud83c\udfa0\uff21", 16, 0)).isEqualTo(64);
    // Twelve of them, a line each three.
    TextFit fit = TextFit.of("\ud81c\udc00".repeat(12), face, 16, 0, Locale.JAPANESE);
    assertThat(fit.lines(48)).isEqualTo(4);
    assertThat(fit.lines(47.9)).isEqualTo(6);
    // A mark of a script that no file has lies over its letter: half as wide as high, together.
    assertThat(face.width("\u0a95\u0a82", 16, 0)).isEqualTo(8);
  }
}
