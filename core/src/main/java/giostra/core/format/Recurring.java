package giostra.core.format;

import giostra.core.format.SeasonsRead.Typed;
import giostra.core.season.Times;
import giostra.core.value.Refused;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * An event that comes again within a year: on some days, in some months, at its hours. Source: RFC
 * 5545, 3.3.10 "Recurrence Rule".
 */
final class Recurring {
  private static final Set<String> PARTS =
      Set.of("FREQ", "INTERVAL", "WKST", "BYDAY", "BYMONTH", "UNTIL", "COUNT");
  private static final String ALLOWED =
      "none, FREQ=YEARLY alone, or FREQ=DAILY or WEEKLY with BYDAY, BYMONTH and UNTIL or COUNT";
  private static final int MOST = 5_000;

  private final String rule;
  private final Map<String, String> parts;
  private final LocalDateTime begins;
  private final Times times;

  private Recurring(String rule, Map<String, String> parts, LocalDateTime begins, Times times) {
    this.rule = rule;
    this.parts = parts;
    this.begins = begins;
    this.times = times;
  }

  /**
   * Reads a rule; nothing where there is none, or one of each year alone.
   *
   * @param ours whether the event is said by the clocks of the site
   * @throws Refused for another
   */
  static Optional<Recurring> of(
      String rule, LocalDateTime begins, LocalDateTime ends, boolean ours) {
    if (rule.isEmpty()) {
      return Optional.empty();
    }
    Map<String, String> parts = parts(rule);
    String often = parts.getOrDefault("FREQ", "");
    if (!parts.getOrDefault("INTERVAL", "1").equals("1")
        || parts.containsKey("UNTIL") && parts.containsKey("COUNT")) {
      throw refused(rule);
    }
    if (often.equals("YEARLY") && !parts.containsKey("BYDAY")) {
      if (parts.keySet().stream().anyMatch(Set.of("BYMONTH", "UNTIL", "COUNT")::contains)) {
        throw refused(rule);
      }
      return Optional.empty();
    }
    Set<DayOfWeek> days = days(rule, parts);
    switch (often) {
      // Each of the days that it names: no more is said by a year than by a week.
      case "YEARLY", "DAILY" -> {}
      case "WEEKLY" -> {
        if (days.isEmpty()) {
          days.add(begins.getDayOfWeek());
        }
      }
      default -> throw refused(rule);
    }
    if (!ours) {
      throw new Refused(
          "Its repetition", "by the clocks of another zone", "by those of the site, or by none");
    }
    var times = new Times(months(rule, parts), some(days, 7), hours(begins, ends));
    return Optional.of(new Recurring(rule, parts, begins, times));
  }

  private static Refused refused(String rule) {
    return new Refused("Its repetition", rule, ALLOWED);
  }

  private static Map<String, String> parts(String rule) {
    var parts = new HashMap<String, String>();
    for (String part : rule.toUpperCase(Locale.ROOT).split(";")) {
      String[] both = part.split("=", 2);
      if (both.length < 2 || !PARTS.contains(both[0]) || parts.put(both[0], both[1]) != null) {
        throw refused(rule);
      }
    }
    return parts;
  }

  private static Set<DayOfWeek> days(String rule, Map<String, String> parts) {
    var days = EnumSet.noneOf(DayOfWeek.class);
    for (String day : listed(parts, "BYDAY")) {
      days.add(
          Arrays.stream(DayOfWeek.values())
              .filter(each -> each.name().substring(0, 2).equals(day))
              .findFirst()
              .orElseThrow(() -> refused(rule)));
    }
    return days;
  }

  private static Set<Month> months(String rule, Map<String, String> parts) {
    var months = EnumSet.noneOf(Month.class);
    for (String month : listed(parts, "BYMONTH")) {
      if (!month.matches("[1-9]|1[0-2]")) {
        throw refused(rule);
      }
      months.add(Month.of(Integer.parseInt(month)));
    }
    return some(months, 12);
  }

  private static List<String> listed(Map<String, String> parts, String name) {
    String listed = parts.get(name);
    return listed == null ? List.of() : List.of(listed.split(",", -1));
  }

  /** All there are is as if none were named. */
  private static <T> Set<T> some(Set<T> named, int all) {
    return named.size() == all ? Set.of() : named;
  }

  private static Optional<Times.Hours> hours(LocalDateTime begins, LocalDateTime ends) {
    Duration lasts = Duration.between(begins, ends);
    if (lasts.isNegative() || lasts.isZero() || lasts.compareTo(Duration.ofDays(1)) > 0) {
      throw new Refused("What comes again", lasts.toHours() + " hours long", "at most 24 hours");
    }
    boolean whole = SeasonFile.midnight(begins) && lasts.equals(Duration.ofDays(1));
    return whole
        ? Optional.empty()
        : Optional.of(new Times.Hours(begins.toLocalTime(), ends.toLocalTime()));
  }

  /** As it is typed. */
  Typed typed(ZoneId zone) {
    String from =
        begins.getYear() <= SeasonFile.EARLIEST.getYear() ? "" : begins.toLocalDate().toString();
    return new Typed(from, ends(zone), false, times);
  }

  private String ends(ZoneId zone) {
    String until = parts.get("UNTIL");
    String count = parts.get("COUNT");
    if (count != null) {
      return last(count).toString();
    }
    if (until == null) {
      return "";
    }
    try {
      if (!until.contains("T")) {
        return LocalDate.parse(until, SeasonsRead.DATE).toString();
      }
      boolean utc = until.endsWith("Z");
      LocalDateTime at =
          LocalDateTime.parse(
              utc ? until.substring(0, until.length() - 1) : until, SeasonsRead.TIME);
      LocalDateTime local =
          utc ? at.atOffset(ZoneOffset.UTC).atZoneSameInstant(zone).toLocalDateTime() : at;
      // What begins then is the last: it ends a minute later, or with its day.
      LocalDateTime after = local.withSecond(0).plusMinutes(1);
      return SeasonsRead.written(after, 1);
    } catch (DateTimeException e) {
      throw refused(rule);
    }
  }

  /** The day of the last of so many. */
  private LocalDate last(String count) {
    if (!count.matches("[1-9]\\d{0,3}") || Integer.parseInt(count) > MOST) {
      throw new Refused("Its repetition", "COUNT=" + count, "at most " + MOST + " times");
    }
    return Stream.iterate(begins.toLocalDate(), day -> day.plusDays(1))
        .filter(times::on)
        .skip(Integer.parseInt(count) - 1L)
        .findFirst()
        .orElseThrow();
  }
}
