package giostra.core.value;

import java.util.Locale;

/** A whole number, both ends allowed. */
public record WholeKind(int least, int most) implements Kind<Integer> {
  @Override
  public Integer read(String what, Object raw) {
    double number;
    try {
      number =
          raw instanceof Number n ? n.doubleValue() : Double.parseDouble(raw.toString().strip());
    } catch (NumberFormatException e) {
      throw new Refused(what, raw.toString(), allowed());
    }
    if (number != Math.rint(number) || number < least || number > most) {
      throw new Refused(what, Require.number(number), allowed());
    }
    return (int) number;
  }

  @Override
  public Object write(Integer value) {
    return value;
  }

  @Override
  public String allowed() {
    return String.format(Locale.ROOT, "a whole number from %d to %d", least, most);
  }
}
