package giostra.server.content;

import giostra.core.format.content.Filled;
import giostra.core.format.content.Mapping;
import giostra.core.format.content.Table;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A file on its way.
 *
 * @param form what the file is, in words
 * @param rows that are still to be taken
 * @param good those of them that can be read
 * @param left those that cannot, as many as are shown at once
 * @param state where it is; while it runs, {@code done} of {@code total} rows are items
 * @param said what came of it last, in words
 */
record IntakeReply(
    String id,
    String piece,
    String file,
    String form,
    List<ColumnReply> columns,
    List<TargetReply> fields,
    int rows,
    int good,
    List<LeftRow> left,
    int leftCount,
    IntakeState state,
    int done,
    int total,
    String said) {
  /** Rows that cannot be read, shown at once; the others come when these are mended. */
  private static final int SHOWN = 100;

  /** First rows that are shown of each column. */
  static final int SAMPLES = 8;

  /**
   * A column of the file.
   *
   * @param field id of the field that it goes to; empty when it is left out
   * @param samples what stands in it in the first rows
   */
  record ColumnReply(String name, String field, List<String> samples) {}

  /** A field that a column may go to. */
  record TargetReply(String id, String label) {}

  /**
   * A cell that cannot be read.
   *
   * @param column its place in the row, from 0
   */
  record CellFault(int column, String name, String cell, String message) {}

  /**
   * A row that cannot be read.
   *
   * @param number of the row in the file, from 1
   */
  record LeftRow(int number, List<String> cells, List<CellFault> faults) {}

  /**
   * What is told of one.
   *
   * @param fields ids of the fields that the columns go to, in the order of the columns
   */
  static IntakeReply of(
      IntakeEntity row,
      String file,
      String form,
      Table table,
      List<String> fields,
      Piece piece,
      Filled filled) {
    var columns = new ArrayList<ColumnReply>();
    for (int i = 0; i < table.head().size(); i++) {
      int column = i;
      columns.add(
          new ColumnReply(
              table.head().get(i),
              fields.get(i),
              table.rows().stream().limit(SAMPLES).map(r -> r.cell(column)).toList()));
    }
    Map<Integer, List<Filled.Fault>> faults =
        filled.faults().stream().collect(Collectors.groupingBy(Filled.Fault::row));
    return new IntakeReply(
        row.id,
        row.piece,
        file,
        form,
        columns,
        Mapping.fields(piece).stream()
            .map(f -> new TargetReply(f.setting().id(), f.label()))
            .toList(),
        table.rows().size(),
        filled.items().size(),
        filled.left().stream()
            .limit(SHOWN)
            .map(r -> left(table, r, faults.getOrDefault(r.number(), List.of())))
            .toList(),
        filled.left().size(),
        row.state,
        row.done,
        row.total,
        row.said);
  }

  private static LeftRow left(Table table, Table.Row row, List<Filled.Fault> faults) {
    return new LeftRow(
        row.number(),
        row.cells(),
        faults.stream()
            .map(fault -> {
              int named = table.head().indexOf(fault.column());
              // A cell beyond the last column is told by its place.
              int column = named < 0 ? Integer.parseInt(fault.column()) - 1 : named;
              return new CellFault(column, fault.column(), row.cell(column), fault.message());
            })
            .toList());
  }
}
