package giostra.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.testing.Demo;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.Refused;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.Month;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import net.fortuna.ical4j.model.Recur;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Months, days and hours within dates; reference library: ical4j. */
class TimesTest {
  private static final ZoneId LISBON = ZoneId.of("Europe/Lisbon");

  private static Season evenings(String hours, String... days) {
    return Season.of("", "", false, Times.of(List.of(), List.of(days), hours));
  }

  private static Instant at(String local) {
    return LocalDateTime.parse(local).atZone(LISBON).toInstant();
  }

  /** Days by the calendar (1 January 2027 is a Friday), hours by the clock. */
  @ParameterizedTest
  @CsvSource({
    "18:00-23:30, friday, 2027-01-01T17:59, false",
    "18:00-23:30, friday, 2027-01-01T18:00, true",
    "18:00-23:30, friday, 2027-01-01T23:30, false",
    "18:00-23:30, friday, 2027-01-02T20:00, false",
    "22:00-02:00, friday, 2027-01-02T01:59, true",
    "22:00-02:00, friday, 2027-01-02T02:00, false",
    "22:00-02:00, friday, 2027-01-01T01:00, false",
    "09:00-24:00, friday, 2027-01-01T23:59, true",
    "09:00-24:00, friday, 2027-01-02T00:00, false",
    "00:00-24:00, friday, 2027-01-01T00:00, true",
    "'', friday, 2027-01-01T23:59, true",
    "'', friday, 2027-01-02T00:00, false",
    "18:00-18:00, friday, 2027-01-02T17:59, true",
  })
  void hoursBelongToTheDayOnWhichTheyBegin(String hours, String day, String when, boolean on) {
    assertThat(evenings(hours, day).shows(at(when), LISBON)).isEqualTo(on);
  }

  @ParameterizedTest
  @CsvSource({"25:00-26:00", "18:00", "18:00-", "18-20", "24:00-02:00", "18:60-19:00"})
  void whatIsNoHourIsRefused(String hours) {
    assertThatThrownBy(() -> evenings(hours)).isInstanceOf(Refused.class);
  }

  /** A night that begins within the dates lasts as it does; a day is cut where they end. */
  @Test
  void nightsThatBeginWithinTheDatesEndAsTheyDo() {
    Times nights = Times.of(List.of(), List.of(), "22:00-02:00");
    Season december = Season.of("2026-12-01", "2026-12-24", false, nights);
    assertThat(december.shows(at("2026-12-25T01:00"), LISBON)).isTrue();
    assertThat(december.shows(at("2026-12-25T22:00"), LISBON)).isFalse();
    assertThat(december.shows(at("2026-12-01T01:00"), LISBON)).as("began before").isFalse();
    Times fridays = Times.of(List.of(), List.of("friday"), "");
    Season until = Season.of("", "2027-01-01T12:00", false, fridays);
    assertThat(until.shows(at("2027-01-01T11:59"), LISBON)).isTrue();
    assertThat(until.shows(at("2027-01-01T12:00"), LISBON)).isFalse();
    assertThat(until.next(LISBON, at("2027-01-01T12:00"))).isEmpty();
  }

  /**
   * Hours that a zone skips begin later, those that it has twice begin with the first. Source:
   * java.time, "ZonedDateTime.of"; on 28 March and 31 October 2027 from the IANA database.
   */
  @Test
  void hoursThatClocksSkipOrShowTwice() {
    Season small = evenings("01:30-03:00");
    List<Season.Span> march = small.spans(LISBON, at("2027-03-28T00:00"), at("2027-03-28T12:00"));
    assertThat(march).hasSize(1);
    assertThat(march.getFirst().from()).contains(Instant.parse("2027-03-28T01:30:00Z"));
    assertThat(march.getFirst().until()).contains(Instant.parse("2027-03-28T02:00:00Z"));
    List<Season.Span> october = small.spans(LISBON, at("2027-10-31T00:00"), at("2027-10-31T12:00"));
    assertThat(october.getFirst().from()).contains(Instant.parse("2027-10-31T00:30:00Z"));
    assertThat(october.getFirst().until()).contains(Instant.parse("2027-10-31T03:00:00Z"));
  }

