package giostra.server.web;

import com.aayushatharva.brotli4j.Brotli4jLoader;
import com.aayushatharva.brotli4j.encoder.Encoder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.regex.Pattern;
import java.util.zip.GZIPOutputStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;

/** Bytes that everybody asks for: packed once, and not for each who asks. */
public final class Packed {
  /** Of eleven: the last ones take ten times as long for a hundredth of the bytes. */
  private static final int QUALITY = 9;

  private static final Pattern NONE = Pattern.compile("[qQ]=0(\\.0{0,3})?");

  static {
    Brotli4jLoader.ensureAvailability();
  }

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
    return takes(encodings, "gzip")
        ? with.header(HttpHeaders.CONTENT_ENCODING, "gzip").body(gzip)
        : with.body(bytes);
  }

  /** Some bytes, packed by Brotli. Source: RFC 7932. */
  public static byte[] brotli(byte[] bytes) {
    try {
      return Encoder.compress(bytes, new Encoder.Parameters().setQuality(QUALITY));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Whether who asks can read what is packed in a way.
   *
   * @param way as a header names it: gzip, br
   */
  public static boolean takes(String encodings, String way) {
    int from = 0;
    while (from < encodings.length()) {
      int comma = encodings.indexOf(',', from);
      int end = comma < 0 ? encodings.length() : comma;
      int semicolon = encodings.indexOf(';', from);
      boolean isWeighed = semicolon >= 0 && semicolon < end;
      String name = encodings.substring(from, isWeighed ? semicolon : end).strip();
      if (name.equalsIgnoreCase(way)) {
        return !isWeighed
            || !NONE.matcher(encodings.substring(semicolon + 1, end).strip()).matches();
      }
      from = end + 1;
    }
    return false;
  }
}
