package giostra.server.release;

import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ReleaseController {
  private final ReleaseService releases;

  ReleaseController(ReleaseService releases) {
    this.releases = releases;
  }

  @PostMapping("/api/pages/{id}/releases")
  @ResponseStatus(HttpStatus.CREATED)
  ReleaseService.Release publish(@PathVariable String id) {
    return releases.publish(id);
  }

  @GetMapping("/api/pages/{id}/releases")
  List<ReleaseService.Release> list(@PathVariable String id) {
    return releases.of(id);
  }

  @PostMapping("/api/pages/{id}/releases/{number}/live")
  ReleaseService.Release bringBack(@PathVariable String id, @PathVariable int number) {
    return releases.bringBack(id, number);
  }

  @GetMapping(path = "/api/pages/{id}/bundle.zip", produces = "application/zip")
  ResponseEntity<byte[]> bundle(@PathVariable String id) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + id + ".zip\"")
        .header(HttpHeaders.CONTENT_TYPE, "application/zip")
        .body(releases.bundle(id));
  }
}
