package giostra.core.fit;

import java.util.List;
import java.util.stream.IntStream;

/** The widths that a picture is kept in besides its own. Common practice, no source. */
public final class Ladder {
  private static final int[] RUNGS = {
    96, 160, 240, 320, 480, 640, 800, 960, 1280, 1600, 1920, 2560, 3200
  };

  private Ladder() {}

  /** The rungs below a picture's own width in px, narrowest first: never wider than it is. */
  public static List<Integer> below(int width) {
    return IntStream.of(RUNGS).filter(rung -> rung < width).boxed().toList();
  }
}
