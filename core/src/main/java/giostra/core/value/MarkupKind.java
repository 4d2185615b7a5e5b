package giostra.core.value;

import java.util.Locale;

/** Markup of one's own, cleaned by a wider list that includes form fields. */
public record MarkupKind(int most) implements Kind<String> {
  @Override
  public String read(String what, Object raw) {
    return Cleaned.text(what, raw, most, RichText::cleanOwn, this);
  }

  @Override
  public Object write(String value) {
    return value;
  }

  @Override
  public String allowed() {
    return String.format(Locale.ROOT, "HTML of at most %d characters", most);
  }
}
