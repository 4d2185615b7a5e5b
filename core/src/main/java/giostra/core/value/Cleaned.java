package giostra.core.value;

import java.util.Locale;
import java.util.function.UnaryOperator;

/** Text as it may stand on a page. */
final class Cleaned {
  private Cleaned() {}

  /**
   * Text that is cleaned, then measured: cleaning may make it longer, since some characters are
   * written as references. Cleaned again it stays the same, or it is not taken.
   */
  static String text(String what, Object raw, int most, UnaryOperator<String> clean, Kind<?> kind) {
    // What is far too long is not parsed at all.
    String text = new WordsKind(most * 2, true).read(what, raw);
    for (int tries = 0; tries < 4; tries++) {
      String now = clean.apply(text);
      if (now.equals(text)) {
        if (now.length() > most) {
          throw new Refused(
              what,
              String.format(Locale.ROOT, "%d characters long, cleaned", now.length()),
              kind.allowed());
        }
        return new WordsKind(most, true).read(what, now);
      }
      text = now;
    }
    throw new Refused(what, "markup that reads differently each time", kind.allowed());
  }
}
