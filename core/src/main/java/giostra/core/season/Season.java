package giostra.core.season;

import giostra.core.value.Refused;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * When something shows, by the clocks of a zone: from a time to another, either of which may be
 * open; once, or each year again. Source: iCalendar (RFC 5545), DTSTART, DTEND and RRULE
 * FREQ=YEARLY: a year that does not have the day has no season.
 *
 * @param ends the first moment at which it shows no more
 */
public record Season(Optional<LocalDateTime> begins, Optional<LocalDateTime> ends, boolean yearly) {
  /** Always. */
  public static final Season ALWAYS = new Season(Optional.empty(), Optional.empty(), false);

  /** Years for which a season that comes again is worked out. */
  public static final int YEARS = 12;

  /** A stretch of time: from a moment until another, that one not included; open where empty. */
  public record Span(Optional<Instant> from, Optional<Instant> until) {
    /** Whether it ends after it begins. */
    boolean lasts() {
      return from.isEmpty() || until.isEmpty() || until.get().isAfter(from.get());
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
    return new Season(
        time("Season begins", begins, 0),
        time("Season ends", ends, 1),
        // What has no beginning or no end cannot come again.
        yearly && !begins.isEmpty() && !ends.isEmpty());
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
    return begins.isEmpty() && ends.isEmpty();
  }

  /**
   * The stretches in which it shows, in order: one or none, or one for each of {@link #YEARS}
   * years. Times that a zone skips are later, of those that it has twice the earlier counts.
   */
  public List<Span> spans(ZoneId zone) {
    // Where clocks go on, a short one may be over before it begins: it is none.
    return all(zone).stream().filter(Span::lasts).toList();
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
    return spans(zone).stream().anyMatch(span -> span.holds(at));
  }
}
