package giostra.core.fit;

import giostra.core.value.Colour;
import giostra.core.value.Require;
import java.util.List;
import java.util.function.IntBinaryOperator;

/**
 * The colours of a picture, as the means of the cells of a grid: enough to tell whether words on it
 * can be read, and small enough to keep. Cells are parts of the whole picture, whatever its shape.
 */
public final class Samples {
  /** Cells along the longer way, at most. */
  public static final int MOST = 256;

  /** Shades that its colours are told apart by. */
  private static final int SHADES = 1024;

  private final int across;
  private final int down;

  /** Alpha, red, green and blue, 8 bits each, row by row. */
  private final int[] cells;

  private Samples(int across, int down, int[] cells) {
    this.across = across;
    this.down = down;
    this.cells = cells;
  }

  /**
   * Of a picture.
   *
   * @param width px
   * @param height px
   * @param pixel the colour at x and y, as 0xAARRGGBB
   */
  public static Samples of(int width, int height, IntBinaryOperator pixel) {
    Require.above(0, "picture width (px)", width);
    Require.above(0, "picture height (px)", height);
    int across = Math.min(width, MOST);
    int down = Math.min(height, MOST);
    var sums = new long[across * down * 5];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int colour = pixel.applyAsInt(x, y);
        int alpha = colour >>> 24;
        int at =
            5 * ((int) ((long) y * down / height) * across + (int) ((long) x * across / width));
        sums[at] += alpha;
        // What cannot be seen has no say.
        sums[at + 1] += (long) alpha * (colour >> 16 & 255);
        sums[at + 2] += (long) alpha * (colour >> 8 & 255);
        sums[at + 3] += (long) alpha * (colour & 255);
        sums[at + 4]++;
      }
    }
    var cells = new int[across * down];
    for (int i = 0; i < cells.length; i++) {
      long alpha = Math.max(1, sums[5 * i]);
      cells[i] =
          (int) (sums[5 * i] / Math.max(1, sums[5 * i + 4])) << 24
              | (int) (sums[5 * i + 1] / alpha) << 16
              | (int) (sums[5 * i + 2] / alpha) << 8
              | (int) (sums[5 * i + 3] / alpha);
    }
    return new Samples(across, down, cells);
  }

  /** Cells in a row. */
  public int across() {
    return across;
  }

  /** Rows of cells. */
  public int down() {
    return down;
  }

  /** The colour of a cell, as 0xAARRGGBB. */
  public int at(int x, int y) {
    return cells[y * across + x];
  }

  /**
   * Its main colours, those that most of it has first: its cells parted by nearness in OKLab, from
   * places as far apart as there are (k-means). Fewer where it has fewer; of what cannot be seen
   * none.
   *
   * @param most how many at the most
   */
  public List<Colour> main(int most) {
    return MainColours.of(cells, most);
  }

  /**
   * The darkest and the lightest of its colours over another, but for the twentieth of it that is
   * darker and the one that is lighter: what words on any part of it have to be read against. Ours,
   * as {@link Legible} has it.
   *
   * @param below solid, which is seen where it is clear
   */
  public List<Colour> ends(Colour below) {
    var counts = new int[SHADES];
    var seen = new Colour[SHADES];
    for (int cell : cells) {
      Colour colour =
          new Colour(cell >> 16 & 255, cell >> 8 & 255, cell & 255, cell >>> 24).over(below);
      // What is dark is told apart as finely as what is light.
      int shade = (int) Math.min(SHADES - 1, Math.sqrt(colour.luminance()) * SHADES);
      counts[shade]++;
      seen[shade] = colour;
    }
    double rest = Legible.WORST * cells.length;
    return List.of(end(counts, seen, rest, true), end(counts, seen, rest, false));
  }

  private static Colour end(int[] counts, Colour[] seen, double rest, boolean dark) {
    int sum = 0;
    for (int i = 0; i < SHADES; i++) {
      int shade = dark ? i : SHADES - 1 - i;
      sum += counts[shade];
      if (sum > 0 && sum >= rest) {
        return seen[shade];
      }
    }
    throw new IllegalStateException("a picture without a colour");
  }

  /** What it takes in memory, in bytes, about. */
  public int bytes() {
    return 4 * cells.length;
  }
}
