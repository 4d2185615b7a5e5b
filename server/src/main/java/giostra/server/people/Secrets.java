package giostra.server.people;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/** Words that let somebody in: drawn by chance, so long that nobody guesses one. */
final class Secrets {
  private static final SecureRandom RANDOM = new SecureRandom();

  /** Bytes: 192 bits. */
  private static final int LONG = 24;

  private Secrets() {}

  static String drawn() {
    byte[] bytes = new byte[LONG];
    RANDOM.nextBytes(bytes);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
  }

  /**
   * What is kept of one. It was drawn and not thought up, so that mixing it once is enough. Source:
   * FIPS 180-4, SHA-256.
   */
  static String mixed(String secret) {
    return HexFormat.of().formatHex(digest(secret));
  }

  /** Whether two are the same; it takes as long whether they are or not. */
  static boolean same(String one, String other) {
    return MessageDigest.isEqual(digest(one), digest(other));
  }

  private static byte[] digest(String text) {
    try {
      return MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