  /** What ical4j says of the same rule: every beginning in three years, and no other. */
  @Test
  void whatComesAgainComesWhenTheLibrarySays() {
    var random = new Random(20_261_129);
    int compared = 0;
    for (int i = 0; i < Runs.of(60, 600); i++) {
      Set<DayOfWeek> days = drawn(random, DayOfWeek.class, 7);
      Set<Month> months = drawn(random, Month.class, 12);
      LocalTime from = LocalTime.of(5 + random.nextInt(18), random.nextInt(60));
      var times = new Times(months, days, Optional.of(new Times.Hours(from, from.plusMinutes(50))));
      Season season = new Season(Optional.empty(), Optional.empty(), false, times);
      ZonedDateTime start = LocalDate.of(2026, 1, 1).atTime(from).atZone(LISBON);
      ZonedDateTime end = start.plusYears(3);
      String rule =
          // Of weeks the library asks for the month of the first day alone: in 4.4.0 it leaves out
          // Saturday, 2 January, of WEEKLY;BYDAY=SA;BYMONTH=1, which the standard limits to days.
          (months.isEmpty() && !days.isEmpty() ? "FREQ=WEEKLY" : "FREQ=DAILY")
              + (days.isEmpty() ? "" : ";BYDAY=" + listed(days, 2))
              + (months.isEmpty()
                  ? ""
                  : ";BYMONTH="
                      + months.stream()
                          .map(each -> "" + each.getValue())
                          .collect(Collectors.joining(",")));
      List<Instant> theirs =
          new Recur<ZonedDateTime>(rule)
              .getDates(start, start, end).stream()
                  .map(ZonedDateTime::toInstant)
                  .filter(each -> times.on(each.atZone(LISBON).toLocalDate()))
                  .filter(end.toInstant()::isAfter)
                  .toList();
      List<Instant> ours =
          season.spans(LISBON, start.toInstant(), end.toInstant()).stream()
              .map(span -> span.from().orElseThrow())
              .toList();
      assertThat(ours).as(rule).isEqualTo(theirs);
      compared += ours.size();
    }
    System.out.printf("measured: %d beginnings as ical4j has them%n", compared);
    assertThat(compared).isGreaterThan(3_000);
  }

  private static <T extends Enum<T>> Set<T> drawn(Random random, Class<T> type, int of) {
    var some = EnumSet.noneOf(type);
    for (int n = random.nextInt(4); n > 0; n--) {
      some.add(type.getEnumConstants()[random.nextInt(of)]);
    }
    return some;
  }

  private static String listed(Set<DayOfWeek> days, int letters) {
    return days.stream()
        .map(each -> each.name().substring(0, letters))
        .collect(Collectors.joining(","));
  }

  /** One shows by day and one by night: at no minute of ten years both or neither. */
  @InTurn(3)
  @Test
  void dayAndNightLeaveNoGapAndDoNotMeet() {
    ZoneId zone = ZoneId.of("America/New_York");
    Instant from = Instant.parse("2026-01-01T05:00:00Z");
    Instant until = Instant.parse("2036-01-01T05:00:00Z");
    var almanac =
        new Almanac(zone, List.of(evenings("06:15-20:45"), evenings("20:45-06:15")), from, until);
    List<Almanac.Stretch> all = almanac.stretches();
    assertThat(all).hasSizeGreaterThan(7_300).allMatch(each -> each.on().size() == 1);
    for (int i = 1; i < all.size(); i++) {
      assertThat(all.get(i).from()).isEqualTo(all.get(i - 1).until());
    }
  }

  private static List<Snag> nobody(Edit... edits) {
    var all = new ArrayList<Edit>(List.of(edits));
    Document document = Edits.apply(Demo.document(), all).document();
    return Snags.of(document, document.piece("openings"), _ -> Optional.empty(), 0).stream()
        .filter(each -> each.rule() == Rule.NOBODY)
        .toList();
  }

  private static Edit once(String item, String setting, Object value) {
    return new Edit.SetValue(item, setting, "", value);
  }

  @Test
  void hoursAtWhichNobodyIsOnAreFound() {
    Edit autumn = once("opening-autumn", "seasonHours", "06:00-18:00");
    Edit frost = once("opening-frost", "seasonHours", "18:00-23:00");
    Edit orchids = once("opening-orchids", "seasonDays", "monday");
    List<Snag> gap = nobody(autumn, frost, orchids);
    assertThat(gap).hasSize(1);
    assertThat(gap.getFirst().message()).contains("23:00 to ").contains("06:00");
    assertThat(gap.getFirst().fixes()).isEmpty();
    assertThat(nobody(autumn, once("opening-frost", "seasonHours", "18:00-06:00"), orchids))
        .isEmpty();
    assertThat(nobody(autumn, frost)).as("one is always on").isEmpty();
    List<Snag> weeks =
        nobody(
            once("opening-autumn", "seasonBegins", "2026-12-01"),
            once("opening-autumn", "seasonEnds", "2026-12-24"),
            once("opening-autumn", "seasonDays", "friday"),
            once("opening-frost", "seasonEnds", "2026-11-30"),
            once("opening-orchids", "seasonBegins", "2026-12-20"),
            once("opening-orchids", "seasonEnds", "2027-01-10"));
    assertThat(weeks).as("what comes after the last is no gap").hasSize(1);
    assertThat(weeks.getFirst().message()).contains("from 5 Dec 2026 to 11 Dec 2026");
  }
}
