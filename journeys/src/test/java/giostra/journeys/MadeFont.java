package giostra.journeys;

import giostra.core.fit.Face;
import giostra.core.testing.FontTables;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.Objects;

/**
 * A font as a designer has it: one weight in one plain file, made of one that ships. Source:
 * OpenType, "Organization of an OpenType Font", "name", "OS/2".
 */
record MadeFont(String family, int weight, boolean slanted) {
  private static final String[] VARIED = {"fvar", "gvar", "avar", "HVAR", "MVAR", "STAT", "cvar"};

  /** Its bytes: letters of a file of the core's, without what lets them vary, under its name. */
  byte[] of(String file) throws IOException {
    Map<String, byte[]> tables = tables(file);
    Arrays.asList(VARIED).forEach(tables::remove);
    tables.put("name", names());
    ByteBuffer os2 = ByteBuffer.wrap(Objects.requireNonNull(tables.get("OS/2")));
    os2.putShort(4, (short) weight);
    // Regular, or italic.
    os2.putShort(62, (short) (slanted ? 1 : 1 << 6));
    ByteBuffer.wrap(Objects.requireNonNull(tables.get("head")))
        .putShort(44, (short) (slanted ? 2 : 0));
    return written(tables);
  }

  private static Map<String, byte[]> tables(String file) throws IOException {
    byte[] font;
    try (InputStream in = Face.class.getResourceAsStream("/giostra/core/fit/fonts/" + file)) {
      font = Objects.requireNonNull(in, file).readAllBytes();
    }
    return FontTables.of(font);
  }

  private byte[] names() {
    byte[] name = family.getBytes(StandardCharsets.UTF_16BE);
    int[] ids = {1, 4, 6};
    ByteBuffer to = ByteBuffer.allocate(6 + 12 * ids.length + name.length);
    to.putShort((short) 0).putShort((short) ids.length).putShort((short) (6 + 12 * ids.length));
    for (int id : ids) {
      // Windows, Unicode, English.
      to.putShort((short) 3).putShort((short) 1).putShort((short) 0x409).putShort((short) id);
      to.putShort((short) name.length).putShort((short) 0);
    }
    return to.put(name).array();
  }

  private static byte[] written(Map<String, byte[]> tables) {
    var out = new ByteArrayOutputStream();
    int at = 12 + 16 * tables.size();
    ByteBuffer head = ByteBuffer.allocate(at);
    head.putInt(0x00010000).putShort((short) tables.size()).putShort((short) 0).putInt(0);
    for (var each : tables.entrySet()) {
      head.put(each.getKey().getBytes(StandardCharsets.ISO_8859_1)).putInt(sum(each.getValue()));
      head.putInt(at).putInt(each.getValue().length);
      at += (each.getValue().length + 3) & ~3;
    }
    out.writeBytes(head.array());
    tables.values().forEach(table -> out.writeBytes(Arrays.copyOf(table, (table.length + 3) & ~3)));
    return out.toByteArray();
  }

  private static int sum(byte[] table) {
    ByteBuffer in = ByteBuffer.wrap(Arrays.copyOf(table, (table.length + 3) & ~3));
    int sum = 0;
    while (in.hasRemaining()) {
      sum += in.getInt();
    }
    return sum;
  }
}
