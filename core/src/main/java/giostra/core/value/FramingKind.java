package giostra.core.value;

/** From what to what of a picture a move goes: see {@link Framing}. */
public record FramingKind() implements ParsedKind<Framing> {
  @Override
  public Framing parse(String text) {
    return Framing.parse(text);
  }

  @Override
  public Object write(Framing value) {
    return value.written();
  }

  @Override
  public String allowed() {
    return "nothing, or two frames, each a point and how many times as large (1 to 4), such as 20%"
        + " 30% 1.4 to 70% 50% 1";
  }
}
