package giostra.core.format;

import giostra.core.anatomy.Anatomy;
import giostra.core.band.Bands;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.NodeType;
import giostra.core.value.AddressKind;
import giostra.core.value.AdvanceKind;
import giostra.core.value.AroundKind;
import giostra.core.value.Changes;
import giostra.core.value.CodeKind;
import giostra.core.value.DecimalKind;
import giostra.core.value.Easing;
import giostra.core.value.EndsKind;
import giostra.core.value.FontsKind;
import giostra.core.value.FramingKind;
import giostra.core.value.HueKind;
import giostra.core.value.IconKind;
import giostra.core.value.Kind;
import giostra.core.value.LanguageKind;
import giostra.core.value.LettersKind;
import giostra.core.value.MarkupKind;
import giostra.core.value.MediaKind;
import giostra.core.value.MovedKind;
import giostra.core.value.PaceKind;
import giostra.core.value.PaintKind;
import giostra.core.value.PickKind;
import giostra.core.value.PointKind;
import giostra.core.value.RatioKind;
import giostra.core.value.RichKind;
import giostra.core.value.Setting;
import giostra.core.value.SeveralKind;
import giostra.core.value.ShadeKind;
import giostra.core.value.SizeKind;
import giostra.core.value.StylesheetKind;
import giostra.core.value.TallKind;
import giostra.core.value.TiltKind;
import giostra.core.value.TimeKind;
import giostra.core.value.ToggleKind;
import giostra.core.value.TokenKind;
import giostra.core.value.ToneColour;
import giostra.core.value.UnderKind;
import giostra.core.value.WaysKind;
import giostra.core.value.WholeKind;
import giostra.core.value.WordsKind;
import giostra.core.value.ZoneKind;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The JSON Schema of documents, made from the same catalogue that reads and shows them, so that it
 * cannot drift from it. It describes documents as they are written; the reader also takes what
 * people type, such as {@code 1,5 rem}. Source: JSON Schema 2020-12.
 */
public final class PageSchema {
  private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;
  private static final String BAND_ID = "^[a-z][a-z0-9-]{0,30}$";
  private static final String LENGTH = "\\d+(\\.\\d+)?(px|%|rem|em)";
  private static final String COLOUR =
      "(#([0-9a-f]{6}|[0-9a-f]{8})|"
          + Arrays.stream(ToneColour.values())
              .map(PickKind::word)
              .collect(
                  Collectors.joining("|", "(", ")(-(deeper|lighter)-[1-6])?(/([1-9]\\d?|100)%)?"))
          + ")";
  private static final String LOOK_ID = "^look\\.[a-z0-9-]{1,55}$";
  private static final String NODE_ID = "^[a-z][a-z0-9-]{0,60}$";

  private PageSchema() {}

  /** The schema. */
  public static ObjectNode schema() {
    ObjectNode schema = MAKE.objectNode();
    schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    schema.put("title", "A page of a Giostra site, with the bands and widths of the site");
    object(schema, List.of("giostra", "site", "page"));
    ObjectNode properties = (ObjectNode) schema.get("properties");
    properties.set("giostra", MAKE.objectNode().put("const", DocumentJson.VERSION));
    properties.set("site", site());
    properties.set("page", ref(NodeType.PAGE));
    ObjectNode definitions = schema.putObject("$defs");
    Arrays.stream(NodeType.values())
        .filter(type -> type != NodeType.SITE)
        .forEach(type -> definitions.set(type.word(), node(type)));
    Anatomy.OF_SITE.forEach(part -> definitions.set(part.id().id(), part(part)));
    return schema;
  }

  private static ObjectNode site() {
    ObjectNode site = object(MAKE.objectNode(), List.of("bands", "values"));
    ObjectNode band = object(MAKE.objectNode(), List.of("id", "name", "from"));
    ObjectNode parts = (ObjectNode) band.get("properties");
    parts.set("id", text(BAND_ID));
    parts.set("name", MAKE.objectNode().put("type", "string"));
    parts.set("from", MAKE.objectNode().put("type", "number").put("minimum", 0));
    ObjectNode bands =
        MAKE.objectNode().put("type", "array").put("minItems", 1).put("maxItems", Bands.MOST);
    bands.put("description", "Narrowest first; from is the least viewport width in px.");
    bands.set("items", band);
    ((ObjectNode) site.get("properties")).set("bands", bands);
    ((ObjectNode) site.get("properties")).set("values", values(NodeType.SITE));
    ((ObjectNode) site.get("properties")).set("styles", styles(NodeType.SITE));
    ObjectNode looks = ((ObjectNode) site.get("properties")).putObject("looks");
    looks.put("type", "array").set("items", ref(NodeType.LOOK));
    return site;
  }

