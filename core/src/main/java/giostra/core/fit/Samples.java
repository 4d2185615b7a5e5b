package giostra.core.fit;

import giostra.core.value.Colour;
import giostra.core.value.Require;
import giostra.core.value.Srgb;
import java.util.List;
import java.util.function.IntBinaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * The colours of a picture, as the means of the cells of a grid: enough to tell whether words on it
 * can be read, and small enough to keep. Cells are parts of the whole picture, whatever its shape.
 */
public final class Samples {
  /** Cells along the longer way, at most. */
  public static final int MOST = 640;

  /**
   * Cells that a picture has at the most where it is the ground of a box and nobody says how large
   * it is drawn: as many px as cards and faces have about, ours.
   */
  private static final int OF_BOX = 256;

  /** Cells both ways of the coarsest. */
  private static final int LEAST = 8;

  /** Cells in a px from which half as many are nearer to one in each. */
  private static final double NEARER = Math.sqrt(2);

  /** Shades that its colours are told apart by. */
  private static final int SHADES = 1024;

  private final int across;
  private final int down;

  /** Alpha, red, green and blue, 8 bits each, row by row. */
  private final int[] cells;

  /** The same with half as many cells both ways, where there are enough for that. */
  private final @Nullable Samples half;

  private Samples(int across, int down, int[] cells) {
    this.across = across;
    this.down = down;
    this.cells = cells;
    this.half = across < 2 * LEAST || down < 2 * LEAST ? null : halved(across, down, cells);
  }

  /**
   * Of a picture.
   *
   * @param width px
   * @param height px
   * @param pixel the colour at x and y, as 0xAARRGGBB
   */
  public static Samples of(int width, int height, IntBinaryOperator pixel) {
    return of(width, height, pixel, MOST);
  }

  private static Samples of(int width, int height, IntBinaryOperator pixel, int most) {
    Require.above(0, "picture width (px)", width);
    Require.above(0, "picture height (px)", height);
    int across = Math.min(width, most);
    int down = Math.min(height, most);
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

  private static Samples halved(int across, int down, int[] cells) {
    int wide = across / 2;
    int high = down / 2;
    var all = new int[wide * high];
    for (int y = 0; y < high; y++) {
      for (int x = 0; x < wide; x++) {
        int at = 2 * y * across + 2 * x;
        all[y * wide + x] =
            mean(cells[at], cells[at + 1], cells[at + across], cells[at + across + 1]);
      }
    }
    return new Samples(wide, high, all);
  }

  private static int mean(int... cells) {
    int alpha = 0;
    for (int cell : cells) {
      alpha += cell >>> 24;
    }
    int mean = (alpha + 2) / 4 << 24;
    for (int shift = 0; shift <= 16 && alpha > 0; shift += 8) {
      int sum = 0;
      for (int cell : cells) {
        sum += (cell >>> 24) * (cell >> shift & 255);
      }
      mean |= (sum + alpha / 2) / alpha << shift;
    }
    return mean;
  }

  /**
   * As fine as it is of use where it is drawn smaller: of several cells in one px a browser shows
   * what lies between them. It takes the half of it that is nearest, as from measuring.
   *
   * @param perPx cells in a px of the screen
   */
  public Samples coarse(double perPx) {
    Samples found = this;
    for (double left = perPx; left > NEARER && found.half != null; left /= 2) {
      found = found.half;
    }
    return found;
  }

  /**
   * The colour at a share of its width and of its height, 0 to 1, between the middles of the cells
   * around, as 0xAARRGGBB: what a browser shows of a picture that it draws larger.
   */
  public int between(double x, double y) {
    double column = Math.clamp(x * across - 0.5, 0, across - 1.0);
    double row = Math.clamp(y * down - 0.5, 0, down - 1.0);
    int left = (int) column;
    int above = (int) row;
    double right = column - left;
    double below = row - above;
    int next = left + 1 < across ? 1 : 0;
    int at = above * across + left;
    int under = above + 1 < down ? at + across : at;
    int[] around = {cells[at], cells[at + next], cells[under], cells[under + next]};
    double[] weights = {
      (1 - right) * (1 - below), right * (1 - below), (1 - right) * below, right * below
    };
    double alpha = 0;
    double red = 0;
    double green = 0;
    double blue = 0;
    for (int i = 0; i < 4; i++) {
      double weight = weights[i] * (around[i] >>> 24);
      alpha += weight;
      red += weight * (around[i] >> 16 & 255);
      green += weight * (around[i] >> 8 & 255);
      blue += weight * (around[i] & 255);
    }
    return alpha < 0.5
        ? 0
        : (int) Math.round(alpha) << 24
            | (int) Math.round(red / alpha) << 16
            | (int) Math.round(green / alpha) << 8
            | (int) Math.round(blue / alpha);
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
   * The darkest and the lightest of it over another colour, as the mean light of as much of it as
   * {@link Legible} counts: what words on any part of it have to be read against. Words that are
   * darker than all of that have the contrast that Legible tells; of lighter ones it is the least
   * that can be told.
   *
   * @param below solid, which is seen where it is clear
   */
  public List<Colour> ends(Colour below) {
    // Of px that are finer than a screen's nobody sees one.
    if (Math.max(across, down) > OF_BOX) {
      return of(across, down, this::at, OF_BOX).ends(below);
    }
    var shades = new Light[SHADES];
    for (int cell : cells) {
      Colour colour =
          new Colour(cell >> 16 & 255, cell >> 8 & 255, cell & 255, cell >>> 24).over(below);
      // What is dark is told apart as finely as what is light.
      int shade = (int) Math.min(SHADES - 1, Math.sqrt(colour.luminance()) * SHADES);
      if (shades[shade] == null) {
        shades[shade] = new Light();
      }
      shades[shade].add(colour);
    }
    return List.of(end(shades, true), end(shades, false));
  }

  private Colour end(@Nullable Light[] shades, boolean dark) {
    double left = Legible.WORST * cells.length;
    var sum = new Light();
    for (int i = 0; i < SHADES && left > 0; i++) {
      Light each = shades[dark ? i : SHADES - 1 - i];
      if (each != null) {
        double counted = Math.min(left, each.count);
        sum.add(each, counted);
        left -= counted;
      }
    }
    return sum.mean();
  }

  /** The light of some cells. */
  private static final class Light {
    private double red;
    private double green;
    private double blue;
    private double count;

    void add(Colour colour) {
      red += Srgb.linear(colour.red());
      green += Srgb.linear(colour.green());
      blue += Srgb.linear(colour.blue());
      count++;
    }

    /** As many of others as are counted. */
    void add(Light other, double counted) {
      double share = counted / other.count;
      red += share * other.red;
      green += share * other.green;
      blue += share * other.blue;
      count += counted;
    }

    Colour mean() {
      return new Colour(channel(red), channel(green), channel(blue), 255);
    }

    private int channel(double sum) {
      return Srgb.channel(Srgb.gamma(sum / count));
    }
  }

  /** What it takes in memory, in bytes, about. */
  public int bytes() {
    return 4 * cells.length + (half == null ? 0 : half.bytes());
  }
}
