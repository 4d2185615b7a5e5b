package giostra.core.output;

import giostra.core.page.DriveSettings.Entrance;
import giostra.core.page.DriveSettings.GroundMoves;
import giostra.core.tempo.Score;
import giostra.core.value.Change;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the compiler decided for a piece, for the page script to execute: nothing is left to decide.
 * {@link PlanJson} writes it; {@code runtime/src/plan.ts} is made of it, with these words (see
 * PlanTypesTest). What is empty or false is left out.
 */
public sealed interface Plan {
  /** What is written as a list of its values, to weigh less. */
  sealed interface Row {}

  /**
   * For a slider or carousel.
   *
   * @param items how many are on the track
   * @param another whether each visit starts with another one of them
   * @param turns the lists of ways by which items come in
   * @param bands narrowest first; exactly one query matches at any time
   */
  record Track(int items, boolean another, Optional<List<Turns>> turns, List<TrackBand> bands)
      implements Plan {}

  /** Along which axis a track moves. */
  enum Axis {
    X,
    Y
  }

  /**
   * A track in a band.
   *
   * @param query its media query
   * @param axis that it moves along
   * @param view items in view
   * @param both whether a neighbour peeks on both sides
   * @param loops whether the track goes round
   * @param tabbed whether the place marks are those of the tabbed pattern
   * @param on the items that show, where not all do
   * @param starts first item of each stop, among those that show, ascending
   * @param fewer the same for fewer items, by their number, where conditions may hide some
   * @param ways by item, which list of ways it comes in by
   * @param apart whether no two neighbouring stops show the same item, so that each can be drawn
   *     apart
   * @param words how words come in
   * @param auto what it does by itself
   * @param ground how pictures under words move while their slide is there
   */
  record TrackBand(
      String query,
      Axis axis,
      int view,
      boolean both,
      boolean loops,
      boolean tabbed,
      Optional<List<Integer>> on,
      List<Integer> starts,
      Optional<List<Fewer>> fewer,
      Optional<List<Integer>> ways,
      boolean apart,
      Optional<Words> words,
      Optional<Auto> auto,
      Optional<Ground> ground) {}

  /**
   * What changes where fewer items show than the sheet was written for.
   *
   * @param view items in view
   * @param both whether a neighbour peeks on both sides
   * @param loops whether the track goes round
   * @param starts first item of each stop
   * @param css the values that the sheet calculates with, by custom property
   */
  record Fewer(
      int view, boolean both, boolean loops, List<Integer> starts, Map<String, String> css) {}

  /**
   * How an item comes in: its ways, in an order that goes on and on.
   *
   * @param by the ways
   * @param order places in it
   * @param glide whether a hand that moves it has it glide
   */
  record Turns(List<Way> by, List<Integer> order, boolean glide) {}

  /**
   * One way of changing.
   *
   * @param manner how
   * @param from the side it comes from
   * @param ms how long it takes
   * @param easing its curve as CSS has it
   */
  record Way(Change.Manner manner, Change.From from, long ms, String easing) implements Row {}

  /**
   * How words come in.
   *
   * @param manner how; none where only what is pinned comes in, each as it says itself
   * @param beat ms between two
   * @param takes ms that each takes
   * @param after which share of the change
   */
  record Words(Entrance manner, long beat, long takes, double after) implements Row {}

  /**
   * How pictures move while their slide is there.
   *
   * @param manner how
   * @param by how many percent
   */
  record Ground(GroundMoves manner, int by) implements Row {}

  /**
   * The rest of a stop, in ms.
   *
   * @param set where nothing else decides
   * @param least of one that reading decides
   * @param most of one that reading decides
   */
  record Rest(long set, long least, long most) implements Row {}

  /**
   * What a track does by itself in a band; all in ms, items by their place among all.
   *
   * @param own what an item rests of its own; 0 for none
   * @param reads what it takes to read an item, where that decides
   * @param rest of a stop
   * @param left of a rest that goes on, at the least
   * @param later how many times as long it rests after a hand, where it waits longer then
   * @param after it has been seen for so long it begins
   * @param round what comes after the last
   * @param hand what a hand on it does
   * @param held by what it is held
   */
  record Auto(
      Optional<List<Long>> own,
      Optional<List<Long>> reads,
      Rest rest,
      long left,
      long later,
      long after,
      Score.Round round,
      Score.AfterHand hand,
      List<Score.Reason> held) {}

  /**
   * For tabs.
   *
   * @param hover whether a pointer opens them
   * @param focus whether the keyboard opens them where it comes to
   * @param intent ms that a pointer stays on a heading before it opens
   * @param bands narrowest first
   */
  record Tabs(boolean hover, boolean focus, Optional<Long> intent, List<TabsBand> bands)
      implements Plan {}

  /**
   * Tabs in a band.
   *
   * @param query its media query
   * @param folds whether they are an accordion here
   * @param down whether the headings stand one under the other
   */
  record TabsBand(String query, boolean folds, boolean down) {}

  /**
   * For an accordion.
   *
   * @param hover whether a pointer opens them
   * @param focus whether the keyboard opens them where it comes to
   * @param intent ms that a pointer stays on a heading before it opens
   * @param mayClose whether all may be closed
   * @param first whether the first is open at first, whichever is there by its season
   * @param always media queries under which all are open
   * @param tallest media queries under which panels are as high as the tallest
   */
  record Accordion(
      boolean hover,
      boolean focus,
      Optional<Long> intent,
      boolean mayClose,
      boolean first,
      List<String> always,
      List<String> tallest)
      implements Plan {}

  /**
   * For counters.
   *
   * @param locale by which numbers are written
   * @param ms how long a count takes; none where it goes by steps
   * @param curve a cubic Bézier curve; none for an even pace
   * @param step of a count by steps
   * @param beat ms between two steps
   * @param grouping whether thousands are told apart
   * @param compact whether large numbers are written short
   * @param share of a figure that is seen when it starts
   * @param every whether it counts each time that it is seen
   * @param delay ms before the first starts
   * @param sequence ms between two that start
   */
  record Counters(
      String locale,
      Optional<Long> ms,
      Optional<Curve> curve,
      double step,
      long beat,
      boolean grouping,
      boolean compact,
      double share,
      boolean every,
      Optional<Long> delay,
      Optional<Long> sequence)
      implements Plan {}

  /**
   * A cubic Bézier curve from 0, 0 to 1, 1.
   *
   * @param x1 of the first handle
   * @param y1 of the first handle
   * @param x2 of the second handle
   * @param y2 of the second handle
   */
  record Curve(double x1, double y1, double x2, double y2) implements Row {}

  /**
   * For clips.
   *
   * @param autoplay whether they play when they are seen
   * @param muted whether without sound
   * @param loop whether again and again
   */
  record Clips(boolean autoplay, boolean muted, boolean loop) implements Plan {}

  /**
   * For flip boxes.
   *
   * @param hover whether a pointer turns them
   * @param focus whether the keyboard turns one where it comes to
   * @param intent ms that a pointer stays on one before it turns
   */
  record FlipBoxes(boolean hover, boolean focus, Optional<Long> intent) implements Plan {}

  /**
   * What is said, from when to when, for pages opened from disk.
   *
   * @param from s
   * @param to s
   * @param text what is said
   */
  record Cue(double from, double to, String text) implements Row {}
}
