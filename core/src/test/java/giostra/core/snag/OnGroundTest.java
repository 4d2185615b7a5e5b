package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.layout.PictureSizes;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Section;
import giostra.core.testing.Demo;
import giostra.core.testing.OnePicture;
import giostra.core.value.Ground;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.IntBinaryOperator;
import org.junit.jupiter.api.Test;

/** Words of a section on its picture; pixels are OverPictureJourney's. */
class OnGroundTest {
  private static final String SECTION = "opening";

  private static PictureSizes pictures(IntBinaryOperator pixel) {
    return new OnePicture(pixel);
  }

  private static final PictureSizes WHITE = pictures((_, _) -> 0xffffffff);
  private static final PictureSizes BLACK = pictures((_, _) -> 0xff000000);

  /** The demo's opening, with no edge and this overlay in all bands. */
  private static Document with(String overlay) {
    Document demo = Demo.document();
    var edits = new ArrayList<Edit>();
    for (String band : List.of("phone", "tablet", "desktop")) {
      edits.add(
          new Edit.SetStyle(SECTION, StyleKey.parse("section.overlay/rest/ground"), band, overlay));
      edits.add(new Edit.SetValue(SECTION, "edgeAbove", band, "none"));
      edits.add(new Edit.SetValue(SECTION, "edgeBelow", band, "none"));
    }
    return Edits.apply(demo, edits).document();
  }

  private static List<Snag> found(Document document, PictureSizes pictures) {
    return Snags.of(document, document.node(SECTION), pictures, 0).stream()
        .filter(snag -> snag.rule() == Rule.OVER_PICTURE)
        .toList();
  }

  @Test
  void lightWordsOnALightPictureAreFoundWithTheLeastOverlay() {
    List<Snag> found = found(with("#00000000"), WHITE);
    assertThat(found).extracting(Snag::item).contains("opening-title", "opening-text");
    assertThat(found).allSatisfy(snag -> assertThat(snag.fixes()).isNotEmpty());
    // All bands at all widths, heading and text.
    assertThat(found).hasSizeGreaterThanOrEqualTo(6);
    assertThat(found(with("#00000000"), BLACK)).isEmpty();
  }

  /** The way out is the least: with one percent less there is a finding again. */
  @Test
  void theLeastOverlayIsTheLeast() {
    Document clear = with("#00000000");
    Document mended = clear;
    for (Snag snag : found(clear, WHITE)) {
      mended = Edits.apply(mended, snag.fixes().getLast().edits()).document();
    }
    assertThat(found(mended, WHITE)).isEmpty();
    String overlay = written(mended);
    assertThat(overlay).hasSize(9);
    int alpha = Integer.parseInt(overlay.substring(7), 16);
    int less = (int) Math.round((Math.round(alpha / 2.55) - 1) * 2.55);
    Document under = with(overlay.substring(0, 7) + "%02x".formatted(less));
    assertThat(found(under, WHITE)).isNotEmpty();
  }

  private static String written(Document document) {
    Object ground =
        document
            .node(SECTION)
            .values()
            .styles()
            .own(StyleKey.parse("section.overlay/rest/ground"), "desktop");
    return ((Ground) Objects.requireNonNull(ground)).written();
  }

  /** Half the picture is dark: words at the start stand on that. */
  @Test
  void itIsWhatLiesUnderTheWordsThatCounts() {
    PictureSizes half = pictures((x, _) -> x < 200 ? 0xff000000 : 0xffffffff);
    Document demo =
        Edits.apply(
                with("#00000000"),
                List.of(new Edit.SetValue("opening-title", "text", Values.ALL, "Dusk")))
            .document();
    Section section = (Section) demo.node(SECTION);
    assertThat(OnGround.at(demo, half, section, 2_000).getFirst().contrast()).isGreaterThan(4.5);
    Document moved =
        Edits.apply(demo, List.of(new Edit.SetValue("opening-title", "align", "desktop", "end")))
            .document();
    assertThat(OnGround.at(moved, half, (Section) moved.node(SECTION), 2_000).getFirst().contrast())
        .isLessThan(2);
  }
}
