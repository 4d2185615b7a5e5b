package giostra.core.format;

import giostra.core.page.ItemSettings;
import giostra.core.page.NodeType;
import giostra.core.value.MarkupKind;
import giostra.core.value.Refused;
import giostra.core.value.RichKind;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/**
 * Turns what was written in an older version of the format into the newest, one small step a
 * version. What is handed in is never changed. A new version is a step here, a fixture of the
 * version before it in the tests, and {@link DocumentJson#VERSION}.
 */
public final class Upgrade {
  /** One version to the next, node by node. */
  @FunctionalInterface
  private interface Step {
    /** Changes a node of that version, a copy, without its children. */
    void node(ObjectNode node, NodeType type);
  }

  /** The first leads from version 1 to 2. */
  private static final List<Step> STEPS =
      List.of(
          Upgrade::spacesAsThemselves,
          Upgrade::namesOfOurOwn,
          Upgrade::partsAndTabs,
          OneHome::node);

  /** What settings are called since version 3, by what they were called before. */
  private static final Map<String, String> RENAMED =
      Map.of(
          "showFrom",
          "seasonBegins",
          "showUntil",
          "seasonEnds",
          "contentWidth",
          "wordsMeasure",
          "equalHeights",
          "heights");

  private Upgrade() {}

  /**
   * A document of an older version in the newest one.
   *
   * @param from version that it is written in
   * @throws Refused for a version that is none
   */
  public static JsonNode document(JsonNode json, int from) {
    if (check(from) || !json.isObject()) {
      return json;
    }
    ObjectNode copy = ((ObjectNode) json.deepCopy()).put("giostra", DocumentJson.VERSION);
    steps(copy.path("site"), NodeType.SITE, from);
    all(copy.path("page"), from);
    return copy;
  }

  /** A node with all it holds. */
  public static JsonNode node(JsonNode json, int from) {
    if (check(from)) {
      return json;
    }
    JsonNode copy = json.deepCopy();
    all(copy, from);
    return copy;
  }

  /** The site part of a document. */
  public static JsonNode site(JsonNode json, int from) {
    if (check(from)) {
      return json;
    }
    JsonNode copy = json.deepCopy();
    steps(copy, NodeType.SITE, from);
    return copy;
  }

  /**
   * A list of edits: the nodes and documents in them.
   *
   * @param typeOf what nodes are, by their ids; empty where there is none of that id
   */
  public static JsonNode edits(
      JsonNode json, int from, Function<String, Optional<NodeType>> typeOf) {
    if (check(from)) {
      return json;
    }
    ArrayNode copy = (ArrayNode) json.deepCopy();
    for (JsonNode edit : copy) {
      all(edit.path("content"), from);
      if (from < 3 && edit instanceof ObjectNode own) {
        renamed(own);
      }
      if (from < 4 && edit instanceof ObjectNode own) {
        PlayersOfBefore.asStyle(own);
      }
      if (edit.path("document") instanceof ObjectNode document) {
        ((ObjectNode) edit).set("document", document(document, from));
      }
    }
    if (from < 4) {
      // Which tab it was is not known any more: that one thing is not taken back.
      copy.removeIf(edit -> edit.path("setting").asString("").equals("opensOn"));
    }
    return OneHome.edits(copy, typeOf);
  }

  /** Whether there is nothing to do. */
  private static boolean check(int from) {
    if (from < 1 || from > DocumentJson.VERSION) {
      throw new Refused("version", Integer.toString(from), "1 to " + DocumentJson.VERSION);
    }
    return from == DocumentJson.VERSION;
  }

  private static void all(JsonNode json, int from) {
    NodeType type = type(json.path("type").asString(""));
    if (type != null) {
      steps(json, type, from);
      json.path("children").forEach(child -> all(child, from));
    }
  }

  static @Nullable NodeType type(String word) {
    try {
      return NodeType.named(word);
    } catch (Refused unknown) {
      // Whoever reads it next says so, with its place.
      return null;
    }
  }

  private static void steps(JsonNode json, NodeType type, int from) {
    if (json instanceof ObjectNode node) {
      STEPS.subList(from - 1, STEPS.size()).forEach(step -> step.node(node, type));
    }
  }

  /** Version 2: non-breaking spaces in markup are written as themselves, and not as six letters. */
  private static void spacesAsThemselves(ObjectNode node, NodeType type) {
    if (node.path("values") instanceof ObjectNode values) {
      for (Setting<?> setting : type.settings()) {
        boolean markup = setting.kind() instanceof RichKind || setting.kind() instanceof MarkupKind;
        if (markup && values.path(setting.id()) instanceof StringNode text) {
          values.put(setting.id(), text.asString().replace("&nbsp;", "\u00A0"));
        }
      }
    }
  }

  /** Version 3: settings with names of their own; counters that said nothing ran two seconds. */
  private static void namesOfOurOwn(ObjectNode node, NodeType type) {
    if (!(node.path("values") instanceof ObjectNode values)) {
      return;
    }
    RENAMED.forEach((before, now) -> {
      JsonNode value = values.remove(before);
      if (value != null) {
        values.set(now, now.equals("heights") ? heights(value) : value);
      }
    });
    if (type == NodeType.COUNTERS && !values.has("duration")) {
      values.set("duration", StringNode.valueOf("2s"));
    }
  }

  /** On or off, in itself or by band: all as high as the tallest, or each for itself. */
  private static JsonNode heights(JsonNode before) {
    if (before instanceof ObjectNode byBand) {
      ObjectNode now = byBand.objectNode();
      byBand.properties().forEach(each -> now.set(each.getKey(), heights(each.getValue())));
      return now;
    }
    return before.isBoolean() ? StringNode.valueOf(before.booleanValue() ? "all" : "own") : before;
  }

  /** Version 4: players are dressed as all else is, and tabs open on an item, not on a number. */
  private static void partsAndTabs(ObjectNode node, NodeType type) {
    PlayersOfBefore.asStyles(node, type);
    if (type == NodeType.TABS
        && node.path("values") instanceof ObjectNode values
        && values.has("opensOn")) {
      JsonNode before = values.remove("opensOn");
      List<ObjectNode> tabs =
          node.path("children")
              .valueStream()
              .filter(ObjectNode.class::isInstance)
              .map(ObjectNode.class::cast)
              .filter(each -> !each.path("values").path("hidden").asBoolean(false))
              .toList();
      int at = before.asInt(1);
      if (at > 1 && !tabs.isEmpty()) {
        ObjectNode open = tabs.get(Math.min(at, tabs.size()) - 1);
        (open.path("values") instanceof ObjectNode own ? own : open.putObject("values"))
            .put(ItemSettings.OPEN.id(), true);
      }
    }
  }

  /** An edit that sets a value of a setting with another name. */
  private static void renamed(ObjectNode edit) {
    String now = RENAMED.get(edit.path("setting").asString(""));
    if (now != null) {
      edit.put("setting", now);
      if (now.equals("heights")) {
        edit.set("value", heights(edit.path("value")));
      }
    }
  }
}
