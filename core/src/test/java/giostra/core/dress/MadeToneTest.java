package giostra.core.dress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.anatomy.Tone;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Page;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.page.SiteSettings;
import giostra.core.snag.ToneContrast;
import giostra.core.value.Colour;
import giostra.core.value.Oklch;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.ToneColour;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Tones made of one colour. Contrast: WCAG 2.2, 1.4.3, computed anew here from its formula. */
class MadeToneTest {
  /** Relative luminance. Source: WCAG 2.2, "relative luminance". */
  private static double luminance(Colour colour) {
    return 0.2126 * linear(colour.red())
        + 0.7152 * linear(colour.green())
        + 0.0722 * linear(colour.blue());
  }

  private static double linear(int channel) {
    double share = channel / 255.0;
    return share <= 0.04045 ? share / 12.92 : Math.pow((share + 0.055) / 1.055, 2.4);
  }

  private static double contrast(Colour one, Colour other) {
    double a = luminance(one);
    double b = luminance(other);
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }

  private static Colour in(Map<ToneColour, Colour> made, ToneColour name) {
    return Objects.requireNonNull(made.get(name));
  }

  @Property(tries = 2000)
  void whateverItIsMadeOfItsWordsCanBeRead(
      @ForAll @IntRange(max = 255) int red,
      @ForAll @IntRange(max = 255) int green,
      @ForAll @IntRange(max = 255) int blue,
      @ForAll boolean dark) {
    var seed = new Colour(red, green, blue, 255);
    Map<ToneColour, Colour> made = MadeTone.of(seed, dark);
    assertThat(made).containsOnlyKeys(ToneColour.values());
    for (ToneColour under : List.of(ToneColour.GROUND, ToneColour.RAISED)) {
      assertThat(luminance(in(made, under)) < 0.2).as("dark").isEqualTo(dark);
      for (ToneColour words :
          List.of(ToneColour.INK, ToneColour.QUIET, ToneColour.ACCENT, ToneColour.RING)) {
        assertThat(contrast(in(made, words), in(made, under)))
            .as("%s on %s of %s", words, under, seed.css())
            .isGreaterThanOrEqualTo(4.5);
      }
      assertThat(contrast(in(made, ToneColour.INK), in(made, under))).isGreaterThanOrEqualTo(9);
    }
  }

  @Property(tries = 500)
  void itsAccentIsTheColourItselfWhereThatCanBeRead(
      @ForAll @IntRange(max = 255) int red,
      @ForAll @IntRange(max = 255) int green,
      @ForAll @IntRange(max = 255) int blue) {
    var seed = new Colour(red, green, blue, 255);
    Map<ToneColour, Colour> made = MadeTone.of(seed, false);
    Colour accent = in(made, ToneColour.ACCENT);
    double worst =
        Math.min(
            contrast(seed, in(made, ToneColour.GROUND)),
            contrast(seed, in(made, ToneColour.RAISED)));
    if (worst >= 4.5) {
      assertThat(accent).isEqualTo(seed);
    } else {
      // Darker by no more than it takes: a little lighter would not do.
      double least =
          Math.min(
              contrast(accent, in(made, ToneColour.GROUND)),
              contrast(accent, in(made, ToneColour.RAISED)));
      assertThat(least).isBetween(4.5, 4.7);
      if (Oklch.of(accent).chroma() > 0.04) {
        double turned = Math.abs(Oklch.of(accent).hue() - Oklch.of(seed).hue());
        assertThat(Math.min(turned, 360 - turned)).as("hue of %s", seed.css()).isLessThan(8);
      }
    }
  }

  private static Document page(List<Edit> edits, SectionSettings.Tone tone) {
    var document =
        new Document(
            new Site(Bands.INITIAL, Values.NONE),
            new Page(
                "page",
                Values.NONE,
                List.of(
                    new Section(
                        "one",
                        Values.NONE.with(SectionSettings.TONE, Values.ALL, tone),
                        List.of()))));
    return edits.isEmpty() ? document : Edits.apply(document, edits).document();
  }

  @Test
  void aSiteHasItUnderItsName() {
    Document before = page(List.of(), SectionSettings.Tone.PAPER);
    List<Edit> edits = MadeTone.edits(before.site(), " Moss ", Colour.parse("#2f6652"), true);
    Document after = page(edits, SectionSettings.Tone.OWN_1);
    assertThat(after.site().called(Tone.OWN.getFirst()).map(Tone::label)).contains("Moss");
    assertThat(after.site().called(Tone.OWN.get(1))).isEmpty();
    assertThat(ToneContrast.of(after, after.site()))
        .filteredOn(each -> each.part().equals(Tone.OWN.getFirst().part()))
        .isNotEmpty()
        .allMatch(each -> each.found() >= ToneContrast.ASKED);
    // The next takes the next place; a name is taken once.
    List<Edit> next = MadeTone.edits(after.site(), "Dew", Colour.parse("#336699"), false);
    assertThat(next.getFirst())
        .isEqualTo(new Edit.SetValue(Site.ID, SiteSettings.TONES.get(1).id(), Values.ALL, "Dew"));
    assertThatThrownBy(() -> MadeTone.edits(after.site(), "moss", Colour.parse("#000"), false))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("moss");
    assertThatThrownBy(() -> MadeTone.edits(after.site(), "Dusk", Colour.parse("#000"), false))
        .isInstanceOf(Refused.class);
  }

  @Test
  void aSiteHasSoManyAndNoMore() {
    Document document = page(List.of(), SectionSettings.Tone.PAPER);
    for (int at = 0; at < Tone.OWN.size(); at++) {
      document =
          Edits.apply(
                  document,
                  MadeTone.edits(document.site(), "Tone " + at, Colour.parse("#7a1f3d"), false))
              .document();
    }
    Site full = document.site();
    assertThatThrownBy(() -> MadeTone.edits(full, "One more", Colour.parse("#7a1f3d"), false))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("at most 6");
  }

  /** The words of sections' tones and the tones themselves are kept apart, and must be the same. */
  @Test
  void aSectionCanWearEachOfThem() {
    assertThat(Arrays.stream(SectionSettings.Tone.values()).map(PickKind::word))
        .containsExactlyElementsOf(
            Tone.ALL.stream().filter(each -> each != Tone.PICTURE).map(Tone::id).toList());
  }

  @Test
  void takenAwayItLeavesNothing() {
    Document before = page(List.of(), SectionSettings.Tone.OWN_1);
    Document made =
        Edits.apply(before, MadeTone.edits(before.site(), "Moss", Colour.parse("#2f6652"), true))
            .document();
    Document after = Edits.apply(made, MadeTone.away(made, "own-1")).document();
    assertThat(after.site()).isEqualTo(before.site());
    assertThat(after.node("one").values().get(SectionSettings.TONE))
        .isEqualTo(SectionSettings.Tone.PAPER);
    assertThatThrownBy(() -> MadeTone.away(made, "dusk"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("own-1");
  }
}
