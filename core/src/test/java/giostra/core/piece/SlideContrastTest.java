package giostra.core.piece;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import giostra.core.band.Bands;
import giostra.core.fit.Legible;
import giostra.core.fit.Samples;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.layout.PictureWidths;
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
import giostra.core.piece.slider.Slider;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.testing.Demo;
import giostra.core.testing.InTurn;
import giostra.core.testing.OnePicture;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.GroundAt;
import giostra.core.value.Ink;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntBinaryOperator;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Words of slides on their pictures, and the least overlay; pixels are OverPictureJourney's. */
class SlideContrastTest {
  private static final int WHITE = 0xffffffff;
  private static final int BLACK = 0xff000000;

  private static final Edit BOX = boxed(null);

  /** The demo's slides, whose words stand on the picture itself; its pin has all of its ground. */
  private final Document demo =
      Edits.apply(
              Demo.document(),
              List.of(
                  BOX,
                  new Edit.SetStyle(
                      "orchids-pin", StyleKey.parse("pin.words/rest/ground"), "phone", null)))
          .document();

  private static Edit boxed(@Nullable String ground) {
    return new Edit.SetStyle(
        "openings", StyleKey.parse("slider.words/rest/ground"), "desktop", ground);
  }

  /** Source: WCAG's formula: white on #767676 is 4.54; half of black over white is #7f7f7f. */
  @InTurn({0, 12})
  @Test
  void wordsInABoxOfTheirOwnAreReadOnItAndOnWhatShowsThroughIt() {
    PictureSizes white = pictures((_, _) -> WHITE);
    Edit none = overlay("openings", "#0000");
    assertThat(found(white, none)).isNotEmpty();
    assertThat(found(white, none, boxed("#000000"))).isEmpty();
    assertThat(found(white, none, boxed("#0000000f"))).isNotEmpty();
    // An overlay under half a box adds to it.
    assertThat(found(white, none, boxed("#00000073"))).isNotEmpty();
    assertThat(desktop(found(white, overlay("openings", "#00000073"), boxed("#00000073"))))
        .isEmpty();
  }

  /** One picture for all, 400 by 300 px. */
  private static PictureSizes pictures(IntBinaryOperator pixel) {
    return new OnePicture(pixel);
  }

  /** A dark picture, and a clip of four frames, the third of which is white; none is looked at. */
  private record Moving(boolean looked) implements PictureSizes {
    private static final PictureSizes DARK = new OnePicture((_, _) -> BLACK);

    @Override
    public Optional<Size> find(String id) {
      return DARK.find(id);
    }

    @Override
    public Optional<Seen> seen(String id) {
      return DARK.seen(id);
    }

    @Override
    public Optional<Film> film(String id) {
      return looked
          ? Optional.of(
              new Film(
                  new Size(160, 90),
                  IntStream.range(0, 4)
                      .mapToObj(i ->
                          new Frame(i + 0.5, Samples.of(16, 9, (_, _) -> i == 2 ? WHITE : BLACK)))
                      .toList()))
          : Optional.empty();
    }
  }

  @InTurn({1, 13})
  @Test
  void wordsOnAClipAreReadOnItsWorstFrame() {
    Edit none = overlay("openings", "#0000");
    Edit bare = boxed("#0000");
    // The demo has a clip of its own.
    Edit still = set("opening-frost", ItemSettings.GROUND_CLIP.id(), "", "");
    Edit moves = set("opening-autumn", ItemSettings.GROUND_CLIP.id(), "", "clip");
    assertThat(found(new Moving(true), still, none, bare)).isEmpty();
    // What nobody has looked at is not judged.
    assertThat(found(new Moving(false), still, none, bare, moves)).isEmpty();
    List<Snag> found = found(new Moving(true), still, none, bare, moves);
    assertThat(found).isNotEmpty();
    assertThat(found.getFirst().message()).contains("on the clip, at 2.5 s of it");
    // Light words on white have hardly any.
    assertThat(found.getFirst().measure().orElseThrow().found()).isLessThan(1.5);
    List<Edit> way = found.getFirst().fixes().getFirst().edits();
    var mended = new ArrayList<Edit>(List.of(still, none, bare, moves));
    mended.addAll(way);
    assertThat(found(new Moving(true), mended.toArray(Edit[]::new)))
        .noneMatch(each -> each.extent().equals(found.getFirst().extent()));
  }

