package giostra.core.output;

import giostra.core.value.CssBlocks;
import giostra.core.value.Require;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A page's sheet as it holds for one that lies in a room of a page of somebody else's: bands are
 * those of the room, nothing is measured by that page's root, and its letters are of families under
 * names that nobody else has. Source: CSS Containment 3, "Container Queries"; CSS Scoping 1; CSS
 * Values 4, "Container Query Length Units".
 */
final class RoomSheet {
  /** The name of the container that a page in a room asks for its width. */
  static final String ROOM = "g-room";

  /** What stands for the page's root and its body: an element, so that it weighs what these do. */
  static final String PAGE = "g-page";

  /** A hundredth of the room's width, which stays one within containers in it. */
  private static final String SHARE = "--g-in";

  /** What px is in a root that nobody has changed. Source: common practice. */
  private static final int ROOT = 16;

  /** How wide it asks to be where a page lets it choose, px. */
  private static final int CHOSEN = 480;

  private static final Set<String> GROUPS = Set.of("@media", "@supports", "@container", "@layer");
  private static final Set<String> ROOTS = Set.of("html", "body", "main");

  /** A string, an escape, or a word of a selector; attributes are left as they are. */
  private static final Pattern SELECTED =
      Pattern.compile("\"[^\"]*\"|'[^']*'|\\[[^\\]]*]|\\\\.|:root\\b|[-\\w.#:]*[-\\w]");

  /** A string or an address, a word or a hash, or a number with its unit. */
  private static final Pattern VALUE =
      Pattern.compile(
          "\"[^\"]*\"|'[^']*'|url\\((?:\"[^\"]*\"|'[^']*'|[^)]*)\\)|#[-\\w]+|-?[A-Za-z_][-\\w]*|--[-\\w]+"
              + "|([-+]?(?:\\d+\\.?\\d*|\\.\\d+))([A-Za-z%]*)");

  private static final Pattern FAMILY = Pattern.compile("font-family:\"([^\"]*)\"");

  /**
   * What was made of a sheet.
   *
   * @param css for the tree of the room
   * @param faces for the page around it, since no tree but a document's has fonts and registered
   *     properties
   */
  record Made(String css, String faces) {}

  private final boolean scripted;
  private final StringBuilder faces = new StringBuilder();
  private final Map<String, String> families = new LinkedHashMap<>();

  private RoomSheet(boolean scripted) {
    this.scripted = scripted;
  }

  /**
   * Makes it.
   *
   * @param css of a page
   * @param scripted whether its scripts run there; without, it is as for who runs none
   */
  static Made of(String css, boolean scripted) {
    var sheet = new RoomSheet(scripted);
    List<CssBlocks.Part> parts = CssBlocks.of(css);
    sheet.faces(parts);
    String rules = sheet.rules(parts);
    return new Made(around() + rules, sheet.faces.toString());
  }

  /** Nothing comes in but the language and its direction, whatever the page around says. */
  private static String around() {
    return ":host{"
        + Snippet.BORDER
        + "}:host([hidden]){display:none!important}"
        + String.format(
            Locale.ROOT,
            ".%s{container:%s/inline-size;contain-intrinsic-inline-size:%dpx}",
            ROOM,
            ROOM,
            CHOSEN)
        + PAGE
        + "{display:block;"
        + SHARE
        + ":1cqi}";
  }

  private void faces(List<CssBlocks.Part> parts) {
    List<String> all =
        parts.stream()
            .filter(CssBlocks.Block.class::isInstance)
            .map(CssBlocks.Block.class::cast)
            .filter(block -> block.head().equals("@font-face"))
            .map(CssBlocks.Block::body)
            .toList();
    Map<String, List<String>> byFamily =
        all.stream()
            .collect(
                Collectors.groupingBy(RoomSheet::family, LinkedHashMap::new, Collectors.toList()));
    byFamily.forEach(
        (family, own) -> families.put(family, family + " " + Hash.of(String.join(";", own))));
    for (String face : all) {
      String name = family(face);
      // Who waits for them shows them when they are there: what comes late has to come at all.
      faces
          .append("@font-face{")
          .append(
              face.replace('"' + name + '"', '"' + families.get(name) + '"')
                  .replace("font-display:optional", "font-display:swap"))
          .append('}');
    }
    faces
        .append("@property ")
        .append(SHARE)
        .append("{syntax:\"<length>\";inherits:true;initial-value:0px}");
  }

