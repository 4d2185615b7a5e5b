package giostra.core.fit;

import giostra.core.value.Length;

/**
 * A straight line: {@code slope * x + constant}.
 *
 * @param slope px per px
 * @param constant in px
 */
public record Line(double slope, double constant) {
  /** The width itself. */
  public static final Line SAME = new Line(1, 0);

  /** A length as a function of the container that its percentages are of. */
  public static Line of(Length length) {
    return new Line(length.slope(), length.constantPx());
  }

  /** Its value at {@code x}. */
  public double at(double x) {
    return slope * x + constant;
  }

  /** This line of that line: {@code this(inner(x))}. */
  public Line of(Line inner) {
    return new Line(slope * inner.slope, slope * inner.constant + constant);
  }

  /** The sum of both. */
  public Line plus(Line other) {
    return new Line(slope + other.slope, constant + other.constant);
  }

  /** So many times this line. */
  public Line times(double factor) {
    return new Line(slope * factor, constant * factor);
  }

  /** This line less the other. */
  public Line minus(Line other) {
    return plus(other.times(-1));
  }
}
