package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
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
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Words on a picture that is the ground of a box. */
class PicturedTest {
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
    // A tenth is more than what may be worse.
    assertThat(contrast(boxes(picture, ink("#000000")), MOSTLY_WHITE)).isEqualTo(1);
    var hardly = new OnePicture((x, _) -> x < 12 ? 0xff000000 : 0xffffffff);
    assertThat(contrast(boxes(picture, ink("#000000")), hardly)).isEqualTo(21);
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
        PartContrast.snags(document, document.piece("boxes"), MOSTLY_WHITE).stream()
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

  @Test
  void theEndsOfAPictureLeaveATwentiethOut() {
    var shades = new ArrayList<Integer>();
    for (int i = 0; i < 100; i++) {
      shades.add(i * 255 / 99);
    }
    Samples samples = Samples.of(100, 1, (x, _) -> 0xff000000 | shades.get(x) * 0x010101);
    List<Colour> ends = samples.ends(new Colour(0, 0, 0, 255));
    assertThat(ends.getFirst().red()).isBetween(shades.get(4), shades.get(5));
    assertThat(ends.getLast().red()).isBetween(shades.get(94), shades.get(95));
    assertThat(samples.ends(new Colour(9, 9, 9, 255))).isEqualTo(ends);
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
