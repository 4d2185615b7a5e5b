package giostra.core.value;

/** One of nine places in a box: where something stands in it. */
public enum Place {
  TOP_START,
  TOP,
  TOP_END,
  START,
  CENTER,
  END,
  BOTTOM_START,
  BOTTOM,
  BOTTOM_END;

  /** How far along the way one reads, 0 to 1. */
  public double across() {
    return ordinal() % 3 / 2.0;
  }

  /** How far down, 0 to 1. */
  public double down() {
    return ordinal() / 3 / 2.0;
  }

  /** As {@code place-items} and {@code place-self} say it. */
  public String css() {
    return word(down()) + " " + word(across());
  }

  private static String word(double share) {
    return share == 0 ? "start" : share == 1 ? "end" : "center";
  }
}
