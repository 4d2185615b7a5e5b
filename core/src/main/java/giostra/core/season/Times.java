package giostra.core.season;

import giostra.core.value.Refused;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.Month;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * At which times within its dates something shows: in some months, on some days of the week, at
 * some hours. What is empty is all of them. Source: iCalendar (RFC 5545), RRULE with FREQ=DAILY or
 * WEEKLY, BYDAY and BYMONTH: hours belong to the day on which they begin.
 *
 * @param hours none for whole days
 */
public record Times(Set<Month> months, Set<DayOfWeek> days, Optional<Hours> hours) {
  /** Whenever. */
  public static final Times ANY = new Times(Set.of(), Set.of(), Optional.empty());

  /** How hours are written. */
  public static final String HOURS = "([01]\\d|2[0-3]):[0-5]\\d-(([01]\\d|2[0-3]):[0-5]\\d|24:00)";

  private static final Pattern WRITTEN = Pattern.compile("(\\d\\d:\\d\\d)-(\\d\\d:\\d\\d)");

  public Times {
    months = Set.copyOf(months);
    days = Set.copyOf(days);
  }

  /**
   * Hours of a day; those that end no later than they begin end on the next day.
   *
   * @param until the first time at which it shows no more
   */
  public record Hours(LocalTime from, LocalTime until) {
    /** Whether they end on the day after. */
    public boolean overnight() {
      return !until.isAfter(from);
    }

    /** As they are typed: {@code 18:00-23:30}. */
    public String written() {
      return from + "-" + (until.equals(LocalTime.MIDNIGHT) ? "24:00" : until);
    }
  }

  /**
   * Times as they are typed.
   *
   * @param months their words, such as {@code december}
   * @param days their words, such as {@code friday}
   * @param hours such as {@code 18:00-23:30}, or empty
   * @throws Refused for others
   */
  public static Times of(List<String> months, List<String> days, String hours) {
    return new Times(
        among(Month.class, "Months", months), among(DayOfWeek.class, "Days", days), hours(hours));
  }

  private static <T extends Enum<T>> Set<T> among(Class<T> type, String what, List<String> words) {
    var all = EnumSet.noneOf(type);
    for (String word : words) {
      all.add(
          Arrays.stream(type.getEnumConstants())
              .filter(each -> word(each).equals(word))
              .findFirst()
              .orElseThrow(
                  () -> new Refused(what, word, "some of " + String.join(", ", words(type)))));
    }
    return all;
  }

  /** The words of all months, or all days, in their order. */
  public static <T extends Enum<T>> List<String> words(Class<T> type) {
    return Arrays.stream(type.getEnumConstants()).map(Times::word).toList();
  }

  /** Some of them as words, in their order. */
  public static <T extends Enum<T>> List<String> words(Set<T> some) {
    return new TreeSet<>(some).stream().map(Times::word).toList();
  }

  private static String word(Enum<?> of) {
    return of.name().toLowerCase(Locale.ROOT);
  }

  private static Optional<Hours> hours(String text) {
    Matcher hours = WRITTEN.matcher(text);
    if (text.isEmpty()) {
      return Optional.empty();
    }
    if (!text.matches(HOURS) || !hours.matches()) {
      throw new Refused("Hours", text, "from a time to another, such as 18:00-23:30");
    }
    LocalTime from = LocalTime.parse(hours.group(1));
    LocalTime until =
        hours.group(2).equals("24:00") ? LocalTime.MIDNIGHT : LocalTime.parse(hours.group(2));
    // From a time to the same is all day long, and so is what begins with it and ends with it.
    return from.equals(until) && from.equals(LocalTime.MIDNIGHT)
        ? Optional.empty()
        : Optional.of(new Hours(from, until));
  }

  /** Whether it is whenever. */
  public boolean any() {
    return months.isEmpty() && days.isEmpty() && hours.isEmpty();
  }

  /** Whether something begins on a day. */
  public boolean on(LocalDate day) {
    return (months.isEmpty() || months.contains(day.getMonth()))
        && (days.isEmpty() || days.contains(day.getDayOfWeek()));
  }

  /** When it begins on a day. */
  public LocalDateTime begins(LocalDate day) {
    return day.atTime(hours.map(Hours::from).orElse(LocalTime.MIDNIGHT));
  }

  /** When what begins on a day ends. */
  public LocalDateTime ends(LocalDate day) {
    return hours
        .map(each -> (each.overnight() ? day.plusDays(1) : day).atTime(each.until()))
        .orElseGet(() -> day.plusDays(1).atStartOfDay());
  }
}
