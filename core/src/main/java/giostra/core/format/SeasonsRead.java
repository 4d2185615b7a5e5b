package giostra.core.format;

import giostra.core.look.Values;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.page.SiteSettings;
import giostra.core.season.Season;
import giostra.core.season.Times;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Period;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.ResolverStyle;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import net.fortuna.ical4j.data.CalendarParserImpl;
import net.fortuna.ical4j.data.ContentHandler;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.data.UnfoldingReader;
import net.fortuna.ical4j.util.Strings;
import org.jspecify.annotations.Nullable;

/**
 * A calendar file as seasons of a piece's items: an event is an item's by its UID, or by its
 * summary where one item alone is called so. Times are read as the site's clocks show them. Source:
 * RFC 5545, "Event Component", "Recurrence Rule"; of rules FREQ=YEARLY, and FREQ=DAILY and WEEKLY
 * with BYDAY, BYMONTH, UNTIL and COUNT.
 *
 * @param changes what becomes of items
 * @param strangers summaries of events that are no item's
 * @param refused what cannot be taken, with the reason
 */
public record SeasonsRead(List<Change> changes, List<String> strangers, List<String> refused) {
  /** Characters of a file at the most. */
  public static final int MOST = 1_000_000;

  private static final int MOST_EVENTS = 2_000;
  private static final int DEEPEST = 6;
  static final DateTimeFormatter DATE =
      DateTimeFormatter.ofPattern("uuuuMMdd", Locale.ROOT).withResolverStyle(ResolverStyle.STRICT);
  static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss", Locale.ROOT)
          .withResolverStyle(ResolverStyle.STRICT);
  private static final DateTimeFormatter MINUTES =
      DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm", Locale.ROOT);

  public SeasonsRead {
    changes = List.copyOf(changes);
    strangers = List.copyOf(strangers);
    refused = List.copyOf(refused);
  }

  /** A season as it is typed; empty texts for what is open. */
  public record Typed(String begins, String ends, boolean yearly, Times times) {
    public Typed(String begins, String ends, boolean yearly) {
      this(begins, ends, yearly, Times.ANY);
    }

    static Typed of(Item item) {
      Values values = item.values();
      return new Typed(
          values.get(ConditionSettings.SEASON_BEGINS),
          values.get(ConditionSettings.SEASON_ENDS),
          values.get(ConditionSettings.SEASON_YEARLY),
          Times.of(
              values.get(ConditionSettings.SEASON_MONTHS),
              values.get(ConditionSettings.SEASON_DAYS),
              values.get(ConditionSettings.SEASON_HOURS)));
    }
  }

  /** What becomes of an item's season. */
  public record Change(String item, String name, Typed before, Typed after) {
    /** The edits that make it so. */
    public List<Edit> edits() {
      return List.of(
          set(ConditionSettings.SEASON_BEGINS, after.begins),
          set(ConditionSettings.SEASON_ENDS, after.ends),
          set(ConditionSettings.SEASON_YEARLY, after.yearly),
          set(ConditionSettings.SEASON_MONTHS, String.join(" ", Times.words(after.times.months()))),
          set(ConditionSettings.SEASON_DAYS, String.join(" ", Times.words(after.times.days()))),
          set(
              ConditionSettings.SEASON_HOURS,
              after.times.hours().map(Times.Hours::written).orElse("")));
    }

    private Edit set(Setting<?> setting, Object value) {
      boolean initial = value.equals("") || value.equals(false);
      return new Edit.SetValue(item, setting.id(), "", initial ? null : value);
    }
  }

  /** The edits that take all of it. */
  public List<Edit> edits() {
    return changes.stream().flatMap(change -> change.edits().stream()).toList();
  }

  /**
   * Reads a file.
   *
   * @throws Refused for what is no calendar, naming the line, or is too large
   */
  public static SeasonsRead of(Document document, Piece piece, String text) {
    if (text.length() > MOST) {
      throw new Refused("Calendar file", text.length() + " characters long", "of at most " + MOST);
    }
    return new Reader(document, piece).read(events(text));
  }

  /** One property of an event. */
  private record Value(String text, Map<String, String> parameters) {}

