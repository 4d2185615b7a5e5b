package giostra.server.release;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ReleaseController {
  private final ReleaseService releases;
  private final PlannedService planned;

  ReleaseController(ReleaseService releases, PlannedService planned) {
    this.releases = releases;
    this.planned = planned;
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

  /** What is said of a release. */
  record NoteBody(String note) {}

  @PutMapping("/api/pages/{id}/releases/{number}/note")
  ReleaseService.Release say(
      @PathVariable String id, @PathVariable int number, @RequestBody NoteBody body) {
    return releases.say(id, number, body.note());
  }

  /**
   * When a page is to be published by itself.
   *
   * @param local on the clocks of the site's zone, such as {@code 2026-12-24T18:00}
   * @param note what is said of the release
   */
  record PlannedBody(String local, String note) {}

  /**
   * What is planned of a page.
   *
   * @param zone the site's, whose clocks count
   * @param planned nothing where nothing is
   */
  record PlannedReply(String zone, PlannedService.@Nullable Planned planned) {}

  @GetMapping("/api/pages/{id}/planned")
  PlannedReply planned(@PathVariable String id) {
    return new PlannedReply(planned.zone(id).getId(), planned.of(id).orElse(null));
  }

  @PutMapping("/api/pages/{id}/planned")
  PlannedReply plan(@PathVariable String id, @RequestBody PlannedBody body) {
    PlannedService.Planned made = planned.plan(id, body.local(), body.note());
    return new PlannedReply(made.zone(), made);
  }

  @DeleteMapping("/api/pages/{id}/planned")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void dropPlanned(@PathVariable String id) {
    planned.drop(id);
  }

  @GetMapping(path = "/api/pages/{id}/bundle.zip", produces = "application/zip")
  ResponseEntity<byte[]> bundle(@PathVariable String id) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + id + ".zip\"")
        .header(HttpHeaders.CONTENT_TYPE, "application/zip")
        .body(releases.bundle(id));
  }
}
