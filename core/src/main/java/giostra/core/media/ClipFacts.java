package giostra.core.media;

import giostra.core.value.Refused;
import java.nio.BufferUnderflowException;
import java.util.List;

/**
 * What a clip is.
 *
 * @param type its media type, {@code video/mp4} or {@code video/webm}
 * @param width as shown, in px; 0 for sound alone
 * @param height as shown, in px
 * @param durationMs 0 where the file does not say
 * @param codecs as in the {@code codecs} parameter of a media type (RFC 6381), the picture's first;
 *     empty where they are none that we know
 */
public record ClipFacts(String type, int width, int height, long durationMs, List<String> codecs) {
  public ClipFacts {
    codecs = List.copyOf(codecs);
  }

  /** Whether bytes begin as a clip does. */
  public static boolean looksLikeOne(byte[] bytes) {
    return Mp4.looksLikeOne(bytes) || Webm.looksLikeOne(bytes);
  }

  /**
   * Reads a clip.
   *
   * @throws Refused when it is damaged, or none
   */
  public static ClipFacts read(byte[] bytes) {
    try {
      if (Mp4.looksLikeOne(bytes)) {
        return Mp4.read(bytes);
      }
      if (Webm.looksLikeOne(bytes)) {
        return Webm.read(bytes);
      }
    } catch (BufferUnderflowException | IndexOutOfBoundsException | ArithmeticException e) {
      // A box that says it is longer or shorter than it is; there are as many ways as fields.
      throw new Refused("The clip", "damaged: its parts do not fit in one another", "a whole file");
    }
    throw new Refused("The clip", "of no known type", "mp4 or webm");
  }

  /** The type with its codecs, as the {@code type} of a source element has it. */
  public String full() {
    return codecs.isEmpty() ? type : type + "; codecs=\"" + String.join(", ", codecs) + "\"";
  }
}
