package giostra.core.testing;

import giostra.core.band.Bands;
import giostra.core.format.DocumentJson;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Page;
import giostra.core.page.Section;
import giostra.core.page.Site;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** The page of the demo site, as it is shipped; and pages of nothing else. */
public final class Demo {
  /** As if none were drawn wider than it is: those of its visitors are 640 px wide. */
  public static final PictureSizes PICTURES =
      id ->
          id.isEmpty()
              ? Optional.empty()
              : Optional.of(
                  id.startsWith("visitor")
                      ? new PictureSizes.Size(640, 640)
                      : new PictureSizes.Size(2560, 1920));

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

  /** A page of nothing but these sections. */
  public static Document bare(List<Section> sections) {
    return new Document(
        new Site(Bands.INITIAL, Values.NONE), new Page("page", Values.NONE, sections));
  }
}
