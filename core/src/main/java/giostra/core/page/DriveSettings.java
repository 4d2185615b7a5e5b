package giostra.core.page;

import giostra.core.tempo.Score;
import giostra.core.value.Change;
import giostra.core.value.Changes;
import giostra.core.value.Framing;
import giostra.core.value.FramingKind;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.SeveralKind;
import giostra.core.value.Step;
import giostra.core.value.TimeKind;
import giostra.core.value.ToggleKind;
import giostra.core.value.WaysKind;
import giostra.core.value.WholeKind;
import java.time.Duration;
import java.util.List;

/**
 * What happens in time: what moves by itself, how one thing gives way to another, what comes in.
 */
public final class DriveSettings {
  /** What says how long a stop rests. */
  public enum RestsBy {
    TIME,
    /** What there is to read on it. */
    READING
  }

  /** Which item is there first. */
  public enum StartsWith {
    FIRST,
    /** Drawn when somebody comes, and kept for as long as they stay. */
    ANOTHER_EACH_VISIT
  }

  /** In which order the ways of changing are taken. */
  public enum Order {
    IN_TURN,
    /** At random, never the same twice. */
    RANDOM
  }

  /** A corner. */
  public enum Corner {
    TOP_START,
    TOP_END,
    BOTTOM_START,
    BOTTOM_END
  }

  /** How something comes in. */
  public enum Entrance {
    NONE,
    RISE,
    FADE,
    FROM_START,
    FROM_END,
    GROW,
    UNVEIL
  }

  /** How the picture under the words of a slide moves while the slide is there. */
  public enum GroundMoves {
    NONE,
    /** Towards its focal point. */
    NEARER,
    AWAY,
    FROM_START,
    FROM_END
  }

  /** How often. */
  public enum Often {
    ONCE,
    EVERY_TIME
  }

  public static final Setting<Boolean> MOVES_ITSELF =
      Setting.byBand("movesItself", "Moves by itself", new ToggleKind(), false).in(Step.DRIVE);
  public static final Setting<RestsBy> RESTS_BY =
      Setting.byBand("restsBy", "Rests by", new PickKind<>(RestsBy.class), RestsBy.TIME)
          .in(Step.DRIVE);
  public static final Setting<Duration> REST =
      Setting.byBand("rest", "Rests for", rest(), Duration.ofMillis(6000)).in(Step.DRIVE);
  public static final Setting<Duration> REST_LEAST =
      Setting.byBand("restLeast", "Reading, at least", rest(), Duration.ofMillis(4000))
          .in(Step.DRIVE);
  public static final Setting<Duration> REST_MOST =
      Setting.byBand("restMost", "Reading, at most", rest(), Duration.ofMillis(20_000))
          .in(Step.DRIVE);
  public static final Setting<Duration> STARTS_AFTER =
      Setting.byBand("startsAfter", "Starts after", TimeKind.ms(0, Score.MOST_REST), Duration.ZERO)
          .in(Step.DRIVE);
  public static final Setting<StartsWith> STARTS_WITH =
      Setting.once("startsWith", "Starts with", new PickKind<>(StartsWith.class), StartsWith.FIRST)
          .in(Step.DRIVE);
  public static final Setting<Score.Round> ROUND =
      Setting.byBand(
              "round", "After the last", new PickKind<>(Score.Round.class), Score.Round.ROUND)
          .in(Step.DRIVE);

  /** Reasons that can be chosen; a finger on it and a page that is away always hold it. */
  public static final Setting<List<String>> HELD_WHILE =
      Setting.byBand(
              "heldWhile",
              "Held while",
              new SeveralKind(List.of("pointer", "unseen", "clip")),
              List.of("pointer", "unseen", "clip"))
          .in(Step.DRIVE);

