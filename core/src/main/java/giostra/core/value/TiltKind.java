package giostra.core.value;

/** How far something leans: see {@link Tilt}. */
public record TiltKind() implements ParsedKind<Tilt> {
  @Override
  public Tilt parse(String text) {
    return Tilt.parse(text);
  }

  @Override
  public Object write(Tilt value) {
    return value.written();
  }

  @Override
  public String allowed() {
    return "two numbers of degrees from -45 to 45, back and to the right, such as 6deg -4deg";
  }
}
