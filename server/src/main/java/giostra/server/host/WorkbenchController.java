package giostra.server.host;

import giostra.server.web.Gone;
import giostra.server.web.Packed;
import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** The bench itself: one page for every address, and its assets. */
@RestController
class WorkbenchController {
  private static final String ROOT = "/giostra/workbench/";
  private final Ports port;

  /** Programs and sheets, by path; there are a few. */
  private final Map<String, Packed> packed = new ConcurrentHashMap<>();

  WorkbenchController(Ports port) {
    this.port = port;
  }

  @GetMapping({"/", "/review", "/pages/{id}", "/pages/{id}/{step}", "/sites/{id}/media"})
  ResponseEntity<byte[]> bench() throws IOException {
    return whole("index.html", "no-cache");
  }

  @GetMapping("/assets/{file}")
  ResponseEntity<byte[]> asset(
      @PathVariable String file,
      @RequestHeader(name = HttpHeaders.ACCEPT_ENCODING, defaultValue = "") String encodings)
      throws IOException {
    String path = "assets/" + file;
    String caching = "public, max-age=31536000, immutable";
    if (!path.endsWith(".js") && !path.endsWith(".css")) {
      return whole(path, caching);
    }
    Packed bytes = packed.get(path);
    if (bytes == null) {
      bytes = new Packed(read(path));
      packed.put(path, bytes);
    }
    return bytes.answer(answer(path, caching), encodings);
  }

  @GetMapping("/icon.svg")
  ResponseEntity<byte[]> icon() throws IOException {
    return whole("icon.svg", "max-age=3600");
  }

  private static byte[] read(String path) throws IOException {
    try (InputStream in = WorkbenchController.class.getResourceAsStream(ROOT + path)) {
      if (in == null) {
        throw new Gone("file", path);
      }
      return in.readAllBytes();
    }
  }

  private ResponseEntity<byte[]> whole(String path, String caching) throws IOException {
    byte[] bytes = read(path);
    return answer(path, caching).body(bytes);
  }

  private ResponseEntity.BodyBuilder answer(String path, String caching) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(Types.of(path)))
        .header(HttpHeaders.CACHE_CONTROL, caching)
        .header(
            "Content-Security-Policy",
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob: http: https: "
                + port.stage()
                + "; media-src 'self' blob: "
                + port.stage()
                // Pages of one's own are shown from here, sandboxed and without any script.
                + "; frame-src 'self' "
                + port.stage()
                + "; base-uri 'none'; object-src 'none'; frame-ancestors 'none'")
        // A live page, which may run somebody's own code, does not keep hold of a bench it opens.
        .header("Cross-Origin-Opener-Policy", "same-origin")
        .header("X-Content-Type-Options", "nosniff");
  }
}