  private List<Snag> found(PictureSizes pictures, Edit... edits) {
    Document changed = Edits.apply(demo, Arrays.asList(edits)).document();
    return Snags.of(changed, changed.piece("openings"), pictures, 0).stream()
        .filter(snag -> snag.rule() == Rule.OVER_PICTURE)
        .toList();
  }

  private static Edit set(String node, String setting, String band, Object value) {
    return new Edit.SetValue(node, setting, band, value);
  }

  private static Edit overlay(String node, String colour) {
    return new Edit.SetStyle(node, StyleKey.parse("slider.overlay/rest/ground"), "desktop", colour);
  }

  /** The contrast of two solid colours; white on #767676 is 4.54. Source: WCAG 2.2's formula. */
  @Test
  void ofOneColourItIsWhatTheFormulaSays() {
    for (String below : List.of("#767676", "#000000", "#0a1412", "#c0ffee")) {
      var legible = new Legible();
      legible.add(Colour.parse("#ffffff"), Integer.parseInt(below.substring(1), 16), 3);
      assertThat(legible.contrast())
          .isCloseTo(
              Colour.contrast(Colour.parse("#ffffff"), Colour.parse(below)), within(0.005001));
    }
    var grey = new Legible();
    grey.add(Colour.parse("#ffffff"), 0x767676, 1);
    assertThat(grey.contrast()).isCloseTo(4.54, within(0.01));
  }

  /** White on white under black: 53 % fails and 54 % passes. Source: computed by WCAG's formula. */
  @Test
  void underBlackWhiteOnWhiteNeedsFiftyFourPercent() {
    for (int percent : List.of(53, 54)) {
      int grey = Legible.mixed(0, 255, (int) Math.round(percent * 2.55));
      var legible = new Legible();
      legible.add(Colour.parse("#ffffff"), grey * 0x010101, 1);
      assertThat(legible.contrast() >= 4.5).as("%d %%", percent).isEqualTo(percent == 54);
    }
  }

  @Test
  void theWorstTwentiethCountsByItsMean() {
    var legible = new Legible();
    legible.add(Colour.parse("#ffffff"), 0xffffff, 1);
    legible.add(Colour.parse("#ffffff"), 0, 99);
    assertThat(legible.contrast()).isCloseTo((1 + 4 * 21) / 5.0, within(0.05));
    legible.add(Colour.parse("#ffffff"), 0xffffff, 3);
    assertThat(legible.contrast()).isCloseTo((4 + 1.15 * 21) / 5.15, within(0.05));
    legible.add(Colour.parse("#ffffff"), 0xffffff, 4);
    assertThat(legible.contrast()).isCloseTo(1, within(0.01));
  }

  /** Means of what can be seen: clear pixels have no say in the colour of their cell. */
  @Test
  void cellsAreMeans() {
    Samples half = Samples.of(2 * Samples.MOST, 2, (x, _) -> x % 2 == 0 ? 0xff204060 : 0x00ffffff);
    assertThat(half.across()).isEqualTo(Samples.MOST);
    assertThat(half.down()).isEqualTo(2);
    assertThat(half.at(7, 1)).isEqualTo(0x7f204060);
    Samples few = Samples.of(3, 2, (x, y) -> BLACK | x << 16 | y);
    assertThat(few.at(2, 1)).isEqualTo(BLACK | 2 << 16 | 1);
  }

