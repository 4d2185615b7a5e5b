package giostra.core.piece.carousel;

import giostra.core.layout.TrackBand;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Sides;
import giostra.core.snag.Asked;
import giostra.core.snag.Said;
import giostra.core.snag.TrackEffects;
import giostra.core.value.Setting;
import java.util.List;

/** What of the settings of a carousel cannot take effect, beside those of its track. */
final class CardEffects implements TrackEffects.Own {
  @Override
  public List<Setting<?>> moving() {
    return List.of(TrackSettings.PEEK, TrackSettings.PEEK_SIDES, TrackSettings.STRIDE);
  }

  @Override
  public void moving(Asked asked, TrackBand in) {
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

  @Override
  public void always(Asked asked, TrackBand in) {
    boolean across = in.axis() == Axis.ACROSS;
    if (across && asked.set(TrackSettings.TRACK_HEIGHT)) {
      asked.say(TrackSettings.TRACK_HEIGHT, TrackSettings.AXIS, Said.of("idle-track-runs-across"));
    }
    if (!across && asked.set(TrackSettings.HEIGHTS)) {
      asked.say(TrackSettings.HEIGHTS, TrackSettings.AXIS, Said.of("idle-down-track-all"));
    }
  }
}
