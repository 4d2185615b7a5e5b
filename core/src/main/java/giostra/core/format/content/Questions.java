package giostra.core.format.content;

import giostra.core.format.DocumentJson;
import giostra.core.value.Parsed;
import giostra.core.value.RichText;
import java.util.ArrayList;
import java.util.List;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.parser.Parser;
import tools.jackson.databind.JsonNode;

/**
 * Questions and answers found in HTML. The first form that it has counts: schema.org's FAQPage as
 * JSON-LD, {@code details}, {@code dl}, or headings with text below them. Sources: schema.org,
 * "FAQPage"; HTML, "The details element", "The dl element".
 */
public final class Questions {
  private static final String FOLD = "details";

  private Questions() {}

  /**
   * One question.
   *
   * @param question plain words
   * @param answer clean markup, or plain words
   */
  public record Question(String question, String answer) {}

  /** Those in pasted markup, or in JSON-LD by itself; none where there are none. */
  public static List<Question> in(String text) {
    String stripped = text.strip();
    if (stripped.startsWith("{") || stripped.startsWith("[")) {
      return data(stripped);
    }
    Document html = Parsed.page(Parser.htmlParser(), text);
    html.outputSettings().prettyPrint(false);
    var found = new ArrayList<Question>();
    for (Element script : html.select("script[type=application/ld+json]")) {
      found.addAll(data(script.data()));
    }
    if (found.isEmpty()) {
      found.addAll(folds(html));
    }
    if (found.isEmpty()) {
      found.addAll(terms(html));
    }
    if (found.isEmpty()) {
      found.addAll(headings(html));
    }
    return found;
  }

  // --- JSON-LD ---------------------------------------------------------------------------------

  private static List<Question> data(String json) {
    var found = new ArrayList<Question>();
    try {
      walk(DocumentJson.parse(json), found);
    } catch (DocumentJson.Faults broken) {
      return List.of();
    }
    return found;
  }

  private static void walk(JsonNode node, List<Question> found) {
    if (node.isArray()) {
      node.forEach(each -> walk(each, found));
    } else if (is(node, "FAQPage") || is(node, "QAPage")) {
      each(node.path("mainEntity")).forEach(entity -> question(entity, found));
    } else if (is(node, "Question")) {
      question(node, found);
    } else if (node.has("@graph")) {
      walk(node.path("@graph"), found);
    }
  }

  private static void question(JsonNode node, List<Question> found) {
    String name = node.path("name").asString("");
    JsonNode answers = node.path("acceptedAnswer");
    JsonNode first = each(answers).stream().findFirst().orElse(answers);
    String text = first.path("text").asString("");
    if (is(node, "Question") && !name.isBlank()) {
      String said = RichText.isMarkup(text) ? answer(text) : text.strip();
      found.add(new Question(RichText.words(name).strip(), said));
    }
  }

  private static List<JsonNode> each(JsonNode node) {
    return node.isArray() ? node.valueStream().toList() : List.of(node);
  }

  /** Types are words, addresses, or lists of either. */
  private static boolean is(JsonNode node, String type) {
    return each(node.path("@type")).stream()
        .map(each -> each.asString(""))
        .anyMatch(each -> each.equals(type) || each.endsWith("schema.org/" + type));
  }

  // --- markup ----------------------------------------------------------------------------------

  private static List<Question> folds(Document html) {
    var found = new ArrayList<Question>();
    for (Element fold : html.select("details:has(> summary)")) {
      Element summary = fold.selectFirst("> summary");
      if (summary == null || summary.text().isBlank()) {
        continue;
      }
      var rest = new StringBuilder();
      for (Node child : fold.childNodes()) {
        // A fold within a fold is a question of its own.
        if (child != summary && !(child instanceof Element inner && inner.tagName().equals(FOLD))) {
          rest.append(child.outerHtml());
        }
      }
      found.add(new Question(summary.text(), answer(rest.toString())));
    }
    return found;
  }

  /** Several terms may share what is said of them, and one term may have several things said. */
  private static List<Question> terms(Document html) {
    var found = new ArrayList<Question>();
    for (Element list : html.select("dl")) {
      var terms = new ArrayList<String>();
      var said = new StringBuilder();
      for (Element each : list.select("dt, dd")) {
        if (each.tagName().equals("dd")) {
          said.append(each.selectFirst("p, ul, ol") == null ? paragraph(each) : each.html());
          continue;
        }
        flush(terms, said, found);
        terms.add(each.text());
      }
      flush(terms, said, found);
    }
    return found;
  }

  private static String paragraph(Element element) {
    return "<p>" + element.html() + "</p>";
  }

  private static void flush(List<String> terms, StringBuilder said, List<Question> found) {
    if (said.isEmpty()) {
      return;
    }
    String answer = answer(said.toString());
    terms.stream()
        .filter(term -> !term.isBlank())
        .forEach(term -> found.add(new Question(term, answer)));
    terms.clear();
    said.setLength(0);
  }

  /** A heading and what stands below it, up to the next heading of any level. */
  private static List<Question> headings(Document html) {
    var found = new ArrayList<Question>();
    for (Element heading : html.select("h1, h2, h3, h4, h5, h6")) {
      var below = new StringBuilder();
      for (Node next = heading.nextSibling();
          next != null && !isHeading(next);
          next = next.nextSibling()) {
        below.append(next.outerHtml());
      }
      String answer = answer(below.toString());
      if (!heading.text().isBlank() && !answer.isBlank()) {
        found.add(new Question(heading.text(), answer));
      }
    }
    return found;
  }

  private static boolean isHeading(Node node) {
    return node instanceof Element element && element.tagName().matches("h[1-6]");
  }

  /** Clean markup; what has no element in it is plain words. */
  private static String answer(String html) {
    String clean = RichText.clean(html);
    return clean.contains("<") ? clean : Parsed.fragment(clean, "").text().strip();
  }
}
