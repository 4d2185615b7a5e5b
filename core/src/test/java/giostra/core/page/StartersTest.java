package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.band.Bands;
import giostra.core.format.DocumentJson;
import giostra.core.look.Values;
import giostra.core.piece.carousel.Carousel;
import giostra.core.value.Refused;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What can be put on a page, and what belongs where. */
class StartersTest {
  static List<Starters.Starter> all() {
    return Starters.ALL;
  }

  private static Document page(List<Block> blocks) {
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new Page("page", Values.NONE, List.of(new Section("section", Values.NONE, blocks))));
  }

  @ParameterizedTest
  @MethodSource("all")
  void eachGoesIntoASectionAndTravelsAsJson(Starters.Starter starter) {
    Document document = page(List.of((Block) starter.node()));
    assertThat(DocumentJson.read(DocumentJson.text(document))).isEqualTo(document);
    assertThat(starter.says()).endsWith(".");
  }

  /**
   * Nothing that somebody starts with is a placeholder: pictures are there, and none is left over.
   */
  @Test
  void allPicturesThatShipAreShownAndNoOthers() {
    assertThat(
            Starters.ALL.stream()
                .flatMap(starter -> MediaUse.idsIn(starter.node()).stream())
                .distinct())
        .containsExactlyInAnyOrderElementsOf(
            Starters.PICTURES.stream().map(Starters.Shown::id).toList());
  }

  @Test
  void theIdsOfADocumentAreUnique() {
    Block heading = new Block.Heading("same", Values.NONE);
    assertThatThrownBy(() -> page(List.of(heading, new Block.Text("same", Values.NONE))))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("id is same; it must be unique in the document");
  }

  @Test
  void aSectionDoesNotStandInAColumn() {
    assertThatThrownBy(() ->
            NodeType.COLUMN.make(
                "c", Values.NONE, List.of(new Section("s", Values.NONE, List.of()))))
        .hasMessageContaining("a section in a column is s; it must be one of");
  }

  @Test
  void hiddenItemsAreNotOnShow() {
    Item hidden = new Item("b", Values.NONE.with(ItemSettings.HIDDEN, Values.ALL, true));
    var carousel = new Carousel("c", Values.NONE, List.of(new Item("a", Values.NONE), hidden));
    assertThat(carousel.onShow()).extracting(Item::id).containsExactly("a");
  }
}
