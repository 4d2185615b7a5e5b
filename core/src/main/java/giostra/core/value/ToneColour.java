package giostra.core.value;

/** The colours that each tone has, by what they are for. */
public enum ToneColour {
  GROUND("under", "Ground"),
  RAISED("card", "Raised ground"),
  INK("ink", "Ink"),
  QUIET("soft", "Quiet ink"),
  ACCENT("mark", "Accent"),
  LINE("line", "Lines"),
  RING("ring", "Focus ring");

  private final String variable;
  private final String label;

  ToneColour(String variable, String label) {
    this.variable = variable;
    this.label = label;
  }

  /** The custom property that holds it on a page. */
  public String variable() {
    return "--g-" + variable;
  }

  /** What people read. */
  public String label() {
    return label;
  }
}
