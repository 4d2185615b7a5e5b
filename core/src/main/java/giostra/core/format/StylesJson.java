package giostra.core.format;

import giostra.core.look.PartId;
import giostra.core.look.Property;
import giostra.core.look.StyleKey;
import giostra.core.look.Styles;
import giostra.core.page.NodeType;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * How parts look, as JSON: by part, state, property and band, as in {@code {"video.bar": {"hover":
 * {"ground": {"desktop": "#11201d"}}}}}.
 */
final class StylesJson {
  private final NodeType type;
  private final Set<String> bands;
  private final Consumer<Refused> faults;

  /**
   * @param faults takes what is wrong, each with its place; the rest is read
   */
  StylesJson(NodeType type, Set<String> bands, Consumer<Refused> faults) {
    this.type = type;
    this.bands = bands;
    this.faults = faults;
  }

  static ObjectNode write(NodeType type, Styles styles) {
    ObjectNode parts = JsonNodeFactory.instance.objectNode();
    styles
        .set()
        .forEach((key, byBand) -> {
          Setting<?> setting = type.style(key);
          ObjectNode values =
              within(
                  within(within(parts, key.part().id()), StyleKey.word(key.state())),
                  key.property().id());
          byBand.forEach(
              (band, value) -> values.set(band, DocumentJson.scalar(setting.write(value))));
        });
    return parts;
  }

  static ObjectNode within(ObjectNode parent, String key) {
    return parent.path(key) instanceof ObjectNode found ? found : parent.putObject(key);
  }

  Styles read(JsonNode json, String at) {
    Styles styles = Styles.NONE;
    for (Map.Entry<String, JsonNode> part : entries(json, at)) {
      String atPart = at + "/" + part.getKey();
      for (Map.Entry<String, JsonNode> state : entries(part.getValue(), atPart)) {
        String atState = atPart + "/" + state.getKey();
        for (Map.Entry<String, JsonNode> property : entries(state.getValue(), atState)) {
          String here = atState + "/" + property.getKey();
          try {
            var key =
                new StyleKey(
                    new PartId(part.getKey()),
                    Property.named(property.getKey()),
                    StyleKey.state(state.getKey()));
            styles = read(styles, key, property.getValue(), here);
          } catch (Refused e) {
            faults.accept(e.at(here));
          }
        }
      }
    }
    return styles;
  }

  private Styles read(Styles styles, StyleKey key, JsonNode json, String at) {
    Setting<?> setting = type.style(key);
    Styles all = styles;
    for (Map.Entry<String, JsonNode> each : entries(json, at)) {
      String here = at + "/" + each.getKey();
      try {
        if (!bands.contains(each.getKey())) {
          throw new Refused("band", each.getKey(), "one of " + String.join(", ", bands));
        }
        all =
            all.with(key, each.getKey(), setting.read(DocumentJson.raw(each.getValue(), setting)));
      } catch (Refused e) {
        faults.accept(e.at(here));
      }
    }
    return all;
  }

  private Set<Map.Entry<String, JsonNode>> entries(JsonNode json, String at) {
    if (!json.isObject()) {
      if (!json.isMissingNode()) {
        faults.accept(new Refused("it", json.getNodeType().toString(), "an object").at(at));
      }
      return Set.of();
    }
    return json.properties();
  }
}
