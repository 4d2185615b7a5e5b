package giostra.server.own;

import giostra.core.value.Refused;
import giostra.server.host.Ports;
import giostra.server.host.Types;
import io.swagger.v3.oas.annotations.Hidden;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Pages that somebody brings, in and out. */
@RestController
class OwnPageController {
  /**
   * Nothing of such a page is run, whatever is in it; how it looks may come from anywhere. Source:
   * Content Security Policy 3; HTML, "Sandboxing".
   */
  private static final String POLICY =
      "sandbox allow-same-origin; default-src 'none'; script-src 'none';"
          + " style-src 'self' 'unsafe-inline' http: https:; img-src 'self' data: blob: http: https:;"
          + " font-src 'self' data: http: https:; media-src 'self' http: https:;"
          + " form-action 'none'; frame-ancestors 'self'";

  private final OwnPageService service;
  private final Ports ports;

  OwnPageController(OwnPageService service, Ports ports) {
    this.ports = ports;
    this.service = service;
  }

  @GetMapping("/api/pages/{id}/own-pages")
  List<OwnPageService.OwnPageLine> list(@PathVariable String id) {
    return service.of(id);
  }

  @PostMapping(path = "/api/pages/{id}/own-pages", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  OwnPageService.OwnPageReply bring(
      @PathVariable String id, @RequestPart("file") MultipartFile file) throws IOException {
    return service.bring(id, name(file), file.getBytes());
  }

  @GetMapping("/api/pages/{id}/own-pages/{own}")
  OwnPageService.OwnPageReply open(@PathVariable String id, @PathVariable String own) {
    return service.open(id, own);
  }

  /** Takes it in as it is now. */
  @PostMapping(
      path = "/api/pages/{id}/own-pages/{own}/file",
      consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  OwnPageService.OwnPageReply bringAnew(
      @PathVariable String id, @PathVariable String own, @RequestPart("file") MultipartFile file)
      throws IOException {
    return service.bringAnew(id, own, name(file), file.getBytes());
  }

  /**
   * All places of a page.
   *
   * @param revision of the page that they are told of
   */
  record OwnPlacesAsked(int revision, List<OwnPageService.OwnPlaceAsked> places) {}

  @PostMapping("/api/pages/{id}/own-pages/{own}/places")
  OwnPageService.OwnPageReply place(
      @PathVariable String id, @PathVariable String own, @RequestBody OwnPlacesAsked asked) {
    return service.place(id, own, asked.revision(), asked.places());
  }

  @DeleteMapping("/api/pages/{id}/own-pages/{own}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void drop(@PathVariable String id, @PathVariable String own) {
    service.drop(id, own);
  }

  /** The page with what is live in its places, to be put where it came from. */
  @GetMapping("/api/pages/{id}/own-pages/{own}/file")
  ResponseEntity<byte[]> give(@PathVariable String id, @PathVariable String own) {
    OwnPageService.Given given = service.give(id, own, ports.live());
    return ResponseEntity.ok()
        .contentType(
            given.packed()
                ? MediaType.parseMediaType("application/zip")
                : MediaType.APPLICATION_OCTET_STREAM)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(given.name(), StandardCharsets.UTF_8)
                .build()
                .toString())
        .header("X-Content-Type-Options", "nosniff")
        .body(given.bytes());
  }

  /** What the bench shows of it. */
  @Hidden
  @GetMapping("/api/pages/{id}/own-pages/{own}/seen/{*path}")
  ResponseEntity<byte[]> see(
      @PathVariable String id, @PathVariable String own, @PathVariable String path) {
    OwnPageService.Seen seen = service.see(id, own, path.substring(1), ports.live());
    return ResponseEntity.ok()
        .contentType(
            seen.encoding().isEmpty()
                ? type(seen.path())
                : MediaType.parseMediaType("text/html;charset=" + seen.encoding()))
        .header(HttpHeaders.CACHE_CONTROL, "no-store")
        .header("Content-Security-Policy", POLICY)
        .header("X-Content-Type-Options", "nosniff")
        .body(seen.bytes());
  }

  /** The type of a file of somebody's. */
  private static MediaType type(String path) {
    String ending = path.substring(path.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    return switch (ending) {
      case "html", "htm", "xhtml" -> MediaType.TEXT_HTML;
      case "css" -> MediaType.parseMediaType("text/css");
      case "jpeg" -> MediaType.IMAGE_JPEG;
      case "avif" -> MediaType.parseMediaType("image/avif");
      case "ico" -> MediaType.parseMediaType("image/x-icon");
      default -> MediaType.parseMediaType(Types.of("." + ending));
    };
  }

  private static String name(MultipartFile file) {
    String name = file.getOriginalFilename();
    if (file.isEmpty()) {
      throw new Refused("File " + name, "empty", "a page with something in it");
    }
    return name == null || name.isBlank() ? "page.html" : name;
  }
}
