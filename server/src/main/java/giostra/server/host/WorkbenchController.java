package giostra.server.host;

import giostra.server.web.Gone;
import java.io.IOException;
import java.io.InputStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The bench itself: one page for every address, and its assets. */
@RestController
class WorkbenchController {
  private static final String ROOT = "/giostra/workbench/";
  private final StagePort port;

  WorkbenchController(StagePort port) {
    this.port = port;
  }

  @GetMapping({"/", "/pages/{id}", "/pages/{id}/{step}", "/sites/{id}/media"})
  ResponseEntity<byte[]> bench() throws IOException {
    return answer("index.html", "no-cache");
  }

  @GetMapping("/assets/{file}")
  ResponseEntity<byte[]> asset(@PathVariable String file) throws IOException {
    return answer("assets/" + file, "public, max-age=31536000, immutable");
  }

  @GetMapping("/icon.svg")
  ResponseEntity<byte[]> icon() throws IOException {
    return answer("icon.svg", "max-age=3600");
  }

  private ResponseEntity<byte[]> answer(String path, String caching) throws IOException {
    try (InputStream in = WorkbenchController.class.getResourceAsStream(ROOT + path)) {
      if (in == null) {
        throw new Gone("file", path);
      }
      return ResponseEntity.ok()
          .contentType(MediaType.parseMediaType(Types.of(path)))
          .header(HttpHeaders.CACHE_CONTROL, caching)
          .header(
              "Content-Security-Policy",
              "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob: http: https: "
                  + port.stage()
                  + "; media-src 'self' blob: "
                  + port.stage()
                  + "; frame-src "
                  + port.stage()
                  + "; base-uri 'none'; object-src 'none'; frame-ancestors 'none'")
          .header("X-Content-Type-Options", "nosniff")
          .body(in.readAllBytes());
    }
  }
}