  private static ObjectNode node(NodeType type) {
    ObjectNode node = object(MAKE.objectNode(), List.of("id", "type", "values"));
    ObjectNode parts = (ObjectNode) node.get("properties");
    parts.set("id", text(type == NodeType.LOOK ? LOOK_ID : NODE_ID));
    parts.set("type", MAKE.objectNode().put("const", type.word()));
    parts.set("values", values(type));
    if (!type.parts().isEmpty()) {
      parts.set("styles", styles(type));
    }
    if (type.holdsAny()) {
      ObjectNode items = MAKE.objectNode();
      ArrayNode any = items.putArray("anyOf");
      Arrays.stream(NodeType.values()).filter(type::holds).forEach(child -> any.add(ref(child)));
      ObjectNode children = parts.putObject("children").put("type", "array");
      children.set("items", items);
    }
    return node;
  }

  private static ObjectNode values(NodeType type) {
    ObjectNode values = object(MAKE.objectNode(), List.of());
    for (Setting<?> setting : type.settings()) {
      ObjectNode kind = kind(setting.kind());
      if (setting.byBand()) {
        kind = byBand(kind);
      }
      kind.put("title", setting.label());
      ((ObjectNode) values.get("properties")).set(setting.id(), kind);
    }
    return values;
  }

  /** By part, state, property and band. What each part may have stands once, under its name. */
  private static ObjectNode styles(NodeType type) {
    ObjectNode styles = object(MAKE.objectNode(), List.of());
    for (Part part : type.parts()) {
      ObjectNode states = object(MAKE.objectNode().put("title", part.label()), List.of());
      for (State state : part.states()) {
        ((ObjectNode) states.get("properties")).set(StyleKey.word(state), ref(part.id().id()));
      }
      ((ObjectNode) styles.get("properties")).set(part.id().id(), states);
    }
    return styles;
  }

  private static ObjectNode part(Part part) {
    ObjectNode properties = object(MAKE.objectNode().put("title", part.label()), List.of());
    for (Property<?> property : part.properties()) {
      Setting<?> setting = part.setting(property);
      ObjectNode kind = byBand(kind(setting.kind()));
      kind.put("title", setting.label());
      ((ObjectNode) properties.get("properties")).set(property.id(), kind);
    }
    return properties;
  }

  private static ObjectNode byBand(ObjectNode kind) {
    ObjectNode byBand = MAKE.objectNode().put("type", "object");
    byBand.set("propertyNames", text(BAND_ID));
    byBand.set("additionalProperties", kind);
    return byBand;
  }

