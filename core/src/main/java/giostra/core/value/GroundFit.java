package giostra.core.value;

/** How a picture lies in a box that has it as its ground. */
public enum GroundFit {
  /** It fills the box and is cut where it is larger. */
  COVER("cover"),

  /** All of it is seen, with the ground beside it. */
  CONTAIN("contain"),

  /** It is laid again and again. */
  PATTERN("");

  private final String css;

  GroundFit(String css) {
    this.css = css;
  }

  /** The size that CSS has a word for; empty where it is a length. */
  public String css() {
    return css;
  }
}
