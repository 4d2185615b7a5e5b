package giostra.core.format.content;

import giostra.core.format.DocumentJson;
import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Tables as JSON: a list of objects, or an object with one list of objects in it. */
public final class JsonRows {
  private JsonRows() {}

  /**
   * Reads a list; the names of its columns are all keys, in the order in which they turn up.
   *
   * @throws Refused when it is no JSON, or holds no list of objects
   */
  public static Table read(String text) {
    JsonNode root;
    try {
      root = DocumentJson.parse(text);
    } catch (DocumentJson.Faults noJson) {
      throw noJson.all().getFirst();
    }
    JsonNode list = list(root);
    if (list.size() > Table.MOST_ROWS) {
      throw new Refused(
          "Number of rows", Integer.toString(list.size()), "at most " + Table.MOST_ROWS);
    }
    Set<String> head = new LinkedHashSet<>();
    for (int i = 0; i < list.size(); i++) {
      JsonNode each = list.get(i);
      if (!each.isObject()) {
        throw new Refused("Entry " + (i + 1), each.toString(), "an object");
      }
      head.addAll(each.propertyNames());
    }
    var rows = new ArrayList<Table.Row>();
    for (int i = 0; i < list.size(); i++) {
      JsonNode each = list.get(i);
      rows.add(new Table.Row(i + 1, head.stream().map(key -> text(each.path(key))).toList()));
    }
    return new Table(List.copyOf(head), rows);
  }

  private static JsonNode list(JsonNode root) {
    if (root.isArray()) {
      return root;
    }
    List<JsonNode> lists = root.valueStream().filter(JsonNode::isArray).toList();
    if (lists.size() != 1) {
      throw new Refused("The file", lists.size() + " lists", "a list of objects, or one in it");
    }
    return lists.getFirst();
  }

  private static String text(JsonNode value) {
    return value.isMissingNode() || value.isNull()
        ? ""
        : value.isValueNode() ? value.asString() : value.toString();
  }

  /** Writes a table; cells without anything are left out. */
  public static String write(List<String> head, List<List<String>> rows) {
    ArrayNode all = JsonNodeFactory.instance.arrayNode();
    for (List<String> row : rows) {
      ObjectNode each = all.addObject();
      for (int i = 0; i < head.size(); i++) {
        if (!row.get(i).isEmpty()) {
          each.put(head.get(i), row.get(i));
        }
      }
    }
    return all.toPrettyString();
  }
}
