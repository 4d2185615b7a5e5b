package giostra.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.anatomy.Anatomy;
import giostra.core.look.Part;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.NodeType;
import giostra.core.page.Page;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.testing.Demo;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import giostra.core.value.ToggleKind;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;

/**
 * One home for each thing: no CSS property of an element is said both by a setting of a piece and
 * by how a part of it looks. Each setting and each property is set to something else, and what the
 * sheet then says of which element is read off the sheet.
 */
class OneHomeTest {
  private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)}");
  private static final Pattern VARIABLE = Pattern.compile("var\\((--[a-z-]+)");

  /**
   * What shorthands say. Source: CSS Box Model 4, CSS Backgrounds 3, CSS Basic User Interface 4.
   */
  private static final Map<String, List<String>> LONG =
      Map.of(
          "padding",
          List.of("padding-block-start", "padding-inline", "padding-block-end"),
          "gap",
          List.of("row-gap", "column-gap"));

  /**
   * What is said twice, and why that is one thing nonetheless: a setting chooses among what a part
   * has, and what is said of the part goes before it.
   */
  private static final Map<String, String> CHOSEN =
      Map.of(
          "hidden", "takes all of it away, and what is said of it",
          "arrows", "over pictures arrows have something under them, unless their ground is said",
          "slider.form", "where all slides are seen, arrows have nothing under them either",
          "extent", "what reaches the edges of a page has no corners there");

  private static final List<Object> TRIED =
      List.of(
          "37px",
          "13px",
          3,
          7,
          40,
          "37%",
          "1.7s",
          "16:9",
          "50svh",
          "2:1",
          "top left",
          "#123456",
          "anchor");

  private record Said(Element element, String pseudo, String property) {
    @Override
    public String toString() {
      return element.cssSelector() + pseudo + ", " + property;
    }
  }

  private static Set<Object> values(Setting<?> setting) {
    return switch (setting.kind()) {
      case PickKind<?> pick ->
          pick.words().stream().limit(Runs.of(2, 20)).collect(Collectors.toSet());
      case ToggleKind _ -> Set.of(true, false);
      default -> Set.copyOf(TRIED);
    };
  }

  @InTurn(0)
  @Test
  void noSettingSaysWhatAPartSays() {
    Document demo = Demo.document();
    var twice = new TreeSet<String>();
    int settings = 0;
    int properties = 0;
    for (NodeType kind : NodeType.values()) {
      if (!kind.isPiece()) {
        continue;
      }
      Piece piece =
          demo.pieces().stream().filter(each -> each.type() == kind).findFirst().orElseThrow();
      var alone = new Section("alone", Values.NONE, List.of(piece));
      var sheet =
          new Sheets(
              new Document(demo.site(), new Page("page", demo.page().values(), List.of(alone))));
      var bySetting = new LinkedHashMap<String, Set<Said>>();
      for (Setting<?> setting : kind.settings()) {
        var all = new HashSet<Said>();
        int told = 0;
        for (Object value : values(setting)) {
          String band = setting.byBand() ? "desktop" : Values.ALL;
          Set<Said> said = sheet.changed(new Edit.SetValue(piece.id(), setting.id(), band, value));
          all.addAll(said);
          // Numbers and lengths say the same, whatever they are.
          told += said.isEmpty() ? 0 : 1;
          if (told == 2 && !(setting.kind() instanceof PickKind<?>)) {
            break;
          }
        }
        bySetting.put(setting.id(), all);
        settings++;
      }
      for (Part part : kind.parts()) {
        // Its states are said of the same element, by the same properties.
        Edit[] all =
            part.properties().stream()
                .map(property -> style(piece, part.key(property, State.REST)))
                .toArray(Edit[]::new);
        properties += all.length;
        Set<Said> said = sheet.changed(all);
        bySetting.forEach((setting, other) -> {
          if (!CHOSEN.containsKey(setting) && !CHOSEN.containsKey(kind.word() + "." + setting)) {
            other.stream()
                .filter(said::contains)
                .findFirst()
                .ifPresent(
                    each -> twice.add(kind.word() + "." + setting + ", " + part + ": " + each));
          }
        });
      }
    }
    assertThat(settings).isGreaterThan(200);
    assertThat(properties).isGreaterThan(400);
    assertThat(twice).isEmpty();
  }

  private static Edit style(Piece piece, StyleKey key) {
    Setting<?> setting = Anatomy.setting(key);
    for (Object value : Stream.concat(values(setting).stream(), TRIED.stream()).toList()) {
      try {
        if (!setting.read(value).equals(setting.initial())) {
          return new Edit.SetStyle(piece.id(), key, "desktop", value);
        }
      } catch (Refused no) {
        // Another one then.
      }
    }
    return new Edit.SetStyle(piece.id(), key, "desktop", null);
  }

  /** What a document says, and what it says otherwise after an edit. */
  private static final class Sheets {
    private final Document document;
    private final Map<String, String> before;
    private final org.jsoup.nodes.Document html;
    private final List<String[]> rules = new ArrayList<>();

    Sheets(Document document) {
      this.document = document;
      Compiled compiled = compiled(document);
      this.before = declared(compiled.css());
      this.html = Jsoup.parse(compiled.html());
      RULE.matcher(compiled.css())
          .results()
          .forEach(rule -> rules.add(new String[] {rule.group(1), rule.group(2)}));
    }

    private static Compiled compiled(Document document) {
      return Compiler.compile(document, Shipped.scriptsOnly());
    }

    /** By selector and property, with all the values that it has in whatever band. */
    private static Map<String, String> declared(String css) {
      var all = new LinkedHashMap<String, String>();
      for (MatchResult rule : RULE.matcher(css).results().toList()) {
        // Sheets that ship come and go as a whole.
        if (!rule.group(1).contains("#g")) {
          continue;
        }
        for (String declaration : rule.group(2).split(";")) {
          int colon = declaration.indexOf(':');
          if (colon > 0) {
            String name = declaration.substring(0, colon).strip();
            all.merge(
                rule.group(1).strip() + "{" + name,
                declaration.substring(colon + 1),
                (one, other) -> one + ";" + other);
          }
        }
      }
      return all;
    }

    Set<Said> changed(Edit... edits) {
      Document after;
      try {
        after = Edits.apply(document, List.of(edits)).document();
      } catch (Refused no) {
        return Set.of();
      }
      Map<String, String> now = declared(compiled(after).css());
      var all = new HashSet<Said>();
      Stream.concat(now.keySet().stream(), before.keySet().stream())
          .distinct()
          .filter(each -> !java.util.Objects.equals(now.get(each), before.get(each)))
          .forEach(each -> {
            String[] parts = each.split("\\{");
            said(parts[0], parts[1], all);
          });
      return all;
    }

    private void said(String selector, String property, Set<Said> all) {
      Set<Element> elements = elements(selector);
      if (!property.startsWith("--")) {
        String pseudo = pseudo(selector);
        for (Element each : elements) {
          LONG.getOrDefault(property, List.of(property))
              .forEach(name -> all.add(new Said(each, pseudo, name)));
        }
        return;
      }
      // Whoever reads it is what is meant: an element that has it, or one within.
      for (String[] rule : rules) {
        for (String declaration : rule[1].split(";")) {
          int colon = declaration.indexOf(':');
          boolean reads =
              VARIABLE.matcher(declaration).results().anyMatch(v -> v.group(1).equals(property));
          if (colon > 0 && reads && !declaration.startsWith("--")) {
            String name = declaration.substring(0, colon).strip();
            for (Element each : elements(rule[0])) {
              if (elements.contains(each) || each.parents().stream().anyMatch(elements::contains)) {
                LONG.getOrDefault(name, List.of(name))
                    .forEach(one -> all.add(new Said(each, pseudo(rule[0]), one)));
              }
            }
          }
        }
      }
    }

    private static String pseudo(String selector) {
      return selector.contains("::") ? selector.replaceFirst(".*(::[a-z-]+).*", "$1") : "";
    }

    private final Map<String, Set<Element>> found = new java.util.HashMap<>();

    private Set<Element> elements(String selector) {
      return found.computeIfAbsent(selector, this::find);
    }

    private Set<Element> find(String selector) {
      String plain =
          selector
              .replaceAll("::[a-z-]+(\\([^)]*\\))?", "")
              .replaceAll(":(hover|active|focus-visible|focus|checked)(?![a-z-])", "")
              .replace(":where(", ":is(")
              .strip();
      if (plain.startsWith("@") || plain.isEmpty()) {
        return Set.of();
      }
      try {
        return new HashSet<>(html.select(plain));
      } catch (org.jsoup.select.Selector.SelectorParseException | IllegalArgumentException no) {
        return Set.of();
      }
    }
  }
}
