package giostra.core.format.content;

import giostra.core.look.Values;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.value.MediaKind;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Items made of the rows of a table. A row with a cell that cannot be read makes no item: it is
 * named with what is wrong, and kept as it is for mending.
 *
 * @param items one for each row that could be read, in their order
 * @param faults what could not be read, row by row
 * @param left the rows that these are in
 */
public record Filled(List<Item> items, List<Fault> faults, List<Table.Row> left) {
  /**
   * A cell that could not be read.
   *
   * @param row number of the row in the file, from 1
   * @param column name of the column, or its place where it has none
   * @param message what is wrong, with what is allowed
   */
  public record Fault(int row, String column, String message) {}

  /** Where media of the site are found by their id or by the name of their file. */
  @FunctionalInterface
  public interface Media {
    /** The id of a medium. */
    Optional<String> find(String named);
  }

  public Filled {
    items = List.copyOf(items);
    faults = List.copyOf(faults);
    left = List.copyOf(left);
  }

  /**
   * Fills a piece from a table.
   *
   * @param ids gives an id that nothing on the page has yet, each time another one
   */
  public static Filled of(
      Table table, Mapping mapping, Piece piece, Media media, Supplier<String> ids) {
    var reader = new Reader(table, mapping, Mapping.fields(piece), media);
    var items = new ArrayList<Item>();
    var left = new ArrayList<Table.Row>();
    for (Table.Row row : table.rows()) {
      Optional<Values> values = reader.read(row);
      values.ifPresentOrElse(read -> items.add(new Item(ids.get(), read)), () -> left.add(row));
    }
    return new Filled(items, reader.faults, left);
  }

  private static final class Reader {
    private final Table table;
    private final Mapping mapping;
    private final List<Fields.Field> fields;
    private final Media media;
    private final List<Fault> faults = new ArrayList<>();

    Reader(Table table, Mapping mapping, List<Fields.Field> fields, Media media) {
      if (mapping.fields().size() != table.head().size()) {
        throw new Refused(
            "Mapping",
            mapping.fields().size() + " columns",
            "one field or none for each of the " + table.head().size() + " columns");
      }
      this.table = table;
      this.mapping = mapping;
      this.fields = fields;
      this.media = media;
    }

    /** Values of the item that a row makes; none when a cell of it cannot be read. */
    Optional<Values> read(Table.Row row) {
      int before = faults.size();
      Values values = Values.NONE;
      for (int i = 0; i < table.head().size(); i++) {
        String cell = row.cell(i);
        String field = mapping.fields().get(i);
        if (field.isEmpty() || cell.isBlank()) {
          continue;
        }
        try {
          Setting<?> setting = Mapping.field(fields, field).setting();
          values = values.withRaw(setting.id(), Values.ALL, value(setting, cell, media));
        } catch (Refused refused) {
          faults.add(
              new Fault(row.number(), column(i), Objects.requireNonNull(refused.getMessage())));
        }
      }
      for (int i = table.head().size(); i < row.cells().size(); i++) {
        if (!row.cell(i).isBlank()) {
          faults.add(
              new Fault(
                  row.number(),
                  Integer.toString(i + 1),
                  String.format(
                      Locale.ROOT,
                      "Cell is “%s”; it must be in one of the %d columns",
                      row.cell(i).strip(),
                      table.head().size())));
        }
      }
      return faults.size() == before ? Optional.of(values) : Optional.empty();
    }

    private String column(int place) {
      String name = table.head().get(place);
      return name.isEmpty() ? Integer.toString(place + 1) : name;
    }
  }

  /**
   * What a cell says.
   *
   * @throws Refused when it cannot be read, or names no medium of the site
   */
  static Object value(Setting<?> setting, String cell, Media media) {
    Object raw =
        setting.kind() instanceof MediaKind
            ? media
                .find(cell.strip())
                .orElseThrow(() ->
                    new Refused(
                        setting.label(), cell.strip(), "the id or file name of media of the site"))
            : cell;
    return setting.kind().read(setting.label(), raw);
  }

  /** A table of what items say, one column for each field that some item fills. */
  public static Written written(Piece piece) {
    List<Fields.Field> filled =
        Mapping.fields(piece).stream()
            .filter(field ->
                piece.items().stream()
                    .anyMatch(item -> item.values().set().containsKey(field.setting().id())))
            .toList();
    return new Written(
        filled.stream().map(field -> field.setting().id()).toList(),
        piece.items().stream()
            .map(item -> filled.stream().map(field -> text(item, field.setting())).toList())
            .toList());
  }

  /** Names of columns, and rows with as many cells. */
  public record Written(List<String> head, List<List<String>> rows) {}

  private static <T> String text(Item item, Setting<T> setting) {
    return item.values().set().containsKey(setting.id())
        ? setting.kind().write(item.values().get(setting)).toString()
        : "";
  }
}
