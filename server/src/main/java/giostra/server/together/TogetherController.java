package giostra.server.together;

import giostra.core.value.Refused;
import giostra.server.bell.Bell;
import giostra.server.page.PageService;
import giostra.server.people.Needs;
import giostra.server.people.Role;
import giostra.server.people.Who;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** What others do on a page while one is on it. */
@RestController
class TogetherController {
  private static final int LONGEST = 200;

  private final PageService pages;
  private final Ears ears;
  private final Bell bell;
  private final Presences presences;

  TogetherController(PageService pages, Ears ears, Bell bell, Presences presences) {
    this.pages = pages;
    this.ears = ears;
    this.bell = bell;
    this.presences = presences;
  }

  /**
   * Server-sent events of a page: {@code changed} with the revisions that it has come to and who
   * did it, {@code here} with who is on it, {@code remarked}; {@code missed} where nobody knows
   * what was not told.
   */
  @GetMapping(path = "/api/pages/{id}/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  ResponseEntity<SseEmitter> events(@PathVariable String id) {
    var stream = new Stream(pages.place(id).siteId(), id);
    ears.add(stream);
    stream.tell(Presences.HERE, presences.of(id));
    stream.start();
    // Servers between that gather answers would keep it to themselves.
    return ResponseEntity.ok().header("X-Accel-Buffering", "no").body(stream.emitter());
  }

  /**
   * Where somebody is on a page.
   *
   * @param window drawn by it, the same while it is open
   * @param node that is chosen
   * @param path of the value that is being typed; empty for none
   * @param gone whether the window is left
   */
  record HereBody(String window, String node, String path, boolean gone) {}

  @Needs(Role.REVIEWER)
  @PostMapping("/api/pages/{id}/here")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void here(
      @PathVariable String id,
      @RequestBody HereBody body,
      @Parameter(hidden = true) @AuthenticationPrincipal Who who) {
    for (String each : new String[] {body.window(), body.node(), body.path()}) {
      if (each.length() > LONGEST) {
        throw new Refused("here", each.length() + " characters", "at most " + LONGEST);
      }
    }
    bell.ring(
        pages.place(id).siteId(),
        id,
        Presences.HERE,
        Map.of(
            "window",
            body.window(),
            "person",
            who.person(),
            "name",
            who.name(),
            "node",
            body.node(),
            "path",
            body.path(),
            "gone",
            body.gone()));
  }
}
