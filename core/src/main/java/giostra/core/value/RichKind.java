package giostra.core.value;

import java.util.Locale;

/** Long text: plain, with blank lines between paragraphs, or clean HTML. */
public record RichKind(int most) implements Kind<String> {
  @Override
  public String read(String what, Object raw) {
    return Cleaned.text(what, raw, most, t -> RichText.isMarkup(t) ? RichText.clean(t) : t, this);
  }

  @Override
  public Object write(String value) {
    return value;
  }

  @Override
  public String allowed() {
    return String.format(Locale.ROOT, "text of at most %d characters", most);
  }
}
