package giostra.core.value;

/** A colour or a gradient: see {@link Ground}. */
public record UnderKind() implements ParsedKind<Ground> {
  @Override
  public Ground parse(String text) {
    return Ground.parse(text);
  }

  @Override
  public Object write(Ground value) {
    return value.written();
  }

  @Override
  public String allowed() {
    return "a colour, or a gradient such as linear-gradient(180deg, #0a1412, #2b6b5a 60%) or"
        + " radial-gradient(circle at 30% 20%, accent, ground) of 2 to 6 colours";
  }
}
