package giostra.core.cost;

import giostra.core.band.Band;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.Containers;
import giostra.core.layout.LaidOut;
import giostra.core.layout.PageStrip;
import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Piece;

/**
 * How high a piece and its page are in a band, at the width that is usual there.
 *
 * @param width of the viewport, px
 * @param piece px
 * @param page px
 */
public record Cost(Band band, int width, double piece, double page) {
  /**
   * Measures.
   *
   * @param piece id of it, which is of another kind where that is the way
   * @param pictures how large pictures are
   */
  public static Cost of(Document document, String piece, Band band, PictureSizes pictures) {
    int width = (int) band.usual();
    Piece own = document.piece(piece);
    var blocks = new BlockFlows(document, band, pictures, 0);
    double outer = Containers.outer(document, own, band, 0).at(width);
    return new Cost(
        band,
        width,
        LaidOut.of(own).flow(own, blocks).height(outer, new Screen(width, Screen.USUAL_HEIGHT)),
        PageStrip.of(document, pictures, width, 0).height());
  }
}
