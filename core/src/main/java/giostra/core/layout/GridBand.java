package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.fit.Grid;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.page.Document;
import giostra.core.page.GridSettings;
import giostra.core.page.GridSettings.LastRow;
import giostra.core.page.Gridded;
import giostra.core.page.Item;
import giostra.core.value.Length;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Flip boxes, counters or clips in one band.
 *
 * @param on places, among the items on show, of those that show in this band
 * @param item width of an item as a function of the viewport's width, in px; those of a stretched
 *     last row may be wider
 */
public record GridBand(
    Band band,
    List<Integer> on,
    Grid grid,
    Length gap,
    LastRow lastRow,
    Piecewise outer,
    Piecewise item) {

  public GridBand {
    on = List.copyOf(on);
  }

  /** The place in its rows of an item on show; -1 where it does not show here. */
  public int place(int item) {
    return on.indexOf(item);
  }

  /**
   * The width of the item at a place in its rows, px as a function of the viewport's: that of a
   * stretched last row has what its row leaves.
   *
   * @param equal whether all rows are of one height, which keeps them to their columns
   */
  public Piecewise item(int place, boolean equal) {
    int last = last();
    boolean wider = stretches(equal) && place >= on.size() - last;
    return wider ? outer.through(new Grid(last, last).column(Line.of(gap))).atLeast(0) : item;
  }

  /** How many there are in the last row. */
  private int last() {
    return (on.size() - 1) % grid.columns() + 1;
  }

  /**
   * Whether those of the last row share it among themselves.
   *
   * @param equal whether all rows are of one height, which keeps them to their columns
   */
  public boolean stretches(boolean equal) {
    return lastRow == LastRow.STRETCH && !equal && last() < grid.columns();
  }

  /** Lays a piece out whose items stand in rows, narrowest band first. */
  public static List<GridBand> of(Document document, Gridded piece, double scrollbar) {
    return document.bands().all().stream()
        .map(band -> in(document, piece, band, scrollbar))
        .toList();
  }

  /** Columns in a band; clips leave none empty, so that one by itself is as wide as it can be. */
  public static int columns(Document document, Gridded piece, Band band, int items) {
    int columns = Resolution.value(document, piece, GridSettings.COLUMNS, band);
    return piece.fillsColumns() ? Math.clamp(columns, 1, Math.max(1, items)) : columns;
  }

  /** The same in one band. */
  public static GridBand in(Document document, Gridded piece, Band band, double scrollbar) {
    List<Item> all = piece.onShow();
    List<Integer> on =
        IntStream.range(0, all.size())
            .filter(i -> all.get(i).onShow(document.bands(), band))
            .boxed()
            .toList();
    Grid grid = new Grid(on.size(), columns(document, piece, band, on.size()));
    Length gap = Resolution.value(document, piece, GridSettings.GAP, band);
    Piecewise outer = Containers.outer(document, piece, band, scrollbar);
    return new GridBand(
        band,
        on,
        grid,
        gap,
        Resolution.value(document, piece, GridSettings.LAST_ROW, band),
        outer,
        outer.through(grid.column(Line.of(gap))).atLeast(0));
  }
}
