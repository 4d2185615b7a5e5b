package giostra.server.host;

import java.nio.ByteBuffer;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/** What is published and ready to be sent, before anything else of the server is asked. */
public interface Prepared {
  /**
   * What is at an address, if that waits in memory; it never waits for anything itself.
   *
   * @param path as it is asked for, without what follows a question mark
   */
  @Nullable Answer waiting(String path);

  /** What is at an address, read if need be; none where it goes the usual way. */
  @Nullable Answer read(String path);

  /**
   * A file and how it is sent.
   *
   * @param tag its entity tag, in quotes
   * @param caching its {@code Cache-Control}
   * @param bytes of the file as it is
   * @param body the file, where it is small
   * @param file where it lies, where it is large
   */
  record Answer(
      String tag,
      String type,
      String policy,
      String caching,
      long bytes,
      @Nullable Body body,
      @Nullable Path file) {}

  /**
   * Bytes, as they are and packed; outside of the heap, from where they are sent as they lie.
   *
   * @param gzip empty where packing brings nothing, and so is the other
   */
  record Body(ByteBuffer plain, ByteBuffer gzip, ByteBuffer brotli) {
    /** Takes some bytes. */
    public static Body of(byte[] plain, byte[] gzip, byte[] brotli) {
      return new Body(direct(plain), direct(gzip), direct(brotli));
    }

    private static ByteBuffer direct(byte[] bytes) {
      return ByteBuffer.allocateDirect(bytes.length).put(bytes).flip();
    }

    /** Whether it is there packed, too. */
    public boolean isPacked() {
      return gzip.hasRemaining();
    }

    /** What it weighs in memory. */
    public int weight() {
      return plain.capacity() + gzip.capacity() + brotli.capacity() + 200;
    }
  }
}
