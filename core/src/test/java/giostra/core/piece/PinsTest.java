package giostra.core.piece;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import giostra.core.anatomy.PinParts;
import giostra.core.band.Bands;
import giostra.core.drive.Reading;
import giostra.core.format.DocumentJson;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Conversion;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.NodeType;
import giostra.core.page.Page;
import giostra.core.page.PinSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.slider.Box;
import giostra.core.piece.slider.SlidePins;
import giostra.core.piece.slider.Slider;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.testing.OnePicture;
import giostra.core.value.Place;
import giostra.core.value.Refused;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is pinned to slides; that it stands where this says is PinJourney's. */
class PinsTest {
  private static final PictureSizes NONE = _ -> Optional.empty();

  private static Edit set(String node, String setting, Object value) {
    return new Edit.SetValue(node, setting, "desktop", value);
  }

  private static Edit once(String node, String setting, Object value) {
    return new Edit.SetValue(node, setting, "", value);
  }

  private static Edit style(String node, String key, Object value) {
    return new Edit.SetStyle(node, StyleKey.parse(key), "desktop", value);
  }

  private static Document with(Edit... edits) {
    var words =
        Values.NONE
            .with(ItemSettings.HEADING, Values.ALL, "Dusk")
            .with(ItemSettings.TEXT, Values.ALL, "The doors are open from dusk. ".repeat(4));
    var pin = new Block.Pin("pin", Values.NONE.with(PinSettings.WORDS, Values.ALL, "From 12"));
    var section =
        new Section(
            "section",
            Values.NONE,
            List.of(
                new Slider(
                    "slider",
                    Values.NONE,
                    List.of(new Item("one", words, List.of(pin)), new Item("two", words)))));
    var bare =
        new Document(
            new Site(Bands.INITIAL, Values.NONE), new Page("page", Values.NONE, List.of(section)));
    return Edits.apply(
            bare,
            Stream.concat(
                    Stream.of(
                        set("slider", "arrows", "below"),
                        set("slider", "height", "600px"),
                        set("slider", "place", "bottom-start")),
                    Arrays.stream(edits))
                .toList())
        .document();
  }

  private static List<Snag> found(Document document, Rule rule, PictureSizes pictures) {
    return Snags.of(document, document.piece("slider"), pictures, 0).stream()
        .filter(snag -> snag.rule() == rule && snag.place().item().equals("pin"))
        .toList();
  }

  private static Box at(Document document, int width) {
    return SlidePins.at(
            document,
            NONE,
            (Slider) document.piece("slider"),
            (Block.Pin) document.node("pin"),
            width)
        .pin();
  }

