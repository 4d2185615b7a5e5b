package giostra.core.value;

/**
 * How many items one move of a track advances.
 *
 * @param items 1 to 12; {@link #VIEW} stands for as many as are in view
 */
public record Stride(int items) {
  /** As many as are in view, in every band. */
  public static final Stride VIEW = new Stride(Integer.MAX_VALUE);

  public Stride {
    Require.atLeast(1, "Stride", items);
  }

  /** Items it advances with so many in view: never more than those. */
  public int in(int view) {
    return Math.min(items, view);
  }
}
