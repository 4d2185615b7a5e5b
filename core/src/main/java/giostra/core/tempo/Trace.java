package giostra.core.tempo;

import giostra.core.tempo.Score.Reason;
import giostra.core.tempo.Visit.Act;
import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What a score does while somebody is there: the rule that the page script obeys. The rest that is
 * left is frozen while something holds it and goes on with a second at the least; two things stop
 * it until the visitor starts it again. Source: WCAG 2.2, 2.2.2; ARIA Authoring Practices,
 * "Carousel", on rotation.
 */
public final class Trace {
  /** What it does over a stretch of time. */
  public enum Phase {
    WAITS,
    RESTS,
    /** Held by a reason that will pass. */
    HELD,
    CHANGES,
    /** Stopped until somebody starts it. */
    STOPPED,
    /** It has come to its end. */
    OVER
  }

  /** What stops it until somebody starts it. */
  public enum Latch {
    /** The keyboard came into it. */
    FOCUS,
    /** Its button was pressed. */
    BUTTON,
    /** Somebody moved it, and it is set to stay then. */
    HAND
  }

  /**
   * A stretch of time in which it does one thing.
   *
   * @param from ms; {@code to} is where the next begins
   * @param next the stop that comes in, in a change; else {@code stop}
   * @param way which of the ways of that stop, in a change
   * @param back whether it goes back
   * @param left ms that are left of the rest at its end; 0 in a change
   * @param passed ms for which the stop that shows, or goes, had been there at its beginning, what
   *     it was held left out
   * @param came when the stop that shows, or comes in, began to come in; 0 for the first
   */
  public record Stretch(
      long from,
      long to,
      Phase phase,
      int stop,
      int next,
      int way,
      boolean back,
      Set<Reason> reasons,
      Set<Latch> latches,
      long left,
      long passed,
      long came) {
    public Stretch {
      reasons = Set.copyOf(reasons);
      latches = Set.copyOf(latches);
    }
  }

  private final Score score;
  private final List<Stretch> stretches = new ArrayList<>();
  private final Set<Reason> reasons = EnumSet.noneOf(Reason.class);
  private final Set<Latch> latches = EnumSet.noneOf(Latch.class);
  private final int[] times;

  /** The phase when nothing holds it: waits, rests, changes or over. */
  private Phase phase;

  private int stop;
  private int next;
  private int way;
  private boolean back;
  private long since;
  private long left;
  private long came;

  /** Ms for which the stop that shows has been there, and the one that comes in. */
  private long passed;

  private long entered;

  /** Whether the rest to come is longer, after a move by hand. */
  private boolean later;

  /** Whether the visitor started it: then the keyboard in it stops it no more. */
  private boolean asked;

  private Trace(Score score) {
    this.score = score;
    this.times = new int[score.stops()];
    this.phase = !score.moves() ? Phase.OVER : score.startsAfter() > 0 ? Phase.WAITS : Phase.RESTS;
    this.left = phase == Phase.WAITS ? score.startsAfter() : score.rests().getFirst();
  }

  /**
   * What it does from when it was seen first to a time.
   *
   * @param until ms
   * @return stretches without gaps, none of length 0
   */
  public static List<Stretch> of(Score score, Visit visit, long until) {
    Require.within(0, Visit.LONGEST, "until (ms)", until);
    var trace = new Trace(score);
    for (Act act : visit.acts()) {
      if (act.at() <= until) {
        trace.run(act.at());
        trace.take(act);
      }
    }
    trace.run(until);
    trace.tell(until);
    return List.copyOf(trace.stretches);
  }

  private boolean runs() {
    return reasons.isEmpty() && latches.isEmpty();
  }

  /** Goes on to a time, with all that falls due by then. */
  private void run(long to) {
    while (true) {
      if (phase == Phase.CHANGES && since + left <= to) {
        arrive(since + left);
      } else if ((phase == Phase.RESTS || phase == Phase.WAITS) && runs() && since + left <= to) {
        due(since + left);
      } else {
        return;
      }
    }
  }

  private void due(long at) {
    boolean waited = phase == Phase.WAITS;
    tell(at);
    if (waited) {
      phase = Phase.RESTS;
      left = score.rests().get(stop);
      return;
    }
    Score.Step step = score.after(stop, back);
    if (step.to() == stop) {
      phase = Phase.OVER;
      left = 0;
    } else {
      change(step.to(), step.back(), at);
    }
  }

