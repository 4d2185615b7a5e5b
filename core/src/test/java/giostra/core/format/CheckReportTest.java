package giostra.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.snag.Leaves;
import giostra.core.snag.Rule;
import giostra.core.snag.Severity;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.testing.Demo;
import giostra.core.testing.RandomDocuments;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.stream.StreamSupport;
import org.apache.maven.plugin.surefire.log.api.NullConsoleLogger;
import org.apache.maven.plugins.surefire.report.ReportTestCase;
import org.apache.maven.plugins.surefire.report.ReportTestSuite;
import org.apache.maven.plugins.surefire.report.TestSuiteXmlParser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What programs that build are told. Sources: the schema that OASIS publishes of SARIF 2.1.0, with
 * networknt's validator; of reports of tests the reader of Maven's Surefire.
 */
class CheckReportTest {
  private static final String ADDRESS = "live/velluta/evenings/";

  private final Document demo = Demo.document();

  private static List<Snag> found(Document document) {
    return Snags.of(document, PictureSizes.NONE, 0);
  }

  private static Document faulty(Document document) {
    return Edits.apply(
            document,
            List.of(
                new Edit.SetValue("opening-button", "link", "", "#nowhere"),
                new Edit.SetValue("idea-title", "level", "", 6.0),
                new Edit.SetValue("idea-title", "text", "", "<Lamps> & “]]>” عرض \uD83C\uDF19")))
        .document();
  }

  private static Schema schema() throws IOException {
    try (InputStream in =
        Objects.requireNonNull(
            CheckReportTest.class.getResourceAsStream("/schema/sarif-schema-2.1.0.json"))) {
      return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_7)
          .getSchema(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    }
  }

  @Test
  void itIsSarifWhateverThePage() throws IOException {
    Schema schema = schema();
    var mapper = new JsonMapper();
    var random = new Random(14);
    for (int n = 0; n < 12; n++) {
      Document document = n == 0 ? faulty(demo) : RandomDocuments.document(random.nextInt(10_000));
      List<Snag> all = found(document);
      String sarif = new CheckReport(document, all, ADDRESS, Severity.BREAKS).sarif();
      assertThat(schema.validate(sarif, InputFormat.JSON)).as("page %d", n).isEmpty();
      JsonNode run = mapper.readTree(sarif).path("runs").path(0);
      assertThat(run.path("results")).hasSize((int) all.stream().filter(Snag::met).count());
      for (JsonNode result : run.path("results")) {
        JsonNode rule =
            run.path("tool").path("driver").path("rules").path(result.path("ruleIndex").asInt());
        assertThat(rule.path("id")).isEqualTo(result.path("ruleId"));
        assertThat(rule.path("defaultConfiguration").path("level")).isEqualTo(result.path("level"));
      }
    }
    // A file that is none is told so by the same schema.
    assertThat(schema.validate("{\"version\":\"2.1.0\",\"runs\":[{}]}", InputFormat.JSON))
        .isNotEmpty();
  }

  @Test
  void whatIsLeftOnPurposeIsToldAndDoesNotFail() {
    Document document = faulty(demo);
    List<Snag> all = found(document);
    Snag nowhere =
        all.stream().filter(snag -> snag.rule() == Rule.NOWHERE).findFirst().orElseThrow();
    int failed = new CheckReport(document, all, ADDRESS, Severity.BREAKS).failed();
    Document left =
        Edits.apply(document, List.of(Leaves.leave(document, all, nowhere, "The shop is to come")))
            .document();
    var report = new CheckReport(left, found(left), ADDRESS, Severity.BREAKS);
    assertThat(report.failed()).isEqualTo(failed - 1);
    JsonNode results =
        new JsonMapper().readTree(report.sarif()).path("runs").path(0).path("results");
    assertThat(
            StreamSupport.stream(results.spliterator(), false)
                .flatMap(
                    each -> StreamSupport.stream(each.path("suppressions").spliterator(), false))
                .map(each -> each.path("justification").asString()))
        .containsExactly("The shop is to come");
    assertThat(report.text()).contains("(left: The shop is to come)");
  }

  /** What the reader of Surefire's reports makes of it. */
  @ParameterizedTest
  @CsvSource({"BREAKS, nowhere", "HURTS, nowhere skipped-level", "HINT, nowhere skipped-level"})
  void itIsAReportOfTests(Severity least, String failing) throws Exception {
    Document document = faulty(demo);
    List<Snag> all = found(document);
    String xml = new CheckReport(document, all, ADDRESS, least).junit();
    var in = new ByteArrayInputStream(xml.getBytes(StandardCharsets.UTF_8));
    List<ReportTestSuite> suites =
        new TestSuiteXmlParser(new NullConsoleLogger())
            .parse(new InputStreamReader(in, StandardCharsets.UTF_8));
    List<ReportTestCase> tests =
        suites.stream().flatMap(suite -> suite.getTestCases().stream()).toList();
    assertThat(tests)
        .hasSize(
            (int)
                Arrays.stream(Rule.values())
                    .filter(rule -> rule.severity() != Severity.NOTE)
                    .count());
    List<ReportTestCase> failed = tests.stream().filter(ReportTestCase::hasFailure).toList();
    assertThat(failed.stream().map(ReportTestCase::getFailureType)).contains(failing.split(" "));
    assertThat(xml).contains("failures=\"" + failed.size() + "\"");
    if (least != Severity.BREAKS) {
      assertThat(xml).contains("&lt;Lamps").contains("عرض \uD83C\uDF19");
    }
  }
}
