package giostra.core.value;

/** Shadows of a box: see {@link Shadows}. */
public record ShadeKind() implements ParsedKind<Shadows> {
  @Override
  public Shadows parse(String text) {
    return Shadows.parse(text);
  }

  @Override
  public Object write(Shadows value) {
    return value.written();
  }

  @Override
  public String allowed() {
    return "none, or up to 4 shadows, such as 0 6px 14px #11201d45, inner ones with inset first";
  }
}
