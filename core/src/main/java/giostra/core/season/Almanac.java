package giostra.core.season;

import giostra.core.value.Require;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/**
 * The calendar of things that show in seasons: who is on when, when nobody is, when there are few.
 *
 * @param seasons of each of them, in their order
 */
public record Almanac(ZoneId zone, List<Season> seasons) {
  /** Most years that are looked at at once. */
  public static final int MOST_YEARS = 12;

  public Almanac {
    seasons = List.copyOf(seasons);
  }

  /**
   * A stretch in which the same ones are on.
   *
   * @param on their places, ascending
   */
  public record Stretch(Instant from, Instant until, List<Integer> on) {
    public Stretch {
      on = List.copyOf(on);
    }
  }

  /** The places of those that are on at a moment. */
  public List<Integer> on(Instant at) {
    var on = new ArrayList<Integer>();
    for (int i = 0; i < seasons.size(); i++) {
      if (seasons.get(i).shows(at, zone)) {
        on.add(i);
      }
    }
    return on;
  }

  /** Moments at which somebody comes or goes, from one to another, both left out. */
  public List<Instant> turns(Instant from, Instant until) {
    Require.above(0, "seconds looked at", until.getEpochSecond() - from.getEpochSecond());
    Require.within(
        0,
        MOST_YEARS * 366.0,
        "days looked at",
        (until.getEpochSecond() - from.getEpochSecond()) / 86_400.0);
    var all = new TreeSet<Instant>();
    for (Season season : seasons) {
      for (Season.Span span : season.spans(zone)) {
        span.from().ifPresent(all::add);
        span.until().ifPresent(all::add);
      }
    }
    return all.stream().filter(at -> at.isAfter(from) && at.isBefore(until)).toList();
  }

  /** What is on from one moment to another, without gaps; neighbours differ. */
  public List<Stretch> stretches(Instant from, Instant until) {
    var all = new ArrayList<Stretch>();
    var turns = new ArrayList<Instant>(turns(from, until));
    turns.add(until);
    Instant at = from;
    for (Instant turn : turns) {
      List<Integer> on = on(at);
      if (!all.isEmpty() && all.getLast().on().equals(on)) {
        all.set(all.size() - 1, new Stretch(all.getLast().from(), turn, on));
      } else {
        all.add(new Stretch(at, turn, on));
      }
      at = turn;
    }
    return all;
  }

  /** The next moment after one at which somebody comes or goes. */
  public Optional<Instant> next(Instant after) {
    return turns(after, after.plusSeconds(MOST_YEARS * 365L * 86_400)).stream().findFirst();
  }
}
