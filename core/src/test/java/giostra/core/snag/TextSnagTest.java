package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.layout.Heights;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.piece.counters.CounterParts;
import giostra.core.testing.Demo;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Findings about texts, put into the demo one at a time. */
class TextSnagTest {
  private final Document demo = Demo.document();

  private List<Snag> found(Rule rule, String piece, Edit... edits) {
    Document changed = Edits.apply(demo, Arrays.asList(edits)).document();
    return Snags.of(changed, changed.piece(piece), _ -> Optional.empty(), 0).stream()
        .filter(snag -> snag.rule() == rule)
        .toList();
  }

  private static Edit set(String node, String setting, String band, Object value) {
    return new Edit.SetValue(node, setting, band, value);
  }

  @Test
  void theDemoHasItsSnagsOnPurpose() {
    // Three of widths, one of a state, of time and of a date; the seventh is of a picture's
    // colours.
    List<Snag> all =
        Snags.of(demo, Demo.PICTURES, 0).stream()
            .filter(snag -> snag.rule().severity() != Severity.NOTE)
            .toList();
    assertThat(all)
        .extracting(Snag::rule)
        .containsExactlyInAnyOrder(
            Rule.NARROW, Rule.NARROW, Rule.BROKEN_WORD, Rule.JUMP, Rule.HASTY, Rule.NOBODY);
    assertThat(all)
        .filteredOn(snag -> snag.rule() == Rule.BROKEN_WORD)
        .singleElement()
        .satisfies(snag -> {
          assertThat(snag.message())
              .isEqualTo("\u201cMoonflower\u201d breaks within the word (card) from 280 to 283");
          assertThat(snag.fixes()).extracting(Snag.Fix::label).containsExactly("no peek");
        });
  }

  /** A memory must not change what is found; edits and their inverses in all parts of the page. */
  @Test
  void aSweepThatRemembersFindsWhatOneDoesThatDoesNot() {
    var sweep = new Sweep();
    Document page = demo;
    for (Edit edit :
        List.of(
            set("houses", "inView", "tablet", 2.0),
            set("house-2", "heading", Values.ALL, "Donaudampfschiffahrtsgesellschaft"),
            set("houses-section", "padding", "tablet", "120px"),
            set("site", "measure", "desktop", "700px"),
            new Edit.MoveBreakpoint("tablet", 700),
            set("idea-columns", "ratio", "desktop", "1:3"),
            set("four-houses", "headsWidth", "desktop", "500px"))) {
      page = Edits.apply(page, List.of(edit)).document();
      assertThat(sweep.of(page, _ -> Optional.empty(), 0))
          .as("after %s", edit)
          .isEqualTo(Snags.of(page, _ -> Optional.empty(), 0));
    }
  }

  @Test
  void aWordWiderThanItsCardIsFoundWithItsRangeAndMended() {
    // 42 letters of 20.8 px are wider than any card of three, and than most phones.
    String word = "Gew\u00e4chshausschl\u00fcsselverwaltungsbeamtinnen";
    Edit heading = set("house-2", "heading", Values.ALL, word);
    List<Snag> found = found(Rule.BROKEN_WORD, "houses", heading);
    assertThat(found).isNotEmpty().allMatch(snag -> snag.item().equals("house-2"));
    assertThat(found).extracting(Snag::band).contains("tablet");
    Snag tablet =
        found.stream().filter(snag -> snag.band().equals("tablet")).findFirst().orElseThrow();
    assertThat(tablet.message())
        .startsWith("\u201c" + word + "\u201d breaks within the word (card) from 768 to ");
    assertThat(tablet.fixes()).extracting(Snag.Fix::label).containsExactly("show 2");
  }

  /** Words of a slide have the same room wherever the slide is wider than it. */
  @Test
  void aTextWithinAThousandthOfAnotherNumberOfLinesIsFoundAndOneFurtherOffIsNot() {
    double at = 300;
    while (high(at) == high(at + 0.2)) {
      at += 0.2;
    }
    assertThat(at).isLessThan(520);
    // Of two that differ by less than a thousandth, and in lines, both are close.
    for (double close : List.of(at, at + 0.2)) {
      assertThat(found(Rule.CLOSE, "openings", wide(close)))
          .as("%s px", close)
          .isNotEmpty()
          .allSatisfy(snag -> {
            assertThat(snag.item()).isEqualTo("opening-autumn");
            assertThat(snag.rule().severity()).isEqualTo(Severity.HINT);
            assertThat(snag.to() - snag.from()).isGreaterThanOrEqualTo(48);
          });
    }
    assertThat(found(Rule.CLOSE, "openings", wide(at * 0.996))).isEmpty();
    assertThat(found(Rule.CLOSE, "openings", wide(at * 1.004))).isEmpty();
  }

  private Edit[] wide(double px) {
    return new Edit[] {
      set("openings", "wordsMeasure", "desktop", Math.round(px * 10) / 10.0 + "px"),
      set("openings", "height", "desktop", "auto"),
      set("opening-autumn", "text", Values.ALL, ""),
      set("opening-autumn", "button", Values.ALL, ""),
      set("opening-autumn", "kicker", Values.ALL, ""),
      set("opening-frost", "hidden", Values.ALL, true),
      set("opening-orchids", "hidden", Values.ALL, true),
      set(
          "opening-autumn",
          "heading",
          Values.ALL,
          "A dozen words that fall into two lines or three, as it is")
    };
  }

