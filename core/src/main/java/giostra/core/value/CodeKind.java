package giostra.core.value;

import java.util.Locale;

/**
 * HTML of one's own for the head of a page or its end, see {@link OwnCode}.
 *
 * @param most characters at the most
 */
public record CodeKind(OwnCode.Where where, int most) implements Kind<String> {
  @Override
  public String read(String what, Object raw) {
    // Browsers read lines so too, and a policy names what they read.
    String text =
        new WordsKind(most, true).read(what, raw).replace("\r\n", "\n").replace('\r', '\n');
    OwnCode.read(what, text, where);
    return text;
  }

  @Override
  public Object write(String value) {
    return value;
  }

  @Override
  public String allowed() {
    return String.format(Locale.ROOT, "%s; at most %d characters", where.allowed(), most);
  }
}
