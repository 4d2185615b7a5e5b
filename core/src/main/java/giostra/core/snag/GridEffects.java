package giostra.core.snag;

import giostra.core.fit.Grid;
import giostra.core.layout.GridBand;
import giostra.core.page.GridSettings;
import giostra.core.page.GridSettings.Heights;
import giostra.core.page.GridSettings.LastRow;
import giostra.core.page.Gridded;
import java.util.List;

/** What of the settings of items in rows cannot take effect. */
public final class GridEffects {
  private GridEffects() {}

  public static void find(Gridded piece, Asked asked) {
    Grid grid =
        GridBand.of(asked.document(), piece, 0).stream()
            .filter(b -> b.band().equals(asked.band()))
            .findFirst()
            .orElseThrow()
            .grid();
    if (grid.inLastRow() == grid.columns()) {
      asked.sayOf(
          List.of(GridSettings.LAST_ROW), GridSettings.COLUMNS, Said.of("idle-last-row-full"));
    }
    if (asked.value(GridSettings.HEIGHTS) == Heights.ALL
        && asked.value(GridSettings.LAST_ROW) == LastRow.STRETCH) {
      asked.sayOf(
          List.of(GridSettings.LAST_ROW), GridSettings.HEIGHTS, Said.of("idle-where-all-equally"));
    }
    if (grid.rows() < 2) {
      asked.sayOf(
          List.of(GridSettings.ROW_DIVIDERS), GridSettings.COLUMNS, Said.of("idle-one-row"));
    }
    if (!asked.value(GridSettings.DIVIDERS) && !asked.value(GridSettings.ROW_DIVIDERS)) {
      asked.sayOf(
          List.of(GridSettings.DIVIDER_INSET), GridSettings.DIVIDERS, Said.of("idle-no-dividers"));
    }
  }
}
