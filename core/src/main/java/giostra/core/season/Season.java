package giostra.core.season;

import giostra.core.value.Refused;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * When something shows, by the clocks of a zone: from a time to another, either of which may be
 * open; once, or each year again; and within these dates at some times alone. Source: iCalendar
 * (RFC 5545), DTSTART, DTEND and RRULE FREQ=YEARLY: a year that does not have the day has no
 * season; for times see {@link Times}. Hours that begin within the dates end as they do, whole days
 * are cut where the dates begin and end.
 *
 * @param ends the first moment at which it shows no more
 */
public record Season(
    Optional<LocalDateTime> begins, Optional<LocalDateTime> ends, boolean yearly, Times times) {
  /** Always. */
  public static final Season ALWAYS =
      new Season(Optional.empty(), Optional.empty(), false, Times.ANY);

  /** Times that come again come again within so many days, or not for years. */
  private static final int SOON = 1_100;

  /** Years for which a season that comes again is worked out. */
  public static final int YEARS = 12;

  /** A stretch of time: from a moment until another, that one not included; open where empty. */
  public record Span(Optional<Instant> from, Optional<Instant> until) {
    /** Whether it ends after it begins. */
    boolean lasts() {
      return from.isEmpty() || until.isEmpty() || until.get().isAfter(from.get());
    }

    /** Whether some of it lies between two moments. */
    public boolean meets(Instant begins, Instant ends) {
      return from.map(ends::isAfter).orElse(true) && until.map(begins::isBefore).orElse(true);
    }

    /** Whether a moment lies in it. */
    public boolean holds(Instant at) {
      return from.map(each -> !at.isBefore(each)).orElse(true)
          && until.map(at::isBefore).orElse(true);
    }
  }

  /**
   * @throws Refused where it ends before it begins
   */
  public Season {
    if (begins.isPresent() && ends.isPresent() && !ends.get().isAfter(begins.get())) {
      throw new Refused("Season ends", ends.get().toString(), "after it begins, " + begins.get());
    }
  }

  /**
   * A season as it is written: a date begins with its first moment and ends with its last, one with
   * a time at that time.
   *
   * @param begins empty for open
   * @param ends empty for open
   * @throws Refused for what is no date, or where it ends before it begins
   */
  public static Season of(String begins, String ends, boolean yearly) {
    return of(begins, ends, yearly, Times.ANY);
  }

  /** The same at some times within its dates. */
  public static Season of(String begins, String ends, boolean yearly, Times times) {
    return new Season(
        time("Season begins", begins, 0),
        time("Season ends", ends, 1),
        // What has no beginning or no end cannot come again.
        yearly && !begins.isEmpty() && !ends.isEmpty(),
        times);
  }

  private static Optional<LocalDateTime> time(String what, String text, int dayAfter) {
    try {
      return text.isEmpty()
          ? Optional.empty()
          : Optional.of(
              text.contains("T")
                  ? LocalDateTime.parse(text)
                  : LocalDate.parse(text).plusDays(dayAfter).atStartOfDay());
    } catch (DateTimeException e) {
      throw new Refused(what, text, "a date that there is, such as 2026-12-24");
    }
  }

  /** Whether it is always on. */
  public boolean always() {
    return begins.isEmpty() && ends.isEmpty() && times.any();
  }

  /**
   * The stretches of its dates, in order: one or none, or one for each of {@link #YEARS} years.
   * Times that a zone skips are later, of those that it has twice the earlier counts.
   */
  public List<Span> dates(ZoneId zone) {
    // Where clocks go on, a short one may be over before it begins: it is none.
    return all(zone).stream().filter(Span::lasts).toList();
  }

  /**
   * The stretches in which it shows that lie between two moments, in order and whole, with {@link
   * #dates} as they are where it shows at any time of them.
   */
  public List<Span> spans(ZoneId zone, Instant from, Instant until) {
    List<Span> dates = dates(zone);
    if (times.any()) {
      return dates.stream().filter(span -> span.meets(from, until)).toList();
    }
    var all = new ArrayList<Span>();
    LocalDate last = until.atZone(zone).toLocalDate();
    // What began yesterday may last until today.
    LocalDate day = from.atZone(zone).toLocalDate().minusDays(1);
    for (; !day.isAfter(last); day = day.plusDays(1)) {
      if (times.on(day)) {
        Instant begins = in(times.begins(day), zone);
        Instant ends = in(times.ends(day), zone);
        dates.stream()
            .flatMap(span -> within(span, begins, ends).stream())
            .filter(Span::lasts)
            .filter(span -> span.meets(from, until))
            .forEach(span -> add(all, span));
      }
    }
    return all;
  }

  private Optional<Span> within(Span dates, Instant begins, Instant ends) {
    if (times.hours().isPresent()) {
      return dates.holds(begins)
          ? Optional.of(new Span(Optional.of(begins), Optional.of(ends)))
          : Optional.empty();
    }
    return dates.meets(begins, ends)
        ? Optional.of(
            new Span(
                Optional.of(dates.from().filter(begins::isBefore).orElse(begins)),
                Optional.of(dates.until().filter(ends::isAfter).orElse(ends))))
        : Optional.empty();
  }

  /** Days next to each other are one stretch. */
  private static void add(List<Span> all, Span span) {
    if (!all.isEmpty()
        && !all.getLast().until().orElseThrow().isBefore(span.from().orElseThrow())) {
      span = new Span(all.removeLast().from(), span.until());
    }
    all.add(span);
  }

  /** The next moment after one at which it comes or goes. */
  public Optional<Instant> next(ZoneId zone, Instant after) {
    Instant until = after.plus(Duration.ofDays(times.any() ? YEARS * 366L : SOON));
    List<Span> spans = times.any() ? dates(zone) : spans(zone, after, until);
    return spans.stream()
        .flatMap(span -> Stream.concat(span.from().stream(), span.until().stream()))
        .filter(after::isBefore)
        .min(Comparator.naturalOrder());
  }

  private List<Span> all(ZoneId zone) {
    if (!yearly) {
      return List.of(new Span(begins.map(at -> in(at, zone)), ends.map(at -> in(at, zone))));
    }
    LocalDateTime first = begins.orElseThrow();
    LocalDateTime last = ends.orElseThrow();
    int over = last.getYear() - first.getYear();
    var all = new ArrayList<Span>();
    for (int year = first.getYear(); year < first.getYear() + YEARS; year++) {
      if (has(first, year)) {
        // A season that ends with the 29th of February ends with the last day that there is.
        all.add(
            new Span(
                Optional.of(in(first.withYear(year), zone)),
                Optional.of(in(last.withYear(year + over), zone))));
      }
    }
    return all;
  }

  private static boolean has(LocalDateTime day, int year) {
    return day.withYear(year).getDayOfMonth() == day.getDayOfMonth();
  }

  private static Instant in(LocalDateTime at, ZoneId zone) {
    return at.atZone(zone).toInstant();
  }

  /** Whether it shows at a moment. */
  public boolean shows(Instant at, ZoneId zone) {
    return spans(zone, at, at.plusMillis(1)).stream().anyMatch(span -> span.holds(at));
  }
}
