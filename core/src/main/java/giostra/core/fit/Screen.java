package giostra.core.fit;

import java.util.function.Consumer;

/**
 * What flows are measured on.
 *
 * @param width of the viewport in CSS px, with the scrollbar
 * @param height in CSS px
 * @param seen is told of each text that a measurement comes by
 */
public record Screen(double width, double height, Consumer<Fitted> seen) {
  /**
   * A text where it stands.
   *
   * @param width the room that it has, in px of the size it was measured at
   * @param lines that it takes there
   */
  public record Fitted(TextFit text, double width, int lines) {}

  /** The height, in px, of a screen that nothing is known of: shares of it are taken of this. */
  public static final double USUAL_HEIGHT = 800;

  /** The least and the greatest height, in px, that a page is looked at in. Our own; no source. */
  public static final int LOWEST = 240;

  public static final int HIGHEST = 2400;

  /** A screen that nobody listens at. */
  public Screen(double width, double height) {
    this(width, height, _ -> {});
  }

  /** The lesser side in px: what {@code vmin} is a hundredth of. */
  public double lesser() {
    return Math.min(width, height);
  }
}
