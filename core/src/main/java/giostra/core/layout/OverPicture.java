package giostra.core.layout;

import giostra.core.fit.Crop;
import giostra.core.fit.Legible;
import giostra.core.fit.Samples;
import giostra.core.layout.PictureSizes.Seen;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.value.Colour;
import giostra.core.value.GroundFit;

/**
 * What lies under words that stand on a picture: the picture as it is cut to its box, over the
 * ground that shows through it, under an overlay.
 *
 * @param fit whether the picture covers its box, stands in it whole or is laid again and again
 * @param tile how wide it is each time it is laid, px; of no matter otherwise
 * @param width of the box, px
 * @param height of the box, px
 * @param under what shows where the picture is clear
 * @param overlay over the whole box
 */
public record OverPicture(
    Seen seen,
    Size size,
    GroundFit fit,
    double tile,
    double width,
    double height,
    Colour under,
    Veil overlay) {
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

  /** Of more of one picture than this under words, as many are looked at. */
  private static final int MOST_TILES = 40;

  /** A picture that is laid once, as CSS does; it covers its box or stands in it whole. */
  public OverPicture(
      Seen seen, Size size, Crop.Fit fit, double width, double height, Colour under, Veil overlay) {
    this(
        seen,
        size,
        fit == Crop.Fit.CONTAIN ? GroundFit.CONTAIN : GroundFit.COVER,
        0,
        width,
        height,
        under,
        overlay);
  }

  /**
   * The contrast of words in a part of the box.
   *
   * @param x px from the left, of the box
   * @param y px from above
   * @param wide px
   * @param high px
   */
  public double contrast(Colour ink, double x, double y, double wide, double high) {
    var on =
        new Box(
            Math.max(0, x), Math.max(0, y), Math.min(width, x + wide), Math.min(height, y + high));
    var legible = new Legible();
    if (fit == GroundFit.PATTERN) {
      pattern(legible, ink, on);
      return legible.contrast();
    }
    Crop.Fit laid = fit == GroundFit.CONTAIN ? Crop.Fit.CONTAIN : Crop.Fit.COVER;
    var crop = new Crop(width, height, size.width(), size.height(), laid, seen.focus());
    double drawn = crop.scale();
    once(
        legible,
        ink,
        on,
        seen.samples(),
        new Laid(crop.left(), crop.top(), size.width() * drawn, size.height() * drawn));
    double wholly = (on.right - on.left) * (on.bottom - on.top);
    double covered =
        common(on.left, on.right, crop.left(), crop.left() + size.width() * drawn)
            * common(on.top, on.bottom, crop.top(), crop.top() + size.height() * drawn);
    // Beside a picture that stands whole there is the ground of its box.
    if (covered < wholly - 0.5) {
      int veil = overlay.at((on.left + on.right) / 2, (on.top + on.bottom) / 2);
      double weight = covered < 0.5 ? wholly : legible.all() * (wholly - covered) / covered;
      legible.add(ink, over(veil, ground()), weight);
    }
    return legible.contrast();
  }

  /** A stretch of the box, px from its left and its top. */
  private record Box(double left, double top, double right, double bottom) {}

  /** Where a picture lies in the box and how large it is there, px. */
  private record Laid(double left, double top, double wide, double high) {}

  /**
   * All that lies under words of a picture that is laid again and again, from where its focal point
   * has the first. Source: CSS Backgrounds 3, "background-repeat" and "background-position".
   */
  private void pattern(Legible legible, Colour ink, Box on) {
    // Chromium lays tiles of whole px, from measuring; so that each begins on one.
    double tall = Math.max(1, Math.round(size.height() * tile / size.width()));
    double startX = (width - tile) * seen.focus().x() / 100;
    double startY = (height - tall) * seen.focus().y() / 100;
    int fromX = (int) Math.floor((on.left - startX) / tile);
    int fromY = (int) Math.floor((on.top - startY) / tall);
    int toX = (int) Math.ceil((on.right - startX) / tile);
    int toY = (int) Math.ceil((on.bottom - startY) / tall);
    double all = (double) (toX - fromX) * (toY - fromY);
    Samples samples = seen.samples();
    int step = (int) Math.max(1, Math.ceil(Math.sqrt(all / MOST_TILES)));
    for (int row = fromY; row < toY; row += step) {
      for (int at = fromX; at < toX; at += step) {
        once(
            legible,
            ink,
            on,
            samples,
            new Laid(startX + at * tile, startY + row * tall, tile, tall));
      }
    }
  }

  private int ground() {
    return under.red() << 16 | under.green() << 8 | under.blue();
  }

  private void once(Legible legible, Colour ink, Box on, Samples samples, Laid picture) {
    double cellWide = picture.wide / samples.across();
    double cellHigh = picture.high / samples.down();
    int ground = ground();
    int lastColumn = column(on.right, picture.left, cellWide, samples.across());
    int lastRow = column(on.bottom, picture.top, cellHigh, samples.down());
    int firstColumn = column(on.left, picture.left, cellWide, samples.across());
    int firstRow = column(on.top, picture.top, cellHigh, samples.down());
    // Of many cells some say enough: every other, or every third, both ways.
    double cells = (double) (lastColumn - firstColumn + 1) * (lastRow - firstRow + 1);
    int stride = Math.max(1, (int) Math.sqrt(cells / ENOUGH));
    for (int row = firstRow; row <= lastRow; row += stride) {
      double from = picture.top + row * cellHigh;
      double tall = Math.min(on.bottom, from + cellHigh) - Math.max(on.top, from);
      for (int at = firstColumn; at <= lastColumn; at += stride) {
        double start = picture.left + at * cellWide;
        double broad = Math.min(on.right, start + cellWide) - Math.max(on.left, start);
        if (tall > 0 && broad > 0) {
          int seenThere = over(samples.at(at, row), ground);
          int veil = overlay.at(start + cellWide / 2, from + cellHigh / 2);
          legible.add(ink, over(veil, seenThere), tall * broad);
        }
      }
    }
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
