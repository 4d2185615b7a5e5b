package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.look.Part;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.page.SiteSettings;
import giostra.core.value.Length;
import giostra.core.value.Shares;
import java.util.List;

/**
 * How wide the room for a block is, as an exact function of the viewport's width over one band.
 *
 * <p>Viewport widths include the scrollbar, layouts do not have it. A section gives its blocks the
 * page measure less its side padding, or the whole width; columns divide what they have.
 */
public final class Containers {
  private Containers() {}

  /** A band's viewport widths that are looked at, half-open: from 280 to 2560 inclusive. */
  public static double[] domain(Band band) {
    double below = band.widest() ? Math.max(Bands.WIDEST, band.from()) + 1 : band.below();
    double from = band.from() == 0 ? Math.min(Bands.NARROWEST, below - 1) : band.from();
    return new double[] {from, below};
  }

  /**
   * The room that a block or piece has.
   *
   * @param blockId id of a block on the page
   * @param extent how far the block itself reaches; only one that stands in a section by itself can
   *     reach further than the section's content
   * @param scrollbar width of a classic scrollbar in px
   */
  public static Piecewise room(
      Document document, String blockId, Extent extent, Band band, double scrollbar) {
    List<Node> path = document.path(blockId);
    double[] domain = domain(band);
    Piecewise screen = Piecewise.over(domain[0], domain[1], new Line(1, -scrollbar)).atLeast(0);
    Piecewise room = screen;
    for (int i = 0; i + 1 < path.size(); i++) {
      Node child = path.get(i + 1);
      switch (path.get(i)) {
        case Section section -> {
          Extent own = child.id().equals(blockId) ? extent : extent(document, child, band);
          room = own == Extent.EDGE ? screen : content(document, section, band, screen);
        }
        case Block.Columns columns -> room = column(document, columns, child, band, room);
        case Piece piece -> {
          Length width = Resolution.value(document, piece, PieceSettings.WIDTH, band);
          room =
              LaidOut.of(piece)
                  .panel(document, piece, child, band, narrowed(room, width), scrollbar);
        }
        case Node _ -> {}
      }
    }
    return room;
  }

  /** The room that a block has which reaches as far as it says. */
  static Piecewise room(Document document, Block block, Band band, double scrollbar) {
    return room(document, block.id(), extent(document, block, band), band, scrollbar);
  }

  /** How far a block reaches that stands in a section by itself. */
  private static Extent extent(Document document, Node block, Band band) {
    return block instanceof Piece piece
        ? Resolution.value(document, piece, PieceSettings.EXTENT, band)
        : Extent.MEASURE;
  }

  /** The width of a piece. */
  public static Piecewise outer(Document document, Piece piece, Band band, double scrollbar) {
    Extent extent =
        inSection(document, piece.id()) ? extent(document, piece, band) : Extent.MEASURE;
    return narrowed(
        room(document, piece.id(), extent, band, scrollbar),
        Resolution.value(document, piece, PieceSettings.WIDTH, band));
  }

  /** What a width leaves of a room: never more than there is. */
  public static Piecewise narrowed(Piecewise room, Length width) {
    return room.min(room.through(Line.of(width)));
  }

  /**
   * What the padding of a panel leaves, as its item says it.
   *
   * @param of the item
   * @param panel the part that panels are
   * @param scrollbar width of a classic scrollbar in px, for which panels that scroll keep room
   */
  public static Piecewise padded(
      Document document,
      Piece piece,
      Node of,
      Part panel,
      Band band,
      Piecewise room,
      double scrollbar) {
    double padding = new PartBox(panel, Resolution.scope(document, of), band).sides();
    return room.through(new Line(1, -padding - gutter(document, piece, band, scrollbar)))
        .atLeast(0);
  }

  /**
   * What a panel keeps free for its own scrollbar, px: one of a fixed height, whatever it holds.
   */
  public static double gutter(Document document, Piece piece, Band band, double scrollbar) {
    return Resolution.value(document, piece, PanelSettings.PANEL_HEIGHT, band) == PanelHeight.FIXED
        ? scrollbar
        : 0;
  }

  /** Whether a block stands in a section by itself, so that it may reach the edges. */
  public static boolean inSection(Document document, String blockId) {
    List<Node> path = document.path(blockId);
    return path.size() > 1 && path.get(path.size() - 2) instanceof Section;
  }

  private static Piecewise content(
      Document document, Section section, Band band, Piecewise screen) {
    if (Resolution.value(document, section, SectionSettings.EXTENT, band) == Extent.EDGE) {
      return screen;
    }
    Length padding = Resolution.value(document, section, SectionSettings.PADDING, band);
    Length measure = Resolution.value(document, document.site(), SiteSettings.MEASURE, band);
    Line free = Line.SAME.minus(Line.of(padding).times(2));
    return screen.through(free).min(screen.through(Line.of(measure))).atLeast(0);
  }

  private static Piecewise column(
      Document document, Block.Columns columns, Node child, Band band, Piecewise room) {
    Shares ratio = Resolution.value(document, columns, BlockSettings.RATIO, band);
    if (ratio.stacked()) {
      return room;
    }
    Length gap = Resolution.value(document, columns, BlockSettings.GAP, band);
    int count = columns.columns().size();
    // Shares are those of places as they are seen.
    String order = Resolution.value(document, columns, BlockSettings.ORDER, band);
    int at = BlockSettings.seen(order, count).indexOf(Document.placeIn(columns, child));
    Line share =
        Line.SAME
            .minus(Line.of(gap).times(count - 1))
            .times((double) ratio.of(at) / ratio.sum(count));
    return room.through(share).atLeast(0);
  }
}
