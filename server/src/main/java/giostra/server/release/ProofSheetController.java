package giostra.server.release;

import giostra.core.format.ProofSheet;
import giostra.core.page.Document;
import giostra.core.snag.Snags;
import giostra.server.media.MediaService;
import giostra.server.page.Findings;
import giostra.server.page.PageService;
import giostra.server.page.Revisions;
import giostra.server.stock.StockService;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Optional;
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

  private final PageService pages;
  private final Revisions revisions;
  private final ReleaseService releases;
  private final MediaService media;
  private final StockService stock;
  private final Findings findings;
  private final Clock clock;

  ProofSheetController(
      PageService pages,
      Revisions revisions,
      ReleaseService releases,
      MediaService media,
      StockService stock,
      Findings findings,
      Clock clock) {
    this.pages = pages;
    this.revisions = revisions;
    this.releases = releases;
    this.media = media;
    this.stock = stock;
    this.findings = findings;
    this.clock = clock;
  }

  /** The sheet of a release, or of the page as it stands where none is named. */
  @GetMapping(path = "/api/pages/{id}/proof-sheet", produces = MediaType.TEXT_HTML_VALUE)
  @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(type = "string")))
  ResponseEntity<byte[]> sheet(
      @PathVariable String id, @RequestParam(required = false) @Nullable Integer release) {
    String html = release == null ? asItStands(id) : ofRelease(id, releases.held(id, release));
    return ResponseEntity.ok()
        .header("Content-Security-Policy", POLICY)
        .header(HttpHeaders.CACHE_CONTROL, "no-store")
        .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
        .body(html.getBytes(StandardCharsets.UTF_8));
  }

  private String asItStands(String id) {
    PageService.Head head = pages.head(id);
    return ProofSheet.html(pages.shown(head), findings.of(head), Optional.empty(), clock.instant());
  }

  private String ofRelease(String id, ReleaseService.Held held) {
    String siteId = pages.place(id).siteId();
    Document document =
        stock.expanded(siteId, revisions.was(id, held.revision(), held.siteRevision()));
    return ProofSheet.html(
        document,
        Snags.of(document, media.sizes(siteId), 0),
        Optional.of(releases.told(held, siteId, document)),
        clock.instant());
  }
}
