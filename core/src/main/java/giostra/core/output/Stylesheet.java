package giostra.core.output;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** The fixed part of a page's CSS: for every page, and for each kind of piece it uses. */
final class Stylesheet {
  private static final String BASE = load("base.css");
  private static final String CAROUSEL = load("carousel.css");

  private Stylesheet() {}

  static String base() {
    return BASE;
  }

  static String carousel() {
    return CAROUSEL;
  }

  /** The faces of the fonts. {@code optional}: a font that comes late must not move anything. */
  static String faces(List<Shipped.Font> fonts) {
    var css = new StringBuilder();
    for (Shipped.Font font : fonts) {
      css.append(
          "@font-face{font-family:\"%s\";src:url(\"%s\") format(\"woff2\");font-weight:%s;font-display:optional;unicode-range:%s}"
              .formatted(font.family(), font.path(), font.weights(), font.unicodeRange()));
    }
    return css.toString();
  }

  private static String load(String name) {
    try (InputStream in = Stylesheet.class.getResourceAsStream("/giostra/core/output/" + name)) {
      if (in == null) {
        throw new IllegalStateException(name + " is not in the core's resources");
      }
      return squeezed(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Without comments and needless white space; our own sheets keep no strings with either. */
  static String squeezed(String css) {
    return css.replaceAll("(?s)/\\*.*?\\*/", "")
        .replaceAll("\\s+", " ")
        .replaceAll("\\s*([{};,>])\\s*", "$1")
        .replaceAll(":\\s+", ":")
        .replace(";}", "}")
        .strip();
  }
}
