package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.layout.Heights.Measured;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.PieceRoom;
import giostra.core.room.Rooms;
import java.util.List;
import java.util.Optional;

/**
 * How a kind of piece is laid out.
 *
 * @param <P> the kind
 */
public interface LaidOut<P extends Piece> extends PieceRoom {
  /** How the kind of a piece is laid out. */
  @SuppressWarnings("unchecked") // A room makes the pieces of its kind, so it knows their type.
  static <P extends Piece> LaidOut<P> of(P piece) {
    return (LaidOut<P>) Rooms.of(piece.type().word(), LaidOut.class);
  }

  /** What is in it as it stands before anybody does anything, in one band. */
  Flow flow(P piece, BlockFlows blocks);

  /**
   * What of its items is high in one band, in reading order.
   *
   * @param outer width of the piece against that of the viewport, px
   */
  List<Measured> measured(P piece, BlockFlows blocks, Piecewise outer);

  /** How many rows its headings take, where it has such. */
  default HeadRowCount headingRows(P piece, BlockFlows blocks) {
    return HeadRowCount.ONE;
  }

  /** How wide what stands side by side in it is; none where nothing does. */
  default Optional<ItemWidths> widths(Document document, P piece, double scrollbar) {
    return Optional.empty();
  }

  /**
   * The room for blocks in its items; all there is where they have no panels.
   *
   * @param of whose panel it is: one of its items, which may have a padding of its own
   * @param outer width of the piece, px
   * @param scrollbar width of a classic scrollbar in px, for which panels that scroll keep room
   */
  default Piecewise panel(
      Document document, P piece, Node of, Band band, Piecewise outer, double scrollbar) {
    return outer;
  }

  /** The room for what stands among the words of its items. */
  Piecewise words(P piece, PictureWidths widths);

  /** How wide the picture of an item is drawn, whole and before it is cut to its box. */
  Piecewise picture(P piece, Item item, Size size, PictureWidths widths);

  /** By how many times what moves it enlarges that picture at the most. */
  default double moving(P piece, Item item, PictureWidths widths) {
    return 1;
  }

  /**
   * The level of the headings of its items.
   *
   * @param below the level below the last heading before them, 1 to 6
   */
  default int level(P piece, int below) {
    return below;
  }

  /** Whether what its items are called is written as headings. */
  default boolean headed() {
    return true;
  }

  /** Whether the headings of its items are none in some band, as those of tabs are not. */
  default boolean tabbed(Document document, P piece) {
    return false;
  }
}
