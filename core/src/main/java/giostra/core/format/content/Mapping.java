package giostra.core.format.content;

import giostra.core.page.Fields;
import giostra.core.page.Piece;
import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Which field each column of a table goes to.
 *
 * @param fields ids of settings of items, one for each column; empty for a column that is left out
 */
public record Mapping(List<String> fields) {
  /** Names that people give to columns, beside the labels and ids of the fields themselves. */
  private static final Map<String, List<String>> ALSO =
      Map.ofEntries(
          Map.entry("heading", List.of("title", "headline", "question", "name of item")),
          Map.entry("text", List.of("body", "description", "answer", "quote", "quotation", "copy")),
          Map.entry("name", List.of("author", "person", "who", "speaker")),
          Map.entry("role", List.of("position", "job", "job title")),
          Map.entry("picture", List.of("image", "photo", "portrait", "file")),
          Map.entry("alt", List.of("alt text", "alternative", "alternative text")),
          Map.entry("link", List.of("url", "address", "href", "page")),
          Map.entry("buttonLink", List.of("button url", "button address")),
          Map.entry("button", List.of("button text", "button label", "call to action")),
          Map.entry("category", List.of("group", "topic", "section")),
          Map.entry("kicker", List.of("eyebrow", "overline")),
          Map.entry("subheading", List.of("subtitle", "sub heading")),
          Map.entry("to", List.of("value", "number", "figure", "count")),
          Map.entry("suffix", List.of("unit")));

  public Mapping {
    fields = List.copyOf(fields);
  }

  /** The fields that a piece of that kind has, those that it has switched off as well. */
  public static List<Fields.Field> fields(Piece piece) {
    return Fields.used(piece.type(), piece.values());
  }

  /** A mapping by the names of the columns: each field once, the first column that names it. */
  public static Mapping proposed(Table table, Piece piece) {
    List<Fields.Field> fields = fields(piece);
    Set<String> taken = new HashSet<>();
    var found = new ArrayList<String>();
    for (String name : table.head()) {
      String field =
          fields.stream()
              .filter(each -> !taken.contains(each.setting().id()) && names(each, name))
              .map(each -> each.setting().id())
              .findFirst()
              .orElse("");
      if (!field.isEmpty()) {
        taken.add(field);
      }
      found.add(field);
    }
    return new Mapping(found);
  }

  /**
   * A field of a piece.
   *
   * @throws Refused when it has none of that id, naming those that it has
   */
  static Fields.Field field(List<Fields.Field> fields, String id) {
    return fields.stream()
        .filter(each -> each.setting().id().equals(id))
        .findFirst()
        .orElseThrow(() ->
            new Refused(
                "Field",
                id,
                "one of "
                    + String.join(
                        ", ", fields.stream().map(each -> each.setting().id()).toList())));
  }

  /** Whether a column is called as a field is. */
  static boolean names(Fields.Field field, String column) {
    String name = plain(column);
    String id = field.setting().id();
    return !name.isEmpty()
        && (name.equals(plain(id))
            || name.equals(plain(field.label()))
            || ALSO.getOrDefault(id, List.of()).stream()
                .anyMatch(also -> name.equals(plain(also))));
  }

  /**
   * Letters and digits only, in lower case: {@code Button’s link} and {@code buttonsLink} agree.
   */
  private static String plain(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
  }
}
