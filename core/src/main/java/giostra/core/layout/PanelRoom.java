package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.fit.Piecewise;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.look.Part;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.PanelSettings;
import giostra.core.page.Piece;

/**
 * How a kind is laid out whose items have panels.
 *
 * @param <P> the kind
 */
public interface PanelRoom<P extends Piece> extends LaidOut<P> {
  @Override
  default boolean hasPanels() {
    return true;
  }

  /** What its panels are. */
  Part panelPart();

  @Override
  Piecewise panel(
      Document document, P piece, Node of, Band band, Piecewise outer, double scrollbar);

  @Override
  default Piecewise words(P piece, PictureWidths widths) {
    Document document = widths.document();
    Band band = widths.band();
    return panel(document, piece, piece, band, Containers.outer(document, piece, band, 0), 0);
  }

  @Override
  default Piecewise picture(P piece, Item item, Size size, PictureWidths widths) {
    return widths.panelPicture(piece, item, size);
  }

  @Override
  default int level(P piece, int below) {
    int own = piece.values().get(PanelSettings.LEVEL);
    return own == 0 ? below : own;
  }
}
