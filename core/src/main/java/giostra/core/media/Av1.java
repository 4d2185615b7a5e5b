package giostra.core.media;

import java.nio.ByteBuffer;
import java.util.Locale;

/**
 * The codec of an AV1 track. Source: AV1 Codec ISO Media File Format Binding, "Codecs Parameter
 * String" and "AV1 Codec Configuration Box"; the layout is from memory.
 */
final class Av1 {
  private Av1() {}

  static String codec(ByteBuffer in) {
    int profile = (in.get(1) & 0xFF) >> 5;
    int level = in.get(1) & 0x1F;
    int flags = in.get(2) & 0xFF;
    boolean high = (flags >> 6 & 1) == 1;
    boolean twelve = (flags >> 5 & 1) == 1;
    return String.format(
        Locale.ROOT,
        "av01.%d.%02d%s.%02d",
        profile,
        level,
        (flags >> 7 & 1) == 1 ? "H" : "M",
        high ? twelve ? 12 : 10 : 8);
  }
}
