package giostra.core.piece.video;

import giostra.core.page.ClipSettings;
import giostra.core.page.ClipSettings.From;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.snag.Lacks;
import giostra.core.snag.Looked;
import giostra.core.snag.Snag;
import java.util.List;
import java.util.stream.Stream;

/**
 * Clips that lack something, at every width. Sources: WCAG 2.2, 1.2.2 "Captions (Prerecorded)";
 * that phones show nothing before a clip starts, and that two formats play everywhere, is common
 * practice, no source.
 */
final class Clips {
  private Clips() {}

  /** What the clips of a piece lack. */
  static List<Snag> of(Video piece, Looked at) {
    return Lacks.of(piece, at, Clips::lacks);
  }

  private static Stream<String> lacks(Item item) {
    From from = item.values().get(ClipSettings.FROM);
    boolean own = from == From.OWN;
    if (item.values().get(own ? ClipSettings.CLIP : ClipSettings.ADDRESS).isEmpty()) {
      return Stream.of("no-clip");
    }
    var lacks = Stream.<String>builder();
    if (item.values().get(ItemSettings.PICTURE).isEmpty()) {
      lacks.add("no-poster");
    }
    if (from != From.HOST
        && item.values().get(own ? ClipSettings.CLIP_2 : ClipSettings.ADDRESS_2).isEmpty()) {
      lacks.add("one-format");
    }
    boolean captions =
        ClipSettings.CAPTIONS.stream().anyMatch(each -> !item.values().get(each.file()).isEmpty());
    if (from != From.HOST && !captions) {
      lacks.add("no-captions");
    }
    return lacks.build();
  }
}
