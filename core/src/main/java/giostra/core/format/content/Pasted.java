package giostra.core.format.content;

import giostra.core.look.Values;
import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.value.Refused;
import giostra.core.value.Require;
import giostra.core.value.Setting;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Cells copied from a spreadsheet, as edits of the items of a piece: from one cell on to the right
 * and down, with new items where the items end. A first row that names columns says where the
 * others go.
 *
 * @param rows how many items were filled
 * @param added how many were added
 * @param left cells that fit no column, or cannot be read there, each with the reason; the first
 *     hundred of them
 */
public record Pasted(List<Edit> edits, int rows, int added, List<String> left) {
  /** More rows come from a file. Our own; no source. */
  public static final int MOST_ROWS = 2_000;

  /** More reasons nobody reads. */
  private static final int MOST_LEFT = 100;

  public Pasted {
    edits = List.copyOf(edits);
    left = List.copyOf(left);
  }

  /**
   * Reads cells: rows end with a line, cells with a tab; without a tab each line is one cell.
   *
   * @param columns ids of the fields that the table shows, in its order
   * @param row place of the first item that is filled, from 0
   * @param column place of the first column that is filled, from 0
   * @param ids gives an id that nothing on the page has yet, each time another one
   * @throws Refused when a column is no field of the piece, or there are too many rows
   */
  public static Pasted of(
      String text,
      Piece piece,
      List<String> columns,
      int row,
      int column,
      Filled.Media media,
      Supplier<String> ids) {
    Require.within(0, piece.items().size(), "row", row);
    Require.within(0, columns.size(), "column", column);
    List<List<String>> rows = rows(text);
    if (rows.size() > MOST_ROWS) {
      throw new Refused(
          "Number of rows", Integer.toString(rows.size()), "at most " + MOST_ROWS + " at once");
    }
    // A column may be null in what was sent.
    List<Fields.Field> all = Mapping.fields(piece);
    List<Fields.Field> fields =
        columns.stream().map(each -> Mapping.field(all, String.valueOf(each))).toList();
    return new Reader(piece, fields, media, ids).read(rows, row, column);
  }

  private static List<List<String>> rows(String text) {
    String cells = text.replaceFirst("\\r?\\n$", "");
    char separator = cells.indexOf('\t') >= 0 ? '\t' : '\u0000';
    CSVFormat format =
        CSVFormat.DEFAULT.builder().setDelimiter(separator).setIgnoreEmptyLines(false).get();
    try (CSVParser parser = CSVParser.parse(new StringReader(cells), format)) {
      return parser.stream().map(CSVRecord::toList).toList();
    } catch (IOException | UncheckedIOException | IllegalStateException looseQuotes) {
      // A quotation mark that is no quotation: cells as they stand.
      return cells
          .lines()
          .map(line -> Arrays.asList(line.split(Character.toString(separator), -1)))
          .toList();
    }
  }

  private static final class Reader {
    private final Piece piece;
    private final List<Fields.Field> fields;
    private final Filled.Media media;
    private final Supplier<String> ids;
    private final List<Edit> edits = new ArrayList<>();
    private final List<String> left = new ArrayList<>();

    Reader(Piece piece, List<Fields.Field> fields, Filled.Media media, Supplier<String> ids) {
      this.piece = piece;
      this.fields = fields;
      this.media = media;
      this.ids = ids;
    }

    private void leave(String reason) {
      if (left.size() < MOST_LEFT) {
        left.add(reason);
      }
    }

    Pasted read(List<List<String>> rows, int row, int column) {
      List<String> first = rows.isEmpty() ? List.of() : rows.getFirst();
      List<Integer> named = first.stream().map(this::named).toList();
      boolean headed = first.size() > 1 && !named.contains(-1);
      List<List<String>> below = headed ? rows.subList(1, rows.size()) : rows;
      int added = 0;
      for (int line = 0; line < below.size(); line++) {
        List<String> cells = below.get(line);
        List<Integer> places =
            headed ? named : IntStream.range(0, cells.size()).mapToObj(i -> column + i).toList();
        if (row + line < piece.items().size()) {
          fill(piece.items().get(row + line), values(cells, places));
        } else {
          Item item = new Item(ids.get(), values(cells, places));
          edits.add(new Edit.AddNode(piece.id(), piece.items().size() + added, item));
          added++;
        }
      }
      return new Pasted(edits, below.size() - added, added, left);
    }

    /** The place of the column that a cell names; -1 for none. */
    private int named(String cell) {
      return IntStream.range(0, fields.size())
          .filter(i -> Mapping.names(fields.get(i), cell))
          .findFirst()
          .orElse(-1);
    }

    private void fill(Item item, Values values) {
      values
          .set()
          .forEach((setting, each) ->
              edits.add(
                  new Edit.SetValue(
                      item.id(),
                      setting,
                      Values.ALL,
                      written(setting, Objects.requireNonNull(each.get(Values.ALL))))));
    }

    private Object written(String id, Object value) {
      return fields.stream()
          .map(Fields.Field::setting)
          .filter(each -> each.id().equals(id))
          .findFirst()
          .map(setting -> write(setting, value))
          .orElseThrow();
    }

    @SuppressWarnings("unchecked")
    private static <T> Object write(Setting<T> setting, Object value) {
      return setting.kind().write((T) value);
    }

    private Values values(List<String> cells, List<Integer> places) {
      Values values = Values.NONE;
      for (int i = 0; i < cells.size(); i++) {
        String cell = cells.get(i);
        int place = i < places.size() ? places.get(i) : fields.size();
        if (place >= fields.size()) {
          if (!cell.isBlank()) {
            leave("“" + Refused.shortened(cell.strip()) + "”: there is no column for it");
          }
          continue;
        }
        Setting<?> setting = fields.get(place).setting();
        try {
          // An empty cell empties, a picture too.
          Object value =
              cell.isBlank()
                  ? setting.kind().read(setting.label(), "")
                  : Filled.value(setting, cell.strip(), media);
          values = values.withRaw(setting.id(), Values.ALL, value);
        } catch (Refused refused) {
          leave(Objects.requireNonNull(refused.getMessage()));
        }
      }
      return values;
    }
  }
}
