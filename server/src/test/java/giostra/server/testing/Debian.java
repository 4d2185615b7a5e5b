package giostra.server.testing;

import java.nio.file.Path;

/** Programs of Debian's packages that the tests use. */
public final class Debian {
  /**
   * Chromium without its windows: the same engine from the same package source, at a third less of
   * the machine.
   */
  public static final Path CHROMIUM = Path.of("/usr/bin/chromium-headless-shell");

  private Debian() {}
}
