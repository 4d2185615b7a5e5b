package giostra.core.piece.slider;

import giostra.core.drive.Pacing;
import giostra.core.layout.TrackBand;
import giostra.core.page.DriveSettings;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.piece.slider.SliderSettings.PictureUse;
import giostra.core.snag.Asked;
import giostra.core.snag.Said;
import giostra.core.snag.TrackEffects;
import giostra.core.value.Height;
import java.util.List;

/** What of the settings of a slider cannot take effect, beside those of its track. */
final class SlideEffects implements TrackEffects.Own {
  @Override
  public void inTime(Asked asked, TrackBand in, Pacing pacing) {
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
    if (pacing.wordsCome() == DriveSettings.Entrance.NONE) {
      asked.sayOf(
          List.of(DriveSettings.WORDS_BEAT, DriveSettings.WORDS_TAKE),
          DriveSettings.WORDS_COME,
          Said.of("idle-words-at-once"));
    }
  }

  @Override
  public void always(Asked asked, TrackBand in) {
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
}