  public static final Setting<Score.AfterHand> AFTER_HAND =
      Setting.byBand(
              "afterHand",
              "After a move by hand",
              new PickKind<>(Score.AfterHand.class),
              Score.AfterHand.AGAIN)
          .in(Step.DRIVE);
  public static final Setting<Corner> PAUSE_PLACE =
      Setting.byBand("pausePlace", "Pause button", new PickKind<>(Corner.class), Corner.TOP_END)
          .in(Step.DRIVE);
  public static final Setting<Changes> CHANGES =
      Setting.byBand("changes", "Changes by", new WaysKind(false), Changes.of(Change.MOVE))
          .in(Step.DRIVE);
  public static final Setting<Order> CHANGE_ORDER =
      Setting.once("changeOrder", "Ways taken", new PickKind<>(Order.class), Order.IN_TURN)
          .in(Step.DRIVE);
  public static final Setting<Entrance> WORDS_COME =
      Setting.byBand("wordsCome", "Words come in", new PickKind<>(Entrance.class), Entrance.NONE)
          .in(Step.DRIVE);
  public static final Setting<Duration> WORDS_BEAT =
      Setting.byBand(
              "wordsBeat", "One after another by", TimeKind.ms(0, 2000), Duration.ofMillis(120))
          .in(Step.DRIVE);
  public static final Setting<Duration> WORDS_TAKE =
      Setting.byBand("wordsTake", "Each takes", TimeKind.ms(100, 3000), Duration.ofMillis(600))
          .in(Step.DRIVE);

  public static final Setting<GroundMoves> GROUND_MOVES =
      Setting.byBand(
              "groundMoves", "Picture moves", new PickKind<>(GroundMoves.class), GroundMoves.NONE)
          .in(Step.DRIVE);
  public static final Setting<Integer> GROUND_BY =
      Setting.byBand("groundBy", "Moves by, %", new WholeKind(2, 60), 12).in(Step.DRIVE);

  /** Of one item; 0 rests as the piece does. */
  public static final Setting<Duration> OWN_REST =
      Setting.once(
              "ownRest",
              "Rests for",
              TimeKind.ownMs(Score.LEAST_REST, Score.MOST_REST),
              Duration.ZERO)
          .in(Step.DRIVE);

  /** Of one item; none are those of the piece. */
  public static final Setting<Changes> OWN_CHANGES =
      Setting.once("ownChanges", "Comes in by", new WaysKind(true), Changes.NONE).in(Step.DRIVE);

  /** Of one item: from what to what of its picture it moves; none moves as the piece says. */
  public static final Setting<Framing> FRAMING =
      Setting.once("framing", "Picture moves from and to", new FramingKind(), Framing.NONE)
          .in(Step.DRIVE);

  public static final Setting<Entrance> ENTRANCE =
      Setting.once("entrance", "Comes in", new PickKind<>(Entrance.class), Entrance.NONE)
          .in(Step.DRIVE);
  public static final Setting<Duration> ENTRANCE_TAKES =
      Setting.once("entranceTakes", "Takes", TimeKind.ms(100, 3000), Duration.ofMillis(700))
          .in(Step.DRIVE);
  public static final Setting<Duration> ENTRANCE_BEAT =
      Setting.once(
              "entranceBeat", "Items one after another by", TimeKind.ms(0, 2000), Duration.ZERO)
          .in(Step.DRIVE);
  public static final Setting<Integer> ENTRANCE_SHARE =
      Setting.once("entranceShare", "Comes in when in view, %", new WholeKind(0, 100), 20)
          .in(Step.DRIVE);
  public static final Setting<Often> ENTRANCE_OFTEN =
      Setting.once("entranceOften", "Comes in how often", new PickKind<>(Often.class), Often.ONCE)
          .in(Step.DRIVE);

  /** How long a pointer has to stay on something that opens by it. */
  public static final Setting<Duration> INTENT =
      Setting.once("intent", "Pointer stays for", TimeKind.ms(0, 1000), Duration.ZERO)
          .in(Step.DRIVE);

  /** What a track does by itself and by hand. */
  public static final List<Setting<?>> TRACK =
      List.of(
          MOVES_ITSELF,
          RESTS_BY,
          REST,
          REST_LEAST,
          REST_MOST,
          STARTS_AFTER,
          STARTS_WITH,
          ROUND,
          HELD_WHILE,
          AFTER_HAND,
          PAUSE_PLACE,
          CHANGES,
          CHANGE_ORDER);

  /** What the words and the picture of a slide do besides. */
  public static final List<Setting<?>> WORDS =
      List.of(WORDS_COME, WORDS_BEAT, WORDS_TAKE, GROUND_MOVES, GROUND_BY);

  /** What any piece does when it is seen. */
  static final List<Setting<?>> ENTERS =
      List.of(ENTRANCE, ENTRANCE_TAKES, ENTRANCE_BEAT, ENTRANCE_SHARE, ENTRANCE_OFTEN);

  private DriveSettings() {}

  private static TimeKind rest() {
    return TimeKind.ms(Score.LEAST_REST, Score.MOST_REST);
  }
}
