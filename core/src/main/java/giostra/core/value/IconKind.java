package giostra.core.value;

/** An icon: the name of one of the set, or a vector picture of one's own as clean SVG markup. */
public record IconKind() implements Kind<String> {
  @Override
  public String read(String what, Object raw) {
    String text = raw.toString().strip();
    if (text.matches("[a-z0-9-]{0,60}")) {
      return text;
    }
    try {
      return OwnIcon.clean(text);
    } catch (Refused e) {
      throw new Refused(what, e.found(), e.allowed());
    }
  }

  @Override
  public Object write(String value) {
    return value;
  }

  @Override
  public String allowed() {
    return "the name of an icon, or SVG markup or path data of your own";
  }
}
