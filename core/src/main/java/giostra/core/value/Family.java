package giostra.core.value;

/**
 * Which of the families of a page letters are of. Each names the faces that stand in where the
 * first has not come or has not a character.
 */
public enum Family {
  TEXT("Source Sans 3 Variable", "\"Noto Sans\",\"DejaVu Sans\",sans-serif"),
  DISPLAY("Fraunces Variable", "\"Noto Serif\",\"DejaVu Serif\",serif"),
  CODE("DejaVu Sans Mono", "monospace");

  private final String face;
  private final String fallbacks;

  Family(String face, String fallbacks) {
    this.face = face;
    this.fallbacks = fallbacks;
  }

  /** Its name in the files that ship. */
  public String face() {
    return face;
  }

  /** As {@code font-family} has it. */
  public String css() {
    return "\"" + face + "\"," + fallbacks;
  }
}
