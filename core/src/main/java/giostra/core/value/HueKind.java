package giostra.core.value;

/** A colour of its own: see {@link Colour}. */
public record HueKind() implements ParsedKind<Colour> {
  @Override
  public Colour parse(String text) {
    return Colour.parse(text);
  }

  @Override
  public Object write(Colour value) {
    return value.css();
  }

  @Override
  public String allowed() {
    return "a colour such as #1c2b27 or rgb(28 43 39 / 80%)";
  }
}
