package giostra.core.value;

import java.util.List;

/**
 * Letters that most machines have, which stand in for a family until it has come. They are as wide
 * as each other, so that any of them will do.
 */
public enum Stand {
  SANS(
      "\"Noto Sans\",\"DejaVu Sans\",sans-serif",
      List.of("Arial", "ArialMT", "Liberation Sans", "LiberationSans"),
      List.of("Arial Bold", "Arial-BoldMT", "Liberation Sans Bold", "LiberationSans-Bold")),
  SERIF(
      "\"Noto Serif\",\"DejaVu Serif\",serif",
      List.of("Times New Roman", "TimesNewRomanPSMT", "Liberation Serif", "LiberationSerif"),
      List.of(
          "Times New Roman Bold",
          "TimesNewRomanPS-BoldMT",
          "Liberation Serif Bold",
          "LiberationSerif-Bold")),
  CODE(
      "\"DejaVu Sans Mono\",monospace",
      List.of("Courier New", "CourierNewPSMT", "Liberation Mono", "LiberationMono"),
      List.of(
          "Courier New Bold",
          "CourierNewPS-BoldMT",
          "Liberation Mono Bold",
          "LiberationMono-Bold")),
  /** Hands are too unlike each other. */
  HAND("cursive", List.of(), List.of());

  private final String fallbacks;
  private final List<String> regular;
  private final List<String> bold;

  Stand(String fallbacks, List<String> regular, List<String> bold) {
    this.fallbacks = fallbacks;
    this.regular = regular;
    this.bold = bold;
  }

  /** What comes last, as {@code font-family} has it. */
  public String fallbacks() {
    return fallbacks;
  }

  /** The generic family that it ends with. Source: CSS Fonts 4, "Generic Font Families". */
  public String generic() {
    return fallbacks.substring(fallbacks.lastIndexOf(',') + 1);
  }

  /** The names that machines have it by; none where nothing is like it. */
  public List<String> names(boolean isBold) {
    return isBold ? bold : regular;
  }
}
