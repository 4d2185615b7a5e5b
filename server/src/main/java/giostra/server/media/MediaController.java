package giostra.server.media;

import giostra.core.band.Refused;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
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
    String name = file.getOriginalFilename();
    if (file.isEmpty()) {
      throw new Refused("Picture", "empty", "a file with something in it");
    }
    return media.add(siteId, name == null ? "picture" : name, alt, file.getBytes());
  }

  @GetMapping("/api/media/{id}/file")
  ResponseEntity<byte[]> file(@PathVariable String id) {
    MediaService.File file = media.file(id);
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(file.type()))
        .cacheControl(CacheControl.maxAge(Duration.ofMinutes(10)))
        .eTag(file.hash())
        .header("X-Content-Type-Options", "nosniff")
        .body(file.bytes());
  }
}
