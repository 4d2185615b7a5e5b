package giostra.core.piece.video;

import static giostra.core.piece.video.VideoParts.BAR;
import static giostra.core.piece.video.VideoParts.BAR_BUTTON;
import static giostra.core.piece.video.VideoParts.START_BUTTON;
import static giostra.core.piece.video.VideoParts.TIME;
import static giostra.core.piece.video.VideoParts.TRACK;

import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.page.ClipSettings;
import giostra.core.page.ClipSettings.From;
import giostra.core.page.GridSettings;
import giostra.core.page.ItemSettings;
import giostra.core.snag.Asked;
import giostra.core.snag.Said;
import java.util.List;

/** What of the settings of a video piece cannot take effect. */
final class VideoEffects {
  private VideoEffects() {}

  static void find(Asked asked, Video video) {
    if (asked.value(VideoSettings.AUTOPLAY)) {
      asked.sayOf(
          List.of(VideoSettings.MUTED), VideoSettings.AUTOPLAY, Said.of("idle-what-starts-by"));
      if (video.onShow().stream()
          .allMatch(item -> item.values().get(ClipSettings.FROM) == From.HOST)) {
        asked.say(VideoSettings.AUTOPLAY, ClipSettings.FROM, Said.of("idle-clips-host-start"));
      }
    }
    if (!asked.value(VideoSettings.START_BUTTON)) {
      asked.sayOfParts(
          List.of(START_BUTTON), VideoSettings.START_BUTTON, Said.of("idle-no-start-button"));
    }
    parts(asked);
    if (video.onShow().stream()
        .allMatch(item -> item.values().get(ItemSettings.PICTURE).isEmpty())) {
      asked.sayOf(
          List.of(VideoSettings.DARKEN), ItemSettings.PICTURE, Said.of("idle-no-poster-darken"));
    }
    if (video.onShow().size() < 2) {
      asked.sayOf(
          List.of(GridSettings.LAST_ROW), GridSettings.COLUMNS, Said.of("idle-one-clip-one"));
    }
  }

  private static void parts(Asked asked) {
    List<String> controls = asked.value(VideoSettings.CONTROLS);
    if (controls.isEmpty()) {
      asked.sayOfParts(List.of(BAR), VideoSettings.CONTROLS, Said.of("idle-no-control-bar"));
    }
    if (List.of(VideoSettings.SCRUB, VideoSettings.TIME).containsAll(controls)) {
      asked.sayOfParts(List.of(BAR_BUTTON), VideoSettings.CONTROLS, Said.of("idle-no-button-bar"));
    }
    if (!controls.contains(VideoSettings.SCRUB) && !controls.contains(VideoSettings.VOLUME)) {
      asked.sayOfParts(List.of(TRACK), VideoSettings.CONTROLS, Said.of("idle-no-track-bar"));
    }
    if (!controls.contains(VideoSettings.TIME)) {
      asked.sayOfParts(List.of(TIME), VideoSettings.CONTROLS, Said.of("idle-no-time-bar"));
    }
    for (Part part : VideoParts.PLAYER) {
      for (State state : part.states()) {
        if (asked.value(part, Property.BORDER, state).isZero()) {
          asked.sayOf(
              part,
              part.key(Property.BORDER_INK, state),
              part.key(Property.BORDER, state).written(),
              Said.of("idle-no-border-colour"));
        }
      }
    }
  }
}
