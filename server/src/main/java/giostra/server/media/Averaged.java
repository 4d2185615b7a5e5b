package giostra.server.media;

import java.awt.image.BufferedImage;

/**
 * A picture in fewer px, each the mean of those that lie beneath it, by the share that does. Its
 * rows come one after the other and are not kept.
 */
final class Averaged {
  private final int toWidth;
  private final int toHeight;
  private final int width;
  private final double high;
  private final BufferedImage made;

  /** For each px of a row the first of the target's that it is part of, and its share of that. */
  private final int[] column;

  private final float[] share;

  /** Sums of the row that is being made, of the four channels. */
  private float[] sums;

  /** How much of the row that is being made has come, in rows of the source. */
  private double filled;

  private int row;

  /** From so many px to so many, no more of them each way. */
  Averaged(int width, int height, int toWidth, int toHeight) {
    this.width = width;
    this.toWidth = toWidth;
    this.toHeight = toHeight;
    this.high = height / (double) toHeight;
    this.made = new BufferedImage(toWidth, toHeight, BufferedImage.TYPE_INT_ARGB_PRE);
    this.sums = new float[4 * toWidth];
    this.column = new int[width];
    this.share = new float[width];
    double wide = width / (double) toWidth;
    for (int x = 0; x < width; x++) {
      column[x] = Math.min(toWidth - 1, (int) (x / wide));
      double edge = (column[x] + 1) * wide;
      share[x] = column[x] == toWidth - 1 ? 1 : (float) Math.clamp(edge - x, 0, 1);
    }
  }

  /**
   * The next row of the source.
   *
   * @param px as alpha, red, green, blue of 8 bits, the latter three multiplied by the first
   */
  void add(int[] px) {
    double left = 1;
    while (left > 1e-9 && row < toHeight) {
      double part = Math.min(left, high - filled);
      add(px, (float) part);
      filled += part;
      left -= part;
      if (filled >= high - 1e-9) {
        finish();
      }
    }
  }

  private void add(int[] px, float part) {
    for (int x = 0; x < width; x++) {
      int argb = px[x];
      int at = 4 * column[x];
      float here = share[x] * part;
      add(at, argb, here);
      if (share[x] < 1) {
        add(at + 4, argb, part - here);
      }
    }
  }

  private void add(int at, int argb, float weight) {
    sums[at] += weight * (argb >>> 24);
    sums[at + 1] += weight * (argb >> 16 & 0xFF);
    sums[at + 2] += weight * (argb >> 8 & 0xFF);
    sums[at + 3] += weight * (argb & 0xFF);
  }

  private void finish() {
    double all = high * width / toWidth;
    int[] line = new int[toWidth];
    for (int x = 0; x < toWidth; x++) {
      int argb = 0;
      for (int channel = 0; channel < 4; channel++) {
        argb = argb << 8 | (int) Math.clamp(Math.round(sums[4 * x + channel] / all), 0, 255);
      }
      line[x] = argb;
    }
    made.getRaster().setDataElements(0, row, toWidth, 1, line);
    sums = new float[4 * toWidth];
    filled = 0;
    row++;
  }

  /** What was made of the rows that came. */
  BufferedImage picture() {
    if (row < toHeight && filled > 0) {
      finish();
    }
    return made;
  }
}
