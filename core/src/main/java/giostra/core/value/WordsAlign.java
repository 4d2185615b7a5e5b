package giostra.core.value;

/**
 * Where lines of words begin, and they themselves where they are narrower than their room. Source:
 * CSS Text 4, "text-align"; CSS Box Alignment 3, "align-self".
 */
public enum WordsAlign {
  AROUND("inherit", "auto", "0"),
  START("start", "flex-start", "0 auto"),
  CENTER("center", "center", "auto"),
  END("end", "flex-end", "auto 0");

  private final String lines;
  private final String self;
  private final String apart;

  WordsAlign(String lines, String self, String apart) {
    this.lines = lines;
    this.self = self;
    this.apart = apart;
  }

  /** As {@code text-align} has it. */
  public String lines() {
    return lines;
  }

  /** As {@code align-self} has it, in a column. */
  public String self() {
    return self;
  }

  /**
   * As {@code margin-inline} has it, of a box alone: all that is free lies on the other side.
   * Source: CSS Box 4, "auto margins"; CSS Flexbox 1, 8.1 "Aligning with auto margins".
   */
  public String apart() {
    return apart;
  }
}
