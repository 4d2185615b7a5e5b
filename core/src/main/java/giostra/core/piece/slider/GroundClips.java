package giostra.core.piece.slider;

import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.snag.Lacks;
import giostra.core.snag.Looked;
import giostra.core.snag.Snag;
import java.util.List;
import java.util.stream.Stream;

/** Clips under the words of slides that lack something. Common practice, no source. */
final class GroundClips {
  private GroundClips() {}

  /** What those of a slider lack. */
  static List<Snag> of(Slider piece, Looked at) {
    return Lacks.of(piece, at, GroundClips::lacks);
  }

  private static Stream<String> lacks(Item item) {
    if (item.values().get(ItemSettings.GROUND_CLIP).isEmpty()) {
      return Stream.of();
    }
    if (item.values().get(ItemSettings.PICTURE).isEmpty()) {
      return Stream.of("ground-no-picture");
    }
    return item.values().get(ItemSettings.GROUND_CLIP_2).isEmpty()
        ? Stream.of("ground-one-format")
        : Stream.of();
  }
}
