package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.TrackParts;
import giostra.core.band.Bands;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Page;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.piece.carousel.CarouselSettings;
import giostra.core.value.Colour;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * Words on what is seen through, and on what is not there as a piece is set. Sources: WCAG 2.2,
 * "contrast ratio"; Compositing and Blending 1, "group opacity".
 */
class SeenThroughTest {
  private static final Edit WHITE =
      new Edit.SetStyle(
          "site", StyleKey.parse("tone.paper/rest/tone-ground"), "desktop", "#ffffff");

  private static Document cards(Values values, Edit... edits) {
    var item =
        new Item(
            "item",
            Values.NONE
                .with(ItemSettings.HEADING, Values.ALL, "A heading")
                .with(ItemSettings.KICKER, Values.ALL, "A kicker")
                .with(ItemSettings.TEXT, Values.ALL, "Words that were said")
                .with(ItemSettings.NAME, Values.ALL, "Somebody"));
    var page =
        new Page(
            "page",
            Values.NONE,
            List.of(
                new Section(
                    "section",
                    Values.NONE,
                    List.of(new Carousel("piece", values, List.of(item))))));
    var document = new Document(new Site(Bands.INITIAL, Values.NONE), page);
    Document white = Edits.apply(document, List.of(WHITE)).document();
    return Edits.apply(white, List.of(edits)).document();
  }

  private static Edit set(Part part, Property<?> property, State state, Object value) {
    return new Edit.SetStyle("piece", part.key(property, state), "desktop", value);
  }

  private static Optional<PartContrast> contrast(Document document, Part part, State state) {
    return PartContrast.of(document, document.piece("piece"), PictureSizes.NONE).stream()
        .filter(each -> each.part().equals(part) && each.state() == state)
        .filter(each -> each.band().widest())
        .findFirst();
  }

  private static double found(Document document, Part part, State state) {
    return contrast(document, part, state).orElseThrow().found();
  }

  private static final Edit[] BLACK_ON_WHITE = {
    set(CarouselParts.CARD, Property.GROUND, State.REST, "#ffffff"),
    set(CarouselParts.CARD_HEADING, Property.INK, State.REST, "#000000")
  };

  private static Document seenThrough(double opacity) {
    Document solid = cards(Values.NONE, BLACK_ON_WHITE);
    return Edits.apply(
            solid, List.of(set(CarouselParts.CARD, Property.OPACITY, State.REST, opacity)))
        .document();
  }

  /** Black at opacity 0.5 on white is #808080: 3.95; at 0.54 it is the first above 4.5. */
  @Test
  void wordsAreSeenThroughWithTheBoxThatTheyStandIn() {
    assertThat(found(seenThrough(1), CarouselParts.CARD_HEADING, State.REST)).isEqualTo(21);
    assertThat(found(seenThrough(0.5), CarouselParts.CARD_HEADING, State.REST))
        .isCloseTo(3.95, within(0.01));
    assertThat(found(seenThrough(0.53), CarouselParts.CARD_HEADING, State.REST)).isLessThan(4.5);
    assertThat(found(seenThrough(0.54), CarouselParts.CARD_HEADING, State.REST)).isGreaterThan(4.5);
  }

  @Test
  void theLeastOpacityIsAWayOutAndOnePercentLessIsNot() {
    Document faint = seenThrough(0.5);
    Snag snag =
        PartContrast.snags(faint, faint.piece("piece"), PictureSizes.NONE, 0).stream()
            .filter(each -> each.place().part().equals("carousel.heading"))
            .findFirst()
            .orElseThrow();
    // No colour is darker than black.
    assertThat(snag.fixes())
        .singleElement()
        .satisfies(fix -> {
          assertThat(fix.label()).contains("54 %");
          Document mended = Edits.apply(faint, fix.edits()).document();
          assertThat(found(mended, CarouselParts.CARD_HEADING, State.REST)).isGreaterThan(4.5);
        });
  }

