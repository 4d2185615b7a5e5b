package giostra.core.format;

import giostra.core.band.Bands;
import giostra.core.look.PartId;
import giostra.core.look.Property;
import giostra.core.look.StyleKey;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Edits as JSON: an object with {@code type} and the edit's own fields. */
public final class EditJson {
  private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;

  private EditJson() {}

  /**
   * Reads edits.
   *
   * @param bands the bands that values may be set in
   * @throws Refused naming the edit's number, the field, and what is allowed
   * @throws DocumentJson.Faults when a node in one of them is wrong
   */
  public static List<Edit> read(JsonNode json, Bands bands) {
    if (!json.isArray()) {
      throw new Refused("edits", json.getNodeType().toString(), "a list").at("/edits");
    }
    var edits = new ArrayList<Edit>();
    Bands now = bands;
    for (int i = 0; i < json.size(); i++) {
      try {
        Edit edit = one(json.get(i), now);
        now = after(edit, now);
        edits.add(edit);
      } catch (Refused e) {
        throw e.at("/edits/" + i);
      }
    }
    return edits;
  }

  /** Later edits of a list may name bands that earlier ones bring. */
  private static Bands after(Edit edit, Bands bands) {
    return switch (edit) {
      case Edit.AddBand(var id, var name, var from) -> bands.plus(id, name, from);
      case Edit.RemoveBand(var id) -> bands.minus(id);
      case Edit.SetBands(var all) -> all;
      case Edit.Replace(var document) -> document.bands();
      default -> bands;
    };
  }

  private static Edit one(JsonNode json, Bands bands) {
    String type = text(json, "type");
    return switch (type) {
      case "SetValue" ->
          new Edit.SetValue(
              text(json, "node"),
              text(json, "setting"),
              json.path("band").asString(""),
              value(json));
      case "SetStyle" ->
          new Edit.SetStyle(
              text(json, "node"),
              new StyleKey(
                  new PartId(text(json, "part")),
                  Property.named(text(json, "property")),
                  StyleKey.state(text(json, "state"))),
              text(json, "band"),
              value(json));
      case "AddNode" ->
          new Edit.AddNode(
              text(json, "parent"),
              number(json, "index"),
              DocumentJson.readNode(json.path("content"), DocumentJson.ids(bands)));
      case "RemoveNode" -> new Edit.RemoveNode(text(json, "node"));
      case "MoveNode" ->
          new Edit.MoveNode(text(json, "node"), text(json, "parent"), number(json, "index"));
      case "MoveBreakpoint" -> new Edit.MoveBreakpoint(text(json, "band"), from(json));
      case "AddBand" -> new Edit.AddBand(text(json, "band"), text(json, "name"), from(json));
      case "RemoveBand" -> new Edit.RemoveBand(text(json, "band"));
      case "SetBands" -> new Edit.SetBands(DocumentJson.readBands(json.path("bands")));
      case "ReplacePage" -> {
        Node page = DocumentJson.readNode(json.path("content"), DocumentJson.ids(bands));
        if (!(page instanceof Page own)) {
          throw new Refused("content", "a " + page.type().word(), "a page");
        }
        yield new Edit.ReplacePage(own);
      }
      case "Replace" -> new Edit.Replace(DocumentJson.read(json.path("document")));
      default ->
          throw new Refused(
              "type of edit",
              type,
              "one of SetValue, SetStyle, AddNode, RemoveNode, MoveNode, MoveBreakpoint, AddBand, RemoveBand,"
                  + " SetBands, ReplacePage, Replace");
    };
  }

  private static @org.jspecify.annotations.Nullable Object value(JsonNode json) {
    JsonNode value = json.path("value");
    if (value.isNull() || value.isMissingNode()) {
      return null;
    }
    if (value.isString()) {
      return value.asString();
    }
    if (value.isBoolean()) {
      return value.asBoolean();
    }
    if (value.isNumber()) {
      return value.asDouble();
    }
    throw new Refused("value", value.toString(), "text, a number, true, false or null");
  }

  private static String text(JsonNode json, String field) {
    JsonNode value = json.path(field);
    if (!value.isString()) {
      throw new Refused(field, value.isMissingNode() ? "missing" : value.toString(), "text");
    }
    return value.asString();
  }

  private static int number(JsonNode json, String field) {
    JsonNode value = json.path(field);
    if (!value.isInt() || value.asInt() < 0) {
      throw new Refused(field, value.isMissingNode() ? "missing" : value.toString(), "0 or more");
    }
    return value.asInt();
  }

  private static double from(JsonNode json) {
    JsonNode value = json.path("from");
    if (!value.isNumber()) {
      throw new Refused(
          "from", value.isMissingNode() ? "missing" : value.toString(), "a width in px");
    }
    return value.asDouble();
  }

  /** Writes edits; {@link #read} takes them back. */
  public static ArrayNode write(List<Edit> edits) {
    ArrayNode list = MAKE.arrayNode();
    edits.forEach(edit -> list.add(write(edit)));
    return list;
  }

  private static ObjectNode write(Edit edit) {
    ObjectNode json = MAKE.objectNode().put("type", edit.getClass().getSimpleName());
    switch (edit) {
      case Edit.SetValue(var node, var setting, var band, var value) -> {
        json.put("node", node).put("setting", setting).put("band", band);
        json.set("value", value == null ? MAKE.nullNode() : DocumentJson.scalar(value));
      }
      case Edit.SetStyle(var node, var key, var band, var value) -> {
        json.put("node", node)
            .put("part", key.part().id())
            .put("property", key.property().id())
            .put("state", StyleKey.word(key.state()))
            .put("band", band);
        json.set("value", value == null ? MAKE.nullNode() : DocumentJson.scalar(value));
      }
      case Edit.AddNode(var parent, var index, var node) ->
          json.put("parent", parent).put("index", index).set("content", DocumentJson.write(node));
      case Edit.RemoveNode(var node) -> json.put("node", node);
      case Edit.MoveNode(var node, var parent, var index) ->
          json.put("node", node).put("parent", parent).put("index", index);
      case Edit.MoveBreakpoint(var band, var from) -> json.put("band", band).put("from", from);
      case Edit.AddBand(var band, var name, var from) ->
          json.put("band", band).put("name", name).put("from", from);
      case Edit.RemoveBand(var band) -> json.put("band", band);
      case Edit.SetBands(var bands) -> json.set("bands", DocumentJson.bands(bands));
      case Edit.ReplacePage(var page) -> json.set("content", DocumentJson.write(page));
      case Edit.Replace(var document) -> json.set("document", DocumentJson.write(document));
    }
    return json;
  }
}
