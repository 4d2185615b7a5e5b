package giostra.server.web;

import giostra.core.value.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;

/** What somebody sends, never more of it than is allowed. */
public final class Limited {
  private Limited() {}

  /**
   * Copies a stream.
   *
   * @param most bytes at the most
   * @throws Refused when there is more
   */
  public static void copy(InputStream in, OutputStream out, long most, String what)
      throws IOException {
    byte[] some = new byte[65_536];
    long all = 0;
    for (int length = in.read(some); length >= 0; length = in.read(some)) {
      all += length;
      if (all > most) {
        throw new Refused(
            what,
            "more than " + most / 1024 / 1024 + " MB",
            "at most " + most / 1024 / 1024 + " MB");
      }
      out.write(some, 0, length);
    }
  }
}
