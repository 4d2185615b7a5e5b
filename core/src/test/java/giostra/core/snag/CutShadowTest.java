package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.layout.PictureSizes;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.testing.Demo;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Shadows that reach over the ends of a track; that they show is GroundsJourney's, by pixels. */
class CutShadowTest {
  private static Edit style(Property<?> property, State state, Object value) {
    return new Edit.SetStyle("houses", CarouselParts.CARD.key(property, state), "desktop", value);
  }

  private static Edit gap(String px) {
    return new Edit.SetValue("houses", "gap", "desktop", px);
  }

  private static List<Snag> found(Edit... edits) {
    Document document = Edits.apply(Demo.document(), List.of(edits)).document();
    return Snags.of(document, document.node("houses"), PictureSizes.NONE, 0).stream()
        .filter(snag -> snag.rule() == Rule.CUT_SHADOW)
        .filter(snag -> snag.extent().widths().band().equals("desktop"))
        .toList();
  }

  /** Reach in any direction is blur, spread and the way in that direction. */
  @ParameterizedTest
  @CsvSource({
    "0 0 12px #000, 24px, 0",
    "0 0 24px #000, 24px, 0",
    "0 0 25px #000, 24px, 1",
    "0 12px 13px #000, 24px, 1",
    "0 6px 14px -14px #000, 0px, 0",
    "inset 0 0 90px #000, 0px, 0",
    "4px 0 6px 2px #000, 12px, 0",
    "4px 0 6px 3px #000, 12px, 1",
  })
  void itIsCutWhereItReachesFurtherThanItemsAreApart(String shadow, String gap, int times) {
    assertThat(found(style(Property.SHADOW, State.REST, shadow), gap(gap))).hasSize(times);
  }

  @Test
  void theWayOutKeepsThemApartByAsMuchAsIsNeeded() {
    Edit[] edits = {style(Property.SHADOW, State.HOVER, "0 6px 30px #0008"), gap("20px")};
    Snag snag = found(edits).getFirst();
    assertThat(snag.message()).contains("30 px");
    var mended = new ArrayList<>(List.of(edits));
    mended.addAll(snag.fixes().getFirst().edits());
    assertThat(found(mended.toArray(Edit[]::new))).isEmpty();
  }

  @Test
  void whereNeighboursAreSeenAtBothEndsTheyAreCutThemselves() {
    Edit shadow = style(Property.SHADOW, State.REST, "0 0 30px #000");
    Edit peek = new Edit.SetValue("houses", "peek", "desktop", "60px");
    Edit both = new Edit.SetValue("houses", "peekSides", "desktop", "both");
    assertThat(found(shadow, gap("24px"))).hasSize(1);
    assertThat(found(shadow, gap("24px"), peek, both)).isEmpty();
  }

  @Test
  void whatGrowsIsCutWhateverTheDistance() {
    List<Snag> found =
        found(
            style(Property.SHADOW, State.REST, "0 0 4px #0008"),
            style(Property.GROWS, State.HOVER, 1.1),
            gap("40px"));
    assertThat(found).singleElement().matches(snag -> snag.fixes().isEmpty());
  }
}
