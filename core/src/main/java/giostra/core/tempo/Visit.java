package giostra.core.tempo;

import giostra.core.value.Refused;
import giostra.core.value.Require;
import java.util.List;

/**
 * What somebody who is there does, in the order of time.
 *
 * @param acts at the most {@link #MOST}
 */
public record Visit(List<Act> acts) {
  /** Most acts of a visit. */
  public static final int MOST = 100;

  /** Longest visit, in ms. */
  public static final long LONGEST = 600_000;

  /** What somebody can do. */
  public enum Deed {
    /** The pointer comes over it; a mouse's or a pen's. */
    POINTS,
    LEAVES,
    /** Comes into it by keyboard. */
    TABS_IN,
    /** Leaves the page for another. */
    GOES_AWAY,
    COMES_BACK,
    /** Scrolls it out of view. */
    SCROLLS_OFF,
    SCROLLS_ON,
    /** Presses its pause button, or the same to start it again. */
    PRESSES_PAUSE,
    NEXT,
    PREVIOUS,
    /** Goes to a stop, by its mark say. */
    GOES_TO,
    /** Takes hold of it with a finger. */
    GRABS,
    /** Lets it go towards a stop. */
    LETS_GO,
    STARTS_CLIP,
    CLIP_ENDS,
    /** Puts the focus on something within a stop by a mouse or finger; takes it elsewhere. */
    CLICKS_IN,
    CLICKS_OUT
  }

  /**
   * One of them.
   *
   * @param at ms after it was seen first
   * @param stop where it leads to, for {@code GOES_TO} and {@code LETS_GO}; else 0
   */
  public record Act(long at, Deed deed, int stop) {
    public Act {
      Require.within(0, LONGEST, "time (ms)", at);
      Require.within(0, 10_000, "stop", stop);
    }
  }

  public Visit {
    acts = List.copyOf(acts);
    Require.within(0, MOST, "acts", acts.size());
    for (int i = 1; i < acts.size(); i++) {
      if (acts.get(i).at() < acts.get(i - 1).at()) {
        throw new Refused(
            "time (ms) of act " + (i + 1),
            Long.toString(acts.get(i).at()),
            "no earlier than that of the one before it, " + acts.get(i - 1).at());
      }
    }
  }

  /** Nobody does anything. */
  public static Visit none() {
    return new Visit(List.of());
  }
}
