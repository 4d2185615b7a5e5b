package giostra.core.fit;

import java.util.function.Consumer;

/**
 * What flows are measured on.
 *
 * @param width of the viewport in CSS px, with the scrollbar
 * @param height in CSS px
 * @param seen is told of each text that a measurement comes by
 * @param tight is told of what needs more room than it has, and cannot give way
 */
public record Screen(double width, double height, Consumer<Fitted> seen, Consumer<Tight> tight) {
  /**
   * A text where it stands.
   *
   * @param width the room that it has, in px of the size it was measured at
   * @param lines that it takes there
   */
  public record Fitted(TextFit text, double width, int lines) {}

  /**
   * Something wider than its room.
   *
   * @param needs the least that it takes, px
   * @param room what there is, px
   */
  public record Tight(double needs, double room) {}

  /** The height, in px, of a screen that nothing is known of: shares of it are taken of this. */
  public static final double USUAL_HEIGHT = 800;

  /**
   * How much higher a phone's screen is when the bars of its browser have gone, px. An assumption:
   * they differ from one to the other; from memory.
   */
  public static final int BARS = 84;

  /**
   * Screens that are narrower than this, px, have bars that go. An assumption, as common practice.
   */
  public static final int BARRED = 768;

  /** The least and the greatest height, in px, that a page is looked at in. Our own; no source. */
  public static final int LOWEST = 240;

  public static final int HIGHEST = 2400;

  private static final Consumer<Tight> NOBODY = _ -> {};

  /** A screen that nobody listens at. */
  public Screen(double width, double height) {
    this(width, height, _ -> {});
  }

  /** A screen that texts are told of. */
  public Screen(double width, double height, Consumer<Fitted> seen) {
    this(width, height, seen, NOBODY);
  }

  /** The same with nobody listening. */
  public Screen unheard() {
    return new Screen(width, height);
  }

  /** Whether somebody asks what is too wide: what is costly to know is not asked for before. */
  public boolean hearsOfTight() {
    return tight != NOBODY;
  }

  /** Tells of something that may be wider than its room. */
  public void fits(double needs, double room) {
    if (needs > room + 1 / 64.0) {
      tight.accept(new Tight(needs, room));
    }
  }

  /** Its height in px with all bars of the browser away. */
  public double large() {
    return height + (width < BARRED ? BARS : 0);
  }

  /** The lesser side in px: what {@code vmin} is a hundredth of. */
  public double lesser() {
    return Math.min(width, height);
  }
}
