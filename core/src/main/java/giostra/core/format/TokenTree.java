package giostra.core.format;

import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/**
 * The tokens of a file by their paths. Source: Design Tokens Community Group, "Design Tokens Format
 * Module 2025.10": groups and tokens ("$value"), types that groups hand down ("$type"), aliases in
 * braces; from memory. Of its further ways to refer ("$ref", "$extends", "$root") nothing is known
 * here, and said so.
 */
final class TokenTree {
  /**
   * A token.
   *
   * @param type its own or that of a group around it; empty for none
   */
  record Token(String path, String type, JsonNode value) {}

  /** More tokens a file may not have; ours. */
  static final int MOST = 10_000;

  private static final int DEEPEST = 40;

  private final Map<String, Token> all = new LinkedHashMap<>();

  /** What cannot be read of the file, with where it is. */
  private final List<Refused> refused = new ArrayList<>();

  private TokenTree() {}

  /**
   * Reads a file.
   *
   * @throws Refused where it is no object, or holds too much
   */
  static TokenTree of(JsonNode file) {
    if (!file.isObject()) {
      throw new Refused(
          "file of tokens",
          file.getNodeType().toString().toLowerCase(Locale.ROOT),
          "an object of groups and tokens");
    }
    var tree = new TokenTree();
    tree.group(file, "", "", 0);
    return tree;
  }

  private void group(JsonNode json, String path, String type, int depth) {
    if (depth > DEEPEST) {
      throw new Refused("depth of groups", path, "at most " + DEEPEST);
    }
    String own = json.path("$type").asString(type);
    JsonNode value = json.get("$value");
    if (value != null) {
      if (all.size() == MOST) {
        throw new Refused("tokens of a file", "more", "at most " + MOST);
      }
      all.put(path, new Token(path, own, value));
      return;
    }
    for (String further : List.of("$ref", "$extends")) {
      if (json.has(further)) {
        refused.add(
            new Refused(
                    further, json.get(further).toString(), "written out: this is not known here")
                .at(path));
      }
    }
    for (Map.Entry<String, JsonNode> each : json.properties()) {
      String name = each.getKey();
      if (!name.startsWith("$") && each.getValue().isObject()) {
        group(each.getValue(), path.isEmpty() ? name : path + "." + name, own, depth + 1);
      }
    }
  }

  Set<String> paths() {
    return all.keySet();
  }

  List<Refused> refused() {
    return refused;
  }

  Optional<Token> at(String path) {
    return Optional.ofNullable(all.get(path));
  }

  /** The path that a value is an alias of; empty for one that says itself. */
  static Optional<String> alias(JsonNode value) {
    String text = value.isString() ? value.asString() : "";
    return text.length() > 2 && text.startsWith("{") && text.endsWith("}")
        ? Optional.of(text.substring(1, text.length() - 1))
        : Optional.empty();
  }

  /**
   * What a token, or a value in one, says in the end.
   *
   * @param path where it is
   * @throws Refused where it leads to nothing, or in a circle
   */
  Token followed(String path, String type, JsonNode value) {
    var way = new LinkedHashSet<String>(Set.of(path));
    var at = new Token(path, type, value);
    while (true) {
      Optional<String> to = alias(at.value);
      if (to.isEmpty()) {
        return at;
      }
      Token next = all.get(to.get());
      if (next == null) {
        throw new Refused("alias", "{" + to.get() + "}", "the path of a token of this file")
            .at(path);
      }
      if (!way.add(next.path)) {
        throw new Refused(
                "alias",
                way.stream().collect(Collectors.joining(" to ")) + " to " + next.path,
                "one that ends: this is a circle")
            .at(path);
      }
      at = next;
    }
  }
}
