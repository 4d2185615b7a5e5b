package giostra.core.testing;

import giostra.core.format.DocumentJson;
import giostra.core.page.Document;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The page of the demo site, as it is shipped. */
public final class Demo {
  private Demo() {}

  /** Reads it. */
  public static Document document() {
    Path root = Path.of(System.getProperty("giostra.root"));
    try {
      return DocumentJson.read(
          Files.readString(root.resolve("server/src/main/resources/giostra/demo/evenings.json")));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
