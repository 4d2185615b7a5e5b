package giostra.core.snag;

import giostra.core.drive.Pacing;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.DriveSettings;
import giostra.core.page.Piece;
import giostra.core.page.SliderSettings;
import giostra.core.page.SliderSettings.PictureUse;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Marks;
import giostra.core.page.TrackSettings.Sides;
import giostra.core.value.Change.Manner;
import giostra.core.value.Height;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;

/** What of a carousel's or slider's settings cannot take effect. */
final class TrackEffects {
  private final Asked asked;
  private final Piece.Tracked piece;
  private final boolean slides;
  private final TrackBand in;
  private final Setting<Arrows> arrows;

  private TrackEffects(Asked asked, Piece.Tracked piece) {
    this.asked = asked;
    this.piece = piece;
    this.slides = piece instanceof Piece.Slider;
    this.in =
        TrackLayout.of(asked.document(), piece, 0).bands().stream()
            .filter(b -> b.band().equals(asked.band()))
            .findFirst()
            .orElseThrow();
    this.arrows = slides ? SliderSettings.ARROWS : TrackSettings.ARROWS;
  }

  static void find(Asked asked, Piece.Tracked piece) {
    new TrackEffects(asked, piece).find();
  }

  private static final List<Setting<?>> BY_ITSELF =
      List.of(
          DriveSettings.RESTS_BY,
          DriveSettings.REST,
          DriveSettings.REST_LEAST,
          DriveSettings.REST_MOST,
          DriveSettings.STARTS_AFTER,
          DriveSettings.ROUND,
          DriveSettings.HELD_WHILE,
          DriveSettings.AFTER_HAND,
          DriveSettings.PAUSE_PLACE);

  /** What of the settings of time cannot take effect where a track moves. */
  private void inTime() {
    Pacing pacing = Pacing.of(asked.document(), piece, in);
    if (!pacing.movesItself()) {
      asked.sayOf(BY_ITSELF, DriveSettings.MOVES_ITSELF, Said.of("idle-not-move-by"));
    } else if (pacing.byReading()) {
      asked.sayOf(
          List.of(DriveSettings.REST), DriveSettings.RESTS_BY, Said.of("idle-rests-long-read"));
    } else {
      asked.sayOf(
          List.of(DriveSettings.REST_LEAST, DriveSettings.REST_MOST),
          DriveSettings.RESTS_BY,
          Said.of("idle-rests-set-time"));
    }
    boolean apart =
        asked.value(DriveSettings.CHANGES).ways().stream()
            .anyMatch(way -> way.manner() != Manner.MOVE && way.manner() != Manner.CUT);
    if (apart && pacing.overlaps()) {
      asked.say(
          DriveSettings.CHANGES,
          slides ? TrackSettings.FORM : TrackSettings.STRIDE,
          Said.of("idle-card-both-show"));
    }
    if (asked.set(DriveSettings.CHANGE_ORDER)
        && piece.onShow().stream().allMatch(item -> pacing.ways(item).ways().size() < 2)) {
      asked.say(DriveSettings.CHANGE_ORDER, DriveSettings.CHANGES, Said.of("idle-one-way-alone"));
    }
    if (slides) {
      inGround(pacing);
    }
    if (slides && pacing.wordsCome() == DriveSettings.Entrance.NONE) {
      asked.sayOf(
          List.of(DriveSettings.WORDS_BEAT, DriveSettings.WORDS_TAKE),
          DriveSettings.WORDS_COME,
          Said.of("idle-words-at-once"));
    }
  }

  private void inGround(Pacing pacing) {
    if (!pacing.movesItself()) {
      asked.sayOf(
          List.of(DriveSettings.GROUND_MOVES, DriveSettings.GROUND_BY),
          DriveSettings.MOVES_ITSELF,
          Said.of("idle-not-move-by-itself"));
    } else if (asked.value(SliderSettings.PICTURE_USE) != PictureUse.GROUND) {
      asked.sayOf(
          List.of(DriveSettings.GROUND_MOVES, DriveSettings.GROUND_BY),
          SliderSettings.PICTURE_USE,
          Said.of("idle-picture-not-lie"));
    } else if (pacing.groundMoves() == DriveSettings.GroundMoves.NONE) {
      asked.sayOf(
          List.of(DriveSettings.GROUND_BY), DriveSettings.GROUND_MOVES, Said.of("idle-not-move"));
    }
  }

