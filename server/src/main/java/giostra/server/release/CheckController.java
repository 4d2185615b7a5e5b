package giostra.server.release;

import giostra.core.format.CheckReport;
import giostra.core.snag.Severity;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.server.page.PageService;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is found on a page, for programs that build. */
@RestController
class CheckController {
  /** How many findings fail, in the head of an answer. */
  private static final String FAILED = "Giostra-Failed";

  private final Proofs proofs;
  private final PageService pages;

  CheckController(Proofs proofs, PageService pages) {
    this.proofs = proofs;
    this.pages = pages;
  }

  /** In what a report comes. */
  private enum Form {
    TEXT("text/plain"),
    SARIF("application/sarif+json"),
    JUNIT("application/xml");

    private final MediaType type;

    Form(String type) {
      this.type = new MediaType(MediaType.parseMediaType(type), StandardCharsets.UTF_8);
    }

    String of(CheckReport report) {
      return switch (this) {
        case TEXT -> report.text();
        case SARIF -> report.sarif();
        case JUNIT -> report.junit();
      };
    }
  }

  /**
   * A report of a release, or of the page as it stands.
   *
   * @param as text, sarif or junit
   * @param atLeast how bad what fails is at the least: breaks, hurts or hint
   */
  @GetMapping("/api/pages/{id}/check")
  @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(type = "string")))
  ResponseEntity<byte[]> check(
      @PathVariable String id,
      @RequestParam(defaultValue = "text") String as,
      @RequestParam(defaultValue = "breaks") String atLeast,
      @RequestParam(required = false) @Nullable Integer release) {
    Form form = chosen("as", as, Form.values());
    Severity least = chosen("atLeast", atLeast, Severity.BREAKS, Severity.HURTS, Severity.HINT);
    Proofs.Proof proof = proofs.of(id, release);
    var report = new CheckReport(proof.document(), proof.found(), address(id), least);
    return ResponseEntity.ok()
        .header(FAILED, Integer.toString(report.failed()))
        .header(HttpHeaders.CACHE_CONTROL, "no-store")
        .contentType(form.type)
        .body(form.of(report).getBytes(StandardCharsets.UTF_8));
  }

  private String address(String id) {
    PageService.Place place = pages.place(id);
    return "live/" + place.siteId() + "/" + place.slug() + "/";
  }

  @SafeVarargs
  private static <E extends Enum<E>> E chosen(String what, String word, E... among) {
    return Arrays.stream(among)
        .filter(each -> PickKind.word(each).equals(word))
        .findFirst()
        .orElseThrow(() ->
            new Refused(
                what,
                word,
                Arrays.stream(among).map(PickKind::word).collect(Collectors.joining(", "))));
  }
}
