package giostra.core.piece.video;

import giostra.core.look.Values;
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
                            Starters.headed("A minute by the sea", "Give it a clip of your own."),
                            Starters.WAVES)))));
  }

  private VideoStarters() {}
}
