package giostra.server.release;

import giostra.server.host.NotThere;
import giostra.server.host.Ports;
import giostra.server.web.Gone;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.util.UriUtils;

/** The live pages: files as they were released, nothing computed. */
@RestController
class LiveController {
  /** A page is asked about each time, and most times it is the one that is known. */
  static final String ASKS = "no-cache";

  /** What is named by what is in it is kept. */
  static final String FOR_GOOD = "public, max-age=31536000, immutable";

  private final ReleaseService releases;
  private final Ports ports;

  LiveController(ReleaseService releases, Ports ports) {
    this.ports = ports;
    this.releases = releases;
  }

  /** All live pages of a site, for search engines. */
  @GetMapping(path = "/live/{site}/sitemap.xml", produces = "application/xml")
  ResponseEntity<byte[]> sitemap(@PathVariable String site) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CACHE_CONTROL, "no-cache")
        .header("X-Content-Type-Options", "nosniff")
        .body(releases.sitemap(site, ports.live() + location("/live/" + site + "/")));
  }

  @GetMapping("/live/{site}/{page}")
  ResponseEntity<Void> folder(@PathVariable String site, @PathVariable String page) {
    return ResponseEntity.status(HttpStatus.MOVED_PERMANENTLY)
        .header(HttpHeaders.LOCATION, location("/live/" + site + "/" + page + "/"))
        .build();
  }

  @GetMapping({"/live/{site}/{page}/", "/live/{site}/{page}/{*path}"})
  ResponseEntity<Resource> file(
      @PathVariable String site,
      @PathVariable String page,
      @PathVariable(required = false) @org.jspecify.annotations.Nullable String path,
      @RequestHeader(name = "If-None-Match", defaultValue = "") String known) {
    String name = path == null || path.equals("/") ? "index.html" : path.substring(1);
    ReleaseService.Served file;
    try {
      file = releases.served(site, page, name);
    } catch (Gone e) {
      // A page that has another address now is found by the one that people know.
      String now = releases.movedTo(site, page).orElseThrow(() -> e);
      return ResponseEntity.status(HttpStatus.MOVED_PERMANENTLY)
          .header(HttpHeaders.LOCATION, location(now + (name.equals("index.html") ? "" : name)))
          .build();
    }
    String tag = tag(file.hash());
    boolean index = name.equals("index.html");
    var answer =
        known.contains(tag)
            ? ResponseEntity.status(HttpStatus.NOT_MODIFIED)
            : ResponseEntity.ok().contentType(MediaType.parseMediaType(file.type()));
    answer
        .header(HttpHeaders.ETAG, tag)
        .header(HttpHeaders.CACHE_CONTROL, index ? ASKS : FOR_GOOD)
        .header("Content-Security-Policy", file.policy())
        .header("Referrer-Policy", "strict-origin-when-cross-origin")
        .header("X-Content-Type-Options", "nosniff")
        .header("Cross-Origin-Resource-Policy", "cross-origin");
    return known.contains(tag) ? answer.build() : answer.body(file.bytes());
  }

  @ExceptionHandler
  void gone(Gone e, HttpServletRequest request, HttpServletResponse response) throws IOException {
    NotThere.answer(request, response);
  }

  /** What a file is known by. */
  static String tag(String hash) {
    return "\"" + hash.substring(0, 24) + "\"";
  }

  /** As a header takes it: a header that holds other than Latin characters is dropped. RFC 3986. */
  private static String location(String path) {
    return UriUtils.encodePath(path, StandardCharsets.UTF_8);
  }
}