  /** Words of so many px in a box of 40 by 20 more; from the corner of the room of 48 px. */
  @Test
  void standsInOneOfNinePlacesAndSoFarInwards() {
    for (Place place : Place.values()) {
      Document document =
          with(
              set(
                  "pin",
                  "place",
                  place.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-')),
              set("pin", "across", "30px"),
              set("pin", "down", "10px"));
      Box box = at(document, 1280);
      double wide =
          1280
              - 2
                  * Resolution.value(
                          document,
                          document.node("section"),
                          giostra.core.page.SectionSettings.PADDING,
                          document.bands().at(1280))
                      .constantPx();
      double room = Math.min(wide, 1120) - 96 - box.width();
      assertThat(box.x() - 48)
          .as(place.name())
          .isCloseTo(
              place.across() == 0 ? 30 : place.across() == 1 ? room - 30 : room / 2 + 30,
              within(0.01));
      assertThat(box.y() - 48)
          .as(place.name())
          .isCloseTo(
              place.down() == 0
                  ? 10
                  : (600 - 96 - box.height()) * place.down() + (place.down() == 1 ? -10 : 10),
              within(0.01));
    }
  }

  @Test
  void readsFromTheOtherSideWhereOneReadsFromTheRight() {
    Document document = with(set("pin", "place", "top-start"), set("pin", "across", "30px"));
    Document other = Edits.apply(document, List.of(once("page", "direction", "rtl"))).document();
    assertThat(other.mirrored()).isTrue();
    Box there = at(other, 1280);
    Box here = at(document, 1280);
    assertThat(there.y()).isEqualTo(here.y());
    assertThat(there.x()).isGreaterThan(here.x() + 500);
  }

  @Test
  void wearsWhatItsSliderSaysAndDepartsByItself() {
    var ground = PinParts.PIN_WORDS.key(Property.GROUND, State.REST);
    Document document =
        with(
            style("slider", ground.written(), "#112233"),
            style("pin", "pin.words/rest/ink", "#ffffff"));
    var pin = document.node("pin");
    var band = document.bands().at(1280);
    assertThat(
            Cascade.value(
                    PinParts.PIN_WORDS,
                    Property.GROUND,
                    State.REST,
                    Resolution.scope(document, pin),
                    band)
                .written())
        .isEqualTo("#112233");
    // The items of a slider do not speak of what is pinned to them.
    assertThatThrownBy(() -> NodeType.ITEM.style(ground)).isInstanceOf(Refused.class);
    assertThat(NodeType.PIN.style(ground)).isNotNull();
  }

  @Test
  void isReadBackAndStaysWhereAKindHasNone() {
    Document document = with(set("pin", "across", "-40px"), once("pin", "comes", "grow"));
    assertThat(DocumentJson.read(DocumentJson.write(document)).page()).isEqualTo(document.page());
    Conversion to = Conversion.of(document, document.piece("slider"), NodeType.TABS);
    assertThat(to.unfit()).contains("Pins on items (kept, not shown)");
    Document tabs = Edits.apply(document, to.edits()).document();
    assertThat(((Item) tabs.node("one")).panel()).isEmpty();
    assertThat(((Item) tabs.node("one")).pins()).hasSize(1);
    assertThatThrownBy(() ->
            Edits.apply(
                document,
                List.of(new Edit.AddNode("section", 0, new Block.Pin("other", Values.NONE)))))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Edits.apply(document, List.of(set("pin", "across", "601px"))))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("-600 to 600 px");
  }

  @Test
  void itsWordsTakeTimeToRead() {
    Document document = with();
    var slider = document.piece("slider");
    assertThat(Reading.words(document, slider, slider.items().get(0)))
        .isEqualTo(Reading.words(document, slider, slider.items().get(1)) + 2);
  }

  @Test
  void overWordsItIsToldAndEachWayOutIsOne() {
    assertThat(found(with(set("pin", "place", "top-end")), Rule.COVERED, NONE)).isEmpty();
    Document document = with(set("pin", "place", "bottom-start"));
    List<Snag> found = found(document, Rule.COVERED, NONE);
    assertThat(found).isNotEmpty();
    // Places above the words, and not at all.
    assertThat(found.getFirst().fixes()).hasSizeGreaterThanOrEqualTo(4);
    for (int way = 0; way < found.getFirst().fixes().size(); way++) {
      Document mended = document;
      for (Snag snag : found) {
        mended =
            Edits.apply(mended, snag.fixes().get(Math.min(way, snag.fixes().size() - 1)).edits())
                .document();
      }
      assertThat(found(mended, Rule.COVERED, NONE))
          .as(found.getFirst().fixes().get(way).label())
          .isEmpty();
    }
    // Hidden, it covers nothing.
    assertThat(
            found(
                with(set("pin", "place", "bottom-start"), set("pin", "shown", false)),
                Rule.COVERED,
                NONE))
        .isEmpty();
  }

  @Test
  void wordsOutOfTheSlideAreToldAndAPictureIsNot() {
    assertThat(found(with(set("pin", "across", "-46px")), Rule.CUT_OFF, NONE)).isEmpty();
    Document document = with(set("pin", "across", "-52px"));
    List<Snag> found = found(document, Rule.CUT_OFF, NONE);
    assertThat(found).isNotEmpty();
    assertThat(found.getFirst().message()).contains("“From 12” on a pin stands 4 px out");
    Document mended = document;
    for (Snag snag : found) {
      mended = Edits.apply(mended, snag.fixes().getFirst().edits()).document();
    }
    assertThat(found(mended, Rule.CUT_OFF, NONE)).isEmpty();
    var picture = new OnePicture((_, _) -> 0xff808080);
    assertThat(
            found(
                with(
                    once("pin", "words", ""),
                    once("pin", "picture", "picture"),
                    set("pin", "across", "-90px")),
                Rule.CUT_OFF,
                picture))
        .isEmpty();
  }

