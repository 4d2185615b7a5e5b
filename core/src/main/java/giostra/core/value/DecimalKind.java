package giostra.core.value;

import java.util.Locale;

/** A number, both ends allowed. */
public record DecimalKind(double least, double most) implements Kind<Double> {
  @Override
  public Double read(String what, Object raw) {
    double number;
    try {
      number =
          raw instanceof Number n
              ? n.doubleValue()
              : Double.parseDouble(raw.toString().strip().replace(',', '.'));
    } catch (NumberFormatException e) {
      throw new Refused(what, raw.toString(), allowed());
    }
    if (!(number >= least && number <= most)) {
      throw new Refused(what, Require.number(number), allowed());
    }
    return number;
  }

  @Override
  public Object write(Double value) {
    return value;
  }

  @Override
  public String allowed() {
    return String.format(
        Locale.ROOT, "a number from %s to %s", Require.number(least), Require.number(most));
  }
}