  private static List<Map<String, Value>> events(String text) {
    var events = new Events();
    try {
      new CalendarParserImpl().parse(new UnfoldingReader(new StringReader(text)), events);
    } catch (ParserException e) {
      throw new Refused("Calendar file", String.valueOf(e.getMessage()), "as RFC 5545 has it");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (Refused e) {
      throw e;
    } catch (RuntimeException e) {
      throw new Refused("Calendar file", "something else", "as RFC 5545 has it");
    }
    return events.all;
  }

  /** Gathers events; what else a file has, its own zones among it, is left aside. */
  private static final class Events implements ContentHandler {
    private final List<Map<String, Value>> all = new ArrayList<>();
    private final List<String> within = new ArrayList<>();
    private final Map<String, String> parameters = new HashMap<>();
    private @Nullable String property;
    private String value = "";

    @Override
    public void startCalendar() {}

    @Override
    public void endCalendar() {}

    @Override
    public void startComponent(String name) {
      if (within.size() == DEEPEST) {
        throw new Refused("Calendar file", "deep", "of components at most " + DEEPEST + " deep");
      }
      within.add(name.toUpperCase(Locale.ROOT));
      if (inEvent()) {
        if (all.size() == MOST_EVENTS) {
          throw new Refused("Calendar file", "of more events", "of at most " + MOST_EVENTS);
        }
        all.add(new LinkedHashMap<>());
      }
    }

    @Override
    public void endComponent(String name) {
      within.removeLast();
    }

    private boolean inEvent() {
      return !within.isEmpty() && within.getLast().equals("VEVENT");
    }

    @Override
    public void startProperty(String name) {
      property = name.toUpperCase(Locale.ROOT);
      value = "";
      parameters.clear();
    }

    @Override
    public void propertyValue(String text) {
      value = text;
    }

    @Override
    public void parameter(String name, String text) {
      parameters.put(name.toUpperCase(Locale.ROOT), text);
    }

    @Override
    public void endProperty(String name) {
      if (inEvent() && property != null) {
        all.getLast().putIfAbsent(property, new Value(value, Map.copyOf(parameters)));
      }
      property = null;
    }
  }

  /** A time as it is typed: a date where it is its first moment, or the end of the one before. */
  static String written(LocalDateTime at, int dayAfter) {
    return SeasonFile.midnight(at)
        ? at.toLocalDate().minusDays(dayAfter).toString()
        : at.format(MINUTES);
  }

  private static final class Reader {
    private final Map<String, Item> byUid = new HashMap<>();
    private final Map<String, Item> parted = new HashMap<>();
    private final Map<String, Optional<Item>> byName = new HashMap<>();
    private final Map<String, String> names = new HashMap<>();
    private final ZoneId zone;
    private final Map<String, Change> changes = new LinkedHashMap<>();
    private final Set<String> strangers = new TreeSet<>();
    private final List<String> refused = new ArrayList<>();

    /** Items of which there are events of single years. */
    private final Set<String> parts = new TreeSet<>();

    Reader(Document document, Piece piece) {
      this.zone = document.site().values().get(SiteSettings.ZONE);
      List<Item> items = piece.items();
      for (int i = 0; i < items.size(); i++) {
        Item item = items.get(i);
        String name = Fields.called(item, i);
        names.put(item.id(), name);
        byUid.put(SeasonFile.uid(item), item);
        parted.put(SeasonFile.ofYears(item), item);
        byName.merge(folded(name), Optional.of(item), (_, _) -> Optional.empty());
      }
    }

    private static String folded(String name) {
      return name.strip().toLowerCase(Locale.ROOT);
    }

    SeasonsRead read(List<Map<String, Value>> events) {
      for (Map<String, Value> event : events) {
        String name = text(event, "SUMMARY");
        String of = text(event, "UID").replaceFirst("\\d{4}@.*$", "");
        if (parted.containsKey(of)) {
          parts.add(parted.get(of).id());
          continue;
        }
        Item item =
            Optional.ofNullable(byUid.get(text(event, "UID")))
                .or(() -> byName.getOrDefault(folded(name), Optional.empty()))
                .orElse(null);
        if (item == null) {
          strangers.add(name.isBlank() ? "without a name" : name.strip());
        } else {
          take(item, event);
        }
      }
      parts.forEach(id ->
          refused.add(
              names.getOrDefault(id, id)
                  + ": its events of single years are for other programs alone; it stays as it is"));
      return new SeasonsRead(
          List.copyOf(changes.values()), List.copyOf(strangers), List.copyOf(refused));
    }

    private void take(Item item, Map<String, Value> event) {
      String name = names.getOrDefault(item.id(), item.id());
      try {
        Typed after = typed(event);
        // That it is one is what the season says.
        Season.of(after.begins, after.ends, after.yearly, after.times);
        Typed before = Typed.of(item);
        if (changes.containsKey(item.id())) {
          throw new Refused("Season", "there twice", "there once");
        }
        if (!after.equals(before)) {
          changes.put(item.id(), new Change(item.id(), name, before, after));
        }
      } catch (Refused e) {
        refused.add(name + ": " + e.getMessage());
      } catch (DateTimeException | ArithmeticException e) {
        refused.add(name + ": a date that there is none of");
      }
    }

    private Typed typed(Map<String, Value> event) {
      Value start = event.get("DTSTART");
      if (start == null) {
        throw new Refused("Its beginning", "", "a DTSTART");
      }
      LocalDateTime begins = time(start);
      LocalDateTime ends = ends(event, start, begins);
      if (event.containsKey("RDATE") || event.containsKey("EXDATE")) {
        throw new Refused("Its dates", "some by RDATE or EXDATE", "one season, or one each year");
      }
      Optional<Recurring> recurring =
          Recurring.of(text(event, "RRULE"), begins, ends, clocks(start).equals(zone.getRules()));
      if (recurring.isPresent()) {
        return recurring.get().typed(zone);
      }
      boolean yearly = !text(event, "RRULE").isEmpty();
      boolean open = !begins.toLocalDate().isAfter(SeasonFile.EARLIEST);
      boolean lasting = !ends.toLocalDate().isBefore(SeasonFile.LATEST);
      return new Typed(
          open ? "" : written(begins, 0),
          lasting ? "" : written(ends, 1),
          yearly && !open && !lasting);
    }

    private LocalDateTime ends(Map<String, Value> event, Value start, LocalDateTime begins) {
      Value end = event.get("DTEND");
      if (end != null) {
        return time(end);
      }
      String lasts = text(event, "DURATION");
      if (!lasts.isEmpty()) {
        return later(begins, lasts);
      }
      if (start.text.contains("T")) {
        throw new Refused("Its end", "", "a DTEND or a DURATION");
      }
      return begins.plusDays(1);
    }

    /** Days and weeks by the calendar, hours by the clock. */
    private static LocalDateTime later(LocalDateTime from, String lasts) {
      return lasts.contains("W") || !lasts.contains("T")
          ? from.plus(Period.parse(lasts))
          : from.plus(Duration.parse(lasts));
    }

    private LocalDateTime time(Value value) {
      String text = value.text.strip();
      if (!text.contains("T")) {
        return LocalDate.parse(text, DATE).atStartOfDay();
      }
      boolean utc = text.endsWith("Z");
      LocalDateTime at =
          LocalDateTime.parse(utc ? text.substring(0, text.length() - 1) : text, TIME);
      @Nullable String named = value.parameters.get("TZID");
      if (!utc && named == null) {
        return at;
      }
      ZoneId own = utc ? ZoneOffset.UTC : zone(named == null ? "" : named);
      return ZonedDateTime.of(at, own).withZoneSameInstant(zone).toLocalDateTime();
    }

    /** The clocks that a time is said by. */
    private ZoneRules clocks(Value value) {
      String text = value.text.strip();
      @Nullable String named = value.parameters.get("TZID");
      if (!text.contains("T") || named == null && !text.endsWith("Z")) {
        return zone.getRules();
      }
      return (named == null ? ZoneOffset.UTC : zone(named)).getRules();
    }

    private static ZoneId zone(String named) {
      try {
        return ZoneId.of(named);
      } catch (DateTimeException e) {
        throw new Refused("Time zone", named, "one of the IANA database, such as Europe/Lisbon");
      }
    }

    private static String text(Map<String, Value> event, String name) {
      Value value = event.get(name);
      return value == null ? "" : Strings.unescape(value.text).strip();
    }
  }
}
