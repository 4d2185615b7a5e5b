package giostra.core.layout;

import giostra.core.band.Viewport;
import giostra.core.page.Document;
import giostra.core.page.Gridded;
import java.util.List;

/**
 * What the engine computes for flip boxes or counters at one viewport. All in CSS px.
 *
 * @param band id of the band
 * @param item width of an item
 * @param gap space between two items of a row
 * @param dividers places, among the items that show, of those that a divider stands behind
 */
public record GridReading(
    String piece,
    String band,
    int columns,
    int rows,
    double item,
    double gap,
    List<Integer> dividers) {
  public GridReading {
    dividers = List.copyOf(dividers);
  }

  /** Reads a piece whose items stand in rows. */
  public static GridReading of(Document document, Gridded piece, Viewport viewport) {
    GridBand in =
        GridBand.in(document, piece, document.bands().at(viewport.width()), viewport.scrollbar());
    return new GridReading(
        piece.id(),
        in.band().id(),
        in.grid().columns(),
        in.grid().rows(),
        in.item().at(viewport.width()),
        in.gap().in(in.outer().at(viewport.width())),
        in.grid().dividers());
  }
}
