package giostra.core.piece.video;

import giostra.core.look.Values;
import giostra.core.page.ClipSettings;
import giostra.core.page.Starters;
import giostra.core.page.Starters.Starter;
import java.util.List;

/** Video pieces to start with. */
final class VideoStarters {
  /** All of them. */
  static List<Starter> all() {
    Values one =
        Starters.named("A minute by the sea")
            .with(VideoSettings.RATIO, "desktop", VideoSettings.Ratio.WIDE);
    return List.of(
        Starters.starter(
            "clip",
            "Video",
            "A clip of your own or of a host, with a poster and captions.",
            new Video(
                "clip",
                one,
                Starters.items(
                    1,
                    _ ->
                        Starters.shown(
                                Starters.headed(
                                    "A minute by the sea", "Give it a clip of your own."),
                                Starters.WAVES)
                            .with(ClipSettings.CLIP, Values.ALL, Starters.CLIP.id())
                            .with(ClipSettings.CLIP_2, Values.ALL, Starters.CLIP_2.id())
                            .with(
                                ClipSettings.CAPTIONS.getFirst().file(),
                                Values.ALL,
                                Starters.CAPTIONS.id())
                            .with(
                                ClipSettings.CAPTIONS.getFirst().language(), Values.ALL, "en")))));
  }

  private VideoStarters() {}
}