  private static String family(String face) {
    Matcher found = FAMILY.matcher(face);
    return found.find() ? found.group(1) : "";
  }

  private String rules(List<CssBlocks.Part> parts) {
    var out = new StringBuilder();
    for (CssBlocks.Part part : parts) {
      if (part instanceof CssBlocks.Block block && !block.head().equals("@font-face")) {
        rule(block, out);
      }
    }
    return out.toString();
  }

  private void rule(CssBlocks.Block block, StringBuilder out) {
    String head = block.head();
    String name = head.split("[\\s(]", 2)[0].toLowerCase(Locale.ROOT);
    if (name.equals("@media")) {
      media(head.substring(name.length()).strip(), block.inside(), out);
    } else if (GROUPS.contains(name) || name.endsWith("keyframes")) {
      out.append(head).append('{').append(rules(block.inside())).append('}');
    } else if (name.startsWith("@")) {
      out.append(block.written());
    } else {
      out.append(selected(head)).append('{').append(declared(block.body())).append('}');
    }
  }

  /** What asks for the width of the screen asks for that of the room. */
  private void media(String condition, List<CssBlocks.Part> inside, StringBuilder out) {
    if (!scripted && condition.contains("scripting")) {
      if (condition.equals("(scripting:none)") || condition.equals("(scripting: none)")) {
        out.append(rules(inside));
      }
      return;
    }
    boolean simple =
        !condition.contains(",") && !condition.contains(" or ") && !condition.contains("not ");
    List<String> features = Arrays.asList(condition.split(" and "));
    var widths = new ArrayList<String>();
    var others = new ArrayList<String>();
    for (String feature : features) {
      boolean width = simple && feature.startsWith("(") && feature.matches(".*\\bwidth\\b.*");
      (width ? widths : others).add(feature.strip());
    }
    String rules = rules(inside);
    if (!widths.isEmpty()) {
      rules = "@container " + ROOM + " " + String.join(" and ", widths) + "{" + rules + "}";
    }
    boolean always =
        others.isEmpty()
            || others.equals(List.of("all"))
            || (!widths.isEmpty() && others.equals(List.of("screen")));
    out.append(
        always
            ? rules
            : "@media " + (simple ? String.join(" and ", others) : condition) + "{" + rules + "}");
  }

  /** The root, the body and what a page holds are one element there. */
  private static String selected(String selector) {
    return SELECTED
        .matcher(selector)
        .replaceAll(found -> {
          String word = found.group();
          if (word.equals(":root")) {
            return "." + PAGE;
          }
          return ROOTS.contains(word) ? PAGE : Matcher.quoteReplacement(word);
        });
  }

  private String declared(String body) {
    return VALUE.matcher(body).replaceAll(found -> Matcher.quoteReplacement(value(found)));
  }

  private String value(MatchResult found) {
    String all = found.group();
    if (all.startsWith("\"")) {
      String name = families.get(all.substring(1, all.length() - 1));
      return name == null ? all : '"' + name + '"';
    }
    return found.group(1) == null ? all : length(found.group(1), found.group(2), all);
  }

  /** Source: CSS Values 4, "Relative Lengths". */
  private static String length(String number, String unit, String all) {
    return switch (unit.toLowerCase(Locale.ROOT)) {
      case "rem" -> px(number);
      case "vw", "svw", "lvw", "dvw", "vi" -> share(number);
      case "vmin" -> "min(" + share(number) + "," + number + "vh)";
      case "vmax" -> "max(" + share(number) + "," + number + "vh)";
      default -> all;
    };
  }

  private static String px(String number) {
    return Require.number(
            new BigDecimal(number.endsWith(".") ? number + "0" : number).doubleValue() * ROOT)
        + "px";
  }

  private static String share(String number) {
    return "calc(" + number + "*var(" + SHARE + "))";
  }
}
