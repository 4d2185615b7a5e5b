package giostra.core.season;

import giostra.core.season.Season.Span;
import giostra.core.value.Require;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * The calendar of things that show in seasons: who is on when, when nobody is, when there are few.
 */
public final class Almanac {
  /** Most years that are looked at at once. */
  public static final int MOST_YEARS = 12;

  private final ZoneId zone;
  private final List<Season> seasons;
  private final List<List<Span>> spans;
  private final Instant from;
  private final Instant until;

  /** Who comes and who goes at a moment, by place. */
  private record Turn(List<Integer> come, List<Integer> go) {}

  private final TreeMap<Instant, Turn> turns = new TreeMap<>();

  /**
   * From one moment to another, of which it knows who is on.
   *
   * @param seasons of each thing, in their order
   * @throws giostra.core.value.Refused where that is nothing, or more than {@link #MOST_YEARS}
   */
  public Almanac(ZoneId zone, List<Season> seasons, Instant from, Instant until) {
    double days = (until.getEpochSecond() - from.getEpochSecond()) / 86_400.0;
    Require.above(0, "days looked at", days);
    Require.within(0, MOST_YEARS * 366.0, "days looked at", days);
    this.zone = zone;
    this.seasons = List.copyOf(seasons);
    this.from = from;
    this.until = until;
    this.spans = seasons.stream().map(season -> season.spans(zone, from, until)).toList();
    for (int i = 0; i < spans.size(); i++) {
      int place = i;
      for (Span span : spans.get(i)) {
        span.from().ifPresent(at -> turn(at).come().add(place));
        span.until().ifPresent(at -> turn(at).go().add(place));
      }
    }
  }

  private Turn turn(Instant at) {
    return turns.computeIfAbsent(at, _ -> new Turn(new ArrayList<>(), new ArrayList<>()));
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
    for (int i = 0; i < spans.size(); i++) {
      if (on(i, at)) {
        on.add(i);
      }
    }
    return on;
  }

  private boolean on(int place, Instant at) {
    return spans.get(place).stream().anyMatch(span -> span.holds(at));
  }

  /** What is on all the time, without gaps; neighbours differ. */
  public List<Stretch> stretches() {
    var all = new ArrayList<Stretch>();
    var on = new TreeSet<Integer>(on(from));
    Instant since = from;
    for (var each : turns.subMap(from, false, until, false).entrySet()) {
      var next = new TreeSet<Integer>(on);
      // Who comes again before it has gone stays.
      each.getValue().go().stream().filter(i -> !on(i, each.getKey())).forEach(next::remove);
      next.addAll(each.getValue().come());
      if (!next.equals(on)) {
        all.add(new Stretch(since, each.getKey(), List.copyOf(on)));
        since = each.getKey();
        on = next;
      }
    }
    all.add(new Stretch(since, until, List.copyOf(on)));
    return all;
  }

  /** The next moment after one at which somebody comes or goes. */
  public Optional<Instant> next(Instant after) {
    return seasons.stream()
        .flatMap(season -> season.next(zone, after).stream())
        .min(Comparator.naturalOrder());
  }
}
