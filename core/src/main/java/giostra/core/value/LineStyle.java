package giostra.core.value;

import java.util.Locale;

/** How a line is drawn. Source: CSS Backgrounds 3, "line-style". */
public enum LineStyle {
  SOLID,
  DASHED,
  DOTTED,
  DOUBLE;

  /** As {@code border-style} has it. */
  public String css() {
    return name().toLowerCase(Locale.ROOT);
  }
}
