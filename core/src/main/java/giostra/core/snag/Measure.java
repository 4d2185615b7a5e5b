package giostra.core.snag;

/**
 * What was measured, and what is required.
 *
 * @param found at worst
 * @param required the least, or the most, that it should be
 */
public record Measure(double found, double required, Unit unit) {
  /** What figures are of. */
  public enum Unit {
    PX,
    MS,
    ROWS,
    ITEMS,
    /** Of relative luminances, as WCAG 2.2 defines "contrast ratio". */
    CONTRAST,
    /** How many times as large as it is. */
    TIMES,
    /** Thousands of bytes on the way. */
    KB
  }
}
