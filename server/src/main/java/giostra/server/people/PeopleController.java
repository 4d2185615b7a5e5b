package giostra.server.people;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
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
import org.springframework.web.bind.annotation.PutMapping;
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
  private final Parts parts;
  private final Passwords passwords;
  private final Passkeys passkeys;
  private final Guests guests;
  private final FindByIndexNameSessionRepository<? extends Session> sessions;

  PeopleController(
      PeopleService people,
      Parts parts,
      Passwords passwords,
      Passkeys passkeys,
      Guests guests,
      FindByIndexNameSessionRepository<? extends Session> sessions) {
    this.people = people;
    this.parts = parts;
    this.passwords = passwords;
    this.passkeys = passkeys;
    this.guests = guests;
    this.sessions = sessions;
  }

  /**
   * Who asks.
   *
   * @param id empty where nobody is in, or a guest
   * @param name what they are called; empty where nobody is in
   * @param owns whether they own the installation
   * @param roles what they may do, by site, where they do not own all
   * @param address that they sign in with; empty where they have none
   * @param password whether they have chosen one
   * @param passkeys whether this server has a name, so that there can be any
   * @param review the page that a guest may look at; null for everybody else
   * @param form what each request of a page that changes something has as its header {@code
   *     Giostra-Form}
   */
  record MeReply(
      boolean in,
      String id,
      String name,
      boolean owns,
      Map<String, String> roles,
      String address,
      boolean password,
      boolean passkeys,
      @Nullable String review,
      String form) {}

  @Needs(Role.NONE)
  @GetMapping("/api/me")
  MeReply me(
      @Parameter(hidden = true) @AuthenticationPrincipal @Nullable Who who,
      @Parameter(hidden = true) CsrfToken form) {
    if (who == null) {
      return new MeReply(
          false, "", "", false, Map.of(), "", false, passkeys.possible(), null, form.getToken());
    }
    var roles = new TreeMap<String, String>();
    who.roles().forEach((site, role) -> roles.put(site, role.word()));
    Optional<PeopleRows.Person> person = parts.person(who.person());
    return new MeReply(
        true,
        who.person(),
        who.name(),
        who.owns(),
        roles,
        person.map(PeopleRows.Person::address).orElse(""),
        person.map(PeopleRows.Person::password).isPresent(),
        passkeys.possible(),
        who.review() == null ? null : who.review().page(),
        form.getToken());
  }

  /**
   * What somebody is called.
   *
   * @param address that they sign in with; empty for none
   */
  record NameBody(String name, String address) {}

  @Needs(Role.NONE)
  @PutMapping("/api/me")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void rename(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who, @RequestBody NameBody body) {
    parts.rename(who.person(), body.name(), body.address());
  }

  /**
   * A password that is chosen.
   *
   * @param before the one that there was; empty where there was none
   */
  record PasswordBody(String password, String before) {}

  /** Chooses a password; all other browsers of the same person are out. */
  @Needs(Role.NONE)
  @PutMapping("/api/me/password")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void password(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who,
      @RequestBody PasswordBody body,
      @Parameter(hidden = true) HttpServletRequest request) {
    parts.choose(who.person(), body.password(), body.before());
    @Nullable HttpSession own = request.getSession(false);
    sessions.findByPrincipalName(who.person()).keySet().stream()
        .filter(id -> own == null || !own.getId().equals(id))
        .forEach(sessions::deleteById);
  }

  /** What somebody signs in with. */
  record SignInBody(String address, String password) {}

  @PostMapping("/api/sign-ins")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signIn(
      @RequestBody SignInBody body,
      @RequestHeader(name = "User-Agent", defaultValue = "") String browser,
      @Parameter(hidden = true) HttpServletRequest request) {
    letIn(passwords.signIn(body.address(), body.password()).id(), browser, request);
  }

  /**
   * What a browser is asked.
   *
   * @param options as W3C WebAuthn writes them in JSON
   */
  record AskedReply(Map<String, Object> options) {}

  /** What a browser is asked to show a passkey by. */
  @PostMapping("/api/sign-ins/asked")
  AskedReply askPasskey() {
    return new AskedReply(passkeys.asked());
  }

  /**
   * A passkey that is shown.
   *
   * @param credential as W3C WebAuthn writes it in JSON
   */
  record ShownBody(Map<String, Object> credential) {}

  /** Lets a browser in by a passkey. */
  @PostMapping("/api/sign-ins/passkey")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void showPasskey(
      @RequestBody ShownBody body,
      @RequestHeader(name = "User-Agent", defaultValue = "") String browser,
      @Parameter(hidden = true) HttpServletRequest request) {
    letIn(passkeys.signIn(body.credential()).id(), browser, request);
  }

  /** Passkeys of whoever asks. */
  @Needs(Role.NONE)
  @GetMapping("/api/me/passkeys")
  List<PeopleRows.PasskeyLine> passkeys(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who) {
    return passkeys.of(who.person());
  }

  /** What a browser is asked to make a passkey by. */
  @Needs(Role.NONE)
  @PostMapping("/api/me/passkeys/asked")
  AskedReply wantPasskey(@Parameter(hidden = true) @AuthenticationPrincipal Who who) {
    return new AskedReply(passkeys.wanted(who.person()));
  }

  /**
   * A passkey that a browser has made.
   *
   * @param name what its owner calls it
   * @param credential as W3C WebAuthn writes it in JSON
   */
  record MadeBody(String name, Map<String, Object> credential) {}

  @Needs(Role.NONE)
  @PostMapping("/api/me/passkeys")
  @ResponseStatus(HttpStatus.CREATED)
  void keepPasskey(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who, @RequestBody MadeBody body) {
    passkeys.keep(who.person(), body.name(), body.credential());
  }

  @Needs(Role.NONE)
  @DeleteMapping("/api/me/passkeys/{passkey}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void dropPasskey(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who, @PathVariable String passkey) {
    passkeys.drop(who.person(), passkey);
  }

  /** A key, and the address that holds it: what follows the # is sent nowhere. */
  record KeyReply(String key, String address) {}

  /** A key that lets a browser in, once, as whoever asks. */
  @Needs(Role.NONE)
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
    letIn(people.enter(body.key()).id(), browser, request);
  }

  private static void letIn(String person, String browser, HttpServletRequest request) {
    // What was there before, if anything, was somebody else's.
    @Nullable HttpSession before = request.getSession(false);
    if (before != null) {
      before.invalidate();
    }
    HttpSession session = request.getSession(true);
    session.setAttribute(SignedIn.PERSON, person);
    session.setAttribute(FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME, person);
    session.setAttribute(
        BROWSER, browser.substring(0, Math.min(LONGEST_BROWSER, browser.length())));
  }

  /** Lets a guest's browser in, with the key of a link for review. */
  @PostMapping("/api/reviews")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void review(
      @RequestBody WayInBody body,
      @RequestHeader(name = "User-Agent", defaultValue = "") String browser,
      @Parameter(hidden = true) HttpServletRequest request) {
    letIn(guests.enter(body.key()), browser, request);
  }

  /**
   * A browser that is in.
   *
   * @param browser as it names itself
   * @param own whether it is the one that asks
   */
  record SessionLine(String id, String browser, Instant since, Instant used, boolean own) {}

  @Needs(Role.NONE)
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
  @Needs(Role.NONE)
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
  @Needs(Role.NONE)
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

  @Needs(Role.NONE)
  @PostMapping("/api/me/tokens")
  @ResponseStatus(HttpStatus.CREATED)
  PeopleService.TokenMade makeToken(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who, @RequestBody TokenBody body) {
    return people.makeToken(who.person(), body.name(), body.changes(), body.days());
  }

  @Needs(Role.NONE)
  @DeleteMapping("/api/me/tokens/{token}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void dropToken(
      @Parameter(hidden = true) @AuthenticationPrincipal Who who, @PathVariable String token) {
    people.dropToken(who.person(), token);
  }
}