  /** Source: CSS Images 3: to the right over 200 px, and to the farthest corner of a circle. */
  @Test
  void aGroundHasTheColoursOfItsGradientWhereTheyStand() {
    Function<Ink, Colour> inks = ink -> ((Ink.Own) ink).colour();
    var line = new GroundAt(Ground.parse("linear-gradient(90deg,#000,#fff)"), 200, 100, inks);
    assertThat(line.at(50, 80)).isEqualTo(0xff404040);
    assertThat(line.at(150, 10)).isEqualTo(0xffbfbfbf);
    var slanted = new GroundAt(Ground.parse("linear-gradient(45deg,#000,#fff)"), 100, 100, inks);
    assertThat(slanted.at(0, 100)).isEqualTo(BLACK);
    assertThat(slanted.at(100, 0)).isEqualTo(WHITE);
    var round =
        new GroundAt(Ground.parse("radial-gradient(circle at 0% 0%,#000,#fff)"), 300, 400, inks);
    assertThat(round.at(300, 400)).isEqualTo(WHITE);
    assertThat(round.at(150, 200) & 255).isBetween(127, 128);
    // Colours on the way to a clear one keep theirs: they are mixed premultiplied.
    var clear = new GroundAt(Ground.parse("linear-gradient(90deg,#f00,#0000)"), 100, 1, inks);
    assertThat(clear.at(50, 0)).isEqualTo(0x80ff0000);
  }

  @Test
  void besideAPictureThatStandsWholeIsTheGroundOfItsSlide() {
    Edit none = overlay("openings", "#0000");
    Edit white =
        new Edit.SetStyle(
            "openings", StyleKey.parse("slider.slide/rest/ground"), "desktop", "#ffffff");
    Edit whole = set("opening-orchids", "fit", "", "whole");
    assertThat(found(pictures((_, _) -> BLACK), none, white)).isEmpty();
    assertThat(found(pictures((_, _) -> BLACK), none, white, whole))
        .isNotEmpty()
        .allSatisfy(snag -> assertThat(snag.item()).isEqualTo("opening-orchids"));
  }

  @Test
  void wordsOnBlackCanBeReadAndThoseOnWhiteOnlyUnderAnOverlay() {
    Edit none = overlay("openings", "#0000");
    assertThat(found(pictures((_, _) -> BLACK), none)).isEmpty();
    List<Snag> white = found(pictures((_, _) -> WHITE), none);
    assertThat(white).extracting(Snag::item).contains("opening-autumn", "opening-orchids");
    // A clip over a picture may show anything: what that is is not known.
    assertThat(white).extracting(Snag::item).doesNotContain("opening-frost");
    assertThat(desktop(white))
        .isNotEmpty()
        .allSatisfy(snag -> {
          assertThat(snag.from()).isEqualTo(1024);
          assertThat(snag.to()).isEqualTo(2560);
          assertThat(snag.fixes())
              .extracting(Snag.Fix::label)
              .singleElement()
              .asString()
              .startsWith("one overlay of ");
        });
  }

  @InTurn({5, 17})
  @Test
  void theLeastOverlayIsEnoughAndOnePercentLessIsNot() {
    PictureSizes bright = pictures((x, y) -> BLACK | 0x9a8878 + (x * 7 + y * 3) % 64 * 0x010101);
    Edit none = overlay("openings", "#0000");
    List<Snag> before = found(bright, none);
    List<Snag> autumn =
        before.stream()
            .filter(snag -> snag.item().equals("opening-autumn") && snag.band().equals("desktop"))
            .toList();
    assertThat(autumn).isNotEmpty();
    Edit.SetStyle fix = (Edit.SetStyle) autumn.getFirst().fixes().getFirst().edits().getFirst();
    assertThat(desktop(found(bright, none, fix))).isEmpty();
    Colour colour = Colour.parse(String.valueOf(fix.value()));
    int percent = (int) Math.round(colour.alpha() / 2.55);
    assertThat(autumn.getFirst().fixes().getFirst().label()).contains(percent + " %");
    var less =
        new Colour(
            colour.red(), colour.green(), colour.blue(), (int) Math.round((percent - 1) * 2.55));
    assertThat(desktop(found(bright, none, overlay("opening-autumn", less.css())))).isNotEmpty();
  }

