package giostra.core.format;

import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Questions and answers for search engines. Source: schema.org, "FAQPage", as JSON-LD 1.1. */
public final class FaqPage {
  private FaqPage() {}

  /** One question with its answer as plain words. */
  public record Question(String name, String answer) {}

  /** The JSON, safe within a {@code script} element: nothing in it can end that. */
  public static String json(List<Question> questions) {
    JsonNodeFactory make = JsonNodeFactory.instance;
    ObjectNode page = make.objectNode();
    page.put("@context", "https://schema.org").put("@type", "FAQPage");
    ArrayNode all = page.putArray("mainEntity");
    for (Question each : questions) {
      ObjectNode question = make.objectNode().put("@type", "Question").put("name", each.name());
      question.putObject("acceptedAnswer").put("@type", "Answer").put("text", each.answer());
      all.add(question);
    }
    return page.toString().replace("<", "\\u003c");
  }
}
