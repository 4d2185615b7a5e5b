package giostra.server.archive;

import giostra.core.testing.Wild;
import giostra.core.value.Refused;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;

/** Whatever calls itself an archive is unpacked or refused in words. */
class WildArchiveTest {
  private static byte[] zip(int method) {
    var out = new ByteArrayOutputStream();
    try (var zip = new ZipOutputStream(out)) {
      for (String name : List.of("giostra.json", "pages/one.json", "media/0123456789abcdef.png")) {
        byte[] bytes = (name + " ").repeat(40).getBytes(StandardCharsets.UTF_8);
        var entry = new ZipEntry(name);
        entry.setMethod(method);
        if (method == ZipEntry.STORED) {
          var crc = new java.util.zip.CRC32();
          crc.update(bytes);
          entry.setCrc(crc.getValue());
          entry.setSize(bytes.length);
        }
        zip.putNextEntry(entry);
        zip.write(bytes);
        zip.closeEntry();
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    return out.toByteArray();
  }

  private static void read(byte[] bytes) {
    try (var entries = new Entries(new ByteArrayInputStream(bytes))) {
      boolean any = false;
      while (entries.next() != null) {
        any = true;
      }
      if (!any) {
        throw new Refused("The archive", "without entries", "a whole zip file");
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  @Test
  void whateverComesIsUnpackedOrRefused() throws InterruptedException {
    new Wild(
            "zip",
            List.of(zip(ZipEntry.DEFLATED), zip(ZipEntry.STORED)),
            List.of(
                "PK\u0003\u0004", "PK\u0001\u0002", "PK\u0005\u0006", "pages/", "../", "\u00e4"),
            60_000,
            WildArchiveTest::read)
        .go(500, Long.getLong("giostra.seed", 1));
  }
}
