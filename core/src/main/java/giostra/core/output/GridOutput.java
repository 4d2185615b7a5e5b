package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.layout.GridBand;
import giostra.core.page.GridSettings;
import giostra.core.page.GridSettings.Heights;
import giostra.core.page.GridSettings.LastRow;
import giostra.core.page.Gridded;
import giostra.core.page.Item;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;

/** The rules of items that stand in rows: columns, last row, heights, dividers. */
public final class GridOutput {
  private final Writing writing;
  private final Gridded piece;
  private final List<GridBand> bands;
  private final Map<String, GridBand> byId = new HashMap<>();

  /** Of a piece. */
  public GridOutput(Writing writing, Gridded piece) {
    this.writing = writing;
    this.piece = piece;
    this.bands = GridBand.of(writing.document, piece, 0);
    bands.forEach(b -> byId.put(b.band().id(), b));
  }

  private void each(String selector, String property, Function<GridBand, String> value) {
    writing.css.put(
        selector,
        property,
        (Band band) -> value.apply(Objects.requireNonNull(byId.get(band.id()))));
  }

  /** Writes the rules of the grid. */
  public void css(String display) {
    String grid = "#g-" + piece.id() + ">.g-grid";
    each(grid, "--g-cols", b -> Integer.toString(b.grid().columns()));
    each(grid, "--g-gap", b -> Css.px(b.gap()));
    writing.put(
        grid,
        "justify-content",
        piece,
        GridSettings.LAST_ROW,
        row -> row == LastRow.CENTER ? "center" : "flex-start");
    writing.put(
        grid,
        "align-items",
        piece,
        GridSettings.HEIGHTS,
        heights -> heights == Heights.OWN ? "flex-start" : "stretch");
    lastRow(grid);
    if (bands.stream().anyMatch(this::allEqual)) {
      equalRows(grid);
    }
    dividers(grid);
    for (Item item : piece.onShow()) {
      writing.hideByBand(piece, item, display);
    }
  }

  private void lastRow(String grid) {
    boolean stretched = bands.stream().anyMatch(b -> b.lastRow() == LastRow.STRETCH);
    if (stretched) {
      List<Item> items = piece.onShow();
      for (int i = 0; i < items.size(); i++) {
        int at = i;
        each(
            grid + ">:nth-child(" + (i + 1) + ")",
            "--g-of",
            b ->
                b.lastRow() == LastRow.STRETCH
                        && b.place(at) >= b.grid().items() - b.grid().inLastRow()
                    ? Integer.toString(Math.max(1, b.grid().inLastRow()))
                    : "var(--g-cols)");
      }
    }
  }

  private boolean allEqual(GridBand b) {
    return writing.value(piece, GridSettings.HEIGHTS, b.band()) == Heights.ALL;
  }

  /**
   * Where all rows are as high as the highest of them. Each item spans two tracks, so that a last
   * row in the middle can begin at half a column; a stretched one is not to be had there.
   */
  private void equalRows(String grid) {
    each(grid, "display", b -> allEqual(b) ? "grid" : "flex");
    each(grid, "grid-auto-rows", b -> allEqual(b) ? "1fr" : "auto");
    each(
        grid,
        "grid-template-columns",
        b ->
            allEqual(b) ? "repeat(" + 2 * b.grid().columns() + ",minmax(0,1fr))" : "minmax(0,1fr)");
    each(grid + ">*", "inline-size", b -> allEqual(b) ? "auto" : "var(--g-share)");
    for (int i = 0; i < piece.onShow().size(); i++) {
      int at = i;
      each(grid + ">:nth-child(" + (i + 1) + ")", "grid-column", b -> column(b, b.place(at)));
    }
  }

  private String column(GridBand b, int place) {
    int last = b.grid().inLastRow();
    boolean centred = b.lastRow() == LastRow.CENTER && place == b.grid().items() - last;
    return !allEqual(b) ? "auto" : centred ? (b.grid().columns() - last + 1) + "/span 2" : "span 2";
  }

  private void dividers(String grid) {
    boolean up =
        bands.stream().anyMatch(b -> writing.value(piece, GridSettings.DIVIDERS, b.band()));
    boolean across =
        bands.stream().anyMatch(b -> writing.value(piece, GridSettings.ROW_DIVIDERS, b.band()));
    if (!up && !across) {
      return;
    }
    writing.put(grid, "--g-inset", piece, GridSettings.DIVIDER_INSET, i -> i.css());
    int count = piece.onShow().size();
    for (int i = 0; i < count; i++) {
      int at = i;
      String item = grid + ">:nth-child(" + (i + 1) + ")";
      if (up) {
        each(
            item + "::after",
            "display",
            b ->
                writing.value(piece, GridSettings.DIVIDERS, b.band())
                        && b.grid().dividers().contains(b.place(at))
                    ? "block"
                    : "none");
      }
      each(item + "::before", "display", b -> lies(b, at) ? "block" : "none");
    }
  }

  /** With one column, and where it is asked for, dividers lie between rows. */
  private boolean lies(GridBand b, int item) {
    boolean asked = writing.value(piece, GridSettings.ROW_DIVIDERS, b.band());
    boolean single =
        b.grid().columns() == 1 && writing.value(piece, GridSettings.DIVIDERS, b.band());
    return (asked || single) && b.grid().across().contains(b.place(item));
  }
}
