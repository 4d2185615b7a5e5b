package giostra.core.piece.tabs;

import giostra.core.band.Band;
import giostra.core.fit.Grid;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.layout.Containers;
import giostra.core.layout.ItemWidths;
import giostra.core.layout.Resolution;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.piece.tabs.TabsSettings.Form;
import giostra.core.piece.tabs.TabsSettings.HeadsRow;
import giostra.core.piece.tabs.TabsSettings.HeadsSide;
import giostra.core.value.Length;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Tabs in one band.
 *
 * @param on places, among the items on show, of those that show in this band
 * @param folds whether they are an accordion here
 * @param grid the headings, where they stand in rows of equal columns; else one row of all
 * @param head width of a heading as a function of the viewport's width, in px; for headings of
 *     natural width, the width that each has in a row that is filled evenly
 */
public record TabsBand(
    Band band,
    List<Integer> on,
    boolean folds,
    HeadsSide side,
    HeadsRow row,
    Grid grid,
    Piecewise outer,
    Piecewise head) {

  public TabsBand {
    on = List.copyOf(on);
  }

  /** Lays tabs of a document out, narrowest band first. */
  public static List<TabsBand> of(Document document, Tabs piece, double scrollbar) {
    return document.bands().all().stream()
        .map(band -> in(document, piece, band, scrollbar))
        .toList();
  }

  static TabsBand in(Document document, Tabs piece, Band band, double scrollbar) {
    List<Item> all = piece.onShow();
    List<Integer> on =
        IntStream.range(0, all.size())
            .filter(i -> all.get(i).onShow(document.bands(), band))
            .boxed()
            .toList();
    Piecewise outer = Containers.outer(document, piece, band, scrollbar);
    HeadsSide side = Resolution.value(document, piece, TabsSettings.HEADS_SIDE, band);
    HeadsRow row = Resolution.value(document, piece, TabsSettings.HEADS_ROW, band);
    boolean folds = Resolution.value(document, piece, TabsSettings.FORM, band) == Form.ACCORDION;
    boolean beside = side == HeadsSide.START || side == HeadsSide.END;
    int columns =
        folds || beside
            ? 1
            : row == HeadsRow.GRID
                ? Resolution.value(document, piece, TabsSettings.COLUMNS, band)
                : Math.clamp(on.size(), 1, 12);
    Grid grid = new Grid(on.size(), columns);
    Length gap = Resolution.value(document, piece, TabsSettings.HEADS_GAP, band);
    Piecewise head =
        folds
            ? outer
            : beside
                ? Containers.narrowed(
                        outer, Resolution.value(document, piece, TabsSettings.HEADS_WIDTH, band))
                    .min(outer.through(new Line(1, -distance(document, piece, band))))
                    .atLeast(0)
                : outer.through(grid.column(Line.of(gap))).atLeast(0);
    return new TabsBand(band, on, folds, side, row, grid, outer, head);
  }

  /** What headings at a side leave of a room; all of it where they stand above or below. */
  static Piecewise beside(Document document, Tabs piece, Band band, Piecewise outer) {
    HeadsSide side = Resolution.value(document, piece, TabsSettings.HEADS_SIDE, band);
    boolean folds = Resolution.value(document, piece, TabsSettings.FORM, band) == Form.ACCORDION;
    if (folds
        || side == HeadsSide.ABOVE
        || side == HeadsSide.BELOW
        || piece.values().get(TabsSettings.HEADS_HIDDEN)) {
      return outer;
    }
    Line heads = Line.of(Resolution.value(document, piece, TabsSettings.HEADS_WIDTH, band));
    return outer
        .through(Line.SAME.minus(heads).plus(new Line(0, -distance(document, piece, band))))
        .atLeast(0);
  }

  /** Between headings and panels, px. */
  private static double distance(Document document, Tabs piece, Band band) {
    return Resolution.value(document, piece, TabsSettings.HEADS_DISTANCE, band).constantPx();
  }

  /** The band in a plot of widths. */
  ItemWidths.InBand widths(Document document, Tabs piece) {
    boolean grid =
        !folds && (side == HeadsSide.ABOVE || side == HeadsSide.BELOW) && row == HeadsRow.GRID;
    return new ItemWidths.InBand(
        band,
        grid ? this.grid.columns() : 1,
        grid,
        TabsSettings.COLUMNS,
        Resolution.value(document, piece, TabsSettings.HEADS_GAP, band),
        Length.px(0),
        0,
        outer,
        head);
  }
}
