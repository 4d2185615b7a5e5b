package giostra.core.value;

/** How something speeds up and slows down: see {@link Easing}. */
public record PaceKind() implements ParsedKind<Easing> {
  @Override
  public Easing parse(String text) {
    return Easing.parse("pace", text);
  }

  @Override
  public Object write(Easing value) {
    return value.written();
  }

  @Override
  public String allowed() {
    return Easing.ALLOWED;
  }
}
