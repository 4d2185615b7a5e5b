package giostra.server.archive;

import giostra.server.people.Made;
import giostra.server.people.Needs;
import giostra.server.people.Role;
import giostra.server.web.Limited;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import jakarta.servlet.http.HttpServletRequest;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Sites as archives, out and in. */
@RestController
class ArchiveController {
  private final ArchiveService archives;

  private final Made made;

  ArchiveController(ArchiveService archives, Made made) {
    this.archives = archives;
    this.made = made;
  }

  /** The site that an archive became. */
  record Arrived(String site) {}

  @Needs(Role.DESIGNER)
  @GetMapping("/api/sites/{siteId}/archive.zip")
  ResponseEntity<StreamingResponseBody> out(@PathVariable String siteId) {
    ArchiveService.Ready ready = archives.ready(siteId);
    return ResponseEntity.ok()
        .contentType(MediaType.valueOf("application/zip"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(siteId + ".zip").build().toString())
        .body(out -> archives.write(ready, out));
  }

  /** Takes a site in from the archive that is the body of the request. */
  @Needs(Role.DESIGNER)
  @PostMapping(path = "/api/archives", consumes = "application/zip")
  @ResponseStatus(HttpStatus.CREATED)
  @RequestBody(content = @Content(schema = @Schema(type = "string", format = "binary")))
  Arrived in(HttpServletRequest request) throws IOException {
    // All of it is here before anything is held for it.
    Path file = Files.createTempFile("giostra-archive", ".zip");
    try {
      try (OutputStream out = Files.newOutputStream(file)) {
        Limited.copy(request.getInputStream(), out, Entries.MOST_ALL, "The archive");
      }
      try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
        String site = archives.read(in);
        made.site(site);
        return new Arrived(site);
      }
    } finally {
      Files.delete(file);
    }
  }
}