  /** On dark ground a white card that is half seen is grey: the letters are mixed with it too. */
  @Test
  void whatIsBehindTheBoxIsSeenThroughIt() {
    Document dark =
        Edits.apply(
                seenThrough(0.5),
                List.of(
                    new Edit.SetStyle(
                        "site",
                        StyleKey.parse("tone.paper/rest/tone-ground"),
                        "desktop",
                        "#000000")))
            .document();
    Colour card = Colour.parse("#808080");
    assertThat(found(dark, CarouselParts.CARD_HEADING, State.REST))
        .isCloseTo(Colour.contrast(Colour.parse("#000000"), card), within(0.05));
  }

  /** The button in the card is seen through with it, in the card's states. */
  @Test
  void whatStandsOnSomethingInTheBoxIsSeenThroughAsWell() {
    Document faint =
        Edits.apply(
                seenThrough(1),
                List.of(
                    set(CarouselParts.CARD, Property.OPACITY, State.HOVER, 0.5),
                    set(PageParts.BUTTON, Property.GROUND, State.REST, "#000000"),
                    set(PageParts.BUTTON, Property.INK, State.REST, "#ffffff")))
            .document();
    assertThat(found(faint, PageParts.BUTTON, State.REST)).isEqualTo(21);
    assertThat(found(faint, CarouselParts.CARD_HEADING, State.HOVER)).isCloseTo(3.95, within(0.01));
    // Its ground is the mean of black and white, its letters stay white.
    Document hovered =
        Edits.apply(faint, List.of(set(PageParts.BUTTON, Property.INK, State.HOVER, "#ffffff")))
            .document();
    assertThat(found(hovered, PageParts.BUTTON, State.HOVER)).isCloseTo(3.95, within(0.01));
  }

  @Test
  void whatIsNotSeenAtAllIsNotRead() {
    assertThat(contrast(seenThrough(0), CarouselParts.CARD_HEADING, State.REST)).isEmpty();
    Document gone = cards(Values.NONE, set(TrackParts.ARROW, Property.OPACITY, State.REST, 0));
    assertThat(contrast(gone, TrackParts.ARROW, State.REST)).isEmpty();
  }

  private static final Values TAILED =
      Values.NONE
          .with(CarouselSettings.CARD, Values.ALL, CarouselSettings.Card.QUOTATION)
          .with(CarouselSettings.FRAME, Values.ALL, CarouselSettings.Frame.TAIL);

  /** The words stand in the box with the tail, who speaks below it on the section. */
  @Test
  void aQuotationIsReadOnItsBoxWithATail() {
    Edit black = set(CarouselParts.BUBBLE, Property.GROUND, State.REST, "#000000");
    Edit words = set(CarouselParts.QUOTATION_TEXT, Property.INK, State.REST, "#000000");
    Edit name = set(CarouselParts.SPEAKER_NAME, Property.INK, State.REST, "#000000");
    Document below = cards(TAILED, black, words, name);
    assertThat(found(below, CarouselParts.QUOTATION_TEXT, State.REST)).isEqualTo(1);
    assertThat(found(below, CarouselParts.SPEAKER_NAME, State.REST)).isEqualTo(21);
    Document within =
        cards(
            TAILED.with(CarouselSettings.NAME_LINE, Values.ALL, CarouselSettings.NameLine.TEXT),
            black,
            words,
            name);
    assertThat(found(within, CarouselParts.SPEAKER_NAME, State.REST)).isEqualTo(1);
  }

  /** A card without a frame has no ground, unless somebody says which. */
  @Test
  void aBareCardHasTheGroundOfItsSection() {
    Values bare = Values.NONE.with(CarouselSettings.FRAME, Values.ALL, CarouselSettings.Frame.NONE);
    Edit heading = set(CarouselParts.CARD_HEADING, Property.INK, State.REST, "#000000");
    Edit raised =
        new Edit.SetStyle(
            "site", StyleKey.parse("tone.paper/rest/tone-raised"), "desktop", "#000000");
    assertThat(found(cards(bare, heading, raised), CarouselParts.CARD_HEADING, State.REST))
        .isEqualTo(21);
    assertThat(found(cards(Values.NONE, heading, raised), CarouselParts.CARD_HEADING, State.REST))
        .isEqualTo(1);
    Edit ground = set(CarouselParts.CARD, Property.GROUND, State.REST, "#000000");
    assertThat(found(cards(bare, heading, ground), CarouselParts.CARD_HEADING, State.REST))
        .isEqualTo(1);
  }
}
