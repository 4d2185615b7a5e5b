package giostra.core.snag;

import giostra.core.fit.Piecewise;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.PictureWidths;
import giostra.core.page.Document;
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

  private Enlarged() {}

  static List<Snag> of(Document document, Piece piece, PictureSizes pictures) {
    var found = new ArrayList<Snag>();
    if (Fields.off(piece, "picture")) {
      return found;
    }
    for (PictureWidths widths : PictureWidths.of(document, pictures)) {
      for (Item item : piece.onShow()) {
        pictures
            .find(item.values().get(ItemSettings.PICTURE))
            .ifPresent(size -> {
              Piecewise drawn = widths.item(piece, item, size);
              for (int[] range : drawn.ranges(width -> width > size.width() * SEEN)) {
                double most = Math.max(drawn.at(range[0]), drawn.at(range[1])) / size.width();
                found.add(
                    new Snag(
                        Snag.Rule.ENLARGED,
                        piece.id(),
                        item.id(),
                        range[0],
                        range[1],
                        widths.band().id(),
                        String.format(
                            Locale.ROOT,
                            "the picture, %d px wide, is enlarged %.2f times from %d to %d",
                            size.width(),
                            most,
                            range[0],
                            range[1]),
                        List.of()));
              }
            });
      }
    }
    return found;
  }
}
