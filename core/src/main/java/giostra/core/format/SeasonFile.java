package giostra.core.format;

import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.page.SiteSettings;
import giostra.core.season.Season;
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
      if (!season.always()) {
        calendar.add(event(items.get(i), Fields.called(items.get(i), i), season, zone, at));
        timed |= !dated(season);
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

  private static VEvent event(Item item, String name, Season season, ZoneId zone, Instant at) {
    LocalDateTime begins = season.begins().orElse(EARLIEST.atStartOfDay());
    LocalDateTime ends = season.ends().orElse(LATEST.atStartOfDay());
    VEvent event =
        dated(season)
            ? new VEvent(begins.toLocalDate(), ends.toLocalDate(), name)
            : new VEvent(in(begins, zone), in(ends, zone), name);
    event.removeAll(Property.DTSTAMP);
    event.add(new DtStamp(at));
    event.add(new Uid(uid(item)));
    if (season.yearly()) {
      event.add(new RRule<>("FREQ=YEARLY"));
    }
    return event;
  }

  /** What an item's event is known by. */
  static String uid(Item item) {
    return item.id() + "@giostra.invalid";
  }

  private static Temporal in(LocalDateTime at, ZoneId zone) {
    return zone.getId().equals("UTC") ? at.toInstant(ZoneOffset.UTC) : at.atZone(zone);
  }

  /** Whether it begins and ends with whole days. */
  private static boolean dated(Season season) {
    return season.begins().map(SeasonFile::midnight).orElse(true)
        && season.ends().map(SeasonFile::midnight).orElse(true);
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
