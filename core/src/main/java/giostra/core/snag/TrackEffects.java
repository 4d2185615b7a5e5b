package giostra.core.snag;

import giostra.core.drive.Pacing;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.layout.TrackRoom;
import giostra.core.page.DriveSettings;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.TrackSettings.Marks;
import giostra.core.page.Tracked;
import giostra.core.value.Change.Manner;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;

/** What of the settings of tracks cannot take effect. */
public final class TrackEffects {
  private final Asked asked;
  private final Tracked piece;
  private final Own own;
  private final boolean slides;
  private final TrackBand in;
  private final Setting<Arrows> arrows;

  private TrackEffects(Asked asked, Tracked piece, Own own) {
    this.own = own;
    this.asked = asked;
    this.piece = piece;
    this.slides = piece.oneByOne();
    this.in =
        TrackLayout.of(asked.document(), piece, 0).bands().stream()
            .filter(b -> b.band().equals(asked.band()))
            .findFirst()
            .orElseThrow();
    this.arrows = TrackRoom.of(piece).arrows();
  }

  /** What only the kind knows. */
  public interface Own {
    /** Its settings that only something that moves heeds. */
    default List<Setting<?>> moving() {
      return List.of();
    }

    /** Says what cannot take effect where it moves. */
    default void moving(Asked asked, TrackBand in) {}

    /** The same of what happens in time. */
    default void inTime(Asked asked, TrackBand in, Pacing pacing) {}

    /** Says what cannot take effect, whether it moves or not. */
    void always(Asked asked, TrackBand in);
  }

  /** Says it of a piece in a band. */
  public static void find(Asked asked, Tracked piece, Own own) {
    new TrackEffects(asked, piece, own).find();
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
    own.inTime(asked, in, pacing);
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
    own.always(asked, in);
  }

  /** The settings that only something that moves heeds. */
  private List<Setting<?>> moving() {
    var all = new ArrayList<Setting<?>>(BY_ITSELF);
    all.addAll(List.of(DriveSettings.MOVES_ITSELF, DriveSettings.CHANGES));
    all.addAll(own.moving());
    all.addAll(
        List.of(
            TrackSettings.ENDLESS,
            arrows,
            TrackSettings.ARROW_DISTANCE,
            TrackSettings.BACK_ICON,
            TrackSettings.ON_ICON,
            TrackSettings.MARKS,
            TrackSettings.MARK_DISTANCE));
    return all;
  }

  private void whereItMoves() {
    own.moving(asked, in);
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
}
