package giostra.core.output;

import java.util.Locale;

/** The little JSON that plans are made of. Source: RFC 8259, 7 "Strings". */
final class Json {
  private Json() {}

  /** A string, quoted. */
  static String text(String text) {
    var out = new StringBuilder("\"");
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      switch (c) {
        case '"' -> out.append("\\\"");
        case '\\' -> out.append("\\\\");
        default -> {
          if (c < ' ') {
            out.append(String.format(Locale.ROOT, "\\u%04x", (int) c));
          } else {
            out.append(c);
          }
        }
      }
    }
    return out.append('"').toString();
  }
}
