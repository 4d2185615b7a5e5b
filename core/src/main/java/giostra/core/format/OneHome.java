package giostra.core.format;

import giostra.core.look.PartId;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.NodeType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/**
 * Version 5: how things look is said of their parts alone. Paddings, the size of numbers and the
 * corners of clips were settings of pieces before.
 */
final class OneHome {
  private static final List<Property<?>> PADDING =
      List.of(Property.PADDING_ABOVE, Property.PADDING_SIDES, Property.PADDING_BELOW);

  /**
   * A setting of before, and what says the same of a part.
   *
   * @param of the kind of piece that had it
   */
  private record Moved(NodeType of, String setting, String part, List<Property<?>> properties) {
    List<StyleKey> keys() {
      return properties.stream()
          .map(property -> new StyleKey(new PartId(part), property, State.REST))
          .toList();
    }
  }

  private static final List<Moved> ALL =
      List.of(
          new Moved(NodeType.TABS, "panelPadding", "tabs.panel", PADDING),
          // What stands under its question had no padding above.
          new Moved(
              NodeType.ACCORDION,
              "panelPadding",
              "accordion.panel",
              List.of(Property.PADDING_SIDES, Property.PADDING_BELOW)),
          new Moved(NodeType.ACCORDION, "headPadding", "accordion.heading-row", PADDING),
          new Moved(NodeType.FLIP_BOXES, "padding", "flip.words", PADDING),
          new Moved(NodeType.SLIDER, "padding", "slider.stand", PADDING),
          new Moved(
              NodeType.COUNTERS, "numberSize", "counters.number", List.of(Property.TEXT_SIZE)),
          new Moved(NodeType.VIDEO, "corners", "video.place", List.of(Property.CORNERS)));

  private OneHome() {}

  static void node(ObjectNode node, NodeType type) {
    if (!(node.path("values") instanceof ObjectNode values)) {
      return;
    }
    for (Moved each : ALL) {
      JsonNode value = each.of == type ? values.remove(each.setting) : null;
      if (value != null) {
        for (StyleKey key : each.keys()) {
          StylesJson.within(
                  StylesJson.within(StylesJson.within(node, "styles"), key.part().id()),
                  StyleKey.word(key.state()))
              .set(key.property().id(), meant(each, value.deepCopy()));
        }
      }
    }
  }

  /** Letters that were so many times those of the page are that still. */
  private static JsonNode meant(Moved moved, JsonNode value) {
    if (moved.properties.contains(Property.TEXT_SIZE)) {
      if (value instanceof ObjectNode byBand) {
        byBand.propertyNames().forEach(band -> byBand.set(band, meant(moved, byBand.path(band))));
      } else if (value.asString("").endsWith("em") && !value.asString("").endsWith("rem")) {
        return StringNode.valueOf(value.asString("").replace("em", "rem"));
      }
    }
    return value;
  }

  /** What the nodes are that are put in by edits. */
  private static void added(JsonNode node, Map<String, NodeType> all) {
    NodeType type = Upgrade.type(node.path("type").asString(""));
    if (type != null) {
      all.put(node.path("id").asString(""), type);
      node.path("children").forEach(child -> added(child, all));
    }
  }

  /** Edits of such settings set styles, each as many as its setting said. */
  static ArrayNode edits(ArrayNode edits, Function<String, Optional<NodeType>> typeOf) {
    ArrayNode now = edits.arrayNode();
    var put = new HashMap<String, NodeType>();
    edits.forEach(edit -> added(edit.path("content"), put));
    for (JsonNode edit : edits) {
      List<ObjectNode> said =
          styles(edit, id -> typeOf.apply(id).or(() -> Optional.ofNullable(put.get(id))));
      if (said.isEmpty()) {
        now.add(edit);
      } else {
        said.forEach(now::add);
      }
    }
    return now;
  }

  private static List<ObjectNode> styles(
      JsonNode edit, Function<String, Optional<NodeType>> typeOf) {
    var all = new ArrayList<ObjectNode>();
    if (edit instanceof ObjectNode before && edit.path("type").asString("").equals("SetValue")) {
      Optional<NodeType> type = typeOf.apply(edit.path("node").asString(""));
      for (Moved each : ALL) {
        if (type.equals(Optional.of(each.of))
            && edit.path("setting").asString("").equals(each.setting)) {
          for (StyleKey key : each.keys()) {
            ObjectNode style = before.deepCopy();
            style.remove("setting");
            if (style.has("value")) {
              style.set("value", meant(each, style.path("value")));
            }
            all.add(
                style
                    .put("type", "SetStyle")
                    .put("part", key.part().id())
                    .put("state", StyleKey.word(key.state()))
                    .put("property", key.property().id()));
          }
        }
      }
    }
    return all;
  }
}
