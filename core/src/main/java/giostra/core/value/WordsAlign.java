package giostra.core.value;

/**
 * Where lines of words begin, and they themselves where they are narrower than their room. Source:
 * CSS Text 4, "text-align"; CSS Box Alignment 3, "align-self".
 */
public enum WordsAlign {
  AROUND("inherit", "auto"),
  START("start", "flex-start"),
  CENTER("center", "center"),
  END("end", "flex-end");

  private final String lines;
  private final String self;

  WordsAlign(String lines, String self) {
    this.lines = lines;
    this.self = self;
  }

  /** As {@code text-align} has it. */
  public String lines() {
    return lines;
  }

  /** As {@code align-self} has it, in a column. */
  public String self() {
    return self;
  }
}
