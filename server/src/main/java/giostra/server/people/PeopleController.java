package giostra.server.people;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who is in, and how one gets in and out. */
@RestController
class PeopleController {
  private static final String BROWSER = "browser";
  private static final int LONGEST_BROWSER = 200;

  private final PeopleService people;
  private final FindByIndexNameSessionRepository<? extends Session> sessions;

  PeopleController(
      PeopleService people, FindByIndexNameSessionRepository<? extends Session> sessions) {
    this.people = people;
    this.sessions = sessions;
  }

  /**
   * Who asks.
   *
   * @param name what they are called; empty where nobody is in
   * @param form what each request of a page that changes something has as its header {@code
   *     Giostra-Form}
   */
  record MeReply(boolean in, String name, String form) {}

  @GetMapping("/api/me")
  MeReply me(
      @Parameter(hidden = true) @AuthenticationPrincipal @Nullable Who who,
      @Parameter(hidden = true) CsrfToken form) {
    return who == null
        ? new MeReply(false, "", form.getToken())
        : new MeReply(true, who.name(), form.getToken());
  }

  /** A key, and the address that holds it: what follows the # is sent nowhere. */
  record KeyReply(String key, String address) {}

  /** A key that lets a browser in, once, as whoever asks. */
  @PostMapping("/api/keys")
  KeyReply key(@Parameter(hidden = true) @AuthenticationPrincipal Who who) {
    String key = people.key(who.person());
    return new KeyReply(key, people.address(key));
  }

  /** What lets somebody in. */
  record WayInBody(String key) {}

  /** Lets a browser in. */
  @PostMapping("/api/ways-in")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void enter(
      @RequestBody WayInBody body,
      @RequestHeader(name = "User-Agent", defaultValue = "") String browser,
      @Parameter(hidden = true) HttpServletRequest request) {
    PeopleRows.Person person = people.enter(body.key());
    // What was there before, if anything, was somebody else's.
    @Nullable HttpSession before = request.getSession(false);
    if (before != null) {
      before.invalidate();
    }
    HttpSession session = request.getSession(true);
    session.setAttribute(SignedIn.PERSON, person.id());
    session.setAttribute(FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME, person.id());
    session.setAttribute(
        BROWSER, browser.substring(0, Math.min(LONGEST_BROWSER, browser.length())));
  }

  /**
   * A browser that is in.
   *
   * @param browser as it names itself
   * @param own whether it is the one that asks
   */
  record SessionLine(String id, String browser, Instant since, Instant used, boolean own) {}

  @GetMapping("/api/me/sessions")
  List<SessionLine> sessions(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who,
      @Parameter(hidden = true) HttpServletRequest request) {
    @Nullable HttpSession own = request.getSession(false);
    return sessions.findByPrincipalName(who.person()).values().stream()
        .map(each ->
            new SessionLine(
                Secrets.mixed(each.getId()).substring(0, 24),
                each.getAttributeOrDefault(BROWSER, ""),
                each.getCreationTime(),
                each.getLastAccessedTime(),
                own != null && own.getId().equals(each.getId())))
        .sorted(Comparator.comparing(SessionLine::used).reversed())
        .toList();
  }

  /** Ends a session: that browser is out at once. */
  @DeleteMapping("/api/me/sessions/{session}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who, @PathVariable String session) {
    // What a session is called in its cookie is told nobody.
    sessions.findByPrincipalName(who.person()).keySet().stream()
        .filter(id -> Secrets.mixed(id).startsWith(session) && session.length() == 24)
        .findFirst()
        .ifPresent(sessions::deleteById);
  }

  /** Tokens of whoever asks. */
  @GetMapping("/api/me/tokens")
  List<PeopleRows.TokenLine> tokens(@Parameter(hidden = true) @AuthenticationPrincipal Who who) {
    return people.tokens(who.person());
  }

  /**
   * A token that is wanted.
   *
   * @param name what it is for
   * @param changes whether it may change anything, or only look
   * @param days that it works; nothing for ever
   */
  record TokenBody(String name, boolean changes, @Nullable Integer days) {}

  @PostMapping("/api/me/tokens")
  @ResponseStatus(HttpStatus.CREATED)
  PeopleService.TokenMade makeToken(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who, @RequestBody TokenBody body) {
    return people.makeToken(who.person(), body.name(), body.changes(), body.days());
  }

  @DeleteMapping("/api/me/tokens/{token}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void dropToken(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who, @PathVariable String token) {
    people.dropToken(who.person(), token);
  }
}
