package giostra.core.page;

import giostra.core.look.Values;
import giostra.core.value.Setting;
import giostra.core.value.TokenKind;
import giostra.core.value.WordsKind;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a piece is filled from: a file of the site, a column that tells its rows apart, and the
 * columns that its fields come from. New data fills the piece again, see {@link
 * giostra.core.format.content.Refill}.
 *
 * @param source id of the file
 * @param key name of the column that tells rows apart
 * @param columns names of columns by the ids of the fields that they fill
 */
public record Feed(String source, String key, Map<String, String> columns) {
  /** The file; empty for a piece that is filled by hand. */
  public static final Setting<String> SOURCE =
      Setting.once(
          "source",
          "Filled from",
          new TokenKind("[a-z0-9-]{0,80}", "the id of a file with content of this site"),
          "");

  public static final Setting<String> KEY =
      Setting.once("sourceKey", "Rows are told apart by", new WordsKind(200, false), "");

  /** One line for each field: its id, a colon and a space, the name of its column. */
  public static final Setting<String> FIELDS =
      Setting.once("sourceFields", "Columns of the file", new WordsKind(8000, true), "");

  /** What stands in the key's column of the row that an item was made of. */
  public static final Setting<String> ROW =
      Setting.once("sourceRow", "Row of the file", new WordsKind(400, false), "");

  static final List<Setting<?>> ALL = List.of(SOURCE, KEY, FIELDS);

  public Feed {
    columns = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(columns));
  }

  /** That of a piece; none for one that is filled by hand. */
  public static Optional<Feed> of(Piece piece) {
    Values values = piece.values();
    String source = values.get(SOURCE);
    if (source.isEmpty()) {
      return Optional.empty();
    }
    var columns = new LinkedHashMap<String, String>();
    for (String line : values.get(FIELDS).split("\n")) {
      int at = line.indexOf(": ");
      if (at > 0) {
        columns.put(line.substring(0, at), line.substring(at + 2));
      }
    }
    return Optional.of(new Feed(source, values.get(KEY), columns));
  }

  /** Values of a piece that is filled from it. */
  public Values in(Values values) {
    String lines =
        String.join(
            "\n", columns.entrySet().stream().map(e -> e.getKey() + ": " + e.getValue()).toList());
    return values
        .with(SOURCE, Values.ALL, source)
        .with(KEY, Values.ALL, key)
        .with(FIELDS, Values.ALL, lines);
  }

  /** Values of a piece that is filled by hand from now on. */
  public static Values without(Values values) {
    Values out = values;
    for (Setting<?> each : ALL) {
      out = out.withRaw(each.id(), Values.ALL, null);
    }
    return out;
  }
}
