package giostra.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.format.SeasonsRead.Typed;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Piece;
import giostra.core.page.Site;
import giostra.core.season.Times;
import giostra.core.testing.Demo;
import giostra.core.testing.InTurn;
import giostra.core.value.Refused;
import java.io.IOException;
import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Calendar files, against the format's own validator and examples. */
class SeasonFileTest {
  private static final Instant AT = Instant.parse("2026-11-28T10:00:00Z");
  private static final List<String> ITEMS =
      List.of("opening-autumn", "opening-frost", "opening-orchids");

  private static Document with(Document document, String node, String setting, Object value) {
    return Edits.apply(document, List.of(new Edit.SetValue(node, setting, "", value))).document();
  }

  private static Document seasons(Document document, List<Typed> seasons) {
    var edits = new ArrayList<Edit>();
    for (int i = 0; i < seasons.size(); i++) {
      var change = new SeasonsRead.Change(ITEMS.get(i), "", seasons.get(i), seasons.get(i));
      edits.addAll(change.edits());
    }
    return Edits.apply(document, edits).document();
  }

  private static Piece openings(Document document) {
    return document.piece("openings");
  }

  private static SeasonsRead read(Document document, String file) {
    return SeasonsRead.of(document, openings(document), file);
  }

  private static String file(String... lines) {
    return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\n"
        + String.join("\r\n", lines)
        + "\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
  }

  /** Written, read by ical4j without a complaint, and read back by us onto a page without them. */
  @InTurn(2)
  @Test
  void seasonsGoOutAndComeBack() throws IOException, ParserException {
    var random = new Random(20261128);
    Document bare = seasons(Demo.document(), List.of(NONE, NONE, NONE));
    for (int i = 0; i < 300; i++) {
      String zone = List.of("UTC", "Europe/Lisbon", "America/New_York").get(random.nextInt(3));
      Document zoned = with(bare, Site.ID, "zone", zone);
      var all = new ArrayList<>(List.of(season(random), season(random), season(random)));
      if (all.equals(List.of(NONE, NONE, NONE))) {
        continue;
      }
      Document document = seasons(zoned, all);
      String file = SeasonFile.write(document, openings(document), AT);
      new CalendarBuilder().build(new StringReader(file)).validate(true);
      SeasonsRead back = read(zoned, file);
      assertThat(back.refused()).isEmpty();
      assertThat(back.strangers()).isEmpty();
      assertThat(Edits.apply(zoned, back.edits()).document()).as(file).isEqualTo(document);
      // What is there already changes nothing.
      assertThat(read(document, file).changes()).isEmpty();
    }
  }

  private static final Typed NONE = new Typed("", "", false);

  private static Typed season(Random random) {
    if (random.nextInt(4) == 0) {
      return NONE;
    }
    int year = 2024 + random.nextInt(4);
    String begins = "%d-0%d-1%d".formatted(year, 1 + random.nextInt(5), random.nextInt(10));
    String ends = "%d-0%d-2%d".formatted(year, 6 + random.nextInt(4), random.nextInt(9));
    if (random.nextInt(3) == 0) {
      begins += "T1%d:30".formatted(random.nextInt(10));
      ends += "T0%d:15".formatted(random.nextInt(10));
    }
    if (random.nextInt(3) == 0) {
      return again(random, year);
    }
    return switch (random.nextInt(5)) {
      case 0 -> new Typed(begins, "", false);
      case 1 -> new Typed("", ends, false);
      case 2 -> new Typed(begins, ends, true);
      default -> new Typed(begins, ends, false);
    };
  }

  /** Times that come again, from the first of them on: what a file can say. */
  private static Typed again(Random random, int year) {
    LocalDate day = LocalDate.of(year, 1 + random.nextInt(12), 1 + random.nextInt(28));
    List<String> days =
        random.nextBoolean()
            ? List.of()
            : List.of(day.getDayOfWeek().name().toLowerCase(Locale.ROOT), "sunday");
    List<String> months =
        random.nextBoolean()
            ? List.of()
            : List.of(day.getMonth().name().toLowerCase(Locale.ROOT), "june");
    String hours =
        switch (random.nextInt(4)) {
          case 0 -> "18:30-23:15";
          case 1 -> "22:00-02:00";
          case 2 -> "09:00-24:00";
          default -> days.isEmpty() && months.isEmpty() ? "10:00-11:00" : "";
        };
    String ends =
        switch (random.nextInt(3)) {
          case 0 -> "";
          case 1 -> day.plusDays(100).toString();
          default -> hours.isEmpty() ? day.plusDays(7).toString() : day.plusDays(40) + "T12:30";
        };
    return new Typed(day.toString(), ends, false, Times.of(months, days, hours));
  }

