package giostra.core.value;

/**
 * How wide a box is for its height. Source: CSS Sizing 4, "aspect-ratio".
 *
 * @param wide parts, above 0
 * @param high parts, above 0
 */
public record Aspect(double wide, double high) {
  public static final Aspect SQUARE = new Aspect(1, 1);

  public Aspect {
    Require.above(0, "aspect ratio", wide);
    Require.above(0, "aspect ratio", high);
  }

  /** Width over height. */
  public double ratio() {
    return wide / high;
  }

  /** As people write it, {@code 16:9}. */
  public String written() {
    return Require.number(wide) + ":" + Require.number(high);
  }

  /** As CSS has it. */
  public String css() {
    return Require.number(wide) + "/" + Require.number(high);
  }
}
