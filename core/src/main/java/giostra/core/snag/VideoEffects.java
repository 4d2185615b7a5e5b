package giostra.core.snag;

import giostra.core.page.ClipSettings;
import giostra.core.page.ClipSettings.From;
import giostra.core.page.GridSettings;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.page.VideoSettings;
import java.util.List;

/** What of the settings of a video piece cannot take effect. */
final class VideoEffects {
  private VideoEffects() {}

  static void find(Asked asked, Piece.Video video) {
    if (asked.value(VideoSettings.AUTOPLAY)) {
      asked.sayOf(
          List.of(VideoSettings.MUTED),
          VideoSettings.AUTOPLAY,
          "What starts by itself starts without sound anyway: browsers allow no other.");
      if (video.onShow().stream()
          .allMatch(item -> item.values().get(ClipSettings.FROM) == From.HOST)) {
        asked.say(
            VideoSettings.AUTOPLAY,
            ClipSettings.FROM,
            "Clips of a host start on a press: nothing is asked of it before.");
      }
    }
    if (!asked.value(VideoSettings.START_BUTTON)) {
      asked.sayOf(
          List.of(VideoSettings.START_SIZE),
          VideoSettings.START_BUTTON,
          "There is no start button; the whole poster starts the clip.");
    }
    if (video.onShow().stream()
        .allMatch(item -> item.values().get(ItemSettings.PICTURE).isEmpty())) {
      asked.sayOf(
          List.of(VideoSettings.DARKEN), ItemSettings.PICTURE, "There is no poster to darken.");
    }
    if (video.onShow().size() < 2) {
      asked.sayOf(
          List.of(GridSettings.LAST_ROW), GridSettings.COLUMNS, "There is one clip, and one row.");
    }
  }
}
