package giostra.core.value;

/** How far something is moved: see {@link Nudge}. */
public record MovedKind() implements ParsedKind<Nudge> {
  @Override
  public Nudge parse(String text) {
    return Nudge.parse(text);
  }

  @Override
  public Object write(Nudge value) {
    return value.css();
  }

  @Override
  public String allowed() {
    return "two numbers of px from -20 to 20, to the right and down, such as 0.4px -1.2px";
  }
}
