package giostra.server.web;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.zip.GZIPOutputStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;

/** Bytes that everybody asks for: packed once, and not for each who asks. */
public final class Packed {
  private final byte[] bytes;
  private final byte[] gzip;

  /** Packs. */
  public Packed(byte[] bytes) {
    this.bytes = bytes.clone();
    this.gzip = packed(bytes);
  }

  /** How many bytes some are on the way. */
  public static long gzip(byte[] bytes) {
    return packed(bytes).length;
  }

  /** Some bytes, packed. */
  public static byte[] packed(byte[] bytes) {
    var packed = new ByteArrayOutputStream();
    try (var out = new GZIPOutputStream(packed)) {
      out.write(bytes);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return packed.toByteArray();
  }

  /**
   * Them, as who asks can read them.
   *
   * @param with what else the answer says
   * @param encodings the header {@code Accept-Encoding}. Source: RFC 9110, 12.5.3; one that is
   *     asked not to be used ({@code q=0}) counts as not named
   */
  public ResponseEntity<byte[]> answer(ResponseEntity.BodyBuilder with, String encodings) {
    with.header(HttpHeaders.VARY, HttpHeaders.ACCEPT_ENCODING);
    return takesGzip(encodings)
        ? with.header(HttpHeaders.CONTENT_ENCODING, "gzip").body(gzip)
        : with.body(bytes);
  }

  /** Whether who asks can read what is packed. */
  public static boolean takesGzip(String encodings) {
    for (String each : encodings.split(",")) {
      String[] parts = each.strip().split("\\s*;\\s*", 2);
      if (parts[0].equalsIgnoreCase("gzip")) {
        return parts.length == 1 || !parts[1].matches("[qQ]=0(\\.0{0,3})?");
      }
    }
    return false;
  }
}
