package giostra.core.format.content;

import java.util.List;

/**
 * Rows of a file, under the names of their columns.
 *
 * @param head names of the columns, as they are in the file; a column without one has an empty name
 */
public record Table(List<String> head, List<Row> rows) {
  /** More rows than this nobody looks through on a page. */
  public static final int MOST_ROWS = 20_000;

  /** More columns than there are fields for. */
  public static final int MOST_COLUMNS = 200;

  /**
   * One row.
   *
   * @param number of the row in the file, from 1; the head is a row as well
   * @param cells as many as the row has, which may be fewer or more than there are columns
   */
  public record Row(int number, List<String> cells) {
    public Row {
      cells = List.copyOf(cells);
    }

    /** What stands in a column, from 0; empty where the row is too short for it. */
    public String cell(int column) {
      return column < cells.size() ? cells.get(column) : "";
    }
  }

  public Table {
    head = List.copyOf(head);
    rows = List.copyOf(rows);
  }
}
