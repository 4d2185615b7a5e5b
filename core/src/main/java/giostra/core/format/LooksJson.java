package giostra.core.format;

import giostra.core.look.PartId;
import giostra.core.look.Property;
import giostra.core.look.StyleKey;
import giostra.core.look.Styles;
import giostra.core.look.Values;
import giostra.core.page.NodeType;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * Looks of no site as JSON: a list of objects with {@code id}, {@code name}, {@code of}, {@code
 * says} and {@code styles}, values by part, state and property that hold in every band.
 */
public final class LooksJson {
  /**
   * A look.
   *
   * @param of the kind that wears it
   * @param says what it is like
   * @param styles each value under {@link Values#ALL}
   */
  public record Read(String id, String name, NodeType of, String says, Styles styles) {}

  private LooksJson() {}

  /**
   * Reads looks.
   *
   * @throws giostra.core.value.Refused for a part, state, property or value that there is not
   */
  public static List<Read> read(String json) {
    var all = new ArrayList<Read>();
    for (JsonNode each : DocumentJson.parse(json)) {
      NodeType of = NodeType.named(each.path("of").asString());
      all.add(
          new Read(
              each.path("id").asString(),
              each.path("name").asString(),
              of,
              each.path("says").asString(),
              styles(each.path("styles"), of)));
    }
    return all;
  }

  private static Styles styles(JsonNode json, NodeType of) {
    Styles styles = Styles.NONE;
    for (Map.Entry<String, JsonNode> part : json.properties()) {
      for (Map.Entry<String, JsonNode> state : part.getValue().properties()) {
        for (Map.Entry<String, JsonNode> value : state.getValue().properties()) {
          var key =
              new StyleKey(
                  new PartId(part.getKey()),
                  Property.named(value.getKey()),
                  StyleKey.state(state.getKey()));
          Setting<?> setting = of.style(key);
          styles =
              styles.with(
                  key, Values.ALL, setting.read(DocumentJson.raw(value.getValue(), setting)));
        }
      }
    }
    return styles;
  }
}