  /**
   * The days on which an event comes. Source: RFC 5545, 3.8.5.3 "Recurrence Rule", the examples
   * "Daily until", "Every day in January", "Weekly for 10 occurrences" and "Weekly on Tuesday and
   * Thursday"; from memory.
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "19970902 | FREQ=DAILY;UNTIL=19971224T000000Z | 113 | 1997-09-02 1997-10-25 1997-12-23",
        "19980101 | FREQ=YEARLY;UNTIL=20000131T140000Z;BYMONTH=1;BYDAY=SU,MO,TU,WE,TH,FR,SA | 93 | 1998-01-01 1998-01-31 1999-01-01 2000-01-31",
        "19980101 | FREQ=DAILY;UNTIL=20000131T140000Z;BYMONTH=1 | 93 | 1998-01-01 1998-01-31 1999-01-01 2000-01-31",
        "19970902 | FREQ=WEEKLY;COUNT=10 | 10 | 1997-09-02 1997-09-09 1997-10-21 1997-10-28 1997-11-04",
        "19970902 | FREQ=WEEKLY;UNTIL=19971224T000000Z | 17 | 1997-09-02 1997-12-09 1997-12-16 1997-12-23",
        "19970902 | FREQ=WEEKLY;UNTIL=19971007T000000Z;WKST=SU;BYDAY=TU,TH | 10 | 1997-09-02 1997-09-04 1997-09-30 1997-10-02",
        "19970902 | FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH | 10 | 1997-09-02 1997-09-04 1997-09-30 1997-10-02",
        "19970902 | FREQ=DAILY;COUNT=10 | 10 | 1997-09-02 1997-09-11",
      })
  void eventsThatComeAgainComeOnTheDaysOfTheStandard(
      String start, String rule, int count, String days) {
    Document bare =
        with(
            seasons(Demo.document(), List.of(NONE, NONE, NONE)),
            Site.ID,
            "zone",
            "America/New_York");
    SeasonsRead read =
        read(
            bare,
            file(
                "UID:opening-frost@giostra.invalid",
                "DTSTART;TZID=America/New_York:" + start + "T090000",
                "DURATION:PT1H",
                "RRULE:" + rule));
    assertThat(read.refused()).isEmpty();
    Document document = Edits.apply(bare, read.edits()).document();
    ZoneId zone = ZoneId.of("America/New_York");
    List<String> ours =
        ConditionSettings.season(document.node("opening-frost").values())
            .spans(
                zone, Instant.parse("1997-01-01T00:00:00Z"), Instant.parse("2003-01-01T00:00:00Z"))
            .stream()
            .map(span -> span.from().orElseThrow().atZone(zone))
            .peek(each -> assertThat(each.getHour()).isEqualTo(9))
            .map(each -> each.toLocalDate().toString())
            .toList();
    assertThat(ours).hasSize(count).contains(days.split(" "));
    assertThat(ours.getLast()).isEqualTo(days.substring(days.lastIndexOf(' ') + 1));
  }

  /** What comes again each year at times is an event a year, for other programs alone. */
  @Test
  void timesOfEachYearGoOutYearByYear() throws IOException, ParserException {
    Document bare = seasons(Demo.document(), List.of(NONE, NONE, NONE));
    Times fridays = Times.of(List.of(), List.of("friday"), "18:00-23:00");
    Typed winter = new Typed("2026-12-01", "2027-01-31", true, fridays);
    Document document = seasons(bare, List.of(NONE, winter, NONE));
    String file = SeasonFile.write(document, openings(document), AT);
    new CalendarBuilder().build(new StringReader(file)).validate(true);
    assertThat(file.split("BEGIN:VEVENT")).hasSize(13);
    assertThat(file).contains("UID:opening-frost+2031@giostra.invalid");
    SeasonsRead back = read(document, file);
    assertThat(back.changes()).isEmpty();
    assertThat(back.refused()).hasSize(1);
    assertThat(back.refused().getFirst()).contains("single years");
  }

