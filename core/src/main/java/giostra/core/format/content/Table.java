package giostra.core.format.content;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

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

    private Row mended(@Nullable List<Mend> mends, int columns) {
      if (mends == null) {
        return this;
      }
      var changed = new ArrayList<String>(cells);
      for (Mend each : mends) {
        if (each.column() >= 0 && each.column() < Math.max(columns, cells.size())) {
          while (changed.size() <= each.column()) {
            changed.add("");
          }
          changed.set(each.column(), each.text());
        }
      }
      return new Row(number, changed);
    }
  }

  /** A cell that was mended: what stands in a row and a column instead. */
  public record Mend(int row, int column, String text) {}

  /** This table with cells mended; a mend of a row or column that is not there changes nothing. */
  public Table mended(List<Mend> mends) {
    if (mends.isEmpty()) {
      return this;
    }
    Map<Integer, List<Mend>> byRow =
        mends.stream().collect(Collectors.groupingBy(Mend::row, Collectors.toList()));
    return new Table(
        head, rows.stream().map(row -> row.mended(byRow.get(row.number()), head.size())).toList());
  }

  /** The rows with such numbers only. */
  public Table only(Set<Integer> numbers) {
    return new Table(head, rows.stream().filter(r -> numbers.contains(r.number())).toList());
  }

  /** The rows from one to before another, by place. */
  public Table part(int from, int to) {
    return new Table(head, rows.subList(from, to));
  }

  public Table {
    head = List.copyOf(head);
    rows = List.copyOf(rows);
  }
}