  /** White words without a ground of their own on grey, which is read; on white, which is not. */
  @Test
  void wordsWithoutAGroundAreReadOnThePicture() {
    for (int grey : new int[] {0x40, 0xff}) {
      int colour = 0xff000000 | grey * 0x010101;
      Document document =
          with(
              once("one", "picture", "picture"),
              style("slider", "slider.overlay/rest/ground", "#0000"),
              style("pin", "pin.words/rest/ground", "#0000"),
              style("pin", "pin.words/rest/ink", "#ffffff"));
      List<Snag> found =
          Snags.of(document, document.piece("slider"), new OnePicture((_, _) -> colour), 0).stream()
              .filter(snag ->
                  snag.rule() == Rule.OVER_PICTURE && snag.place().part().equals("pin.words"))
              .toList();
      assertThat(found.isEmpty()).as("on %x", grey).isEqualTo(grey == 0x40);
    }
    // With a ground that lets nothing through the picture is of no matter.
    Document solid =
        with(
            style("pin", "pin.words/rest/ground", "#777777"),
            style("pin", "pin.words/rest/ink", "#888888"));
    assertThat(
            Snags.of(solid, solid.piece("slider"), NONE, 0).stream()
                .filter(snag -> snag.rule() == Rule.CONTRAST)
                .map(snag -> snag.place().part()))
        .contains("pin.words");
  }

  @Test
  void aPinThatComesInTooLateIsTold() {
    Edit[] late = {
      set("slider", "movesItself", true),
      set("slider", "rest", "2s"),
      once("pin", "comes", "grow"),
      once("pin", "comesAfter", "4s"),
      once("pin", "comesTakes", "1s")
    };
    Document document = with(late);
    List<Snag> found =
        Snags.of(document, document.piece("slider"), NONE, 0).stream()
            .filter(snag -> snag.rule() == Rule.LATE_WORDS)
            .toList();
    assertThat(found).isNotEmpty();
    assertThat(found.getFirst().message()).contains("its last pin has come in after 5");
    Document mended = Edits.apply(document, found.getFirst().fixes().getFirst().edits()).document();
    assertThat(Snags.of(mended, mended.piece("slider"), NONE, 0))
        .noneMatch(snag -> snag.rule() == Rule.LATE_WORDS);
  }

  /** 38 letters in one word do not fit on a slide of a phone, at 32 px. */
  @Test
  void aWordThatBreaksOnAPinIsTold() {
    Document document =
        with(
            once("pin", "words", "Nachtfalterbeobachtungsabendveranstaltung"),
            style("pin", "pin.words/rest/text-size", "32px"));
    assertThat(
            Snags.of(document, document.piece("slider"), NONE, 0).stream()
                .filter(snag -> snag.rule() == Rule.BROKEN_WORD)
                .map(Snag::message))
        .anyMatch(said -> said.startsWith("“Nachtfalterbeobachtungsabendveranstaltung” breaks"));
  }

  @Test
  void aPinWithoutAnythingIsTold() {
    Document document = with(once("pin", "words", " "));
    List<Snag> found = found(document, Rule.EMPTY, NONE);
    assertThat(found).hasSize(1);
    Document mended = Edits.apply(document, found.getFirst().fixes().getFirst().edits()).document();
    assertThat(mended.find("pin")).isEmpty();
  }

  @Test
  void itsPictureNeedsATextAlternative() {
    var picture =
        new PictureSizes() {
          @Override
          public Optional<Size> find(String id) {
            return id.isEmpty() ? Optional.empty() : Optional.of(new Size(400, 300));
          }

          @Override
          public boolean untold(String id) {
            return !id.isEmpty();
          }
        };
    Document document = with(once("pin", "picture", "picture"));
    assertThat(found(document, Rule.UNTOLD, picture)).hasSize(1);
    assertThat(
            found(
                with(once("pin", "picture", "picture"), once("pin", "alt", "A lamp")),
                Rule.UNTOLD,
                picture))
        .isEmpty();
  }
}
