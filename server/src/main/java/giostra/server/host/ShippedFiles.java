package giostra.server.host;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Optional;

/** What the build of the page scripts left for us: scripts, fonts, icons. */
public final class ShippedFiles {
  private static final String ROOT = "/giostra/runtime/";

  private ShippedFiles() {}

  /** The bytes of one of them; without it the application cannot run. */
  public static byte[] load(String name) {
    return find(name)
        .orElseThrow(() ->
            new IllegalStateException(ROOT + name + " is missing: the runtime was not built"));
  }

  /** The bytes of one that not every build has. */
  static Optional<byte[]> find(String name) {
    try (InputStream in = ShippedFiles.class.getResourceAsStream(ROOT + name)) {
      return in == null ? Optional.empty() : Optional.of(in.readAllBytes());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