  private double high(double px) {
    Document changed = Edits.apply(demo, Arrays.asList(wide(px))).document();
    return Heights.of(changed, changed.piece("openings"), PictureSizes.NONE, 0, 800)
        .at(1280)
        .getFirst()
        .height();
  }

  @Test
  void aNumberWiderThanItsBoxIsFoundAndWhatBreaksIsNot() {
    // Two columns at 280 px have 112 px each; "00,000" is 3.6 times as wide as it is high.
    Edit number =
        new Edit.SetStyle(
            "figures", CounterParts.NUMBER.key(Property.TEXT_SIZE, State.REST), "phone", "40px");
    assertThat(found(Rule.NO_ROOM, "figures", number))
        .singleElement()
        .satisfies(snag -> {
          assertThat(snag.band()).isEqualTo("phone");
          assertThat(snag.from()).isEqualTo(280);
          assertThat(snag.to()).isBetween(335, 350);
          assertThat(snag.message()).startsWith("figure: needs at least 144 px and has 112 px");
          assertThat(snag.fixes()).extracting(Snag.Fix::label).containsExactly("show 1");
        });
    assertThat(found(Rule.NO_ROOM, "figures")).isEmpty();
    Edit long45 = set("house-2", "heading", Values.ALL, "a".repeat(45));
    assertThat(found(Rule.NO_ROOM, "houses", long45)).isEmpty();
  }

  @Test
  void arrowsThatNeedMoreThanThereIsAreFound() {
    Edit beside = set("words", "arrows", "phone", "beside");
    Edit distance = set("words", "arrowDistance", "phone", "96px");
    // And what they leave is too little for a card.
    assertThat(found(Rule.NO_ROOM, "words", beside, distance))
        .extracting(snag -> snag.message().replaceFirst(" px.*", ""))
        .containsExactlyInAnyOrder("arrows: needs at least 280", "card: needs at least 54");
    assertThat(found(Rule.NO_ROOM, "words", beside, distance))
        .filteredOn(snag -> snag.message().startsWith("arrows"))
        .flatExtracting(Snag::fixes)
        .extracting(Snag.Fix::label)
        .containsExactly("arrows below");
    assertThat(found(Rule.NO_ROOM, "words", beside)).isEmpty();
  }

  @Test
  void aFixedPanelThatHoldsMoreIsFound() {
    Edit fixed = set("questions", "panelHeight", "desktop", "fixed");
    Edit own = set("questions", "panelHeight", "tablet", "own");
    Edit low = set("questions", "panelFixed", "desktop", "80px");
    assertThat(found(Rule.CUT_OFF, "questions", fixed, own, low))
        .singleElement()
        .satisfies(snag -> {
          assertThat(snag.band()).isEqualTo("desktop");
          assertThat(snag.message())
              .matches("\\d+ panels hold more than 80 px and scroll from 1024 .*");
          assertThat(snag.fixes()).hasSize(1);
        });
    assertThat(found(Rule.CUT_OFF, "questions")).isEmpty();
  }

  @Test
  void headingsInManyRowsAreFound() {
    Edit natural = set("four-houses", "headsRow", "desktop", "natural");
    Edit wrap = set("four-houses", "overflow", "desktop", "wrap");
    Edit form = set("four-houses", "form", "phone", "tabs");
    Edit side = set("four-houses", "headsSide", "desktop", "above");
    assertThat(found(Rule.WRAPPED_HEADINGS, "four-houses", natural, wrap, form, side))
        .isNotEmpty()
        .allMatch(snag -> snag.band().equals("phone"))
        .allMatch(snag -> snag.message().startsWith("headings take up to "));
  }

  @Test
  void aPictureThatIsDrawnWiderThanItIsIsFound() {
    // Edge to edge, 1600 px are enlarged from 1633 on: 2 % more nobody sees. Of a frame that draws
    // a
    // picture 1.45 times as large a quarter may pass: 1600 / 1.45 * 1.25 * 1.02 = 1406.9.
    Document framed =
        Edits.apply(
                demo, List.of(set("opening-autumn", "framing", "", "35% 60% 1.45 to 55% 50% 1")))
            .document();
    PictureSizes pictures =
        id -> id.isEmpty() ? Optional.empty() : Optional.of(new PictureSizes.Size(1600, 900));
    assertThat(Snags.of(framed, framed.piece("openings"), pictures, 0))
        .filteredOn(snag -> snag.rule() == Rule.ENLARGED)
        .extracting(Snag::message)
        .containsExactlyInAnyOrder(
            "the picture, 1600 px wide, is enlarged 2.32 times from 1407 to 2560",
            "the picture, 1600 px wide, is enlarged 1.60 times from 1633 to 2560",
            "the picture, 1600 px wide, is enlarged 1.60 times from 1633 to 2560");
  }

  @Test
  void aCharacterThatNoFontHasIsFound() {
    Edit heading = set("house-2", "heading", Values.ALL, "Ge\u1208ez house");
    assertThat(found(Rule.NO_GLYPH, "houses", heading))
        .singleElement()
        .satisfies(snag -> {
          assertThat(snag.item()).isEqualTo("house-2");
          assertThat(snag.message()).isEqualTo("no font that ships has \u1208 from 280 to 2560");
        });
  }
}
