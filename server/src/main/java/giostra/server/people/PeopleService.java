package giostra.server.people;

import giostra.core.value.Refused;
import giostra.server.Settings;
import giostra.server.host.Ports;
import giostra.server.site.Ids;
import giostra.server.web.Gone;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lets people and programs in. */
@Service
class PeopleService {
  /** Who is there from the start. */
  static final String OWNER = "owner";

  /** How long a key can be used. */
  private static final Duration KEY = Duration.ofHours(1);

  /** When a token was used is noted so often. */
  private static final Duration NOTED = Duration.ofMinutes(1);

  /** Tokens of one person. */
  private static final int MOST_TOKENS = 50;

  private static final int LONGEST_NAME = 80;
  private static final int LONGEST_LIFE = 3660;

  private static final Logger LOG = LoggerFactory.getLogger(PeopleService.class);

  private final PeopleRows rows;
  private final Ports ports;
  private final Clock clock;
  private final String secret;

  PeopleService(PeopleRows rows, Clock clock, Settings settings, Ports ports) {
    this.ports = ports;
    this.rows = rows;
    this.clock = clock;
    this.secret = settings.ownerSecret();
  }

  /**
   * A key that lets the owner's browser in once, within the hour. Who asks is the owner already, or
   * has the server's own file.
   */
  String key(String person) {
    return key(person, KEY);
  }

  /** A key that lets somebody in once. */
  String key(String person, Duration works) {
    Instant now = clock.instant();
    String key = Secrets.drawn();
    rows.dropOldWaysIn(now);
    rows.addWayIn(Secrets.mixed(key), person, now.plus(works));
    return key;
  }

  /** Whoever starts the server by hand, without what the start command knows, is let in as well. */
  @EventListener(ApplicationReadyEvent.class)
  void started() {
    if (secret.isEmpty()) {
      LOG.info("One browser is let in, within the hour, at {}", address(key(OWNER)));
    }
  }

  /** The address that holds a key: what follows the # is sent nowhere. */
  String address(String key) {
    return ports.bench() + "/#key=" + key;
  }

  /** Whose key it is; it opens nothing after that. */
  PeopleRows.Person enter(String key) {
    return rows.useWayIn(Secrets.mixed(key), clock.instant())
        .flatMap(rows::person)
        .orElseThrow(() ->
            new Refused(
                "key",
                "used, too old or none",
                "one that ./giostra start has just printed, or the newest that you were sent; it"
                    + " works once"));
  }

  /** Somebody who is in. */
  Optional<Who> person(String id) {
    return rows.person(id).map(person -> who(person, true, true));
  }

  private static Who who(PeopleRows.Person person, boolean changes, boolean itself) {
    return new Who(
        person.id(), person.name(), person.owns(), roles(person.roles()), changes, itself, null);
  }

  private static Map<String, Role> roles(@Nullable String written) {
    var roles = new HashMap<String, Role>();
    for (String each : written == null ? new String[0] : written.split(",")) {
      int at = each.lastIndexOf(':');
      roles.put(each.substring(0, at), Role.given(each.substring(at + 1)));
    }
    return roles;
  }

  /** Who shows a token, or the secret of this machine. */
  Optional<Who> shows(String token) {
    if (!secret.isEmpty() && Secrets.same(secret, token)) {
      return Optional.of(new Who(OWNER, "This machine", true, Map.of(), true, true, null));
    }
    Instant now = clock.instant();
    Optional<PeopleRows.Shown> shown = rows.shown(Secrets.mixed(token), now);
    shown.ifPresent(each -> {
      Instant before = each.usedAt();
      if (before == null || before.isBefore(now.minus(NOTED))) {
        rows.used(each.id(), now);
      }
    });
    return shown.flatMap(
        each -> rows.person(each.person()).map(person -> who(person, each.changes(), false)));
  }

  /**
   * A token that was made.
   *
   * @param token the words that let a program in; they are told once
   */
  record TokenMade(String id, String token) {}

  /**
   * Makes a token.
   *
   * @param days that it works; null for ever
   */
  @Transactional
  TokenMade makeToken(String person, String name, boolean changes, @Nullable Integer days) {
    String called = name.strip();
    if (called.isEmpty() || called.length() > LONGEST_NAME) {
      throw new Refused(
          "name",
          called.isEmpty() ? "empty" : called.length() + " characters",
          "what the token is for, in 1 to " + LONGEST_NAME + " characters");
    }
    if (days != null && (days < 1 || days > LONGEST_LIFE)) {
      throw new Refused("days", Integer.toString(days), "a whole number from 1 to " + LONGEST_LIFE);
    }
    Instant now = clock.instant();
    var made = new TokenMade(Ids.chance(), "gst_" + Secrets.drawn());
    rows.lock(person);
    int added =
        rows.addToken(
            made.id(),
            person,
            called,
            Secrets.mixed(made.token()),
            changes,
            now,
            days == null ? null : now.plus(Duration.ofDays(days)),
            MOST_TOKENS);
    if (added == 0) {
      throw new Refused(
          "token",
          "the " + (MOST_TOKENS + 1) + "st",
          "at most " + MOST_TOKENS + "; end one that is used no more");
    }
    return made;
  }

  List<PeopleRows.TokenLine> tokens(String person) {
    return rows.tokens(person);
  }

  void dropToken(String person, String id) {
    if (rows.dropToken(person, id) == 0) {
      throw new Gone("token", id);
    }
  }
}
