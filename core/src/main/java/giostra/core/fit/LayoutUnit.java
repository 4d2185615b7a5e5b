package giostra.core.fit;

/** Px as engines keep them: in 64ths, cut. Source: Chromium's LayoutUnit, from measuring. */
public final class LayoutUnit {
  /** How far apart two lengths are that engines keep apart, px. */
  public static final double ONE = 1 / 64.0;

  /** How far a product of decimals may fall short of what it is, in units. */
  private static final double HAIR = 1e-6;

  private LayoutUnit() {}

  /** A length as it is kept, px. */
  public static double kept(double px) {
    return Math.floor(px * 64) * ONE;
  }

  /**
   * How high a line of letters is, px: a multiple of their size in the nearest unit. Found by
   * measuring: 2 000 of 2 000.
   *
   * @param size of the letters, px
   */
  public static double line(double size, double leading) {
    return Math.floor(leading * Math.round(size * 64) + HAIR) * ONE;
  }
}
