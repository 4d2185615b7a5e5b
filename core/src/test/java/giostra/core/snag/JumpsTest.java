package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.anatomy.PageParts;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.piece.tabs.TabsParts;
import giostra.core.testing.Demo;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class JumpsTest {
  private static Document with(
      String node, Part part, Property<?> property, State state, Object v) {
    return Edits.apply(
            Demo.document(),
            List.of(new Edit.SetStyle(node, part.key(property, state), "desktop", v)))
        .document();
  }

  private static List<Snag> jumps(Document document, String node) {
    return Snags.of(document, document.node(node), PictureSizes.NONE, 0).stream()
        .filter(each -> each.rule() == Rule.JUMP)
        .toList();
  }

  @Test
  void oneThingOfTheDemoJumpsOnPurpose() {
    Document demo = Demo.document();
    assertThat(Snags.of(demo, PictureSizes.NONE, 0))
        .filteredOn(each -> each.rule() == Rule.JUMP)
        .singleElement()
        .satisfies(each -> {
          assertThat(each.piece()).isEqualTo("questions");
          assertThat(each.band()).isEqualTo("desktop");
          assertThat(each.extent().state()).isEqualTo(State.HOVER);
        });
  }

  @Test
  void morePaddingUnderThePointerJumpsBySoMuch() {
    Document document = with("houses", CarouselParts.CARD, Property.BORDER, State.HOVER, "3px");
    List<Snag> found = jumps(document, "houses");
    assertThat(found).isNotEmpty();
    assertThat(found).allMatch(each -> each.measure().orElseThrow().found() > 0);
    assertThat(found.getFirst().extent().state()).isEqualTo(State.HOVER);
    assertThat(found.getFirst().message()).contains("under the pointer");
  }

  /** By hand: of two sides with 3 px instead of none there are 6 px more. */
  @Test
  void aBorderThatComesTakesRoomOnBothSides() {
    Document bare = with("houses", CarouselParts.CARD, Property.BORDER, State.REST, "0px");
    Document document =
        Edits.apply(
                bare,
                List.of(
                    new Edit.SetStyle(
                        "houses",
                        CarouselParts.CARD.key(Property.BORDER, State.HOVER),
                        "desktop",
                        "3px")))
            .document();
    assertThat(jumps(document, "houses"))
        .isNotEmpty()
        .allMatch(each -> each.measure().orElseThrow().found() == 6);
    Document same =
        Edits.apply(
                document,
                List.of(
                    new Edit.SetStyle(
                        "houses",
                        CarouselParts.CARD.key(Property.BORDER, State.HOVER),
                        "desktop",
                        "0px")))
            .document();
    assertThat(jumps(same, "houses")).as("just on the other side").isEmpty();
  }

  @Test
  void heavierWordsAreWiderAndWhatMovesWithoutRoomDoesNotJump() {
    Document heavier = with("four-houses", TabsParts.TAB, Property.WEIGHT, State.HOVER, 800);
    List<Snag> found = jumps(heavier, "four-houses");
    assertThat(found).hasSize(heavier.bands().all().size());
    assertThat(found.getFirst().message()).contains("px wider under the pointer");
    Document moves = with("openings", PageParts.BUTTON, Property.MOVES, State.HOVER, "0px -4px");
    assertThat(jumps(moves, "openings")).isEmpty();
  }

  @Test
  void itsWayOutMendsIt() {
    Document document = with("four-houses", TabsParts.TAB, Property.WEIGHT, State.HOVER, 800);
    var edits = new ArrayList<Edit>();
    jumps(document, "four-houses").forEach(each -> edits.addAll(each.fixes().getFirst().edits()));
    assertThat(jumps(Edits.apply(document, edits).document(), "four-houses")).isEmpty();
  }
}
