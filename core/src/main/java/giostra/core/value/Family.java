package giostra.core.value;

import java.util.Arrays;
import java.util.Optional;

/**
 * What family letters are of: that of texts or of headings, whichever those are where the letters
 * stand, or one by its name.
 */
public enum Family {
  TEXT,
  DISPLAY,
  CODE,
  SOURCE_SANS,
  FRAUNCES,
  LITERATA,
  BITTER,
  PLAYFAIR,
  WORK_SANS,
  NUNITO,
  OSWALD,
  SPACE_GROTESK,
  RUBIK,
  CAVEAT,
  SOURCE_CODE,
  OWN_1,
  OWN_2,
  OWN_3,
  OWN_4,
  OWN_5,
  OWN_6;

  /** The one that it names; nothing where that is said elsewhere. */
  public Optional<Typeface> typeface() {
    return Arrays.stream(Typeface.values()).filter(each -> each.name().equals(name())).findFirst();
  }

  /** The custom property that has it; empty where it is no matter of where letters stand. */
  public String variable() {
    return switch (this) {
      case TEXT -> "--g-text";
      case DISPLAY -> "--g-display";
      default -> "";
    };
  }

  /** As {@code font-family} has it. */
  public String css() {
    return variable().isEmpty()
        ? typeface().map(Typeface::css).orElse("\"DejaVu Sans Mono\",monospace")
        : "var(" + variable() + ")";
  }
}
