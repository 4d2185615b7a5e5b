package giostra.core.snag;

import giostra.core.fit.Piecewise;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.PictureWidths;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Viewport widths at which a picture of an item is drawn wider than it is. */
final class Enlarged {
  /** Less than this nobody sees. Common practice, no source. */
  private static final double SEEN = 1.02;

  /** What moves may be enlarged by so much more for a while: ours, by looking. */
  private static final double MOVING = 1.25;

  private Enlarged() {}

  static List<Snag> check(Looked at) {
    return at.piece()
        .filter(piece -> !Fields.off(piece, "picture"))
        .map(piece ->
            PictureWidths.of(at.document(), at.pictures()).stream()
                .flatMap(widths ->
                    piece.onShow().stream().flatMap(item -> of(widths, at, piece, item).stream()))
                .toList())
        .orElse(List.of());
  }

  private static List<Snag> of(PictureWidths widths, Looked at, Piece piece, Item item) {
    var found = new ArrayList<Snag>();
    at.pictures()
        .find(item.values().get(ItemSettings.PICTURE))
        .filter(PictureSizes.Size::known)
        .ifPresent(size -> {
          Piecewise drawn = widths.item(piece, item, size);
          double most = SEEN * Math.min(MOVING, widths.moving(piece, item));
          for (int[] range : drawn.ranges(width -> width > size.width() * most)) {
            double times = Math.max(drawn.at(range[0]), drawn.at(range[1])) / size.width();
            found.add(
                Snag.of(
                        Rule.ENLARGED,
                        piece.id(),
                        Extent.of(range[0], range[1], widths.band()),
                        Said.of(
                            "enlarged",
                            "width",
                            size.width(),
                            "times",
                            String.format(Locale.ROOT, "%.2f", times),
                            "from",
                            range[0],
                            "to",
                            range[1]))
                    .of(item.id())
                    .measured(times, 1, Measure.Unit.TIMES));
          }
        });
    return found;
  }
}
