package giostra.core.output;

import java.util.List;
import java.util.Optional;

/**
 * What a page needs besides its document; handed in, so that the compiler does no I/O.
 *
 * @param script path of the page script, relative to the page
 * @param fonts the fonts that ship with the page
 * @param media finds a picture by id
 */
public record Shipped(String script, List<Font> fonts, Media media) {

  /** A variable font file. */
  public record Font(String family, String path, String weights, String unicodeRange) {}

  /**
   * A picture as it is.
   *
   * @param path relative to the page
   * @param width in px, before any cropping
   * @param height in px
   * @param alt its own text alternative, used where the document gives none
   */
  public record Picture(String id, String path, String type, int width, int height, String alt) {}

  /** Where pictures are looked up. */
  @FunctionalInterface
  public interface Media {
    /** The picture with that id, if there is one. */
    Optional<Picture> find(String id);
  }

  public Shipped {
    fonts = List.copyOf(fonts);
  }
}
