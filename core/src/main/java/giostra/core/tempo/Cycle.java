package giostra.core.tempo;

import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * What a score does when nobody is there, at any time: laid out once, then looked up.
 *
 * @see #at(long) in a time that grows with the logarithm of the number of stops
 */
public final class Cycle {
  /** Rests at a stop, then changes into the next. */
  private record Leg(int stop, long rest, int next, int way, boolean back, long change) {
    long length() {
      return rest + change;
    }
  }

  /** What it does. */
  public enum Phase {
    /** Before its first rest. */
    WAITS,
    RESTS,
    CHANGES,
    /** It has come to its end. */
    OVER
  }

  /**
   * What it does at one time.
   *
   * @param next the stop that comes in, in a change; else {@code stop}
   * @param way which of the ways of that stop
   * @param back whether it goes back
   * @param share of the rest or the change that has passed, 0 to 1
   */
  public record Moment(Phase phase, int stop, int next, int way, boolean back, double share) {}

  private final Score score;
  private final List<Leg> legs = new ArrayList<>();

  /** When each leg begins, in ms after the first. */
  private final List<Long> begins = new ArrayList<>();

  private final long whole;
  private final long round;

  private Cycle(Score score) {
    this.score = score;
    int once = score.round() == Score.Round.BACK ? 2 * score.stops() - 2 : score.stops();
    int rounds =
        score.round() == Score.Round.ONCE
            ? 1
            : score.turns().stream().mapToInt(each -> each.order().size()).reduce(1, Cycle::lcm);
    int[] times = new int[score.stops()];
    int stop = 0;
    boolean back = false;
    long at = 0;
    long first = 0;
    for (int i = 0; i < once * rounds && score.moves(); i++) {
      Score.Step step = score.after(stop, back);
      boolean ends = step.to() == stop;
      int time = ends ? 0 : times[step.to()]++;
      Score.Turns turns = score.turns().get(step.to());
      var leg =
          new Leg(
              stop,
              score.rests().get(stop),
              step.to(),
              turns.way(time),
              step.back(),
              ends ? 0 : turns.takes(time));
      begins.add(at);
      legs.add(leg);
      at += leg.length();
      first = i + 1 == once ? at : first;
      stop = step.to();
      back = step.back();
    }
    this.whole = at;
    this.round = first;
  }

  /** Lays a score out. */
  public static Cycle of(Score score) {
    return new Cycle(score);
  }

  /** How long the first round takes, in ms; 0 where nothing moves. */
  public long round() {
    return round;
  }

  /**
   * What it does so many ms after it was seen first.
   *
   * @throws giostra.core.value.Refused for a time before that
   */
  public Moment at(long ms) {
    Require.atLeast(0, "time (ms)", ms);
    if (!score.moves()) {
      return new Moment(Phase.OVER, 0, 0, 0, false, 1);
    }
    if (ms < score.startsAfter()) {
      return new Moment(Phase.WAITS, 0, 0, 0, false, (double) ms / score.startsAfter());
    }
    long since = ms - score.startsAfter();
    if (score.round() == Score.Round.ONCE && since >= whole) {
      int last = score.stops() - 1;
      return new Moment(Phase.OVER, last, last, 0, false, 1);
    }
    long in = since % whole;
    int found = Collections.binarySearch(begins, in);
    Leg leg = legs.get(found < 0 ? -found - 2 : found);
    long passed = in - begins.get(found < 0 ? -found - 2 : found);
    return passed < leg.rest()
        ? new Moment(
            Phase.RESTS, leg.stop(), leg.stop(), 0, leg.back(), (double) passed / leg.rest())
        : new Moment(
            Phase.CHANGES,
            leg.stop(),
            leg.next(),
            leg.way(),
            leg.back(),
            (double) (passed - leg.rest()) / leg.change());
  }

  private static int lcm(int a, int b) {
    int x = a;
    int y = b;
    while (y != 0) {
      int rest = x % y;
      x = y;
      y = rest;
    }
    return a / x * b;
  }
}
