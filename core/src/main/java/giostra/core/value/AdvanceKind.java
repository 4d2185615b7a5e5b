package giostra.core.value;

import java.util.Locale;

/** How many items one move advances: a whole number from 1 to 12, or {@code view}. */
public record AdvanceKind() implements Kind<Stride> {
  private static final WholeKind NUMBER = new WholeKind(1, 12);

  @Override
  public Stride read(String what, Object raw) {
    if (raw.toString().strip().toLowerCase(Locale.ROOT).matches("(a )?view")) {
      return Stride.VIEW;
    }
    try {
      return new Stride(NUMBER.read(what, raw));
    } catch (Refused e) {
      throw new Refused(what, e.found(), allowed());
    }
  }

  @Override
  public Object write(Stride value) {
    return value.equals(Stride.VIEW) ? "view" : (Object) value.items();
  }

  @Override
  public String allowed() {
    return NUMBER.allowed() + ", or view";
  }
}
