package giostra.core.value;

import java.util.Locale;

/** Rules of CSS of one's own, see {@link OwnCss}. */
public record StylesheetKind(int most) implements Kind<String> {
  @Override
  public String read(String what, Object raw) {
    String text = new WordsKind(most, true).read(what, raw);
    try {
      OwnCss.read(text);
      return text;
    } catch (Refused e) {
      throw new Refused(what, e.found(), e.allowed());
    }
  }

  @Override
  public Object write(String value) {
    return value;
  }

  @Override
  public String allowed() {
    return String.format(
        Locale.ROOT,
        "rules of CSS, of at most %d characters together; :scope is this itself",
        most);
  }
}
