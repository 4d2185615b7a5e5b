package giostra.server.people;

import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who has a part in which site, said by its owners. */
@RestController
class PartsController {
  private final Parts parts;
  private final PeopleRows rows;
  private final FindByIndexNameSessionRepository<? extends Session> sessions;

  PartsController(
      Parts parts, PeopleRows rows, FindByIndexNameSessionRepository<? extends Session> sessions) {
    this.parts = parts;
    this.rows = rows;
    this.sessions = sessions;
  }

  @Needs(Role.OWNER)
  @GetMapping("/api/sites/{siteId}/people")
  List<PeopleRows.PartLine> people(@PathVariable String siteId) {
    return parts.of(siteId);
  }

  /**
   * Who is invited.
   *
   * @param role reviewer, writer, designer or owner
   */
  record InvitationBody(String address, String name, String role) {}

  @Needs(Role.OWNER)
  @PostMapping("/api/sites/{siteId}/people")
  @ResponseStatus(HttpStatus.CREATED)
  Parts.Invited invite(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who,
      @PathVariable String siteId,
      @RequestBody InvitationBody body) {
    String name = rows.siteName(siteId).orElse(siteId);
    return parts.invite(siteId, name, body.address(), body.name(), body.role(), who);
  }

  /** What somebody may do. */
  record RoleBody(String role) {}

  @Needs(Role.OWNER)
  @PutMapping("/api/sites/{siteId}/people/{person}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @PathVariable String siteId, @PathVariable String person, @RequestBody RoleBody body) {
    parts.change(siteId, person, body.role());
  }

  @Needs(Role.OWNER)
  @DeleteMapping("/api/sites/{siteId}/people/{person}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(@PathVariable String siteId, @PathVariable String person) {
    parts.take(siteId, person);
  }

  /** All who can be let in, with what they may do; for owners of the installation. */
  @Needs(Role.OWNER)
  @GetMapping("/api/people")
  List<PeopleRows.PartLine> all() {
    return parts.all();
  }

  /** Lets somebody in no more; what they changed stays theirs. */
  @DeleteMapping("/api/people/{person}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end(@PathVariable String person) {
    parts.end(person);
    sessions.findByPrincipalName(person).keySet().forEach(sessions::deleteById);
  }

  /** A new way in for somebody who has lost theirs; their browsers are out, their password goes. */
  @PostMapping("/api/people/{person}/ways-in")
  Parts.Invited restore(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who, @PathVariable String person) {
    Parts.Invited invited = parts.restore(person, who);
    sessions.findByPrincipalName(person).keySet().forEach(sessions::deleteById);
    return invited;
  }
}
