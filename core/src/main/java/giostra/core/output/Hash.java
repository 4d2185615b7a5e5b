package giostra.core.output;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Base64;
import java.util.HexFormat;

/** Names content by its SHA-256, so that a file of that name never changes. */
public final class Hash {
  private Hash() {}

  /** The first 12 hexadecimal digits of the hash of some text in UTF-8. */
  public static String of(String text) {
    return full(text.getBytes(StandardCharsets.UTF_8)).substring(0, 12);
  }

  /** All 64 hexadecimal digits of the hash of some bytes. */
  public static String full(byte[] bytes) {
    return HexFormat.of().formatHex(digest("SHA-256", bytes));
  }

  /** What a tag says of the bytes that it asks for. Source: Subresource Integrity. */
  public static String integrity(byte[] bytes) {
    return "sha384-" + Base64.getEncoder().encodeToString(digest("SHA-384", bytes));
  }

  /** What a policy says of a script or a sheet in a page. Source: Content Security Policy 3. */
  public static String source(String text) {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    return "'sha256-" + Base64.getEncoder().encodeToString(digest("SHA-256", bytes)) + "'";
  }

  private static byte[] digest(String by, byte[] bytes) {
    try {
      return MessageDigest.getInstance(by).digest(bytes);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has " + by, e);
    }
  }
}
