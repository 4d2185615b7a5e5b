package giostra.server.page;

import giostra.core.output.Assumption;
import giostra.core.output.Compiled;
import giostra.server.host.PageFiles;
import giostra.server.host.Policy;
import giostra.server.host.StagePort;
import giostra.server.host.Types;
import giostra.server.media.MediaService;
import giostra.server.web.Gone;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * The page as it would be released, with one script tag more; under assumptions, with one more
 * again. Its files lie beside it as those of a release do.
 */
@RestController
class PreviewController {
  private final PageService pages;
  private final Stage stage;
  private final PageFiles files;
  private final MediaService media;
  private final StagePort port;

  PreviewController(
      PageService pages, Stage stage, PageFiles files, MediaService media, StagePort port) {
    this.pages = pages;
    this.stage = stage;
    this.files = files;
    this.media = media;
    this.port = port;
  }

  @GetMapping("/api/pages/{id}/preview")
  ResponseEntity<Void> folder(@PathVariable String id) {
    return ResponseEntity.status(HttpStatus.FOUND)
        .header(HttpHeaders.LOCATION, "/api/pages/" + id + "/preview/")
        .build();
  }

  @GetMapping("/api/pages/{id}/preview/")
  ResponseEntity<byte[]> page(
      @PathVariable String id, @RequestParam(defaultValue = "") String assume) {
    Set<Assumption> assumed = Assumption.of(assume);
    PageService.Head head = pages.head(id);
    Compiled compiled = stage.compile(head.siteId(), Assumption.document(head.document(), assumed));
    String html = Assumption.html(compiled.html(), assumed);
    String words = String.join(",", assumed.stream().map(Assumption::word).toList());
    if (!assumed.isEmpty()) {
      // Ahead of the page's own scripts, so that they are told what is assumed.
      String tag = "<script src=\"assume.js\" data-assume=\"%s\"></script>".formatted(words);
      html =
          html.replace("</title>", "</title>" + tag)
              .replace(compiled.cssPath(), compiled.cssPath() + "?assume=" + words);
    }
    String tag =
        "<script src=\"stage.js\" data-bench=\"%s\" defer></script>".formatted(port.bench());
    return answer(
        "index.html",
        html.replace("</head>", tag + "</head>").getBytes(StandardCharsets.UTF_8),
        "no-store");
  }

  @GetMapping("/api/pages/{id}/preview/{file:.+}")
  ResponseEntity<byte[]> file(
      @PathVariable String id,
      @PathVariable String file,
      @RequestParam(defaultValue = "") String assume) {
    if (file.equals("stage.js") || file.equals("assume.js")) {
      return answer(file, files.benchScript(file), "no-cache");
    }
    if (file.startsWith("style.")) {
      Set<Assumption> assumed = Assumption.of(assume);
      String sheet = stage.sheet(file);
      if (sheet == null) {
        PageService.Head head = pages.head(id);
        sheet = stage.compile(head.siteId(), Assumption.document(head.document(), assumed)).css();
      }
      return answer(
          file,
          Assumption.css(sheet, assumed).getBytes(StandardCharsets.UTF_8),
          "private, max-age=3600");
    }
    return shipped(file);
  }

  @GetMapping("/api/pages/{id}/preview/fonts/{file}")
  ResponseEntity<byte[]> font(@PathVariable String file) {
    return shipped("fonts/" + file);
  }

  @GetMapping("/api/pages/{id}/preview/media/{file}")
  ResponseEntity<byte[]> picture(@PathVariable String id, @PathVariable String file) {
    PageService.Head head = pages.head(id);
    String path = "media/" + file;
    return answer(path, media.bytes(head.siteId(), path), "private, max-age=3600");
  }

  private ResponseEntity<byte[]> shipped(String path) {
    byte[] bytes = files.get(path);
    if (bytes == null) {
      throw new Gone("file", path);
    }
    return answer(path, bytes, "private, max-age=3600");
  }

  private ResponseEntity<byte[]> answer(String path, byte[] bytes, String caching) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(Types.of(path)))
        .header(HttpHeaders.CACHE_CONTROL, caching)
        .header("Content-Security-Policy", Policy.preview(port.bench()))
        .header("X-Content-Type-Options", "nosniff")
        .body(bytes);
  }
}
