package giostra.server.media;

import giostra.core.band.Refused;
import java.io.IOException;
import java.util.List;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
class MediaController {
  private final MediaService media;

  MediaController(MediaService media) {
    this.media = media;
  }

  @GetMapping("/api/sites/{siteId}/media")
  List<MediaService.Media> list(@PathVariable String siteId) {
    return media.of(siteId);
  }

  @PostMapping(path = "/api/sites/{siteId}/media", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  MediaService.Media add(
      @PathVariable String siteId,
      @RequestPart("file") MultipartFile file,
      @RequestParam(defaultValue = "") String alt)
      throws IOException {
    if (file.isEmpty()) {
      throw new Refused("File " + name(file), "empty", "a file with something in it");
    }
    return media.add(siteId, name(file), alt, file.getBytes());
  }

  /** Says what it shows, where its focal point is, what it is found by. */
  @PutMapping("/api/media/{id}")
  MediaService.Media say(@PathVariable String id, @RequestBody MediaService.Said said) {
    return media.say(id, said);
  }

  /** Puts another file in its place, everywhere. */
  @PostMapping(path = "/api/media/{id}/file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  MediaService.Media replace(@PathVariable String id, @RequestPart("file") MultipartFile file)
      throws IOException {
    return media.replace(id, name(file), file.getBytes());
  }

  @GetMapping("/api/media/{id}/file")
  ResponseEntity<Resource> file(@PathVariable String id) {
    MediaService.File file = media.file(id);
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(file.type()))
        .cacheControl(CacheControl.noCache())
        .eTag(file.hash())
        // A vector picture opened by itself is a document: it may not run anything.
        .header("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'")
        .header("X-Content-Type-Options", "nosniff")
        .body(file.bytes());
  }

  private static String name(MultipartFile file) {
    String name = file.getOriginalFilename();
    return name == null || name.isBlank() ? "file" : name;
  }
}
