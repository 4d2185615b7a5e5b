package giostra.core.value;

import java.util.Locale;

/**
 * A length. The range is in px and checked for px, rem and em; a percentage may be from 0 to 100.
 *
 * @param percent whether there is a container that percentages could be of
 */
public record SizeKind(double least, double most, boolean percent) implements Kind<Length> {
  /** A length that may be a percentage. */
  public SizeKind(double least, double most) {
    this(least, most, true);
  }

  @Override
  public Length read(String what, Object raw) {
    Length length;
    try {
      length = raw instanceof Number n ? Length.px(n.doubleValue()) : Length.parse(raw.toString());
    } catch (Refused e) {
      throw new Refused(what, e.found(), allowed());
    }
    boolean share = length.unit() == Length.Unit.PERCENT;
    double low = share ? 0 : least;
    double high = share ? 100 : most;
    double found = share ? length.amount() : length.constantPx();
    if ((share && !percent) || !(found >= low && found <= high)) {
      throw new Refused(what, length.css(), allowed());
    }
    return length;
  }

  @Override
  public Object write(Length value) {
    return value.css();
  }

  @Override
  public String allowed() {
    String range =
        String.format(
            Locale.ROOT,
            "a length from %s to %s px (px, rem, em)",
            Require.number(least),
            Require.number(most));
    return percent ? range + ", or a percentage up to 100" : range;
  }
}
