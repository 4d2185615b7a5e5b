package giostra.core.snag;

import giostra.core.page.ClipSettings;
import giostra.core.page.ClipSettings.From;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Clips that lack something, at every width. Sources: WCAG 2.2, 1.2.2 "Captions (Prerecorded)";
 * that phones show nothing before a clip starts, and that two formats play everywhere, is common
 * practice, no source.
 */
final class Clips {
  private Clips() {}

  static List<Snag> check(Looked at) {
    return switch (at.node()) {
      case Piece.Video video -> of(at, video, Clips::lacks);
      case Piece.Slider slider -> of(at, slider, Clips::groundLacks);
      default -> List.of();
    };
  }

  private static List<Snag> of(Looked at, Piece piece, Function<Item, Stream<String>> lacks) {
    return piece.onShow().stream()
        .flatMap(item ->
            lacks
                .apply(item)
                .map(what ->
                    Snag.of(Rule.CLIP, piece.id(), Extent.always(at.document()), Said.of(what))
                        .of(item.id())))
        .toList();
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
    if (own && item.values().get(ClipSettings.CLIP_2).isEmpty()) {
      lacks.add("one-format");
    }
    boolean captions =
        ClipSettings.CAPTIONS.stream().anyMatch(each -> !item.values().get(each.file()).isEmpty());
    if (from != From.HOST && !captions) {
      lacks.add("no-captions");
    }
    return lacks.build();
  }

  /** What clips under the words of slides lack. */
  private static Stream<String> groundLacks(Item item) {
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
