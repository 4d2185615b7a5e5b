package giostra.core.testing;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;

/** Tables of a plain font by name. Source: OpenType, "Table directory". */
public final class FontTables {
  private FontTables() {}

  /** Copies of them, in order. */
  public static Map<String, byte[]> of(byte[] font) {
    var all = new TreeMap<String, byte[]>();
    ByteBuffer in = ByteBuffer.wrap(font);
    for (int i = 0; i < in.getShort(4); i++) {
      int at = 12 + 16 * i;
      int from = in.getInt(at + 8);
      all.put(
          new String(font, at, 4, StandardCharsets.ISO_8859_1),
          Arrays.copyOfRange(font, from, from + in.getInt(at + 12)));
    }
    return all;
  }
}
