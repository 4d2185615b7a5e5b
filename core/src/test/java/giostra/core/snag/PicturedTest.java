package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import giostra.core.band.Bands;
import giostra.core.fit.Legible;
import giostra.core.fit.Samples;
import giostra.core.layout.PictureSizes;
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
import giostra.core.piece.counters.CounterParts;
import giostra.core.piece.counters.Counters;
import giostra.core.piece.flipboxes.FlipBoxes;
import giostra.core.piece.flipboxes.FlipParts;
import giostra.core.testing.OnePicture;
import giostra.core.value.Colour;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Words on a picture that is the ground of a box. */
class PicturedTest {
  private static final Colour BLACK = new Colour(0, 0, 0, 255);
  private static final Colour WHITE = new Colour(255, 255, 255, 255);
  private static final StyleKey PICTURE = FlipParts.FRONT.key(Property.PICTURE, State.REST);
  private static final StyleKey VEIL = FlipParts.FRONT.key(Property.VEIL, State.REST);

  /** A tenth of it is black, the rest white. */
  private static final OnePicture MOSTLY_WHITE =
      new OnePicture((x, _) -> x < 40 ? 0xff000000 : 0xffffffff);

  private static Document boxes(Edit... edits) {
    var item =
        new Item("box", Values.NONE.with(ItemSettings.HEADING, Values.ALL, "A heading of a box"));
    var page =
        new Page(
            "page",
            Values.NONE,
            List.of(
                new Section(
                    "section",
                    Values.NONE,
                    List.of(
                        new FlipBoxes("boxes", Values.NONE, List.of(item)),
                        new Counters("figures", Values.NONE, List.of())))));
    return Edits.apply(new Document(new Site(Bands.INITIAL, Values.NONE), page), List.of(edits))
        .document();
  }

  private static Edit set(StyleKey key, Object value) {
    return new Edit.SetStyle("boxes", key, "desktop", value);
  }

  private static double contrast(Document document, PictureSizes pictures) {
    return PartContrast.of(document, document.piece("boxes"), pictures).stream()
        .filter(each -> each.part().equals(FlipParts.HEADING) && each.state() == State.REST)
        .filter(each -> each.band().widest())
        .findFirst()
        .orElseThrow()
        .found();
  }

  private static Edit ink(String colour) {
    return set(FlipParts.HEADING.key(Property.INK, State.REST), colour);
  }

  @Test
  void thePictureCountsAndNotTheGroundUnderIt() {
    Edit picture = set(PICTURE, "some");
    // Source: WCAG 2.2, "contrast ratio": 21 of black on white.
    var white = new OnePicture((_, _) -> 0xffffffff);
    assertThat(contrast(boxes(picture, ink("#000000")), white)).isEqualTo(21);
    // A tenth is more than what counts.
    assertThat(contrast(boxes(picture, ink("#000000")), MOSTLY_WHITE)).isEqualTo(1);
    // Of two in a hundred the worst twentieth is 2/5 black and 3/5 white: (2 * 1 + 3 * 21) / 5; of
    // a grid of 256 across the cell at the edge is of both.
    var hardly = new OnePicture((x, _) -> x < 8 ? 0xff000000 : 0xffffffff);
    assertThat(contrast(boxes(picture, ink("#000000")), hardly)).isCloseTo(13, within(0.3));
    // What is clear shows the ground.
    var clear = new OnePicture((_, _) -> 0x00000000);
    Edit ground = set(FlipParts.FRONT.key(Property.GROUND, State.REST), "#767676");
    // Source: WCAG's own example of a grey that just passes on white, 4.54, from memory.
    assertThat(contrast(boxes(picture, ground, ink("#ffffff")), clear)).isBetween(4.53, 4.55);
    // One that nobody knows the pixels of says nothing.
    assertThat(contrast(boxes(picture, ground, ink("#ffffff")), PictureSizes.NONE))
        .isBetween(4.53, 4.55);
  }

