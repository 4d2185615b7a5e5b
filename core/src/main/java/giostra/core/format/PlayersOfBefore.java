package giostra.core.format;

import giostra.core.look.StyleKey;
import giostra.core.page.NodeType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Version 4: how parts of players look is a style. Before, each property of each part in each state
 * was a setting with a name of its own, such as {@code barButtonHoverGround}.
 */
final class PlayersOfBefore {
  private static final Map<String, StyleKey> KEYS = new HashMap<>();

  static {
    Map<String, String> parts =
        Map.of(
            "startButton", "start-button",
            "bar", "bar",
            "barButton", "bar-button",
            "track", "track",
            "time", "time");
    Map<String, String> properties =
        Map.of(
            "Size", "size",
            "Padding", "padding",
            "Corners", "corners",
            "Colour", "ink",
            "Ground", "ground",
            "Picture", "picture",
            "Border", "border",
            "BorderColour", "border-ink",
            "Nudge", "nudge");
    List<String> states = List.of("", "Hover", "Focus", "Pressed", "Current");
    parts.forEach((before, part) ->
        states.forEach(state ->
            properties.forEach((name, property) ->
                KEYS.put(
                    before + state + name,
                    StyleKey.parse(
                        "video."
                            + part
                            + "/"
                            + (state.isEmpty() ? "rest" : state.toLowerCase(java.util.Locale.ROOT))
                            + "/"
                            + property)))));
  }

  private PlayersOfBefore() {}

  private static Optional<StyleKey> key(String setting) {
    return Optional.ofNullable(KEYS.get(setting));
  }

  static void asStyles(ObjectNode node, NodeType type) {
    if ((type != NodeType.SITE && type != NodeType.VIDEO)
        || !(node.path("values") instanceof ObjectNode values)) {
      return;
    }
    for (String id : new ArrayList<>(values.propertyNames())) {
      Optional<StyleKey> key = key(id);
      if (key.isPresent()) {
        JsonNode byBand = values.remove(id);
        ObjectNode parts = StylesJson.within(node, "styles");
        ObjectNode states = StylesJson.within(parts, key.get().part().id());
        StylesJson.within(states, StyleKey.word(key.get().state()))
            .set(key.get().property().id(), byBand);
      }
    }
  }

  /** An edit that sets such a setting sets a style. */
  static void asStyle(ObjectNode edit) {
    key(edit.path("setting").asString(""))
        .filter(_ -> edit.path("type").asString("").equals("SetValue"))
        .ifPresent(key -> {
          edit.remove("setting");
          edit.put("type", "SetStyle")
              .put("part", key.part().id())
              .put("state", StyleKey.word(key.state()))
              .put("property", key.property().id());
        });
  }
}
