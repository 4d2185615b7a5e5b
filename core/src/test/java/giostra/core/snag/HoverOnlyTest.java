package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.anatomy.TrackParts;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Piece;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.testing.Demo;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What only a mouse shows; that parts are so in Chromium is held in LooksJourney. */
class HoverOnlyTest {
  private static Edit set(String node, Part part, State state, double to) {
    return new Edit.SetStyle(node, part.key(Property.OPACITY, state), "desktop", to);
  }

  private static Document with(Edit... edits) {
    return Edits.apply(Demo.document(), List.of(edits)).document();
  }

  private static List<Snag> found(Document document, String node) {
    return Snags.of(document, document.node(node), PictureSizes.NONE, 0).stream()
        .filter(each -> each.rule() == Rule.HOVER_ONLY)
        .toList();
  }

  @ParameterizedTest
  @CsvSource({"0, 1, true", "0.09, 0.1, true", "0.1, 1, false", "0, 0.09, false", "1, 1, false"})
  void itIsFoundWhereNothingIsLeftAtRest(double rest, double hover, boolean told) {
    Document document =
        with(
            set("houses", TrackParts.ARROW, State.REST, rest),
            set("houses", TrackParts.ARROW, State.HOVER, hover));
    List<Snag> found = found(document, "houses");
    assertThat(found).hasSize(told ? 3 : 0);
    for (Snag snag : found) {
      for (Snag.Fix fix : snag.fixes()) {
        Document mended = Edits.apply(document, fix.edits()).document();
        assertThat(found(mended, "houses")).noneMatch(other -> other.band().equals(snag.band()));
      }
    }
  }

  @Test
  void whereThereAreNoArrowsNobodyMissesThem() {
    Document document =
        with(
            set("houses", TrackParts.ARROW, State.REST, 0),
            set("houses", TrackParts.ARROW, State.HOVER, 1),
            new Edit.SetValue("houses", "arrows", "phone", "none"));
    assertThat(found(document, "houses")).extracting(Snag::band).containsOnly("tablet", "desktop");
  }

  @Test
  void anItemsOwnIsFoundApart() {
    Document document = Demo.document();
    String item = ((Piece) document.node("houses")).items().getFirst().id();
    Document one =
        with(
            set(item, CarouselParts.CARD_PICTURE, State.REST, 0),
            set(item, CarouselParts.CARD_PICTURE, State.HOVER, 1));
    assertThat(found(one, "houses")).hasSize(3).allMatch(each -> each.item().equals(item));
    assertThat(found(document, "houses")).isEmpty();
  }
}
