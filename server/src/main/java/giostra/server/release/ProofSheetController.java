package giostra.server.release;

import giostra.core.format.ProofSheet;
import giostra.core.page.Document;
import giostra.core.page.PageSettings;
import giostra.core.page.SiteSettings;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.server.media.MediaService;
import giostra.server.page.PageService;
import giostra.server.page.Revisions;
import giostra.server.stock.StockService;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
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
  private final Clock clock;

  ProofSheetController(
      PageService pages,
      Revisions revisions,
      ReleaseService releases,
      MediaService media,
      StockService stock,
      Clock clock) {
    this.pages = pages;
    this.revisions = revisions;
    this.releases = releases;
    this.media = media;
    this.stock = stock;
    this.clock = clock;
  }

  /** The sheet of a release, or of the page as it stands where none is named. */
  @GetMapping(path = "/api/pages/{id}/proof-sheet", produces = MediaType.TEXT_HTML_VALUE)
  @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(type = "string")))
  ResponseEntity<byte[]> sheet(
      @PathVariable String id, @RequestParam(required = false) @Nullable Integer release) {
    Optional<ReleaseService.Held> held =
        Optional.ofNullable(release).map(number -> releases.held(id, number));
    String siteId = pages.place(id).siteId();
    Document own =
        held.map(each -> revisions.was(id, each.revision(), each.siteRevision()))
            .orElseGet(() -> pages.head(id).document());
    Document document = stock.expanded(siteId, own);
    List<Snag> found = Snags.of(document, media.sizes(siteId), 0);
    String html =
        ProofSheet.html(
            document,
            found,
            document.site().values().get(SiteSettings.NAME),
            document.page().values().get(PageSettings.TITLE),
            held.map(ReleaseService.Held::told),
            clock.instant());
    return ResponseEntity.ok()
        .header("Content-Security-Policy", POLICY)
        .header(HttpHeaders.CACHE_CONTROL, "no-store")
        .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
        .body(html.getBytes(StandardCharsets.UTF_8));
  }
}
