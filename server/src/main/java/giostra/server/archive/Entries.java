package giostra.server.archive;

import giostra.core.value.Refused;
import java.io.ByteArrayOutputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;

/**
 * The entries of an uploaded archive, one after the other and never more of one than is allowed.
 * Names are only ever looked up, never used as places for files.
 */
final class Entries implements AutoCloseable {
  static final int MOST_ENTRY = 64 * 1024 * 1024;
  static final long MOST_ALL = 1024L * 1024 * 1024;
  private static final int MOST_ENTRIES = 20_000;

  /** Inflated to more than this many times its size, past the first MB, an entry is a bomb. */
  private static final int MOST_TIMES = 200;

  private static final Pattern NAME =
      Pattern.compile(
          "giostra\\.json|pages/[a-z0-9-]{1,60}\\.json|media/[0-9a-f]{16}\\.[a-z0-9]{2,5}"
              + "|stock/[a-z0-9-]{1,80}\\.json|sources/[a-z0-9-]{1,80}");

  private final Counted packed;
  private final ZipInputStream zip;
  private long all;
  private int count;

  Entries(InputStream in) {
    this.packed = new Counted(in);
    this.zip = new ZipInputStream(packed);
  }

  /** Counts what is read; entries that were written in one go do not say how large they are. */
  private static final class Counted extends FilterInputStream {
    private long count;

    Counted(InputStream in) {
      super(in);
    }

    @Override
    public int read() throws IOException {
      int next = super.read();
      count += next < 0 ? 0 : 1;
      return next;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
      int read = super.read(into, from, length);
      count += Math.max(0, read);
      return read;
    }
  }

  /** One entry. */
  record Entry(String name, byte[] bytes) {}

  /**
   * The next one, or null after the last.
   *
   * @throws Refused for a name that is none of ours, and for entries that are too large
   */
  @Nullable Entry next() {
    try {
      ZipEntry entry = zip.getNextEntry();
      if (entry == null) {
        return null;
      }
      String name = entry.getName();
      if (!NAME.matcher(name).matches()) {
        throw new Refused(
            "Entry of the archive",
            name.length() > 80 ? name.substring(0, 80) : name,
            "giostra.json, or one in pages, media, stock or sources");
      }
      if (++count > MOST_ENTRIES) {
        throw new Refused("The archive", "of more than " + MOST_ENTRIES + " entries", "smaller");
      }
      return new Entry(name, read(name));
    } catch (ZipException e) {
      throw new Refused("The archive", "damaged (" + e.getMessage() + ")", "a whole zip file");
    } catch (IOException e) {
      throw new Refused("The archive", "cut off", "a whole zip file");
    }
  }

  private byte[] read(String name) throws IOException {
    long before = packed.count;
    var out = new ByteArrayOutputStream();
    byte[] some = new byte[65_536];
    for (int length = zip.read(some); length >= 0; length = zip.read(some)) {
      out.write(some, 0, length);
      all += length;
      if (out.size() > MOST_ENTRY) {
        throw new Refused("Entry " + name, "more than 64 MB", "at most 64 MB");
      }
      long from = packed.count - before + 1;
      if (out.size() > 1_048_576 && out.size() / from > MOST_TIMES) {
        throw new Refused(
            "Entry " + name, "more than " + MOST_TIMES + " times what it was packed to", "less");
      }
      if (all > MOST_ALL) {
        throw new Refused("The archive", "more than 1 GB", "at most 1 GB");
      }
    }
    return out.toByteArray();
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }
}
