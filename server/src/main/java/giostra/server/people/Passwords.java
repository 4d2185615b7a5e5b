package giostra.server.people;

import giostra.core.value.Refused;
import giostra.server.web.Later;
import java.text.Normalizer;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.stereotype.Service;

/**
 * Passwords. What is kept of one is Argon2id (RFC 9106) with 19 MiB, two passes and one lane, the
 * least that OWASP's "Password Storage Cheat Sheet" recommends (value from memory). One that is
 * wrong makes the next for the same address wait, whoever tries, and whether anybody has it.
 */
@Service
class Passwords {
  /** Characters; NIST SP 800-63B asks for 8 at the least, and for 64 to be taken. */
  private static final int SHORTEST = 12;

  private static final int LONGEST = 200;

  /** Tries that do not wait; with each after them the wait doubles, from a second. */
  private static final int FREE = 5;

  private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
  private static final Duration FORGOTTEN = Duration.ofHours(1);

  private static final int MEMORY_KIB = 19 * 1024;

  /** Each that is worked out holds its memory, so that only so many are at a time. */
  private static final int AT_A_TIME = 2;

  private static final int PATIENCE_SECONDS = 5;

  /** What anybody would try first. */
  private static final Set<String> USUAL =
      Set.of("password", "passwort", "giostra", "qwertyuiop", "letmein", "welcome", "1234567890");

  private final Argon2PasswordEncoder encoder = new Argon2PasswordEncoder(16, 32, 1, MEMORY_KIB, 2);
  private final Semaphore room = new Semaphore(AT_A_TIME, true);
  private final PeopleRows rows;
  private final Clock clock;

  /** What the password of an address that nobody has is held against, so that it takes as long. */
  private final String nobodys;

  Passwords(PeopleRows rows, Clock clock) {
    this.rows = rows;
    this.clock = clock;
    this.nobodys = String.valueOf(encoder.encode(Secrets.drawn()));
  }

  /**
   * What is kept of a password.
   *
   * @param close words that it must not be: a name, an address
   * @throws Refused for one that is guessed too easily
   */
  String kept(String password, String... close) {
    String plain = plain(password);
    int length = plain.codePointCount(0, plain.length());
    if (length < SHORTEST || length > LONGEST) {
      throw refused(length + " characters", SHORTEST + " to " + LONGEST + " characters");
    }
    String small = plain.toLowerCase(Locale.ROOT);
    if (small.chars().distinct().count() < 5) {
      throw refused("few characters again and again", "five different ones at the least");
    }
    for (String word : USUAL) {
      if (small.replaceAll("[^a-z]", "").equals(word) || small.startsWith(word)) {
        throw refused("what is tried first", "no word that many use");
      }
    }
    for (String word : close) {
      String other = word.toLowerCase(Locale.ROOT);
      if (!other.isBlank() && (small.contains(other) || other.contains(small))) {
        throw refused("your name or address", "nothing that others know of you");
      }
    }
    return worked(() -> String.valueOf(encoder.encode(plain)));
  }

  private static Refused refused(String found, String allowed) {
    return new Refused("password", found, allowed).at("/password");
  }

  /** Different ways to type the same are the same. Source: NIST SP 800-63B, NFKC of passwords. */
  private static String plain(String password) {
    return Normalizer.normalize(password, Normalizer.Form.NFKC);
  }

  /** Whether it is somebody's. */
  boolean fits(String password, @Nullable String kept) {
    String plain = plain(password.length() > 4 * LONGEST ? "" : password);
    boolean same = worked(() -> encoder.matches(plain, kept == null ? nobodys : kept));
    return same && kept != null;
  }

  private <T> T worked(Supplier<T> work) {
    try {
      if (!room.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
        throw new Later("Many sign in at once; try again in a moment.", 2);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Later("The server stops.", 2);
    }
    try {
      return work.get();
    } finally {
      room.release();
    }
  }

  /**
   * Who has an address and a password.
   *
   * @throws Refused where nobody does, without saying which of the two it was
   * @throws Later where it was tried too often
   */
  PeopleRows.Person signIn(String address, String password) {
    Instant now = clock.instant();
    String asked = address.strip().toLowerCase(Locale.ROOT);
    if (asked.isEmpty() || asked.length() > 254) {
      throw new Refused("address", "empty or too long", "the one that you were invited by");
    }
    if (rows.countTry(asked, now, FREE, (int) LONGEST_WAIT.toSeconds()) == 0) {
      throw wait(rows.failed(asked).orElse(new PeopleRows.Failed(FREE, now)), now);
    }
    Optional<PeopleRows.Person> person = rows.addressed(asked);
    boolean right = fits(password, person.map(PeopleRows.Person::password).orElse(null));
    if (!right) {
      throw new Refused(
          "Address or password",
          "not one that goes with the other",
          "those of somebody who is known");
    }
    rows.forgetFailed(asked, now.minus(FORGOTTEN));
    return person.orElseThrow();
  }

  /** Addresses that are tried no more are kept no longer. */
  @Scheduled(fixedDelay = 3_600_000)
  void forget() {
    rows.forgetFailed("", clock.instant().minus(FORGOTTEN));
  }

  private static Later wait(PeopleRows.Failed failed, Instant now) {
    int over = Math.clamp(failed.failures() - FREE, 0, 20);
    Duration wait = Duration.ofSeconds(Math.min(LONGEST_WAIT.toSeconds(), 1L << over));
    int left = (int) Math.max(0, Duration.between(now, failed.lastAt().plus(wait)).toSeconds()) + 1;
    return new Later(
        "This address was tried too often; it can be tried again in "
            + left
            + (left == 1 ? " second." : " seconds."),
        left);
  }
}
