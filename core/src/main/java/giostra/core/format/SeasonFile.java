package giostra.core.format;

import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.page.SiteSettings;
import giostra.core.season.Season;
import giostra.core.season.Times;
import giostra.core.value.Refused;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.Temporal;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.TimeZone;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.component.VTimeZone;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/**
 * Seasons of a piece's items as a calendar file that other programs show: an event each. A season
 * that is open begins with 1970, or ends with 2100. Source: RFC 5545, "Event Component".
 */
public final class SeasonFile {
  /** Stands for a season that has no beginning. */
  static final LocalDate EARLIEST = LocalDate.of(1970, 1, 1);

  /** Stands for one that has no end: the first day after it. */
  static final LocalDate LATEST = LocalDate.of(2100, 1, 1);

  /** Days within which times come again, or not for years. */
  private static final int SOON = 1_100;

  static {
    // Zones come of the library's own files, and are asked for nowhere.
    System.setProperty("net.fortuna.ical4j.timezone.update.enabled", "false");
  }

  private SeasonFile() {}

  /**
   * The calendar of a piece; items that show always are not in it.
   *
   * @param at when it is written
   * @throws Refused when no item has a season
   */
  public static String write(Document document, Piece piece, Instant at) {
    ZoneId zone = document.site().values().get(SiteSettings.ZONE);
    var calendar = new Calendar();
    calendar.add(new ProdId("-//Giostra//Seasons//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    List<Item> items = piece.items();
    boolean timed = false;
    int events = 0;
    for (int i = 0; i < items.size(); i++) {
      Season season = ConditionSettings.season(items.get(i).values());
      for (Once once : events(items.get(i), season, zone)) {
        calendar.add(event(once, Fields.called(items.get(i), i), zone, at));
        timed |= !once.dated();
        events++;
      }
    }
    if (events == 0) {
      throw new Refused("The calendar", "empty", "of items with a season");
    }
    if (timed && !zone.getId().equals("UTC")) {
      calendar.add(zone(zone));
    }
    return written(calendar);
  }

  private static String written(Calendar calendar) {
    var out = new StringWriter();
    try {
      new CalendarOutputter(true).output(calendar, out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  /**
   * An event of a file.
   *
   * @param rule how it comes again, or empty
   */
  private record Once(String uid, LocalDateTime begins, LocalDateTime ends, String rule) {
    /** Whether it begins and ends with whole days. */
    boolean dated() {
      return midnight(begins) && midnight(ends);
    }
  }

  /**
   * The events of an item: one, or one for each year, where it comes again each year and within it
   * at some times, which no rule says together.
   */
  private static List<Once> events(Item item, Season season, ZoneId zone) {
    LocalDateTime begins = season.begins().orElse(EARLIEST.atStartOfDay());
    LocalDateTime ends = season.ends().orElse(LATEST.atStartOfDay());
    if (season.always()) {
      return List.of();
    }
    if (season.times().any()) {
      return List.of(new Once(uid(item), begins, ends, season.yearly() ? "FREQ=YEARLY" : ""));
    }
    if (!season.yearly()) {
      return again(uid(item), season.times(), begins, season.ends(), zone).stream().toList();
    }
    return season.dates(zone).stream()
        .flatMap(year -> {
          LocalDateTime from = LocalDateTime.ofInstant(year.from().orElseThrow(), zone);
          LocalDateTime until = LocalDateTime.ofInstant(year.until().orElseThrow(), zone);
          String uid = ofYear(item, from.getYear());
          return again(uid, season.times(), from, Optional.of(until), zone).stream();
        })
        .toList();
  }

  /** Times that come again, from the first of them on; none where there are none. */
  private static Optional<Once> again(
      String uid, Times times, LocalDateTime begins, Optional<LocalDateTime> ends, ZoneId zone) {
    boolean whole = times.hours().isEmpty();
    return Stream.iterate(begins.toLocalDate(), day -> day.plusDays(1))
        .limit(SOON)
        .filter(times::on)
        .filter(
            day -> whole ? times.ends(day).isAfter(begins) : !times.begins(day).isBefore(begins))
        .findFirst()
        .filter(day -> ends.map(times.begins(day)::isBefore).orElse(true))
        .map(day ->
            new Once(
                uid,
                times.begins(day),
                times.ends(day),
                rule(times, ends.map(end -> until(end, whole, zone)))));
  }

  /** Source: RFC 5545, 3.3.10 "Recurrence Rule": UNTIL is the last, of the type of DTSTART. */
  private static String until(LocalDateTime ends, boolean whole, ZoneId zone) {
    LocalDateTime last = ends.minusSeconds(1);
    return whole
        ? SeasonsRead.DATE.format(last)
        : SeasonsRead.TIME.format(last.atZone(zone).withZoneSameInstant(ZoneOffset.UTC)) + "Z";
  }

  private static String rule(Times times, Optional<String> until) {
    // In weeks that lie in two months some programs ask for the month of the first day alone.
    boolean weekly = !times.days().isEmpty() && times.months().isEmpty();
    var rule = new StringBuilder(weekly ? "FREQ=WEEKLY" : "FREQ=DAILY");
    if (!times.days().isEmpty()) {
      rule.append(";BYDAY=").append(listed(times.days(), day -> day.name().substring(0, 2)));
    }
    if (!times.months().isEmpty()) {
      rule.append(";BYMONTH=").append(listed(times.months(), month -> "" + month.getValue()));
    }
    until.ifPresent(last -> rule.append(";UNTIL=").append(last));
    return rule.toString();
  }

  private static <T extends Enum<T>> String listed(Set<T> some, Function<T, String> as) {
    return some.stream().sorted().map(as).collect(Collectors.joining(","));
  }

  private static VEvent event(Once once, String name, ZoneId zone, Instant at) {
    VEvent event =
        once.dated()
            ? new VEvent(once.begins().toLocalDate(), once.ends().toLocalDate(), name)
            : new VEvent(in(once.begins(), zone), in(once.ends(), zone), name);
    event.removeAll(Property.DTSTAMP);
    event.add(new DtStamp(at));
    event.add(new Uid(once.uid()));
    if (!once.rule().isEmpty()) {
      event.add(new RRule<>(once.rule()));
    }
    return event;
  }

  /** What the event of one year of those is known by. */
  static String ofYear(Item item, int year) {
    return ofYears(item) + year + "@giostra.invalid";
  }

  /** How that begins. */
  static String ofYears(Item item) {
    return item.id() + "+";
  }

  /** What an item's event is known by. */
  static String uid(Item item) {
    return item.id() + "@giostra.invalid";
  }

  private static Temporal in(LocalDateTime at, ZoneId zone) {
    return zone.getId().equals("UTC") ? at.toInstant(ZoneOffset.UTC) : at.atZone(zone);
  }

  static boolean midnight(LocalDateTime at) {
    return at.toLocalTime().equals(LocalTime.MIDNIGHT);
  }

  private static VTimeZone zone(ZoneId zone) {
    TimeZone known =
        TimeZoneRegistryFactory.getInstance().createRegistry().getTimeZone(zone.getId());
    if (known == null) {
      throw new Refused("Time zone", zone.getId(), "one that calendar files know");
    }
    VTimeZone own = known.getVTimeZone();
    own.removeAll(Property.TZURL);
    return own;
  }
}
