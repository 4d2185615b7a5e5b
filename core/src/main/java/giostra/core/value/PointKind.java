package giostra.core.value;

/** A point of a picture, as two percentages from its left and top edge. */
public record PointKind() implements ParsedKind<Focus> {
  @Override
  public Focus parse(String text) {
    return Focus.parse(text);
  }

  @Override
  public Object write(Focus value) {
    return value.css();
  }

  @Override
  public String allowed() {
    return "two percentages from the left and the top, such as 50% 30%";
  }
}