  private void change(int to, boolean goesBack, long at) {
    int time = times[to]++;
    next = to;
    back = goesBack;
    way = score.turns().get(to).way(time);
    left = score.turns().get(to).takes(time);
    phase = Phase.CHANGES;
    since = at;
    came = at;
    entered = 0;
    if (left == 0) {
      arrive(at);
    }
  }

  private void arrive(long at) {
    tell(at);
    stop = next;
    passed = entered;
    phase = Phase.RESTS;
    left = score.rests().get(stop) * (later ? Score.LATER : 1);
    later = false;
  }

  /** Writes down what it did until a time, and freezes what is left of a rest. */
  private void tell(long at) {
    boolean counts = phase == Phase.CHANGES || runs();
    if (at > since) {
      long over = counts && phase != Phase.OVER ? Math.max(0, left - (at - since)) : left;
      boolean changes = phase == Phase.CHANGES;
      Phase seen =
          changes || phase == Phase.OVER
              ? phase
              : !latches.isEmpty() ? Phase.STOPPED : !reasons.isEmpty() ? Phase.HELD : phase;
      stretches.add(
          new Stretch(
              since,
              at,
              seen,
              stop,
              changes ? next : stop,
              changes ? way : 0,
              back,
              reasons,
              latches,
              changes ? 0 : over,
              passed,
              came));
      left = over;
      passed += counts ? at - since : 0;
      entered += at - since;
    }
    since = at;
  }

  private void take(Act act) {
    // What is under way goes on; where it is told in two stretches they say the same of it.
    if (phase != Phase.CHANGES) {
      tell(act.at());
    }
    switch (act.deed()) {
      case POINTS -> hold(Reason.POINTER);
      case LEAVES -> release(Reason.POINTER);
      case TABS_IN -> {
        if (!asked) {
          latches.add(Latch.FOCUS);
        }
      }
      case GOES_AWAY -> hold(Reason.AWAY);
      case COMES_BACK -> release(Reason.AWAY);
      case SCROLLS_OFF -> hold(Reason.UNSEEN);
      case SCROLLS_ON -> release(Reason.UNSEEN);
      case STARTS_CLIP -> hold(Reason.CLIP);
      case CLIP_ENDS -> release(Reason.CLIP);
      case CLICKS_IN -> hold(Reason.INSIDE);
      case CLICKS_OUT -> release(Reason.INSIDE);
      case PRESSES_PAUSE -> press(act.at());
      case NEXT -> step(1, act.at());
      case PREVIOUS -> step(-1, act.at());
      case GOES_TO -> byHand(act.stop(), act.stop() < aim(), act.at());
      case GRABS -> hold(Reason.FINGER);
      case LETS_GO -> {
        release(Reason.FINGER);
        byHand(act.stop(), act.stop() < aim(), act.at());
      }
    }
  }

  private void hold(Reason reason) {
    if (reason.always() || score.heldBy().contains(reason)) {
      reasons.add(reason);
    }
  }

  private void release(Reason reason) {
    if (reasons.remove(reason) && runs()) {
      goOn();
    }
  }

  private void goOn() {
    if (phase == Phase.RESTS) {
      left = Math.max(left, Score.LEAST_LEFT);
    }
  }

  /** Where it is, or is going. */
  private int aim() {
    return phase == Phase.CHANGES ? next : stop;
  }

  private void press(long at) {
    if (latches.isEmpty() && phase != Phase.OVER) {
      latches.add(Latch.BUTTON);
      asked = false;
      return;
    }
    latches.clear();
    // The pointer is over the button: it holds again when it comes anew.
    reasons.remove(Reason.POINTER);
    asked = true;
    if (phase == Phase.OVER && score.moves()) {
      change(0, false, at);
    } else {
      goOn();
    }
  }

  private void step(int by, long at) {
    int to = aim() + by;
    if (score.loops()) {
      byHand(Math.floorMod(to, score.stops()), by < 0, at);
    } else if (to >= 0 && to < score.stops()) {
      byHand(to, by < 0, at);
    }
  }

  private void byHand(int to, boolean goesBack, long at) {
    if (to == aim() || to >= score.stops()) {
      return;
    }
    if (phase == Phase.CHANGES) {
      // It is cut short: what was coming in is there.
      tell(at);
      stop = next;
      passed = entered;
    }
    if (score.afterHand() == Score.AfterHand.STOPS) {
      latches.add(Latch.HAND);
    }
    later = score.afterHand() == Score.AfterHand.LATER;
    change(to, goesBack, at);
  }
}