  /** An overlay that is there keeps its colours and its course, and lets less through. */
  @InTurn({3, 15})
  @Test
  void anOverlayThatIsThereIsDeepenedByAsLittleAsWillDo() {
    PictureSizes bright = pictures((x, y) -> BLACK | 0x9a8878 + (x * 7 + y * 3) % 64 * 0x010101);
    Edit thin = overlay("openings", "linear-gradient(90deg,#0a141240 0%,#0a141210 100%)");
    Snag.Fix deeper = desktop(found(bright, thin)).getFirst().fixes().getFirst();
    assertThat(deeper.label()).startsWith("overlay deeper by ");
    Edit.SetStyle fix = (Edit.SetStyle) deeper.edits().getFirst();
    assertThat(String.valueOf(fix.value()))
        .matches("linear-gradient\\(90deg,#0a1412.. 0%,#0a1412.. 100%\\)");
    assertThat(desktop(found(bright, thin, fix))).isEmpty();
  }

  private static List<Snag> desktop(List<Snag> found) {
    return found.stream()
        .filter(snag -> snag.item().equals("opening-autumn") && snag.band().equals("desktop"))
        .toList();
  }

  /** A picture that is bright on its left only: it matters where the words stand. */
  @InTurn({4, 16})
  @Test
  void itMattersWhereTheWordsStand() {
    PictureSizes split = pictures((x, _) -> x < 200 ? WHITE : BLACK);
    Edit none = overlay("openings", "#0000");
    Edit narrow = set("openings", "wordsMeasure", "desktop", "300px");
    Edit end = set("openings", "place", "desktop", "end");
    Edit mirrored = set(demo.page().id(), "direction", Values.ALL, "rtl");
    assertThat(desktop(found(split, none, narrow))).isNotEmpty();
    assertThat(desktop(found(split, none, narrow, end))).isEmpty();
    assertThat(desktop(found(split, none, narrow, mirrored))).isEmpty();
    assertThat(desktop(found(split, none, narrow, end, mirrored))).isNotEmpty();
  }

  /** Files are asked for by how large a picture is drawn at the most while it moves. */
  @Test
  void aPictureIsAskedForAsLargeAsItsFramesDrawIt() {
    var item = new Item("item", Values.NONE.with(ItemSettings.PICTURE, Values.ALL, "picture"));
    var other = new Item("other", item.values());
    Document still =
        new Document(
            new Site(Bands.INITIAL, Values.NONE),
            new Page(
                "page",
                Values.NONE,
                List.of(
                    new Section(
                        "section",
                        Values.NONE,
                        List.of(new Slider("slider", Values.NONE, List.of(item, other)))))));
    Document moves =
        Edits.apply(
                still,
                List.of(
                    new Edit.SetValue("slider", "movesItself", "desktop", true),
                    new Edit.SetValue("slider", "movesItself", "phone", false),
                    new Edit.SetValue("slider", "groundMoves", "desktop", "nearer"),
                    new Edit.SetValue("slider", "groundBy", "desktop", 25),
                    new Edit.SetValue("item", "framing", "", "0% 0% 2 to 50% 50% 1")))
            .document();
    assertThat(drawn(moves, "item", 1280)).isCloseTo(2 * drawn(still, "item", 1280), within(0.01));
    assertThat(drawn(moves, "other", 1280))
        .isCloseTo(1.25 * drawn(still, "other", 1280), within(0.01));
    // On phones it stands.
    assertThat(drawn(moves, "item", 390)).isEqualTo(drawn(still, "item", 390));
  }

  private static double drawn(Document document, String item, int width) {
    return PictureWidths.of(document, new OnePicture((_, _) -> BLACK)).stream()
        .filter(widths -> widths.band().equals(document.bands().at(width)))
        .findFirst()
        .orElseThrow()
        .item(document.piece("slider"), (Item) document.node(item), new Size(400, 300))
        .at(width);
  }
}
