package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.anatomy.PageParts;
import giostra.core.band.Bands;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Page;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.accordion.AccordionParts;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.carousel.CarouselParts;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Words on a box whose ground is another while the pointer is over it, or while it is open. Source
 * of the ratios: WCAG 2.2, "contrast ratio"; 21 of black and white, 1 of like colours.
 */
class BoxStatesTest {
  private static Document cards(Edit... edits) {
    return document(new Carousel("piece", Values.NONE, List.of(item())), edits);
  }

  private static Item item() {
    return new Item(
        "item",
        Values.NONE
            .with(ItemSettings.HEADING, Values.ALL, "A heading")
            .with(ItemSettings.KICKER, Values.ALL, "A kicker"));
  }

  private static Document document(Piece piece, Edit... edits) {
    var page =
        new Page("page", Values.NONE, List.of(new Section("section", Values.NONE, List.of(piece))));
    return Edits.apply(new Document(new Site(Bands.INITIAL, Values.NONE), page), List.of(edits))
        .document();
  }

  private static Edit set(Part part, Property<?> property, State state, String value) {
    return new Edit.SetStyle("piece", part.key(property, state), "desktop", value);
  }

  private static double found(Document document, Part part, State state) {
    return PartContrast.of(document, document.piece("piece"), PictureSizes.NONE).stream()
        .filter(each -> each.part().equals(part) && each.state() == state)
        .filter(each -> each.band().widest())
        .findFirst()
        .orElseThrow()
        .found();
  }

  private static List<Snag> low(Document document) {
    return PartContrast.snags(document, document.piece("piece"), PictureSizes.NONE, 0);
  }

  private static final Edit BLACK_ON_HOVER =
      set(CarouselParts.CARD, Property.GROUND, State.HOVER, "#000000");

  @Test
  void whatHasAStateOfItsBoxIsReadInThatState() {
    Document dark =
        cards(BLACK_ON_HOVER, set(CarouselParts.CARD_HEADING, Property.INK, State.REST, "#000000"));
    assertThat(found(dark, CarouselParts.CARD_HEADING, State.HOVER)).isEqualTo(1);
    assertThat(found(dark, CarouselParts.CARD_HEADING, State.REST)).isGreaterThan(15);
    Document light =
        cards(
            BLACK_ON_HOVER,
            set(CarouselParts.CARD_HEADING, Property.INK, State.REST, "#000000"),
            set(CarouselParts.CARD_HEADING, Property.INK, State.HOVER, "#ffffff"));
    assertThat(found(light, CarouselParts.CARD_HEADING, State.HOVER)).isEqualTo(21);
  }

  @Test
  void whatHasNoneIsReadAsItIsAndItsWayOutHoldsInBoth() {
    Document dark =
        cards(BLACK_ON_HOVER, set(PageParts.KICKER, Property.INK, State.REST, "#000000"));
    assertThat(found(dark, PageParts.KICKER, State.HOVER)).isEqualTo(1);
    assertThat(PartContrast.of(cards(), cards().piece("piece"), PictureSizes.NONE))
        .as("a box that stays as it is asks nothing more")
        .noneMatch(each -> each.part().equals(PageParts.KICKER) && each.state() == State.HOVER);
    List<Snag> snags =
        low(dark).stream()
            .filter(each -> PageParts.KICKER.id().id().equals(each.place().part()))
            .toList();
    assertThat(snags).isNotEmpty();
    for (Snag snag : snags) {
      for (Snag.Fix fix : snag.fixes()) {
        Document mended = Edits.apply(dark, fix.edits()).document();
        assertThat(low(mended)).noneMatch(each -> snag.place().part().equals(each.place().part()));
      }
    }
  }

  @Test
  void theBoxOfTheWordsLiesBetweenThemAndTheirCard() {
    Document document =
        cards(
            BLACK_ON_HOVER,
            set(CarouselParts.CARD_WORDS, Property.GROUND, State.REST, "#ffffff"),
            set(PageParts.KICKER, Property.INK, State.REST, "#000000"));
    assertThat(found(document, PageParts.KICKER, State.HOVER)).isEqualTo(21);
    // Half of it lets half of what is under it through: #808080 on hover.
    Document half =
        cards(
            BLACK_ON_HOVER,
            set(CarouselParts.CARD_WORDS, Property.GROUND, State.REST, "#ffffff80"),
            set(PageParts.KICKER, Property.INK, State.REST, "#000000"));
    assertThat(found(half, PageParts.KICKER, State.HOVER)).isBetween(5.2, 5.4);
  }

  @Test
  void aRowThatIsOpenIsAnotherGround() {
    Document document =
        document(
            new Accordion("piece", Values.NONE, List.of(item())),
            set(AccordionParts.ROW, Property.GROUND, State.CURRENT, "#000000"),
            set(AccordionParts.QUESTION, Property.INK, State.REST, "#000000"));
    assertThat(found(document, AccordionParts.QUESTION, State.CURRENT)).isEqualTo(1);
    assertThat(found(document, AccordionParts.QUESTION, State.REST)).isGreaterThan(15);
  }

  @Test
  void wordsInTheColourOfThoseAroundAreReadWithThem() {
    assertThat(PartContrast.of(cards(), cards().piece("piece"), PictureSizes.NONE))
        .noneMatch(each -> each.part().equals(PageParts.EMPHASIS));
    Document copper = cards(set(PageParts.EMPHASIS, Property.INK, State.REST, "#ffffff"));
    assertThat(found(copper, PageParts.EMPHASIS, State.REST)).isLessThan(1.1);
  }
}
