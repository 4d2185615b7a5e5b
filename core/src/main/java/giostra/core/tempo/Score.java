package giostra.core.tempo;

import giostra.core.value.Require;
import java.util.List;
import java.util.Set;

/**
 * What something that goes from stop to stop does by itself. It knows no page; all times in ms.
 *
 * @param rests how long it stays at each stop
 * @param turns how each stop comes in
 * @param round where it goes after the last
 * @param loops whether the last stop is the first one's neighbour
 * @param startsAfter before the first rest begins
 * @param afterHand what it does after somebody has moved it
 * @param heldBy what holds it besides what always does
 */
public record Score(
    List<Long> rests,
    List<Turns> turns,
    Round round,
    boolean loops,
    long startsAfter,
    AfterHand afterHand,
    Set<Reason> heldBy) {

  /** Shortest and longest rest, in ms. */
  public static final long LEAST_REST = 1000;

  public static final long MOST_REST = 60_000;

  /** Least that is left of a rest that goes on, in ms. */
  public static final long LEAST_LEFT = 1000;

  /** How many times as long as usual it rests after a move by hand, where it waits longer. */
  public static final int LATER = 2;

  /** Where it goes after the last stop. */
  public enum Round {
    /** On to the first, again and again. */
    ROUND,
    /** Nowhere: it ends there. */
    ONCE,
    /** Back the way it came. */
    BACK
  }

  /** What it does after somebody has moved it. */
  public enum AfterHand {
    /** Rests anew, then goes on. */
    AGAIN,
    /** Rests anew, longer, then goes on. */
    LATER,
    /** Stays until it is started. */
    STOPS
  }

  /** What holds it while it lasts. */
  public enum Reason {
    POINTER,
    FINGER,
    AWAY,
    UNSEEN,
    CLIP,
    /** A mouse has put the focus into it, which is not taken from it. */
    INSIDE;

    /** Whether it holds whatever is set. */
    public boolean always() {
      return this == FINGER || this == AWAY || this == INSIDE;
    }
  }

  /**
   * How a stop comes in: its ways in an order that goes on and on.
   *
   * @param takes how long each of its ways takes, in ms
   * @param order which of them it is, time after time
   */
  public record Turns(List<Long> takes, List<Integer> order) {
    public Turns {
      takes = List.copyOf(takes);
      order = List.copyOf(order);
      Require.atLeast(1, "ways", takes.size());
      Require.atLeast(1, "order", order.size());
    }

    /** Always the same way. */
    public static Turns always(long takes) {
      return new Turns(List.of(takes), List.of(0));
    }

    /** Which way it is the n-th time. */
    public int way(int time) {
      return order.get(time % order.size());
    }

    /** How long it takes the n-th time. */
    public long takes(int time) {
      return takes.get(way(time));
    }
  }

  public Score {
    rests = List.copyOf(rests);
    turns = List.copyOf(turns);
    heldBy = Set.copyOf(heldBy);
    Require.atLeast(1, "stops", rests.size());
    Require.within(rests.size(), rests.size(), "ways in", turns.size());
    rests.forEach(rest -> Require.within(LEAST_REST, MOST_REST, "Rest (ms)", rest));
    Require.within(0, MOST_REST, "Starts after (ms)", startsAfter);
  }

  /** How many stops there are. */
  public int stops() {
    return rests.size();
  }

  /** Whether anything happens at all. */
  public boolean moves() {
    return stops() > 1;
  }

  /** A step of its own: to a stop, on or back; to itself where it ends. */
  record Step(int to, boolean back) {}

  /** Where it goes by itself from a stop. */
  Step after(int stop, boolean back) {
    int last = stops() - 1;
    return switch (round) {
      case ROUND -> new Step((stop + 1) % stops(), false);
      case ONCE -> new Step(Math.min(stop + 1, last), false);
      case BACK -> {
        boolean turned = stop == last || (back && stop > 0);
        yield new Step(turned ? stop - 1 : stop + 1, turned);
      }
    };
  }
}
