package giostra.core.output;

import giostra.core.fit.StandIn;
import giostra.core.room.Rooms;
import giostra.core.value.Typeface;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The fixed part of a page's CSS: for every page, and for each kind of piece it uses. */
final class Stylesheet {
  private static final String BASE = load(Stylesheet.class, "base");
  private static final String GROUNDS = load(Stylesheet.class, "grounds");

  /** What several kinds have in common. */
  private static final Map<String, String> SHARED =
      named(Stylesheet.class, "track", "fold", "grid");

  private static final Map<String, String> KINDS = new HashMap<>(Map.of("grounds", GROUNDS));
  private static final Map<String, String> PARTS =
      new HashMap<>(named(Stylesheet.class, "marks", "hold", "deep"));

  static {
    for (String kind : Rooms.words()) {
      Written<?> room = Rooms.of(kind, Written.class);
      List<String> sheets = room.sheets();
      KINDS.put(kind, load(room.getClass(), sheets.getFirst()));
      sheets.stream().skip(1).forEach(each -> PARTS.put(each, load(room.getClass(), each)));
    }
  }

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
    return Rooms.words().contains(kind)
        ? Optional.ofNullable(SHARED.get(Rooms.of(kind, Written.class).sharedSheet()))
        : Optional.empty();
  }

  /**
   * The faces of the fonts. {@code optional}: a font that comes late must not move anything; {@code
   * swap} where it does not. Source: CSS Fonts 4, "font-display".
   */
  static String faces(List<Shipped.Font> fonts) {
    var css = new StringBuilder();
    for (Shipped.Font font : fonts) {
      css.append(
          String.format(
              Locale.ROOT,
              "@font-face{font-family:\"%s\";src:url(\"%s\") format(\"%s\");font-weight:%s;font-display:%s%s%s}",
              font.family(),
              font.path(),
              format(font.type()),
              font.weights(),
              font.late() ? "swap" : "optional",
              font.slanted() ? ";font-style:italic" : "",
              font.unicodeRange().isEmpty() ? "" : ";unicode-range:" + font.unicodeRange()));
    }
    return css.toString();
  }

  /**
   * What stands in for families until they have come, so that words break where they will. Where a
   * machine has no such letters it goes on to the next name.
   */
  static String standIns(Stream<Typeface> families, OwnFaces own) {
    return families
        .flatMap(face ->
            Stream.of(false, true)
                .flatMap(bold ->
                    StandIn.of(own.measured(face), face.stand(), bold)
                        .map(in -> standIn(face, bold, in))
                        .stream()))
        .collect(Collectors.joining());
  }

  private static String standIn(Typeface face, boolean bold, StandIn in) {
    String names =
        face.stand().names(bold).stream()
            .map(name -> "local(\"" + name + "\")")
            .collect(Collectors.joining(","));
    return String.format(
        Locale.ROOT,
        "@font-face{font-family:\"%s\";src:%s;font-weight:%s;size-adjust:%.2f%%;ascent-override:%.2f%%;descent-override:%.2f%%;line-gap-override:0%%}",
        face.standIn(),
        names,
        bold ? StandIn.BOLD_FROM + " 1000" : "1 " + (StandIn.BOLD_FROM - 1),
        in.size() * 100,
        in.above() * 100,
        in.below() * 100);
  }

  /** Source: CSS Fonts 4, "Font formats". */
  private static String format(String type) {
    return switch (type) {
      case "font/ttf" -> "truetype";
      case "font/otf" -> "opentype";
      default -> type.substring("font/".length());
    };
  }

  private static Map<String, String> named(Class<?> beside, String... names) {
    return Stream.of(names)
        .collect(Collectors.toMap(Function.identity(), name -> load(beside, name)));
  }

  /** The sheet of that name that lies beside a class. */
  private static String load(Class<?> beside, String name) {
    try (InputStream in = beside.getResourceAsStream(name + ".css")) {
      if (in == null) {
        throw new IllegalStateException(name + ".css does not lie beside " + beside.getName());
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
