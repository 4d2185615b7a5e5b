package giostra.core.value;

/**
 * The point of a picture that stays in view however it is cut. Source: CSS Images 3,
 * "object-position": that point of the picture lies at the same share of its box.
 *
 * @param x percent from the left, 0 to 100
 * @param y percent from the top, 0 to 100
 */
public record Focus(double x, double y) {
  /** The middle. */
  public static final Focus CENTER = new Focus(50, 50);

  public Focus {
    Require.within(0, 100, "focal point (%)", x);
    Require.within(0, 100, "focal point (%)", y);
  }

  /**
   * Reads {@code 50% 30%}, the signs may be left out.
   *
   * @throws Refused when it is not two percentages
   */
  public static Focus parse(String text) {
    var match =
        java.util.regex.Pattern.compile("(\\d+(?:\\.\\d+)?)%?[\\s,]+(\\d+(?:\\.\\d+)?)%?")
            .matcher(text.strip());
    if (!match.matches()) {
      throw new Refused("focal point", text, "two percentages");
    }
    return new Focus(Double.parseDouble(match.group(1)), Double.parseDouble(match.group(2)));
  }

  /** As CSS has it. */
  public String css() {
    return Require.number(x) + "% " + Require.number(y) + "%";
  }
}
