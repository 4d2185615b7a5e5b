package giostra.core.format;

import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.page.SiteSettings;
import giostra.core.season.Season;
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
 * RFC 5545, "Event Component", "Recurrence Rule"; of rules FREQ=YEARLY alone.
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
  private static final DateTimeFormatter DATE =
      DateTimeFormatter.ofPattern("uuuuMMdd", Locale.ROOT).withResolverStyle(ResolverStyle.STRICT);
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss", Locale.ROOT)
          .withResolverStyle(ResolverStyle.STRICT);
  private static final DateTimeFormatter MINUTES =
      DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm", Locale.ROOT);

  /** Parts of a rule that say nothing else than each year. */
  private static final Set<String> EACH_YEAR = Set.of("FREQ=YEARLY", "INTERVAL=1", "WKST=MO");

  public SeasonsRead {
    changes = List.copyOf(changes);
    strangers = List.copyOf(strangers);
    refused = List.copyOf(refused);
  }

  /** A season as it is typed; empty texts for what is open. */
  public record Typed(String begins, String ends, boolean yearly) {
    static Typed of(Item item) {
      return new Typed(
          item.values().get(ConditionSettings.SEASON_BEGINS),
          item.values().get(ConditionSettings.SEASON_ENDS),
          item.values().get(ConditionSettings.SEASON_YEARLY));
    }
  }

  /** What becomes of an item's season. */
  public record Change(String item, String name, Typed before, Typed after) {
    /** The edits that make it so. */
    public List<Edit> edits() {
      return List.of(
          set(ConditionSettings.SEASON_BEGINS, after.begins),
          set(ConditionSettings.SEASON_ENDS, after.ends),
          set(ConditionSettings.SEASON_YEARLY, after.yearly));
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

  private static final class Reader {
    private final Map<String, Item> byUid = new HashMap<>();
    private final Map<String, Optional<Item>> byName = new HashMap<>();
    private final Map<String, String> names = new HashMap<>();
    private final ZoneId zone;
    private final Map<String, Change> changes = new LinkedHashMap<>();
    private final Set<String> strangers = new TreeSet<>();
    private final List<String> refused = new ArrayList<>();

    Reader(Document document, Piece piece) {
      this.zone = document.site().values().get(SiteSettings.ZONE);
      List<Item> items = piece.items();
      for (int i = 0; i < items.size(); i++) {
        Item item = items.get(i);
        String name = Fields.called(item, i);
        names.put(item.id(), name);
        byUid.put(SeasonFile.uid(item), item);
        byName.merge(folded(name), Optional.of(item), (_, _) -> Optional.empty());
      }
    }

    private static String folded(String name) {
      return name.strip().toLowerCase(Locale.ROOT);
    }

    SeasonsRead read(List<Map<String, Value>> events) {
      for (Map<String, Value> event : events) {
        String name = text(event, "SUMMARY");
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
      return new SeasonsRead(
          List.copyOf(changes.values()), List.copyOf(strangers), List.copyOf(refused));
    }

    private void take(Item item, Map<String, Value> event) {
      String name = names.getOrDefault(item.id(), item.id());
      try {
        Typed after = typed(event);
        // That it is one is what the season says.
        Season.of(after.begins, after.ends, after.yearly);
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
      boolean open = !begins.toLocalDate().isAfter(SeasonFile.EARLIEST);
      boolean lasting = !ends.toLocalDate().isBefore(SeasonFile.LATEST);
      boolean yearly = yearly(text(event, "RRULE"));
      if (event.containsKey("RDATE") || event.containsKey("EXDATE")) {
        throw new Refused("Its dates", "some by RDATE or EXDATE", "one season, or one each year");
      }
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

    private static ZoneId zone(String named) {
      try {
        return ZoneId.of(named);
      } catch (DateTimeException e) {
        throw new Refused("Time zone", named, "one of the IANA database, such as Europe/Lisbon");
      }
    }

    private static boolean yearly(String rule) {
      if (rule.isEmpty()) {
        return false;
      }
      if (!List.of(rule.toUpperCase(Locale.ROOT).split(";")).stream().allMatch(EACH_YEAR::contains)
          || !rule.toUpperCase(Locale.ROOT).contains("FREQ=YEARLY")) {
        throw new Refused("Its repetition", rule, "none, or FREQ=YEARLY alone");
      }
      return true;
    }

    private static String written(LocalDateTime at, int dayAfter) {
      return SeasonFile.midnight(at)
          ? at.toLocalDate().minusDays(dayAfter).toString()
          : at.format(MINUTES);
    }

    private static String text(Map<String, Value> event, String name) {
      Value value = event.get(name);
      return value == null ? "" : Strings.unescape(value.text).strip();
    }
  }
}
