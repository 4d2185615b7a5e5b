package giostra.core.value;

/** Whether letters stand upright. Source: CSS Fonts 4, "font-style". */
public enum Slant {
  UPRIGHT("normal"),
  ITALIC("italic");

  private final String css;

  Slant(String css) {
    this.css = css;
  }

  /** As {@code font-style} has it. */
  public String css() {
    return css;
  }
}
