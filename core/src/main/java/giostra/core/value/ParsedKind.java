package giostra.core.value;

/** What a parser of its own reads; what it refuses is refused with what is allowed. */
public sealed interface ParsedKind<T> extends Kind<T>
    permits RatioKind,
        PointKind,
        PaintKind,
        HueKind,
        LettersKind,
        UnderKind,
        MovedKind,
        TiltKind,
        PaceKind,
        FramingKind,
        ShadeKind {
  /**
   * The value that a text stands for.
   *
   * @throws Refused when it is none
   */
  T parse(String text);

  @Override
  default T read(String what, Object raw) {
    try {
      return parse(raw.toString());
    } catch (Refused e) {
      throw new Refused(what, raw.toString(), allowed());
    }
  }
}