  /**
   * Source: RFC 5545, 3.6.1, the anniversary of 2 November 1997, once a year; 3.8.5.3 and 3.3.6 for
   * the forms of the others (dates are ours).
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "DTSTART;VALUE=DATE:19971102 ; RRULE:FREQ=YEARLY | 1997-11-02 | 1997-11-02 | true",
        "DTSTART;VALUE=DATE:20261101 ; DTEND;VALUE=DATE:20261109 | 2026-11-01 | 2026-11-08 | false",
        "DTSTART;VALUE=DATE:20261101 ; DURATION:P1W | 2026-11-01 | 2026-11-07 | false",
        "DTSTART:20261101T180000Z ; DURATION:PT90M | 2026-11-01T18:00 | 2026-11-01T19:30 | false",
        "DTSTART;TZID=America/New_York:20261101T180000 ; DTEND:20261102T000000Z | 2026-11-01T23:00 | 2026-11-01 | false",
        "DTSTART:20261101T180000 ; DTEND:20261102T060000 | 2026-11-01T18:00 | 2026-11-02T06:00 | false",
        "DTSTART;VALUE=DATE:19700101 ; DTEND;VALUE=DATE:20261109 | '' | 2026-11-08 | false",
        "DTSTART;VALUE=DATE:20261101 ; DTEND;VALUE=DATE:21000101 ; RRULE:FREQ=YEARLY | 2026-11-01 | '' | false",
      })
  void eventsAreReadByTheClocksOfTheSite(String lines, String begins, String ends, boolean yearly) {
    Document bare =
        with(seasons(Demo.document(), List.of(NONE, NONE, NONE)), Site.ID, "zone", "UTC");
    String name = bare.node("opening-frost").values().get(giostra.core.page.ItemSettings.NAME);
    var all = new ArrayList<>(List.of(lines.split(" ; ")));
    all.add("SUMMARY:" + name.toUpperCase(java.util.Locale.ROOT));
    SeasonsRead read = read(bare, file(all.toArray(String[]::new)));
    assertThat(read.refused()).isEmpty();
    assertThat(read.changes()).hasSize(1);
    assertThat(read.changes().getFirst().item()).isEqualTo("opening-frost");
    assertThat(read.changes().getFirst().after()).isEqualTo(new Typed(begins, ends, yearly));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "DTSTART;VALUE=DATE:20261101\r\nRRULE:FREQ=WEEKLY;BYDAY=1MO",
        "DTSTART;VALUE=DATE:20261101\r\nRRULE:FREQ=WEEKLY;INTERVAL=2",
        "DTSTART;VALUE=DATE:20261101\r\nRRULE:FREQ=MONTHLY;BYDAY=MO",
        "DTSTART;VALUE=DATE:20261101\r\nRRULE:FREQ=DAILY;BYMONTH=13",
        "DTSTART;VALUE=DATE:20261101\r\nRRULE:FREQ=DAILY;COUNT=99999",
        "DTSTART;VALUE=DATE:20261101\r\nRRULE:FREQ=DAILY;COUNT=2;UNTIL=20261109",
        "DTSTART;VALUE=DATE:20261101\r\nRRULE:FREQ=DAILY;UNTIL=soon",
        "DTSTART;VALUE=DATE:20261101\r\nRRULE:FREQ=YEARLY;BYMONTH=1",
        "DTSTART;VALUE=DATE:20261101\r\nDURATION:P2D\r\nRRULE:FREQ=DAILY",
        "DTSTART;TZID=Asia/Kathmandu:20261101T180000\r\nDURATION:PT1H\r\nRRULE:FREQ=DAILY",
        "DTSTART;VALUE=DATE:20261101\r\nRRULE:FREQ=YEARLY;COUNT=3",
        "DTSTART;VALUE=DATE:20261101\r\nRRULE:FREQ=YEARLY;FREQ=DAILY",
        "DTSTART;VALUE=DATE:20261101\r\nRDATE;VALUE=DATE:20261108",
        "DTSTART;VALUE=DATE:20261101\r\nDTEND;VALUE=DATE:20261001",
        "DTSTART;VALUE=DATE:20260231",
        "DTSTART:20261101T180000",
        "DTSTART;TZID=Nowhere/Town:20261101T180000\r\nDURATION:PT1H",
        "DTSTART:tomorrow",
        "DURATION:P1D",
        "DTSTART;VALUE=DATE:20261101\r\nDURATION:P99999999999999D",
        "DTSTART;VALUE=DATE:20261101\r\nDURATION:PT999999999999999999H",
      })
  void whatIsNoSeasonIsSaidAndTakesNoOtherDown(String lines) {
    Document bare = seasons(Demo.document(), List.of(NONE, NONE, NONE));
    String uid = "UID:opening-frost@giostra.invalid";
    String good = "UID:opening-orchids@giostra.invalid\r\nDTSTART;VALUE=DATE:20270101";
    SeasonsRead read = read(bare, file(uid + "\r\n" + lines, "END:VEVENT", "BEGIN:VEVENT", good));
    assertThat(read.refused()).hasSize(1);
    assertThat(read.changes())
        .extracting(SeasonsRead.Change::item)
        .containsExactly("opening-orchids");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "hello", "BEGIN:VCALENDAR", "<html>", "BEGIN:VEVENT\r\nEND:VEVENT"})
  void whatIsNoCalendarIsRefused(String text) {
    assertThatThrownBy(() -> read(Demo.document(), text)).isInstanceOf(Refused.class);
  }

  @Test
  void aFileThatGoesDeepIsRefused() {
    assertThatThrownBy(
            () -> read(Demo.document(), "BEGIN:VCALENDAR\r\n" + "BEGIN:X\r\n".repeat(9_000)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("deep");
    assertThatThrownBy(() -> read(Demo.document(), "x".repeat(1_000_001)))
        .hasMessageContaining("1000001 characters long");
  }

  @Test
  void eventsOfNobodyAreNamed() {
    SeasonsRead read =
        read(Demo.document(), file("SUMMARY:Staff\\, only", "DTSTART;VALUE=DATE:20261101"));
    assertThat(read.strangers()).containsExactly("Staff, only");
    assertThat(read.changes()).isEmpty();
    Document bare = seasons(Demo.document(), List.of(NONE, NONE, NONE));
    assertThatThrownBy(() -> SeasonFile.write(bare, openings(bare), AT))
        .hasMessage("The calendar is empty; it must be of items with a season");
    assertThat(ConditionSettings.season(bare.node("opening-frost").values()).always()).isTrue();
  }
}
