package giostra.core.format;

import giostra.core.value.Colour;
import giostra.core.value.Length;
import giostra.core.value.Refused;
import giostra.core.value.Require;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Values of tokens, as the format has them and as documents do. Source: Design Tokens Format Module
 * 2025.10, "Types", and its Color Module; from memory. Colours and dimensions as strings are those
 * of its drafts of before.
 */
enum TokenValue {
  COLOR("color") {
    @Override
    JsonNode write(Object value) {
      var colour = Colour.parse(value.toString());
      ObjectNode json = MAKE.objectNode().put("colorSpace", "srgb");
      var components = json.putArray("components");
      for (int channel : List.of(colour.red(), colour.green(), colour.blue())) {
        components.add(rounded(channel / 255.0));
      }
      if (colour.alpha() != 255) {
        json.put("alpha", rounded(colour.alpha() / 255.0));
      }
      return json.put("hex", colour.css().substring(0, 7));
    }

    @Override
    Object read(JsonNode json) {
      if (json.isString()) {
        return Colour.parse(json.asString()).css();
      }
      JsonNode components = json.path("components");
      String space = json.path("colorSpace").asString("");
      int alpha = channel(json.path("alpha"), 1);
      if (space.equals("srgb") && components.isArray() && components.size() == 3) {
        return new Colour(
                channel(components.get(0), 0),
                channel(components.get(1), 0),
                channel(components.get(2), 0),
                alpha)
            .css();
      }
      if (json.path("hex").isString()) {
        // What another space holds is said in this one beside it.
        Colour solid = Colour.parse(json.path("hex").asString());
        return new Colour(solid.red(), solid.green(), solid.blue(), alpha).css();
      }
      throw new Refused(
          "colour", json.toString(), "three components in srgb, or one with its hex beside it");
    }

    private int channel(JsonNode json, double otherwise) {
      if (json.isMissingNode()) {
        return (int) Math.round(otherwise * 255);
      }
      // What a colour does not have counts as nothing of it.
      boolean none = json.isString() && json.asString().equals("none");
      if (!none && !json.isNumber()) {
        throw new Refused("component of a colour", json.toString(), "0 to 1, or none");
      }
      double share = none ? 0 : json.asDouble();
      Require.within(0, 1, "component of a colour", share);
      return (int) Math.round(share * 255);
    }
  },

  DIMENSION("dimension") {
    @Override
    JsonNode write(Object value) {
      Length length = Length.parse(value.toString());
      return MAKE.objectNode()
          .put("value", rounded(length.amount()))
          .put("unit", length.unit() == Length.Unit.REM ? "rem" : "px");
    }

    @Override
    Object read(JsonNode json) {
      if (json.isString()) {
        return Length.parse(json.asString()).css();
      }
      String unit = json.path("unit").asString("");
      if (!json.path("value").isNumber() || !(unit.equals("px") || unit.equals("rem"))) {
        throw new Refused("dimension", json.toString(), "a value with the unit px or rem");
      }
      return Require.number(json.path("value").asDouble()) + unit;
    }
  },

  WEIGHT("fontWeight") {
    @Override
    JsonNode write(Object value) {
      return MAKE.numberNode(((Number) value).intValue());
    }

    @Override
    Object read(JsonNode json) {
      if (json.isNumber()) {
        return (int) Math.round(json.asDouble());
      }
      Integer named = NAMED.get(json.asString("").toLowerCase(Locale.ROOT));
      if (named == null) {
        throw new Refused("font weight", json.toString(), "1 to 1000, or a name such as bold");
      }
      return named;
    }
  },

  NUMBER("number") {
    @Override
    JsonNode write(Object value) {
      return MAKE.numberNode(((Number) value).doubleValue());
    }

    @Override
    Object read(JsonNode json) {
      if (!json.isNumber()) {
        throw new Refused("number", json.toString(), "a number");
      }
      return json.asDouble();
    }
  };

  private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;

  /** Names of weights; from memory, as OpenType has them. */
  private static final Map<String, Integer> NAMED =
      Map.ofEntries(
          Map.entry("thin", 100),
          Map.entry("hairline", 100),
          Map.entry("extra-light", 200),
          Map.entry("ultra-light", 200),
          Map.entry("light", 300),
          Map.entry("normal", 400),
          Map.entry("regular", 400),
          Map.entry("book", 400),
          Map.entry("medium", 500),
          Map.entry("semi-bold", 600),
          Map.entry("demi-bold", 600),
          Map.entry("bold", 700),
          Map.entry("extra-bold", 800),
          Map.entry("ultra-bold", 800),
          Map.entry("black", 900),
          Map.entry("heavy", 900),
          Map.entry("extra-black", 950),
          Map.entry("ultra-black", 950));

  private final String type;

  TokenValue(String type) {
    this.type = type;
  }

  /** Its name in files. */
  String type() {
    return type;
  }

  /**
   * As files have it.
   *
   * @param value as documents have it
   */
  abstract JsonNode write(Object value);

  /**
   * As documents have it.
   *
   * @throws Refused where it is none of this type
   */
  abstract Object read(JsonNode json);

  private static double rounded(double number) {
    return Math.round(number * 10_000) / 10_000.0;
  }
}
