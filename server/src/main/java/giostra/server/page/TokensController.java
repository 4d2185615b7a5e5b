package giostra.server.page;

import giostra.core.format.DesignTokens;
import giostra.core.format.EditJson;
import giostra.core.page.Document;
import giostra.core.page.SiteDifference;
import giostra.server.web.Limited;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Colours, letters and looks of a site as design tokens, for other tools and from them. */
@RestController
class TokensController {
  private static final long MOST_BYTES = 1024 * 1024;

  private final PageService pages;

  TokensController(PageService pages) {
    this.pages = pages;
  }

  /** The tokens of a page's site. */
  @GetMapping(value = "/api/pages/{id}/tokens", produces = DesignTokens.MEDIA_TYPE)
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(type = "string", format = "binary")))
  ResponseEntity<byte[]> tokens(@PathVariable String id) {
    PageService.Head head = pages.head(id);
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(head.siteId() + DesignTokens.FILE)
                .build()
                .toString())
        .body(DesignTokens.write(head.document()).getBytes(StandardCharsets.UTF_8));
  }

  /**
   * What a file of tokens would change.
   *
   * @param changes in the words of the site
   * @param refused what cannot be taken, with its path and the reason
   * @param strangers how many tokens are of nothing that the site has
   * @param edits that take all of it
   */
  record TokensReply(
      List<SiteDifference> changes,
      List<String> refused,
      int strangers,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode edits) {}

  /** Reads a file of tokens; nothing changes by it. */
  @PostMapping(value = "/api/pages/{id}/tokens", consumes = "application/json")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(type = "string", format = "binary")))
  TokensReply read(@PathVariable String id, HttpServletRequest request) throws IOException {
    var bytes = new ByteArrayOutputStream();
    Limited.copy(request.getInputStream(), bytes, MOST_BYTES, "File of tokens");
    Document document = pages.head(id).document();
    DesignTokens.Read read = DesignTokens.read(document, bytes.toString(StandardCharsets.UTF_8));
    return new TokensReply(
        read.changes(),
        read.refused().stream().map(IllegalArgumentException::getMessage).toList(),
        read.strangers(),
        EditJson.write(read.edits()));
  }
}
