package giostra.core.value;

/**
 * Lengths at the start and at the end.
 *
 * @param each what each of them may be
 */
public record EndsKind(SizeKind each) implements Kind<Ends> {
  @Override
  public Ends read(String what, Object raw) {
    try {
      return raw instanceof Number
          ? Ends.both(each.read(what, raw))
          : Ends.parse(raw.toString(), text -> each.read(what, text));
    } catch (Refused e) {
      throw new Refused(what, e.found(), allowed());
    }
  }

  @Override
  public Object write(Ends value) {
    return value.css();
  }

  @Override
  public String allowed() {
    return each.allowed() + ", or two: at the start, at the end";
  }
}
