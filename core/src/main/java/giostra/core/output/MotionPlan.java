package giostra.core.output;

import giostra.core.drive.Pacing;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackBand;
import giostra.core.page.Document;
import giostra.core.page.DriveSettings;
import giostra.core.page.DriveSettings.Entrance;
import giostra.core.page.DriveSettings.GroundMoves;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.tempo.Score;
import giostra.core.value.Change;
import giostra.core.value.Require;
import giostra.core.value.Setting;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * What a track does in time, as JSON for the page script: what was decided, nothing to decide. What
 * says nothing that is not so anyway is left out.
 */
final class MotionPlan {
  private final Document document;
  private final Piece.Tracked piece;
  private final List<Pacing> pacings;

  /** The distinct lists of ways that items come in by, as JSON. */
  private final List<String> turns = new ArrayList<>();

  MotionPlan(Document document, Piece.Tracked piece, List<TrackBand> bands) {
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
                    || pacing.items().stream()
                        .anyMatch(item -> !pacing.ways(item).ways().equals(List.of(Change.MOVE))));
  }

  private int turn(Pacing pacing, Item item) {
    List<Change> ways = pacing.ways(item).ways();
    String json =
        ways.stream().map(MotionPlan::way).collect(Collectors.joining(",", "{\"by\":[", "]"))
            + ",\"order\":"
            + pacing.order(ways.size()).toString().replace(" ", "")
            // By hand it follows the hand, as a track does of itself.
            + (ways.equals(List.of(Change.MOVE)) ? ",\"glide\":true}" : "}");
    if (!turns.contains(json)) {
      turns.add(json);
    }
    return turns.indexOf(json);
  }

  /** A way as the script has it: manner, side, ms, curve. */
  static String way(Change way) {
    return String.format(
        Locale.ROOT,
        "[\"%s\",\"%s\",%d,\"%s\"]",
        Css.word(way.manner()),
        Css.word(way.from()),
        way.time().toMillis(),
        way.easing().css());
  }

  /** All lists of ways, to stand in the plan. */
  String turns() {
    return turns.isEmpty() ? "" : ",\"turns\":[" + String.join(",", turns) + "]";
  }

  /** What of it holds in a band, to stand in the plan. */
  String of(TrackBand band) {
    Pacing pacing = in(band);
    var out = new StringBuilder();
    if (!turns.isEmpty()) {
      List<Integer> each = piece.onShow().stream().map(item -> turn(pacing, item)).toList();
      out.append(",\"ways\":").append(each.toString().replace(" ", ""));
      if (!pacing.overlaps()) {
        out.append(",\"apart\":true");
      }
      if (pacing.wordsCome() != Entrance.NONE) {
        out.append(
            String.format(
                Locale.ROOT,
                ",\"words\":[\"%s\",%d,%d,%s]",
                Css.word(pacing.wordsCome()),
                pacing.wordsBeat().toMillis(),
                pacing.wordsTake().toMillis(),
                Require.number(Pacing.WORDS_AFTER)));
      }
    }
    if (pacing.movesItself()) {
      out.append(",\"auto\":").append(auto(pacing));
      if (pacing.groundMoves() != GroundMoves.NONE) {
        out.append(
            String.format(
                Locale.ROOT,
                ",\"ground\":[\"%s\",%d]",
                Css.word(pacing.groundMoves()),
                pacing.groundBy()));
      }
    }
    return out.toString();
  }

  private String auto(Pacing pacing) {
    Score score = pacing.score();
    List<Long> own =
        piece.onShow().stream()
            .map(item -> item.values().get(DriveSettings.OWN_REST).toMillis())
            .toList();
    var out = new StringBuilder("{");
    if (own.stream().anyMatch(ms -> ms > 0)) {
      out.append("\"own\":").append(own.toString().replace(" ", "")).append(',');
    }
    if (pacing.byReading()) {
      List<Long> reads = piece.onShow().stream().map(pacing::reads).toList();
      out.append("\"reads\":").append(reads.toString().replace(" ", "")).append(',');
    }
    return out.append(
            String.format(
                Locale.ROOT,
                "\"rest\":[%d,%d,%d],\"left\":%d,\"later\":%d,\"after\":%d,\"round\":\"%s\",\"hand\":\"%s\",\"held\":[%s]}",
                ms(pacing, DriveSettings.REST),
                ms(pacing, DriveSettings.REST_LEAST),
                Math.max(ms(pacing, DriveSettings.REST_LEAST), ms(pacing, DriveSettings.REST_MOST)),
                Score.LEAST_LEFT,
                Score.LATER,
                score.startsAfter(),
                Css.word(score.round()),
                Css.word(score.afterHand()),
                score.heldBy().stream()
                    .sorted()
                    .map(reason -> "\"" + Css.word(reason) + "\"")
                    .collect(Collectors.joining(","))))
        .toString();
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
