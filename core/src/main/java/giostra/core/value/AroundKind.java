package giostra.core.value;

/**
 * Lengths around a box.
 *
 * @param of what of the box they are of
 * @param each what each of them may be
 */
public record AroundKind(Of of, SizeKind each) implements Kind<Around> {
  /** What of a box they are of. */
  public enum Of {
    SIDES,
    CORNERS,

    /** All of it alike: it cannot be told apart. */
    WHOLE
  }

  @Override
  public Around read(String what, Object raw) {
    try {
      return of == Of.WHOLE || raw instanceof Number
          ? Around.all(each.read(what, raw))
          : Around.parse(raw.toString(), text -> each.read(what, text));
    } catch (Refused e) {
      throw new Refused(what, e.found(), allowed());
    }
  }

  @Override
  public Object write(Around value) {
    return value.css();
  }

  @Override
  public String allowed() {
    return each.allowed()
        + switch (of) {
          case SIDES -> ", or up to four: above, end, below, start";
          case CORNERS -> ", or up to four, clockwise from above the start";
          case WHOLE -> "";
        };
  }

  @Override
  public String word() {
    return switch (of) {
      case SIDES -> "sides";
      case CORNERS -> "corners";
      case WHOLE -> each.word();
    };
  }
}
