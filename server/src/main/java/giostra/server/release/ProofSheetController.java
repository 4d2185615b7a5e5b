package giostra.server.release;

import giostra.core.format.ProofSheet;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What was checked on a page, to print or to send. */
@RestController
class ProofSheetController {
  /** It is one file, which loads nothing and runs nothing. */
  private static final String POLICY = "default-src 'none'; style-src 'unsafe-inline'";

  private final Proofs proofs;
  private final ProofSheetPdf pdf;
  private final Clock clock;

  ProofSheetController(Proofs proofs, ProofSheetPdf pdf, Clock clock) {
    this.proofs = proofs;
    this.pdf = pdf;
    this.clock = clock;
  }

  /** The sheet of a release, or of the page as it stands where none is named. */
  @GetMapping(path = "/api/pages/{id}/proof-sheet", produces = MediaType.TEXT_HTML_VALUE)
  @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(type = "string")))
  ResponseEntity<byte[]> sheet(
      @PathVariable String id, @RequestParam(required = false) @Nullable Integer release) {
    return ResponseEntity.ok()
        .header("Content-Security-Policy", POLICY)
        .header(HttpHeaders.CACHE_CONTROL, "no-store")
        .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
        .body(html(id, release).getBytes(StandardCharsets.UTF_8));
  }

  /** The same as a PDF. */
  @GetMapping(path = "/api/pages/{id}/proof-sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(type = "string", format = "binary")))
  ResponseEntity<byte[]> pdf(
      @PathVariable String id, @RequestParam(required = false) @Nullable Integer release) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CACHE_CONTROL, "no-store")
        .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"proof-sheet-" + id + ".pdf\"")
        .body(pdf.of(html(id, release)));
  }

  private String html(String id, @Nullable Integer release) {
    Proofs.Proof proof = proofs.of(id, release);
    return ProofSheet.html(proof.document(), proof.found(), proof.release(), clock.instant());
  }
}