  @Test
  void besideAPictureThatIsSeenWholeIsTheGround() {
    Edit picture = set(PICTURE, "some");
    Edit ground = set(FlipParts.FRONT.key(Property.GROUND, State.REST), "#000000");
    var white = new OnePicture((_, _) -> 0xffffffff);
    assertThat(contrast(boxes(picture, ground, ink("#000000")), white)).isEqualTo(21);
    Edit whole = set(FlipParts.FRONT.key(Property.PICTURE_FIT, State.REST), "contain");
    assertThat(contrast(boxes(picture, ground, whole, ink("#000000")), white)).isEqualTo(1);
  }

  @Test
  void theLeastOverlayIsTheLeast() {
    Document document = boxes(set(PICTURE, "some"), ink("#ffffff"));
    Snag found =
        PartContrast.snags(document, document.piece("boxes"), MOSTLY_WHITE, 0).stream()
            .filter(each -> each.place().part().equals(FlipParts.HEADING.id().id()))
            .findFirst()
            .orElseThrow();
    // A grey would do as well.
    assertThat(found.fixes()).hasSize(2);
    Snag.Fix fix = found.fixes().getLast();
    Edit.SetStyle veil = (Edit.SetStyle) fix.edits().getLast();
    assertThat(veil.key()).isEqualTo(VEIL);
    Document mended = Edits.apply(document, fix.edits()).document();
    double asked = found.measure().orElseThrow().required();
    assertThat(contrast(mended, MOSTLY_WHITE)).isGreaterThanOrEqualTo(asked);
    Colour colour = Colour.parse(String.valueOf(veil.value()));
    var less =
        new Colour(
            colour.red(), colour.green(), colour.blue(), colour.alpha() - (int) Math.ceil(2.55));
    Document fails = boxes(set(PICTURE, "some"), ink("#ffffff"), set(VEIL, less.css()));
    assertThat(contrast(fails, MOSTLY_WHITE)).isLessThan(asked);
  }

  /** Any picture: words of black or white on it are read as px by px. */
  @Test
  void theEndsOfAPictureAreReadAsItsWorstTwentieth() {
    var random = new Random(5);
    for (int n = 0; n < 200; n++) {
      int level = 1 + random.nextInt(255);
      int apart = 1 + random.nextInt(256 - level);
      Samples samples =
          Samples.of(
              40, 30, (_, _) -> 0xff000000 | random.nextInt(apart) * 0x010101 + level * 0x100);
      List<Colour> ends = samples.ends(BLACK);
      assertThat(Colour.contrast(BLACK, ends.getFirst()))
          .isCloseTo(legible(samples, BLACK), withPercentage(1));
      double white = legible(samples, WHITE);
      assertThat(Colour.contrast(WHITE, ends.getLast()))
          // But for the steps that channels have.
          .isLessThanOrEqualTo(white * 1.01)
          .isCloseTo(white, withPercentage(6));
      assertThat(samples.ends(WHITE)).as("of a solid one").isEqualTo(ends);
    }
  }

  private static double legible(Samples samples, Colour ink) {
    var legible = new Legible();
    for (int y = 0; y < samples.down(); y++) {
      for (int x = 0; x < samples.across(); x++) {
        legible.add(ink, samples.at(x, y) & 0xffffff, 1);
      }
    }
    return legible.contrast();
  }

  @Test
  void figuresStandOnTheirBox() {
    Document document =
        boxes(
            new Edit.SetStyle(
                "figures",
                CounterParts.FIGURE.key(Property.PICTURE, State.REST),
                "desktop",
                "some"));
    var grey = new OnePicture((_, _) -> 0xff808080);
    assertThat(PartContrast.of(document, document.piece("figures"), grey))
        .filteredOn(each -> each.part().equals(CounterParts.NUMBER) && each.state() == State.REST)
        .isNotEmpty()
        .allMatch(each -> each.found() < 6);
  }
}
