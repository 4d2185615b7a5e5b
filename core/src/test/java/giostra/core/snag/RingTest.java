package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings.Tone;
import giostra.core.testing.Demo;
import giostra.core.value.Colour;
import giostra.core.value.PickKind;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Sources: WCAG 2.2, 2.4.7 with failure F78, and 1.4.11; its formula for contrast. */
class RingTest {
  private static final String SECTION =
      Demo.document().path("questions").stream()
          .filter(Section.class::isInstance)
          .findFirst()
          .orElseThrow()
          .id();

  private static Edit set(String node, String property, String value) {
    return new Edit.SetStyle(node, StyleKey.parse("page.focus/rest/" + property), "desktop", value);
  }

  private static Document with(Edit... edits) {
    return Edits.apply(Demo.document(), List.of(edits)).document();
  }

  private static List<Snag> found(Document document) {
    return Snags.of(document, document.node(SECTION), _ -> Optional.empty(), 0).stream()
        .filter(snag -> snag.rule() == Rule.RING)
        .toList();
  }

  @Test
  void aRingThatIsTakenAwayIsMissed() {
    assertThat(found(Demo.document())).isEmpty();
    assertThat(found(with(set(SECTION, "border", "1px")))).isEmpty();
    List<Snag> gone = found(with(set(SECTION, "border", "0px")));
    // Smaller bands take it over.
    assertThat(gone).hasSize(3);
    assertThat(gone).allSatisfy(snag -> assertThat(snag.extent().state()).isEqualTo(State.FOCUS));
  }

  /** Whoever takes it away for a whole site takes it from each of its sections. */
  @ParameterizedTest
  @ValueSource(strings = {"site", "page", "section"})
  void whereverItIsSaid(String node) {
    Document document = with(set(node.equals("section") ? SECTION : node, "border", "0px"));
    List<Snag> gone = found(document);
    assertThat(gone).isNotEmpty();
    assertThat(mended(document, gone)).isEmpty();
  }

  private static List<Snag> mended(Document document, List<Snag> found) {
    Document mended = document;
    for (Snag snag : found) {
      mended = Edits.apply(mended, snag.fixes().getFirst().edits()).document();
    }
    return found(mended);
  }

  /** White on #949494 is 3.03, on #959595 2.99. Source: WCAG's formula. */
  @Test
  void threeToOneIsTheLeast() {
    Colour white = Colour.parse("#ffffff");
    assertThat(Colour.contrast(white, Colour.parse("#949494"))).isGreaterThan(3);
    assertThat(Colour.contrast(white, Colour.parse("#959595"))).isLessThan(3);
    Edit ground =
        new Edit.SetStyle(
            "site", StyleKey.parse("tone.paper/rest/tone-ground"), "desktop", "#ffffff");
    assertThat(found(with(ground, set(SECTION, "border-ink", "#949494")))).isEmpty();
    Document faint = with(ground, set(SECTION, "border-ink", "#959595"));
    assertThat(found(faint)).isNotEmpty();
    assertThat(mended(faint, found(faint))).isEmpty();
  }

  /** What ships can be seen on what ships. */
  @ParameterizedTest
  @EnumSource(Tone.class)
  void inEachToneItCanBeSeen(Tone tone) {
    assertThat(found(with(new Edit.SetValue(SECTION, "tone", "", PickKind.word(tone))))).isEmpty();
  }
}
