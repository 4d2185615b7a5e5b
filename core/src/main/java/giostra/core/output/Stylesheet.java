package giostra.core.output;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The fixed part of a page's CSS: for every page, and for each kind of piece it uses. */
final class Stylesheet {
  private static final String BASE = load("base.css");
  private static final Map<String, String> KINDS =
      Stream.of(
              "carousel",
              "slider",
              "tabs",
              "accordion",
              "flip-boxes",
              "counters",
              "video",
              "grounds")
          .collect(Collectors.toMap(Function.identity(), kind -> load(kind + ".css")));
  private static final String TRACK = load("track.css");
  private static final Map<String, String> PARTS =
      Stream.of("marks", "quotation", "hold")
          .collect(Collectors.toMap(Function.identity(), part -> load(part + ".css")));
  private static final String FOLD = load("fold.css");
  private static final String GRID = load("grid.css");

  private Stylesheet() {}

  static String base() {
    return BASE;
  }

  /**
   * The rules of a kind; what several kinds share goes with the first of them.
   *
   * @param all the kinds of a page, in the order in which their rules are asked for
   */
  static String of(String kind, Collection<String> all) {
    String own = KINDS.getOrDefault(kind, "");
    return shared(kind)
        .filter(sheet ->
            all.stream()
                .filter(k -> shared(k).equals(shared(kind)))
                .findFirst()
                .orElse(kind)
                .equals(kind))
        .map(sheet -> sheet + own)
        .orElse(own);
  }

  /** The rules of a part that only some pieces of a kind have. */
  static String part(String name) {
    return PARTS.getOrDefault(name, "");
  }

  private static Optional<String> shared(String kind) {
    return switch (kind) {
      case "carousel", "slider" -> Optional.of(TRACK);
      case "tabs", "accordion" -> Optional.of(FOLD);
      case "flip-boxes", "counters", "video" -> Optional.of(GRID);
      default -> Optional.empty();
    };
  }

  /** The faces of the fonts. {@code optional}: a font that comes late must not move anything. */
  static String faces(List<Shipped.Font> fonts) {
    var css = new StringBuilder();
    for (Shipped.Font font : fonts) {
      css.append(
          String.format(
              Locale.ROOT,
              "@font-face{font-family:\"%s\";src:url(\"%s\") format(\"woff2\");font-weight:%s;font-display:optional;unicode-range:%s}",
              font.family(),
              font.path(),
              font.weights(),
              font.unicodeRange()));
    }
    return css.toString();
  }

  private static String load(String name) {
    try (InputStream in = Stylesheet.class.getResourceAsStream("/giostra/core/output/" + name)) {
      if (in == null) {
        throw new IllegalStateException(name + " is not in the core's resources");
      }
      return squeezed(Filled.of(new String(in.readAllBytes(), StandardCharsets.UTF_8)));
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
