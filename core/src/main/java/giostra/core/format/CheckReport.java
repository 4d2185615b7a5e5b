package giostra.core.format;

import giostra.core.look.State;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.PageSettings;
import giostra.core.snag.Leaves;
import giostra.core.snag.Rule;
import giostra.core.snag.Severity;
import giostra.core.snag.Snag;
import giostra.core.value.PickKind;
import java.io.StringWriter;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What is found on a page, for programs that build and test: as SARIF, as a report of tests, as
 * lines of text. What is left on purpose is told as such, and does not fail.
 */
public final class CheckReport {
  private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;
  private static final String SCHEMA =
      "https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json";

  /** Rules whose findings a visitor could meet, as they are looked for. */
  private static final List<Rule> RULES =
      Arrays.stream(Rule.values()).filter(rule -> rule.severity() != Severity.NOTE).toList();

  private final Document document;
  private final List<Snag> found;
  private final String address;
  private final Severity least;

  /**
   * A report of a page.
   *
   * @param found all that is found on it
   * @param address where it is published, as a path from the root of its host
   * @param least how bad what fails is at the least; hints and worse are told in any case
   */
  public CheckReport(Document document, List<Snag> found, String address, Severity least) {
    this.document = document;
    this.found = found.stream().filter(Snag::met).toList();
    this.address = address;
    this.least = least;
  }

  /** How many findings fail: those that are bad enough and that nobody leaves on purpose. */
  public int failed() {
    return (int) found.stream().filter(this::fails).count();
  }

  private boolean fails(Snag snag) {
    return snag.rule().severity().compareTo(least) <= 0 && !Leaves.left(document, snag);
  }

  /**
   * As the Static Analysis Results Interchange Format. Places are logical: ids from the page down
   * to the item. Source: OASIS, SARIF 2.1.0 with errata 01.
   */
  public String sarif() {
    ObjectNode log = MAKE.objectNode();
    log.put("$schema", SCHEMA).put("version", "2.1.0");
    ObjectNode run = log.putArray("runs").addObject();
    ObjectNode driver = run.putObject("tool").putObject("driver");
    driver.put("name", "Giostra");
    ArrayNode rules = driver.putArray("rules");
    for (Rule rule : RULES) {
      ObjectNode said = rules.addObject().put("id", rule.word());
      said.putObject("shortDescription").put("text", FindingWords.asked(rule));
      said.putObject("defaultConfiguration").put("level", level(rule));
    }
    ArrayNode results = run.putArray("results");
    found.forEach(snag -> result(results.addObject(), snag));
    run.put("columnKind", "utf16CodeUnits");
    return log.toPrettyString() + "\n";
  }

  private static String level(Rule rule) {
    return switch (rule.severity()) {
      case BREAKS -> "error";
      case HURTS -> "warning";
      case HINT, NOTE -> "note";
    };
  }

  private void result(ObjectNode result, Snag snag) {
    result.put("ruleId", snag.rule().word());
    result.put("ruleIndex", RULES.indexOf(snag.rule()));
    result.put("level", level(snag.rule()));
    result
        .putObject("message")
        .put("text", FindingWords.where(document, snag) + ": " + snag.message());
    ObjectNode location = result.putArray("locations").addObject();
    location.putObject("physicalLocation").putObject("artifactLocation").put("uri", address);
    ObjectNode place = location.putArray("logicalLocations").addObject();
    place.put("name", FindingWords.where(document, snag));
    place.put("fullyQualifiedName", path(snag));
    place.put("kind", "element");
    result.putObject("partialFingerprints").put("giostraMark/v1", snag.mark());
    Leaves.reason(document, snag)
        .ifPresent(why ->
            result
                .putArray("suppressions")
                .addObject()
                .put("kind", "external")
                .put("status", "accepted")
                .put("justification", why));
    ObjectNode more = result.putObject("properties");
    more.put("from", snag.extent().widths().from());
    more.put("to", snag.extent().widths().to());
    more.put("band", snag.extent().widths().band());
    if (snag.extent().state() != State.REST) {
      more.put("state", PickKind.word(snag.extent().state()));
    }
    if (!snag.place().part().isEmpty()) {
      more.put("part", snag.place().part());
    }
  }

  /** Ids from the page down to what it is found on. */
  private String path(Snag snag) {
    String node = snag.place().item().isEmpty() ? snag.place().node() : snag.place().item();
    return document.path(node).stream().map(Node::id).collect(Collectors.joining("/"));
  }

  /**
   * As a report of tests in the XML that build servers read: each rule is a test, which fails where
   * something is bad enough. Common practice, no published source.
   */
  public String junit() {
    var written = new StringWriter();
    try {
      XMLStreamWriter xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(written);
      xml.writeStartDocument("UTF-8", "1.0");
      xml.writeStartElement("testsuite");
      attribute(xml, "name", title());
      attribute(xml, "tests", "" + RULES.size());
      attribute(
          xml, "failures", "" + RULES.stream().filter(rule -> !failing(rule).isEmpty()).count());
      attribute(xml, "errors", "0");
      attribute(xml, "skipped", "0");
      attribute(xml, "time", "0");
      for (Rule rule : RULES) {
        test(xml, rule);
      }
      xml.writeEndElement();
      xml.writeEndDocument();
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
    return written + "\n";
  }

  private void test(XMLStreamWriter xml, Rule rule) throws XMLStreamException {
    xml.writeStartElement("testcase");
    attribute(xml, "classname", "giostra." + PickKind.word(rule.severity()));
    attribute(xml, "name", FindingWords.asked(rule));
    attribute(xml, "time", "0");
    List<Snag> failing = failing(rule);
    if (!failing.isEmpty()) {
      xml.writeStartElement("failure");
      attribute(xml, "message", line(failing.getFirst()));
      attribute(xml, "type", rule.word());
      xml.writeCharacters(
          clean(failing.stream().map(this::line).collect(Collectors.joining("\n"))));
      xml.writeEndElement();
    }
    xml.writeEndElement();
  }

  private List<Snag> failing(Rule rule) {
    return found.stream().filter(snag -> snag.rule() == rule).filter(this::fails).toList();
  }

  private static void attribute(XMLStreamWriter xml, String name, String value)
      throws XMLStreamException {
    xml.writeAttribute(name, clean(value));
  }

  /** Without what XML cannot say. Source: XML 1.0, production 2, "Char". */
  private static String clean(String text) {
    return text.codePoints()
        .filter(c ->
            c == 0x9
                || c == 0xA
                || c == 0xD
                || (c >= 0x20 && c <= 0xD7FF)
                || (c >= 0xE000 && c <= 0xFFFD)
                || c >= 0x10000)
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
        .toString();
  }

  /** As lines, the worst first, and how many fail. */
  public String text() {
    String lines =
        found.stream()
            .sorted((one, other) -> one.rule().severity().compareTo(other.rule().severity()))
            .map(snag -> {
              Optional<String> why = Leaves.reason(document, snag);
              return line(snag) + why.map(reason -> " (left: " + reason + ")").orElse("") + "\n";
            })
            .collect(Collectors.joining());
    int failed = failed();
    return lines
        + title()
        + ": "
        + (failed == 0
            ? "nothing fails"
            : failed == 1 ? "1 finding fails" : failed + " findings fail")
        + "\n";
  }

  private String line(Snag snag) {
    return PickKind.word(snag.rule().severity())
        + "  "
        + FindingWords.where(document, snag)
        + ": "
        + snag.message();
  }

  private String title() {
    String title = document.page().values().get(PageSettings.TITLE);
    return title.isEmpty() ? document.page().id() : title;
  }
}
