package giostra.server.people;

import giostra.core.value.Refused;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * What a passkey is asked to sign: bytes drawn by chance, when, and a seal over both and what it is
 * for. Nothing is kept of one that nobody answers, so that asking costs nobody room; every server
 * on the database knows the seals of the others. Source: W3C WebAuthn, 13.4.3 (at least 16 bytes by
 * chance); RFC 2104, HMAC.
 */
@Component
class Challenges {
  /** How long one may be answered. */
  static final Duration ANSWERED = Duration.ofMinutes(5);

  private static final int CHANCE = 16;
  private static final int PLAIN = CHANCE + Long.BYTES;
  private static final String MAC = "HmacSHA256";
  private static final SecureRandom RANDOM = new SecureRandom();

  private final PeopleRows rows;
  private final Clock clock;

  Challenges(PeopleRows rows, Clock clock) {
    this.rows = rows;
    this.clock = clock;
  }

  /** A new one, for something; in bytes. */
  byte[] drawn(String what) {
    var drawn = new byte[CHANCE];
    RANDOM.nextBytes(drawn);
    byte[] plain =
        ByteBuffer.allocate(PLAIN).put(drawn).putLong(clock.instant().toEpochMilli()).array();
    byte[] seal = seal(plain, what);
    return ByteBuffer.allocate(PLAIN + seal.length).put(plain).put(seal).array();
  }

  /**
   * Holds one that comes back to what was asked.
   *
   * @throws Refused where it was not asked here, for something else, or too long ago
   */
  void check(byte[] challenge, String what) {
    byte[] plain = Arrays.copyOf(challenge, PLAIN);
    byte[] seal =
        Arrays.copyOfRange(challenge, Math.min(PLAIN, challenge.length), challenge.length);
    if (!MessageDigest.isEqual(seal, seal(plain, what))) {
      throw refused("the answer to something else");
    }
    Instant asked = Instant.ofEpochMilli(ByteBuffer.wrap(plain).getLong(CHANCE));
    if (asked.plus(ANSWERED).isBefore(clock.instant())) {
      throw refused("too late");
    }
  }

  /**
   * Uses one up.
   *
   * @throws Refused where it was used before
   */
  void use(byte[] challenge) {
    String hash = Secrets.mixed(HexFormat.of().formatHex(challenge));
    if (rows.useAnswer(hash, clock.instant().plus(ANSWERED)) == 0) {
      throw refused("one that was used before");
    }
  }

  private static Refused refused(String found) {
    return new Refused(
        "passkey", found, "one that is shown within five minutes of being asked for, once");
  }

  private byte[] seal(byte[] plain, String what) {
    try {
      Mac mac = Mac.getInstance(MAC);
      byte[] secret = rows.drawnSecret("passkey").getBytes(StandardCharsets.UTF_8);
      mac.init(new SecretKeySpec(secret, MAC));
      mac.update(plain);
      return mac.doFinal(what.getBytes(StandardCharsets.UTF_8));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  @Scheduled(fixedDelay = 600_000)
  void forget() {
    rows.dropOldAnswers(clock.instant());
  }
}