  private static ObjectNode kind(Kind<?> kind) {
    ObjectNode made =
        switch (kind) {
          case WholeKind(int least, int most) -> whole(least, most);
          case SizeKind size -> text("^" + (size.least() < 0 ? "-?" : "") + LENGTH + "$");
          case AroundKind(var of, _) ->
              text(
                  "^" + LENGTH + (of == AroundKind.Of.WHOLE ? "" : "( " + LENGTH + "){0,3}") + "$");
          case EndsKind _ -> text("^" + LENGTH + "( " + LENGTH + ")?$");
          case PickKind<?> pick -> {
            ObjectNode words = MAKE.objectNode();
            ArrayNode all = words.putArray("enum");
            pick.words().forEach(all::add);
            yield words;
          }
          case ToggleKind _ -> MAKE.objectNode().put("type", "boolean");
          case WordsKind words ->
              MAKE.objectNode().put("type", "string").put("maxLength", words.most());
          case DecimalKind(double least, double most) ->
              MAKE.objectNode().put("type", "number").put("minimum", least).put("maximum", most);
          case TimeKind _ -> text("^\\d+(\\.\\d+)?s$");
          case ZoneKind _ -> text("^[A-Za-z0-9_+/-]{1,60}$");
          case WaysKind _ ->
              MAKE.objectNode().put("type", "string").put("maxLength", Changes.MOST_WRITTEN);
          case SeveralKind several ->
              text(String.format(Locale.ROOT, "^(%s)?$", any(several.words())));
          case PointKind _ -> text("^\\d+(\\.\\d+)?% \\d+(\\.\\d+)?%$");
          case PaintKind paint ->
              text("^" + (paint.around() ? "(around|" + COLOUR + ")" : COLOUR) + "$");
          case HueKind _ -> text("^#([0-9a-f]{6}|[0-9a-f]{8})$");
          case LettersKind letters -> {
            String length = "\\d+(\\.\\d+)?(px|rem" + (letters.em() ? "|em" : "") + ")";
            yield text(
                String.format(
                    Locale.ROOT,
                    "^(%1$s|clamp\\(%1$s,-?%1$s \\+ \\d+(\\.\\d+)?vmin,%1$s\\))$",
                    length));
          }
          case UnderKind _ ->
              text(
                  String.format(
                      Locale.ROOT,
                      "^(%1$s|(linear-gradient\\(%2$sdeg|radial-gradient\\((circle )?at %2$s%% %2$s%%)(,%1$s"
                          + " %2$s%%){2,6}\\))$",
                      COLOUR,
                      "\\d+(\\.\\d+)?"));
          case ShadeKind _ -> MAKE.objectNode().put("type", "string").put("maxLength", 400);
          case MovedKind _ -> text("^-?\\d+(\\.\\d)?px -?\\d+(\\.\\d)?px$");
          case TiltKind _ -> text("^-?\\d+(\\.\\d)?deg -?\\d+(\\.\\d)?deg$");
          case FramingKind _ -> {
            String frame = "\\d{1,3}(\\.\\d)?% \\d{1,3}(\\.\\d)?% \\d(\\.\\d{1,2})?";
            yield text("^(" + frame + " to " + frame + ")?$");
          }
          case PaceKind _ ->
              MAKE.objectNode().put("type", "string").put("maxLength", Easing.MOST_WRITTEN);
          case TallKind _ ->
              text("^(auto|\\d+(\\.\\d+)?(px|rem|em|svh|lvh|dvh)|\\d+(\\.\\d+)?:\\d+(\\.\\d+)?)$");
          case IconKind _ -> MAKE.objectNode().put("type", "string");
          case RichKind(int most) -> MAKE.objectNode().put("type", "string").put("maxLength", most);
          case MarkupKind(int most) ->
              MAKE.objectNode().put("type", "string").put("maxLength", most);
          case CodeKind(_, int most) ->
              MAKE.objectNode().put("type", "string").put("maxLength", most);
          case StylesheetKind(int most) ->
              MAKE.objectNode().put("type", "string").put("maxLength", most);
          case TokenKind(String pattern, _) -> text("^(" + pattern + ")?$");
          case AddressKind _ -> MAKE.objectNode().put("type", "string").put("maxLength", 2000);
          case FontsKind _ -> text("^([a-z0-9-]{1,80}( [a-z0-9-]{1,80}){0,17})?$");
          case MediaKind _ -> text("^[a-z0-9-]{0,80}$");
          case LanguageKind _ -> text("^[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*$");
          case RatioKind _ -> text("^(stack|\\d{1,2}(:\\d{1,2}){0,5})$");
          case AdvanceKind _ -> {
            ObjectNode either = MAKE.objectNode();
            either.putArray("anyOf").add(whole(1, 12)).add(MAKE.objectNode().put("const", "view"));
            yield either;
          }
        };
    return made.put("description", kind.allowed());
  }

  /** Any of the words, each once at the most, in their order. */
  private static String any(List<String> words) {
    return String.format(
        Locale.ROOT, "(%s)( (%s))*", String.join("|", words), String.join("|", words));
  }

  private static ObjectNode whole(int least, int most) {
    return MAKE.objectNode().put("type", "integer").put("minimum", least).put("maximum", most);
  }

  private static ObjectNode text(String pattern) {
    return MAKE.objectNode().put("type", "string").put("pattern", pattern);
  }

  private static ObjectNode ref(NodeType type) {
    return ref(type.word());
  }

  private static ObjectNode ref(String definition) {
    return MAKE.objectNode().put("$ref", "#/$defs/" + definition);
  }

  private static ObjectNode object(ObjectNode node, List<String> required) {
    node.put("type", "object").put("additionalProperties", false);
    ArrayNode all = node.putArray("required");
    required.forEach(all::add);
    node.putObject("properties");
    return node;
  }
}
