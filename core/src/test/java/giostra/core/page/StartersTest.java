package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.band.Bands;
import giostra.core.dress.ShippedLooks;
import giostra.core.dress.Wardrobe;
import giostra.core.fit.Samples;
import giostra.core.format.DocumentJson;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Values;
import giostra.core.piece.carousel.Carousel;
import giostra.core.snag.Severity;
import giostra.core.snag.Snags;
import giostra.core.testing.InTurn;
import giostra.core.value.Focus;
import giostra.core.value.Refused;
import java.util.List;
import java.util.Optional;
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

  /** Pictures that are large enough and dark enough for anything. */
  private static final PictureSizes PICTURES =
      new PictureSizes() {
        @Override
        public Optional<Size> find(String id) {
          return id.isEmpty() ? Optional.empty() : Optional.of(new Size(3000, 2000));
        }

        @Override
        public Optional<Seen> seen(String id) {
          return find(id)
              .map(_ -> new Seen(Samples.of(300, 200, (_, _) -> 0xff101010), Focus.CENTER));
        }
      };

  /** Whatever look a piece is given at first, nothing is wrong with it at any width. */
  @InTurn({2, 14})
  @ParameterizedTest
  @MethodSource("all")
  void noLookThatShipsPutsAnythingWrong(Starters.Starter starter) {
    if (!(starter.node() instanceof Piece piece)) {
      return;
    }
    Document document = page(List.of(piece));
    for (ShippedLooks.Shipped look : ShippedLooks.of(piece.type())) {
      assertThat(Snags.of(Wardrobe.wearing(document, piece, look.id()), PICTURES, 0))
          .as("%s in %s", starter.id(), look.name())
          .noneMatch(snag -> snag.rule().severity() != Severity.NOTE);
    }
  }

  /** The first piece is in the usual manner, the next ones in that which the site has by then. */
  @Test
  void whatOneStartsWithGoesWithWhatIsThere() {
    var bare = new Site(Bands.INITIAL, Values.NONE);
    Look first = Wardrobe.starting(bare, NodeType.TABS).orElseThrow();
    assertThat(first.name()).isEqualTo("Pebble");
    assertThat(Wardrobe.bringing(bare, first)).hasSize(1);
    Look inkwell =
        ShippedLooks.of(NodeType.COUNTERS).stream()
            .filter(each -> each.name().equals("Inkwell"))
            .findFirst()
            .orElseThrow()
            .look("desktop");
    Site inked = bare.holding(List.of(inkwell));
    assertThat(Wardrobe.starting(inked, NodeType.TABS).orElseThrow().name()).isEqualTo("Inkwell");
    assertThat(Wardrobe.bringing(inked, Wardrobe.starting(inked, NodeType.COUNTERS).orElseThrow()))
        .isEmpty();
    Look usual = inkwell.with(inkwell.values().with(LookSettings.USUAL, Values.ALL, true));
    assertThat(Wardrobe.starting(bare.holding(List.of(usual)), NodeType.COUNTERS)).isEmpty();
  }

  /** Nothing that somebody starts with is a placeholder: files are there, and none is left over. */
  @Test
  void allFilesThatShipAreShownAndNoOthers() {
    assertThat(
            Starters.ALL.stream()
                .flatMap(starter -> MediaUse.idsIn(starter.node()).stream())
                .distinct())
        .containsExactlyInAnyOrderElementsOf(
            Starters.FILES.stream().map(Starters.Shown::id).toList());
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
