package giostra.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.Tracked;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.tempo.Trace;
import giostra.core.tempo.Visit;
import giostra.core.testing.Demo;
import giostra.core.value.Change.Manner;
import giostra.core.value.Refused;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a track of the demo rests for, how it changes, and what is found of it. */
class PacingTest {
  private static Document demo(Edit... edits) {
    return Edits.apply(Demo.document(), List.of(edits)).document();
  }

  private static Edit desktop(String node, String setting, Object value) {
    return new Edit.SetValue(node, setting, "desktop", value);
  }

  private static Edit once(String node, String setting, Object value) {
    return new Edit.SetValue(node, setting, "", value);
  }

  private static Pacing at(Document document, String piece, double width) {
    var track = (Tracked) document.piece(piece);
    TrackBand band = TrackLayout.of(document, track, 0).at(width);
    return Pacing.of(document, track, band);
  }

  /** Source: UAX #29, "Word Boundaries". */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "The garden opens at dusk.|en|5",
        "don\u2019t|en|1",
        "1,200 lamps \u2014 and one moth|en|5",
        "|en|0",
        "\u2014 \u2026 !|en|0",
        "Stra\u00dfenlaternenanz\u00fcnder|de|1"
      })
  void wordsAreCountedAsTheirLanguagePartsThem(String text, String language, int words) {
    assertThat(Reading.words(text == null ? "" : text, Locale.forLanguageTag(language)))
        .isEqualTo(words);
  }

  /** 238 words a minute: 119 words take half of one. */
  @Test
  void wordsTakeTheirTime() {
    assertThat(Reading.ms(119)).isEqualTo(30_000);
    assertThat(Reading.ms(0)).isZero();
  }

  @Test
  void aStopRestsForTheLongestOwnRestElseAsThePieceSays() {
    Document document =
        demo(
            desktop("words", "movesItself", true),
            desktop("words", "rest", "5s"),
            once("words-1", "ownRest", "7s"),
            once("words-2", "ownRest", "9s"));
    List<String> ids = document.piece("words").items().stream().map(each -> each.id()).toList();
    Pacing pacing = at(document, "words", 1280);
    for (int stop = 0; stop < pacing.score().stops(); stop++) {
      List<String> shown = pacing.shown(stop).stream().map(each -> each.id()).toList();
      long rest = shown.contains("words-2") ? 9000 : shown.contains("words-1") ? 7000 : 5000;
      assertThat(pacing.rests(stop)).as(shown.toString()).isEqualTo(rest);
    }
    assertThat(ids).contains("words-1", "words-2");
  }

  @Test
  void whatIsReadDecidesWithinItsBounds() {
    Document document =
        demo(
            desktop("openings", "movesItself", true),
            desktop("openings", "restsBy", "reading"),
            desktop("openings", "restLeast", "6s"),
            desktop("openings", "restMost", "9.5s"));
    Pacing pacing = at(document, "openings", 1280);
    for (int stop = 0; stop < 3; stop++) {
      long reads = pacing.reads(stop);
      assertThat(pacing.rests(stop)).isEqualTo(Math.clamp(reads, 6000, 9500));
    }
    // The words follow: one more is a quarter of a second more.
    Document longer =
        Edits.apply(document, List.of(once("opening-orchids", "kicker", "All nine long weeks")))
            .document();
    assertThat(at(longer, "openings", 1280).reads(2) - pacing.reads(2))
        .isCloseTo(Math.round(2 / Reading.WORDS_A_MINUTE * 60_000), within(1L));
  }

  @Test
  void itMovesByItselfWhereItIsSetToAlone() {
    Document document =
        demo(
            desktop("openings", "movesItself", true),
            new Edit.SetValue("openings", "movesItself", "phone", false));
    assertThat(at(document, "openings", 1280).movesItself()).isTrue();
    assertThat(at(document, "openings", 800).movesItself()).isTrue();
    assertThat(at(document, "openings", 390).movesItself()).isFalse();
  }

  @Test
  void cardsThatNeighbouringViewsShareCannotBeInTwoPlaces() {
    Document one = demo(desktop("words", "changes", "fade"), desktop("words", "stride", 1.0));
    Pacing shared = at(one, "words", 1280);
    assertThat(shared.overlaps()).isTrue();
    assertThat(shared.taken(shared.first(0)).getFirst().manner()).isEqualTo(Manner.MOVE);
    assertThat(Snags.of(Rule.NO_EFFECT, one, one.piece("words"), 0))
        .anyMatch(each -> each.place().value().equals("changes") && each.band().equals("desktop"));
    assertThat(at(demo(desktop("openings", "changes", "fade")), "openings", 1280).overlaps())
        .isFalse();
  }

  /** Ways at random: none twice in a row, the same for the same piece. */
  @Test
  void aRandomOrderNeverTakesTheSameTwice() {
    Document document =
        demo(
            desktop("openings", "changes", "fade, push, zoom"),
            once("openings", "changeOrder", "random"));
    List<Integer> order = at(document, "openings", 1280).order(3);
    for (int i = 0; i < order.size(); i++) {
      assertThat(order.get(i)).isNotEqualTo(order.get((i + 1) % order.size()));
    }
    assertThat(order).contains(0, 1, 2).isEqualTo(at(document, "openings", 1280).order(3));
    assertThat(at(demo(), "openings", 1280).order(3)).containsExactly(0, 1, 2);
  }

  private static Stream<Snag> found(Document document) {
    return Snags.of(document, document.piece("openings"), _ -> Optional.empty(), 0).stream()
        .filter(each -> each.rule() == Rule.HASTY || each.rule() == Rule.LATE_WORDS);
  }

  /** A rest at what there is to read is none too short; each way out takes the finding away. */
  @Test
  void aRestShorterThanItsWordsIsFoundAndMended() {
    Document hasty =
        demo(
            desktop("openings", "movesItself", true),
            desktop("openings", "restsBy", "time"),
            desktop("openings", "rest", "3s"));
    List<Snag> snags = found(hasty).filter(each -> each.band().equals("desktop")).toList();
    assertThat(snags).hasSize(3).allMatch(each -> each.from() == 1024 && each.to() == 2560);
    assertThat(snags.getFirst().message())
        .matches("rests 3 s; its \\d+ words take [\\d.]+ s to read");
    for (Snag.Fix fix : snags.getFirst().fixes()) {
      Document mended = Edits.apply(hasty, fix.edits()).document();
      assertThat(found(mended).filter(each -> each.band().equals("desktop")))
          .as(fix.label())
          .noneMatch(each -> each.item().equals(snags.getFirst().item()));
    }
    assertThat(
            found(
                demo(
                    desktop("openings", "movesItself", false),
                    desktop("openings", "restsBy", "time"),
                    desktop("openings", "rest", "3s"))))
        .isEmpty();
    long reads = at(hasty, "openings", 1280).reads(0);
    String just = reads / 1000.0 + "s";
    String item = at(hasty, "openings", 1280).first(0).id();
    Document enough = Edits.apply(hasty, List.of(once(item, "ownRest", just))).document();
    assertThat(found(enough)).noneMatch(each -> each.item().equals(item));
  }

  @Test
  void wordsThatComeInAfterTheirSlideHasGoneAreFound() {
    Document late =
        demo(
            desktop("openings", "movesItself", true),
            desktop("openings", "restsBy", "time"),
            desktop("openings", "rest", "2s"),
            desktop("openings", "wordsCome", "rise"),
            desktop("openings", "wordsBeat", "1.5s"));
    assertThat(found(late)).anyMatch(each -> each.rule() == Rule.LATE_WORDS);
    Document soon = Edits.apply(late, List.of(desktop("openings", "wordsBeat", "0.1s"))).document();
    assertThat(found(soon)).noneMatch(each -> each.rule() == Rule.LATE_WORDS);
  }

  /** From when a slide begins to come: its words after 0.35 of 0.9 s, its pin after 0.7 s. */
  @Test
  void whatComesInAfterASlideIsOnTheTape() {
    Pacing pacing = Pacing.at(demo(), "openings", 1280);
    Item orchids = pacing.first(2);
    assertThat(pacing.change(orchids)).isEqualTo(900);
    List<Pacing.Coming> comings = pacing.comings(orchids);
    assertThat(comings).extracting(Pacing.Coming::of).containsExactly("", "orchids-pin");
    assertThat(comings).extracting(Pacing.Coming::from).containsExactly(315L, 700L);
    assertThat(comings.getFirst().until()).isEqualTo(pacing.wordsUntil(orchids));
    assertThat(comings.getLast().until()).isEqualTo(pacing.pinsUntil(orchids));
    assertThat(pacing.comings(pacing.first(0))).hasSize(1);
  }

  /**
   * The demo's slider rests by reading, so nothing of it goes by too fast but what may rest no
   * longer on a tablet, on purpose; on a phone it stands.
   */
  @Test
  void theDemosSliderRestsForAsLongAsItsWordsTake() {
    Pacing pacing = Pacing.at(demo(), "openings", 1280);
    for (int stop = 0; stop < 3; stop++) {
      assertThat(pacing.rests(stop)).isEqualTo(Math.clamp(pacing.reads(stop), 4000, 20_000));
    }
    assertThat(found(demo()))
        .singleElement()
        .satisfies(each -> {
          assertThat(each.item()).isEqualTo("opening-frost");
          assertThat(each.band()).isEqualTo("tablet");
        });
    assertThat(Pacing.at(demo(), "openings", 390).trace(Visit.none(), 60_000)).isEmpty();
    List<Trace.Stretch> round = pacing.firstRound();
    assertThat(round.getLast().to()).isEqualTo(pacing.round());
    assertThat(round).hasSize(6);
  }

  @Test
  void whatDoesNotGoFromStopToStopHasNoPacing() {
    assertThatThrownBy(() -> Pacing.at(demo(), "figures", 1280))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("a slider or a carousel");
    assertThatThrownBy(() -> Pacing.at(demo(), "openings", 200)).isInstanceOf(Refused.class);
  }
}
