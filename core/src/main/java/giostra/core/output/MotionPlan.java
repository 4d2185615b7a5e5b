package giostra.core.output;

import giostra.core.drive.Pacing;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackBand;
import giostra.core.page.Document;
import giostra.core.page.DriveSettings;
import giostra.core.page.DriveSettings.Entrance;
import giostra.core.page.DriveSettings.GroundMoves;
import giostra.core.page.Item;
import giostra.core.page.Tracked;
import giostra.core.tempo.Score;
import giostra.core.value.Change;
import giostra.core.value.Setting;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a track does in time, for its plan. */
final class MotionPlan {
  private final Document document;
  private final Tracked piece;
  private final List<Pacing> pacings;

  /** The distinct lists of ways that items come in by. */
  private final List<Plan.Turns> turns = new ArrayList<>();

  MotionPlan(Document document, Tracked piece, List<TrackBand> bands) {
    this.document = document;
    this.piece = piece;
    this.pacings = bands.stream().map(band -> Pacing.of(document, piece, band)).toList();
    if (changes()) {
      pacings.forEach(pacing -> piece.onShow().forEach(item -> turn(pacing, item)));
    }
  }

  private Pacing in(TrackBand band) {
    return pacings.stream()
        .filter(each -> each.band().equals(band.band()))
        .findFirst()
        .orElseThrow();
  }

  /** Whether it moves by itself in some band. */
  boolean movesItself() {
    return pacings.stream().anyMatch(Pacing::movesItself);
  }

  /** Whether it changes, or lets words in, otherwise than a track does when a hand moves it. */
  boolean changes() {
    return movesItself()
        || pacings.stream()
            .anyMatch(pacing ->
                pacing.wordsCome() != Entrance.NONE
                    || pacing.pinsCome()
                    || pacing.items().stream()
                        .anyMatch(item -> !pacing.ways(item).ways().equals(List.of(Change.MOVE))));
  }

  private int turn(Pacing pacing, Item item) {
    List<Change> ways = pacing.ways(item).ways();
    var turn =
        new Plan.Turns(
            ways.stream().map(MotionPlan::way).toList(),
            pacing.order(ways.size()),
            // By hand it follows the hand, as a track does of itself.
            ways.equals(List.of(Change.MOVE)));
    if (!turns.contains(turn)) {
      turns.add(turn);
    }
    return turns.indexOf(turn);
  }

  private static Plan.Way way(Change way) {
    return new Plan.Way(way.manner(), way.from(), way.time().toMillis(), way.easing().css());
  }

  /** All lists of ways. */
  Optional<List<Plan.Turns>> turns() {
    return turns.isEmpty() ? Optional.empty() : Optional.of(List.copyOf(turns));
  }

  /** Which list of ways each item comes in by. */
  Optional<List<Integer>> ways(TrackBand band) {
    return turns.isEmpty()
        ? Optional.empty()
        : Optional.of(piece.onShow().stream().map(item -> turn(in(band), item)).toList());
  }

  /** Whether neighbouring stops can be drawn apart. */
  boolean apart(TrackBand band) {
    return !turns.isEmpty() && !in(band).overlaps();
  }

  Optional<Plan.Words> words(TrackBand band) {
    Pacing pacing = in(band);
    return turns.isEmpty() || (pacing.wordsCome() == Entrance.NONE && !pacing.pinsCome())
        ? Optional.empty()
        : Optional.of(
            new Plan.Words(
                pacing.wordsCome(),
                pacing.wordsBeat().toMillis(),
                pacing.wordsTake().toMillis(),
                Pacing.WORDS_AFTER));
  }

  Optional<Plan.Ground> ground(TrackBand band) {
    Pacing pacing = in(band);
    return !pacing.movesItself() || pacing.groundMoves() == GroundMoves.NONE
        ? Optional.empty()
        : Optional.of(new Plan.Ground(pacing.groundMoves(), pacing.groundBy()));
  }

  /** What it does by itself. */
  Optional<Plan.Auto> auto(TrackBand band) {
    Pacing pacing = in(band);
    if (!pacing.movesItself()) {
      return Optional.empty();
    }
    Score score = pacing.score();
    List<Long> own =
        piece.onShow().stream()
            .map(item -> item.values().get(DriveSettings.OWN_REST).toMillis())
            .toList();
    long least = ms(pacing, DriveSettings.REST_LEAST);
    return Optional.of(
        new Plan.Auto(
            own.stream().anyMatch(ms -> ms > 0) ? Optional.of(own) : Optional.empty(),
            pacing.byReading()
                ? Optional.of(piece.onShow().stream().map(pacing::reads).toList())
                : Optional.empty(),
            new Plan.Rest(
                ms(pacing, DriveSettings.REST),
                least,
                Math.max(least, ms(pacing, DriveSettings.REST_MOST))),
            Score.LEAST_LEFT,
            Score.LATER,
            score.startsAfter(),
            score.round(),
            score.afterHand(),
            score.heldBy().stream().sorted().toList()));
  }

  private long ms(Pacing pacing, Setting<Duration> setting) {
    return Resolution.value(document, piece, setting, pacing.band()).toMillis();
  }

  /** Where the pause button stands, as {@code place-self}. */
  String pausePlace(TrackBand band) {
    return switch (in(band).pausePlace()) {
      case TOP_START -> "start start";
      case TOP_END -> "start end";
      case BOTTOM_START -> "end start";
      case BOTTOM_END -> "end end";
    };
  }
}
