package giostra.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.testing.Demo;
import giostra.core.value.Refused;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeasonTest {
  private static final ZoneId UTC = ZoneId.of("UTC");

  /**
   * Wall-clock times in zones that change theirs. Source: java.time ("ZonedDateTime.of": a time in
   * a gap is later by its length, of one in an overlap the earlier counts), and the IANA database's
   * rules for the days on which these zones change.
   */
  @ParameterizedTest
  @CsvSource({
    "Europe/Berlin, 2027-03-28T02:30, 2027-03-28T01:30:00Z",
    "Europe/Berlin, 2026-10-25T02:30, 2026-10-25T00:30:00Z",
    "America/New_York, 2027-03-14T02:30, 2027-03-14T07:30:00Z",
    "Australia/Lord_Howe, 2027-04-04T01:45, 2027-04-03T14:45:00Z",
    "Asia/Kathmandu, 2027-01-01, 2026-12-31T18:15:00Z",
    "UTC, 2026-12-01, 2026-12-01T00:00:00Z"
  })
  void aTimeIsThatOfTheZonesClocks(String zone, String begins, Instant at) {
    Season season = Season.of(begins, "", false);
    assertThat(season.dates(ZoneId.of(zone)).getFirst().from()).contains(at);
    assertThat(season.shows(at, ZoneId.of(zone))).isTrue();
    assertThat(season.shows(at.minusMillis(1), ZoneId.of(zone))).isFalse();
  }

  @Test
  void aDateEndsWithItsLastMoment() {
    Season season = Season.of("2026-12-01", "2026-12-24", false);
    assertThat(season.shows(Instant.parse("2026-12-24T23:59:59.999Z"), UTC)).isTrue();
    assertThat(season.shows(Instant.parse("2026-12-25T00:00:00Z"), UTC)).isFalse();
    assertThat(Season.of("", "", true).always()).isTrue();
  }

  /**
   * Source: RFC 5545, 3.3.10: FREQ=YEARLY comes each year on the day of DTSTART, and a day that a
   * year does not have is ignored.
   */
  @Test
  void whatComesAgainSkipsYearsThatDoNotHaveItsDay() {
    Season winter = Season.of("2026-12-01", "2027-02-28", true);
    assertThat(winter.shows(Instant.parse("2031-01-15T12:00:00Z"), UTC)).isTrue();
    assertThat(winter.shows(Instant.parse("2031-03-01T00:00:00Z"), UTC)).isFalse();
    assertThat(winter.dates(UTC)).hasSize(Season.YEARS);
    Season leap = Season.of("2024-02-29", "2024-02-29", true);
    assertThat(leap.dates(UTC)).hasSize(3);
    assertThat(leap.shows(Instant.parse("2028-02-29T12:00:00Z"), UTC)).isTrue();
    assertThat(leap.shows(Instant.parse("2027-03-01T12:00:00Z"), UTC)).isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "2026-12-24, 2026-12-01, Season ends is 2026-12-02T00:00",
    "2026-12-24T18:00, 2026-12-24T18:00, Season ends is 2026-12-24T18:00",
    "2026-02-30, 2026-12-01, Season begins is 2026-02-30",
    "2026-13-01, 2026-12-01, Season begins is 2026-13-01"
  })
  void whatEndsBeforeItBeginsIsRefused(String begins, String ends, String said) {
    assertThatThrownBy(() -> Season.of(begins, ends, false))
        .isInstanceOf(Refused.class)
        .hasMessageStartingWith(said);
  }

  /** One date ends an item and begins the next: never both, never neither, in whatever zone. */
  @Property(tries = 300)
  void atAHandOverOneIsOnShow(
      @ForAll @IntRange(min = 1, max = 3600) int days,
      @ForAll @IntRange(min = 0, max = 86_399) int second,
      @ForAll @IntRange(min = 0, max = 3) int zone) {
    ZoneId in =
        ZoneId.of(
            List.of("Europe/Berlin", "America/New_York", "Australia/Lord_Howe", "Africa/Cairo")
                .get(zone));
    LocalDate day = LocalDate.of(2026, 1, 1).plusDays(days);
    Season first = Season.of("", day.toString(), false);
    Season second2 = Season.of(day.plusDays(1).toString(), "", false);
    Instant around = day.plusDays(1).atStartOfDay(in).toInstant().plusSeconds(second - 43_200);
    assertThat(first.shows(around, in)).isNotEqualTo(second2.shows(around, in));
  }

  @Test
  void theAlmanacKnowsWhoIsOnWhenAndWhatComesNext() {
    var almanac =
        new Almanac(
            UTC,
            List.of(
                Season.of("2026-09-21", "2026-11-30", false),
                Season.of("2026-12-01", "2027-02-28", false),
                Season.of("2027-04-06", "2027-06-08", false)),
            Instant.parse("2026-11-01T00:00:00Z"),
            Instant.parse("2027-07-01T00:00:00Z"));
    List<String> seen = new ArrayList<>();
    almanac
        .stretches()
        .forEach(each -> seen.add(each.from().toString().substring(0, 10) + " " + each.on()));
    assertThat(seen)
        .containsExactly(
            "2026-11-01 [0]", "2026-12-01 [1]", "2027-03-01 []", "2027-04-06 [2]", "2027-06-09 []");
    assertThat(almanac.next(Instant.parse("2027-03-01T00:00:00Z")))
        .contains(Instant.parse("2027-04-06T00:00:00Z"));
    assertThat(almanac.next(Instant.parse("2028-03-01T00:00:00Z"))).isEmpty();
  }

  private static Edit once(String item, String setting, Object value) {
    return new Edit.SetValue(item, setting, "", value);
  }

  private static List<Snag> found(Document document) {
    Piece piece = document.piece("openings");
    return Snags.of(document, piece, _ -> Optional.empty(), 0).stream()
        .filter(each -> each.rule() == Rule.NOBODY || each.rule() == Rule.BACKWARDS)
        .toList();
  }

  /** A gap is found with a way out that closes it; one day less and there is none. */
  @Test
  void aTimeWithNobodyIsFoundAndClosed() {
    List<Edit> edits =
        List.of(
            once("opening-autumn", "seasonBegins", "2026-09-21"),
            once("opening-autumn", "seasonEnds", "2026-11-30"),
            once("opening-frost", "seasonBegins", "2026-12-01"),
            once("opening-frost", "seasonEnds", "2027-02-28"),
            once("opening-orchids", "seasonBegins", "2027-04-06"),
            once("opening-orchids", "seasonEnds", "2027-06-08"));
    Document gap = Edits.apply(Demo.document(), edits).document();
    List<Snag> snags = found(gap);
    assertThat(snags).hasSize(1);
    assertThat(snags.getFirst().message())
        .isEqualTo("nobody is on show from 1 Mar 2027 to 6 Apr 2027");
    // Who comes next takes over at once, or who was on last stays until then.
    assertThat(snags.getFirst().fixes())
        .flatExtracting(Snag.Fix::edits)
        .containsExactly(
            once("opening-orchids", "seasonBegins", "2027-03-01"),
            once("opening-frost", "seasonEnds", "2027-04-05"));
    for (Snag.Fix fix : snags.getFirst().fixes()) {
      assertThat(found(Edits.apply(gap, fix.edits()).document())).isEmpty();
    }
    Document open = Edits.apply(gap, List.of(once("opening-autumn", "seasonEnds", ""))).document();
    assertThat(found(open)).isEmpty();
  }

  /** What of a page is there at a moment: one plant in flower, and none on the last of February. */
  @ParameterizedTest
  @CsvSource({
    "2027-02-27T22:59:59Z, flower-queen",
    "2027-02-28T00:00:00Z, ''",
    "2027-03-01T00:00:00Z, flower-moon",
    "2030-10-31T12:00:00Z, flower-orchid"
  })
  void aDocumentHasWhatIsOn(Instant at, String on) {
    Document demo = Demo.document();
    Document then = ConditionSettings.on(demo, at);
    assertThat(then.piece("in-flower").items())
        .extracting(Item::id)
        .isEqualTo(on.isEmpty() ? List.of() : List.of(on));
    assertThat(then.piece("openings")).isEqualTo(demo.piece("openings"));
    assertThat(ConditionSettings.on(then, at)).isEqualTo(then);
  }

  /** Of seasons of each year the last stays longer each year: over the turn of one, at an hour. */
  @ParameterizedTest
  @CsvSource({
    "2026-11-01, 2027-02-27, 2026-03-01, 2026-10-31, 2027-02-28",
    "2026-03-01, 2026-12-20, 2026-02-01, 2026-02-28, 2027-01-31",
    "2026-03-01, 2026-12-20T18:00, 2026-01-03T09:30, 2026-02-28, 2027-01-03T09:30"
  })
  void aGapOfEachYearIsClosedForEachYear(
      String begins, String ends, String nextBegins, String nextEnds, String longer) {
    var edits = new ArrayList<Edit>();
    for (String item : List.of("opening-autumn", "opening-frost", "opening-orchids")) {
      boolean next = item.equals("opening-orchids");
      edits.add(once(item, "seasonBegins", next ? nextBegins : begins));
      edits.add(once(item, "seasonEnds", next ? nextEnds : ends));
      edits.add(new Edit.SetValue(item, "seasonYearly", "", true));
    }
    edits.add(new Edit.RemoveNode("opening-frost"));
    Document gap = Edits.apply(Demo.document(), edits).document();
    Snag snag = found(gap).getFirst();
    assertThat(snag.fixes())
        .singleElement()
        .satisfies(fix ->
            assertThat(fix.edits()).containsExactly(once("opening-autumn", "seasonEnds", longer)));
    assertThat(found(Edits.apply(gap, snag.fixes().getFirst().edits()).document()))
        .noneMatch(left -> left.message().equals(snag.message()));
  }

  /**
   * A year whose last day of February is another, and an hour that a zone skips: what would end
   * before it begins does not show, and takes nothing along.
   */
  @Test
  void whatAYearOrAZoneTurnsRoundIsNone() {
    Season leap = Season.of("2024-02-28T20:00", "2024-02-29T18:00", true);
    assertThat(leap.dates(UTC)).hasSize(3);
    ZoneId berlin = ZoneId.of("Europe/Berlin");
    Season skipped = Season.of("2027-03-28T02:30", "2027-03-28T03:15", false);
    assertThat(skipped.dates(berlin)).isEmpty();
    var almanac =
        new Almanac(
            berlin,
            List.of(skipped),
            Instant.parse("2027-03-01T00:00:00Z"),
            Instant.parse("2027-04-01T00:00:00Z"));
    assertThat(almanac.on(Instant.parse("2027-03-29T00:00:00Z"))).isEmpty();
    assertThat(almanac.stretches()).hasSize(1);
  }

  @Test
  void aPieceWithASeasonBackwardsIsFoundAsWell() {
    Document backwards =
        Edits.apply(
                Demo.document(),
                List.of(
                    once("openings", "seasonBegins", "2026-12-24"),
                    once("openings", "seasonEnds", "2026-12-01")))
            .document();
    assertThat(found(backwards)).hasSize(1).allMatch(each -> each.item().isEmpty());
    assertThat(
            found(
                Edits.apply(backwards, found(backwards).getFirst().fixes().getFirst().edits())
                    .document()))
        .isEmpty();
  }

  @Test
  void aSeasonThatEndsBeforeItBeginsIsFoundAndShowsAlways() {
    Document backwards =
        Edits.apply(
                Demo.document(),
                List.of(
                    once("opening-frost", "seasonBegins", "2026-12-24"),
                    once("opening-frost", "seasonEnds", "2026-12-01")))
            .document();
    List<Snag> snags = found(backwards);
    assertThat(snags).hasSize(1);
    assertThat(snags.getFirst().rule()).isEqualTo(Rule.BACKWARDS);
    assertThat(snags.getFirst().item()).isEqualTo("opening-frost");
    Document mended =
        Edits.apply(backwards, snags.getFirst().fixes().getFirst().edits()).document();
    assertThat(found(mended)).isEmpty();
  }
}
