package giostra.server.snippet;

import giostra.server.host.Ports;
import giostra.server.host.Types;
import giostra.server.release.ReleaseService;
import giostra.server.web.Gone;
import io.swagger.v3.oas.annotations.Hidden;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.util.UriUtils;

/** Snippets: what somebody pastes, and what pages of other origins are answered with. */
@RestController
class SnippetController {
  /** What never changes under its name. */
  private static final String FOR_GOOD = "public, max-age=31536000, immutable";

  /** Asked for again after so long, and shown meanwhile. */
  private static final String FOR_NOW = "public, max-age=300, stale-while-revalidate=86400";

  private static final String ASK = "no-cache";

  private final SnippetService snippets;
  private final ReleaseService releases;
  private final Ports ports;

  SnippetController(SnippetService snippets, ReleaseService releases, Ports ports) {
    this.ports = ports;
    this.snippets = snippets;
    this.releases = releases;
  }

  /** What a snippet is taken of. */
  record SnippetAsked(String node) {}

  @PostMapping("/api/pages/{id}/snippets")
  SnippetService.SnippetTaken take(@PathVariable String id, @RequestBody SnippetAsked asked) {
    return snippets.take(id, asked.node(), ports.live());
  }

  @GetMapping("/api/pages/{id}/snippets")
  List<SnippetService.SnippetLine> list(@PathVariable String id) {
    return snippets.of(id);
  }

  @Hidden
  @GetMapping("/snippets/scripts/piece.js")
  ResponseEntity<byte[]> piece() {
    return open("text/javascript", FOR_NOW).body(snippets.piece());
  }

  @Hidden
  @GetMapping("/snippets/scripts/{file}")
  ResponseEntity<byte[]> script(@PathVariable String file) {
    return open("text/javascript", FOR_GOOD).body(snippets.scriptFile(file));
  }

  /** What a section or a piece is in a release, or in the one that is live. */
  @Hidden
  @GetMapping("/snippets/{site}/{page}/{number}/{node:[a-z0-9-]+}.html")
  ResponseEntity<byte[]> answer(
      @PathVariable String site,
      @PathVariable String page,
      @PathVariable String number,
      @PathVariable String node,
      @RequestHeader(name = "If-None-Match", defaultValue = "") String known,
      @RequestHeader(name = "Referer", defaultValue = "") String referer) {
    String own = ports.live();
    SnippetService.Answer answer;
    try {
      answer = snippets.answer(site, page, number, node, own);
    } catch (Gone e) {
      return moved(site, page, number + "/" + node + ".html", e);
    }
    snippets.seen(site, page, node, referer, ports.all());
    String tag = "\"" + answer.tag() + "\"";
    String caching = number.equals("live") ? ASK : FOR_GOOD;
    return known.contains(tag)
        ? ResponseEntity.status(HttpStatus.NOT_MODIFIED)
            .header(HttpHeaders.ETAG, tag)
            .header(HttpHeaders.CACHE_CONTROL, caching)
            .header(HttpHeaders.ACCESS_CONTROL_ALLOW_ORIGIN, "*")
            .build()
        : open("text/html;charset=utf-8", caching)
            .header(HttpHeaders.ETAG, tag)
            .body(answer.html().getBytes(StandardCharsets.UTF_8));
  }

  /** An old page of somebody else's, to see a snippet in. */
  @Hidden
  @GetMapping("/snippets/{site}/{page}/live/{node:[a-z0-9-]+}/old-page")
  ResponseEntity<String> oldPage(
      @PathVariable String site, @PathVariable String page, @PathVariable String node) {
    return ResponseEntity.ok()
        .contentType(MediaType.TEXT_HTML)
        .header(HttpHeaders.CACHE_CONTROL, ASK)
        .header("X-Content-Type-Options", "nosniff")
        .body(snippets.oldPage(site, page, node, ports.live()));
  }

  /** A file of a release, for its snippets. */
  @Hidden
  @GetMapping("/snippets/{site}/{page}/{number:[0-9]+}/{*path}")
  ResponseEntity<?> file(
      @PathVariable String site,
      @PathVariable String page,
      @PathVariable int number,
      @PathVariable String path) {
    ReleaseService.Served file;
    try {
      file = releases.served(site, page, number, path.substring(1));
    } catch (Gone e) {
      return moved(site, page, number + path, e);
    }
    return open(Types.of(file.path()), FOR_GOOD).body(file.bytes());
  }

  /** A page that has another address now is found by the one that was pasted. */
  private <T> ResponseEntity<T> moved(String site, String page, String rest, Gone gone) {
    String now = releases.movedTo(site, page).orElseThrow(() -> gone);
    return ResponseEntity.status(HttpStatus.MOVED_PERMANENTLY)
        .header(
            HttpHeaders.LOCATION,
            UriUtils.encodePath(
                now.replaceFirst("^/live/", "/snippets/") + rest, StandardCharsets.UTF_8))
        .header(HttpHeaders.ACCESS_CONTROL_ALLOW_ORIGIN, "*")
        .header(HttpHeaders.CACHE_CONTROL, FOR_NOW)
        .build();
  }

  /**
   * For pages of any origin. Opened by itself it is a document that can do nothing. Source: Fetch,
   * "CORS protocol".
   */
  private static ResponseEntity.BodyBuilder open(String type, String caching) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(type))
        .header(HttpHeaders.CACHE_CONTROL, caching)
        .header(HttpHeaders.ACCESS_CONTROL_ALLOW_ORIGIN, "*")
        .header("Cross-Origin-Resource-Policy", "cross-origin")
        .header("Content-Security-Policy", "default-src 'none'; sandbox")
        .header("X-Content-Type-Options", "nosniff");
  }
}
