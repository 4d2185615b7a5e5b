package giostra.core.fit;

import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.List;

/**
 * Items in rows of equal columns.
 *
 * @param items how many, 0 or more
 * @param columns in a row, 1 to 12
 */
public record Grid(int items, int columns) {
  public Grid {
    Require.atLeast(0, "items", items);
    Require.within(1, 12, "columns", columns);
  }

  /** How many rows there are. */
  public int rows() {
    return (items + columns - 1) / columns;
  }

  /** Items in the last row: 1 to {@code columns}, 0 when there are none. */
  public int inLastRow() {
    return items == 0 ? 0 : (items - 1) % columns + 1;
  }

  /** The width of a column as a function of the room, gaps between columns only. */
  public Line column(Line gap) {
    return Line.SAME.minus(gap.times(columns - 1)).times(1.0 / columns);
  }

  /**
   * The items after which a divider stands, counted from 0: after each that is neither the last of
   * its row nor the last of all. Four in four columns have three, after 0, 1 and 2; in two columns
   * two, after 0 and 2. Common practice, no source.
   */
  public List<Integer> dividers() {
    var after = new ArrayList<Integer>();
    for (int item = 0; item + 1 < items; item++) {
      if ((item + 1) % columns != 0) {
        after.add(item);
      }
    }
    return after;
  }

  /** The items that have a divider across above them: all but those of the first row. */
  public List<Integer> across() {
    var above = new ArrayList<Integer>();
    for (int item = columns; item < items; item++) {
      above.add(item);
    }
    return above;
  }
}
