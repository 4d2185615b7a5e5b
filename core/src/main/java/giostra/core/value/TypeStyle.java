package giostra.core.value;

/** What words are for: those of one style of type are set alike, wherever they stand. */
public enum TypeStyle {
  TITLE("Title"),
  HEADING("Heading"),
  SUBHEADING("Subheading"),
  TEXT("Text"),
  SMALL("Small print"),
  KICKER("Kicker"),
  FIGURE("Figure"),
  BUTTON("Button");

  private final String label;

  TypeStyle(String label) {
    this.label = label;
  }

  /** What people read. */
  public String label() {
    return label;
  }
}
