package giostra.core.value;

/** How letters are set that have two forms. Source: CSS Text 3, "text-transform". */
public enum LetterCase {
  AS_TYPED("none"),
  CAPITALS("uppercase");

  private final String css;

  LetterCase(String css) {
    this.css = css;
  }

  /** As {@code text-transform} has it. */
  public String css() {
    return css;
  }
}
