package giostra.core.layout;

import giostra.core.fit.Crop;
import giostra.core.fit.Legible;
import giostra.core.fit.Samples;
import giostra.core.layout.PictureSizes.Seen;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.value.Colour;

/**
 * What lies under words that stand on a picture: the picture as it is cut to its box, over the
 * ground that shows through it, under an overlay.
 *
 * @param fit whether the picture covers its box or stands in it whole
 * @param width of the box, px
 * @param height of the box, px
 * @param under what shows where the picture is clear
 * @param overlay over the whole box
 */
public record OverPicture(
    Seen seen, Size size, Crop.Fit fit, double width, double height, Colour under, Veil overlay) {
  /** What lies over something, point by point. */
  @FunctionalInterface
  public interface Veil {
    /** Its colour at px from the left and from above, as 0xAARRGGBB. */
    int at(double x, double y);

    /** It with another one over it. Source: Compositing and Blending 1, "source-over". */
    default Veil under(Veil above) {
      return (x, y) -> {
        int top = above.at(x, y);
        int low = at(x, y);
        double alpha = (top >>> 24) / 255.0;
        double rest = (low >>> 24) / 255.0 * (1 - alpha);
        double all = alpha + rest;
        int colour = (int) Math.round(all * 255) << 24;
        for (int shift = 0; shift <= 16 && all > 0; shift += 8) {
          double mixed = ((top >> shift & 255) * alpha + (low >> shift & 255) * rest) / all;
          colour |= (int) Math.round(mixed) << shift;
        }
        return colour;
      };
    }
  }

  /** Cells that say enough of what lies under words. */
  private static final int ENOUGH = 1_200;

  /**
   * The contrast of words in a part of the box.
   *
   * @param x px from the left, of the box
   * @param y px from above
   * @param wide px
   * @param high px
   */
  public double contrast(Colour ink, double x, double y, double wide, double high) {
    Samples samples = seen.samples();
    var crop = new Crop(width, height, size.width(), size.height(), fit, seen.focus());
    double cellWide = size.width() * crop.scale() / samples.across();
    double cellHigh = size.height() * crop.scale() / samples.down();
    int ground = under.red() << 16 | under.green() << 8 | under.blue();
    var legible = new Legible();
    double left = Math.max(0, x);
    double top = Math.max(0, y);
    double right = Math.min(width, x + wide);
    double bottom = Math.min(height, y + high);
    int lastColumn = column(right, crop.left(), cellWide, samples.across());
    int lastRow = column(bottom, crop.top(), cellHigh, samples.down());
    int firstColumn = column(left, crop.left(), cellWide, samples.across());
    int firstRow = column(top, crop.top(), cellHigh, samples.down());
    // Of many cells some say enough: every other, or every third, both ways.
    double cells = (double) (lastColumn - firstColumn + 1) * (lastRow - firstRow + 1);
    int stride = Math.max(1, (int) Math.sqrt(cells / ENOUGH));
    for (int row = firstRow; row <= lastRow; row += stride) {
      double from = crop.top() + row * cellHigh;
      double tall = Math.min(bottom, from + cellHigh) - Math.max(top, from);
      for (int at = firstColumn; at <= lastColumn; at += stride) {
        double start = crop.left() + at * cellWide;
        double broad = Math.min(right, start + cellWide) - Math.max(left, start);
        if (tall > 0 && broad > 0) {
          int picture = over(samples.at(at, row), ground);
          int veil = overlay.at(start + cellWide / 2, from + cellHigh / 2);
          legible.add(ink, over(veil, picture), tall * broad);
        }
      }
    }
    double wholly = (right - left) * (bottom - top);
    double on =
        common(left, right, crop.left(), crop.left() + cellWide * samples.across())
            * common(top, bottom, crop.top(), crop.top() + cellHigh * samples.down());
    // Beside a picture that stands whole there is the ground of its box.
    if (on < wholly - 0.5) {
      int veil = overlay.at((left + right) / 2, (top + bottom) / 2);
      double weight = on < 0.5 ? wholly : legible.all() * (wholly - on) / on;
      legible.add(ink, over(veil, ground), weight);
    }
    return legible.contrast();
  }

  /** How much two stretches have in common. */
  private static double common(double from, double to, double start, double end) {
    return Math.max(0, Math.min(to, end) - Math.max(from, start));
  }

  private static int column(double at, double start, double cell, int most) {
    return Math.clamp((long) Math.floor((at - start) / cell), 0, most - 1);
  }

  private static int over(int above, int below) {
    int alpha = above >>> 24;
    return Legible.mixed(above >> 16 & 255, below >> 16 & 255, alpha) << 16
        | Legible.mixed(above >> 8 & 255, below >> 8 & 255, alpha) << 8
        | Legible.mixed(above & 255, below & 255, alpha);
  }
}
