package giostra.core.snag;

import giostra.core.band.Bands;
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
    for (Item item : piece.onShow()) {
      pictures
          .find(item.values().get(ItemSettings.PICTURE))
          .filter(size -> !size.known())
          .ifPresent(_ -> found.add(unknown(document, piece, item)));
    }
    for (PictureWidths widths : PictureWidths.of(document, pictures)) {
      for (Item item : piece.onShow()) {
        pictures
            .find(item.values().get(ItemSettings.PICTURE))
            .filter(PictureSizes.Size::known)
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

  private static Snag unknown(Document document, Piece piece, Item item) {
    return new Snag(
        Snag.Rule.UNKNOWN_PICTURE,
        piece.id(),
        item.id(),
        Bands.NARROWEST,
        Bands.WIDEST,
        document.bands().lead().id(),
        "the picture is given by address: its pixels are unknown, so nobody can tell whether it is"
            + " sharp or how heavy it is, and its place is kept as 3 to 2",
        List.of());
  }
}
