package giostra.core.value;

/** Shares of columns, such as {@code 2:1}, or {@code stack} for one under the other. */
public record RatioKind() implements ParsedKind<Shares> {
  @Override
  public Shares parse(String text) {
    return Shares.parse(text);
  }

  @Override
  public Object write(Shares value) {
    return value.written();
  }

  @Override
  public String allowed() {
    return "shares such as 1:1 or 2:1 (each 1 to 12), or stack";
  }
}