  private void find() {
    if (in.all()) {
      asked.sayOf(moving(), TrackSettings.FORM, Said.of("idle-all-items-show"));
    } else if (in.moves()) {
      whereItMoves();
      inTime();
    } else {
      asked.sayOf(
          moving(),
          slides ? TrackSettings.FORM : TrackSettings.IN_VIEW,
          Said.of("all-in-view", "items", in.items(), "view", in.asked()));
    }
    if (slides) {
      slide();
    } else {
      card();
    }
  }

  /** The settings that only something that moves heeds. */
  private List<Setting<?>> moving() {
    var all = new ArrayList<Setting<?>>(BY_ITSELF);
    all.addAll(List.of(DriveSettings.MOVES_ITSELF, DriveSettings.CHANGES));
    all.addAll(arranged());
    return all;
  }

  private List<Setting<?>> arranged() {
    return slides
        ? List.of(
            TrackSettings.ENDLESS,
            arrows,
            TrackSettings.ARROW_DISTANCE,
            TrackSettings.MARKS,
            TrackSettings.MARK_DISTANCE)
        : List.of(
            TrackSettings.PEEK,
            TrackSettings.PEEK_SIDES,
            TrackSettings.STRIDE,
            TrackSettings.ENDLESS,
            arrows,
            TrackSettings.ARROW_DISTANCE,
            TrackSettings.MARKS,
            TrackSettings.MARK_DISTANCE);
  }

  private void slide() {
    PictureUse use = asked.value(SliderSettings.PICTURE_USE);
    if (use != PictureUse.BESIDE) {
      asked.sayOf(
          List.of(SliderSettings.PICTURE_SIDE, SliderSettings.PICTURE_SHARE),
          SliderSettings.PICTURE_USE,
          Said.of("idle-picture-not-stand"));
    }
    boolean down = in.axis() == Axis.DOWN;
    if (down && !(asked.value(SliderSettings.HEIGHT) instanceof Height.Fixed)) {
      asked.say(
          SliderSettings.HEIGHT,
          TrackSettings.AXIS,
          Said.of("needs-height", "height", TrackSettings.TRACK_HEIGHT.initial().css()));
    }
  }

  private void card() {
    boolean across = in.axis() == Axis.ACROSS;
    if (across && asked.set(TrackSettings.TRACK_HEIGHT)) {
      asked.say(TrackSettings.TRACK_HEIGHT, TrackSettings.AXIS, Said.of("idle-track-runs-across"));
    }
    if (!across && asked.set(TrackSettings.HEIGHTS)) {
      asked.say(TrackSettings.HEIGHTS, TrackSettings.AXIS, Said.of("idle-down-track-all"));
    }
  }

  private void whereItMoves() {
    if (!slides) {
      whereCardsMove();
    }
    if (asked.value(TrackSettings.ENDLESS) && !in.loops()) {
      asked.say(
          TrackSettings.ENDLESS,
          slides ? TrackSettings.GAP : TrackSettings.PEEK,
          Said.of("shows-twice", "items", in.items()));
    }
    if (in.arrows() == Arrows.NONE && asked.set(TrackSettings.ARROW_DISTANCE)) {
      asked.say(TrackSettings.ARROW_DISTANCE, arrows, Said.of("idle-no-arrows"));
    }
    if (in.marks() == Marks.NONE
        && in.arrows() != Arrows.BELOW
        && asked.set(TrackSettings.MARK_DISTANCE)) {
      asked.say(TrackSettings.MARK_DISTANCE, TrackSettings.MARKS, Said.of("idle-no-place-marks"));
    }
  }

  private void whereCardsMove() {
    if (in.peek().isZero() && asked.value(TrackSettings.PEEK_SIDES) != Sides.END) {
      asked.say(TrackSettings.PEEK_SIDES, TrackSettings.PEEK, Said.of("idle-peek"));
    }
    if (in.sides() == 1 && asked.value(TrackSettings.PEEK_SIDES) == Sides.BOTH) {
      asked.say(TrackSettings.PEEK_SIDES, TrackSettings.IN_VIEW, Said.of("idle-only-one-item"));
    }
    int stride = asked.value(TrackSettings.STRIDE).items();
    if (stride > in.view() && stride <= 12) {
      asked.say(
          TrackSettings.STRIDE, TrackSettings.IN_VIEW, Said.of("stride-more", "view", in.view()));
    }
    asked.sayOf(
        List.of(TrackSettings.FEW, TrackSettings.STRETCH_FEW),
        TrackSettings.IN_VIEW,
        Said.of("more-items", "items", in.items(), "view", in.view()));
  }
}
