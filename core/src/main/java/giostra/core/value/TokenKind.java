package giostra.core.value;

/** A short text that must match a pattern; empty is none. */
public record TokenKind(String pattern, String means) implements Kind<String> {
  @Override
  public String read(String what, Object raw) {
    String text = raw.toString().strip();
    if (!text.isEmpty() && !text.matches(pattern)) {
      throw new Refused(what, text, allowed());
    }
    return text;
  }

  @Override
  public Object write(String value) {
    return value;
  }

  @Override
  public String allowed() {
    return means;
  }
}
