package giostra.core.band;

import giostra.core.value.Refused;
import giostra.core.value.Require;
import java.util.List;
import java.util.Locale;

/**
 * A range of viewport widths, half-open: {@code from <= width < below}, in CSS px, fractions
 * included. Widths are those that media queries see: with a classic scrollbar.
 *
 * @param id its key in documents; values keep it when the breakpoint moves
 * @param name what people read
 * @param from the least width, 0 for the narrowest band
 * @param below the first width of the next band; infinite for the widest band
 */
public record Band(String id, String name, double from, double below) {
  private static final int LONGEST_NAME = 60;
  private static final List<Double> COMMON = List.of(390.0, 820.0, 1280.0, 1920.0);

  public Band {
    if (name.isBlank() || name.length() > LONGEST_NAME) {
      throw new Refused("Name of a band", name, "1 to " + LONGEST_NAME + " characters");
    }
    Require.text("Name of a band", name, () -> "1 to " + LONGEST_NAME + " characters");
    Require.atLeast(0, "band from (px)", from);
    Require.above(from, "band below (px)", below);
  }

  /** Whether a viewport of that width lies in it. */
  public boolean holds(double viewportPx) {
    return viewportPx >= from && viewportPx < below;
  }

  /** Whether no band is wider. */
  public boolean widest() {
    return Double.isInfinite(below);
  }

  /**
   * A width in it that screens commonly have, px: of a phone held upright, a tablet, a laptop.
   * Where it has none of these its least, or below the narrowest its most. Common practice, no
   * source.
   */
  public double usual() {
    return COMMON.stream()
        .filter(this::holds)
        .findFirst()
        .orElse(from > 0 ? from : Math.ceil(below) - 1);
  }

  /**
   * Its media query in range syntax, which leaves no gap between bands at fractional widths.
   * Source: Media Queries 4, "Evaluating Media Features in a Range Context".
   */
  public String query() {
    if (widest()) {
      return from == 0
          ? "all"
          : String.format(Locale.ROOT, "(width >= %spx)", Require.number(from));
    }
    String below = Require.number(this.below);
    return from == 0
        ? String.format(Locale.ROOT, "(width < %spx)", below)
        : String.format(Locale.ROOT, "(%spx <= width < %spx)", Require.number(from), below);
  }
}
