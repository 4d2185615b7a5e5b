package giostra.core.layout;

import giostra.core.fit.Crop;
import giostra.core.fit.Legible;
import giostra.core.fit.Samples;
import giostra.core.layout.PictureSizes.Seen;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.GroundAt;
import giostra.core.value.Ink;
import java.util.function.Function;

/**
 * What lies under words that stand on a picture: the picture as it is cut to its box, over the
 * ground that shows through it, under an overlay.
 *
 * @param width of the box that the picture covers, px
 * @param height of the box, px
 * @param under what shows where the picture is clear
 * @param overlay over the whole box
 */
public record OverPicture(
    Seen seen, Size size, double width, double height, Colour under, Ground overlay) {

  /**
   * The contrast of words in a part of the box.
   *
   * @param x px from the left, of the box
   * @param y px from above
   * @param wide px
   * @param high px
   * @param inks the colours of the overlay's inks
   */
  public double contrast(
      Colour ink, double x, double y, double wide, double high, Function<Ink, Colour> inks) {
    Samples samples = seen.samples();
    var crop = new Crop(width, height, size.width(), size.height(), Crop.Fit.COVER, seen.focus());
    double cellWide = size.width() * crop.scale() / samples.across();
    double cellHigh = size.height() * crop.scale() / samples.down();
    var over = new GroundAt(overlay, width, height, inks);
    var legible = new Legible();
    double left = Math.max(0, x);
    double top = Math.max(0, y);
    double right = Math.min(width, x + wide);
    double bottom = Math.min(height, y + high);
    int lastColumn = column(right, crop.left(), cellWide, samples.across());
    int lastRow = column(bottom, crop.top(), cellHigh, samples.down());
    for (int row = column(top, crop.top(), cellHigh, samples.down()); row <= lastRow; row++) {
      double from = crop.top() + row * cellHigh;
      double tall = Math.min(bottom, from + cellHigh) - Math.max(top, from);
      for (int at = column(left, crop.left(), cellWide, samples.across()); at <= lastColumn; at++) {
        double start = crop.left() + at * cellWide;
        double broad = Math.min(right, start + cellWide) - Math.max(left, start);
        if (tall > 0 && broad > 0) {
          Colour below = colour(samples.at(at, row)).over(under);
          Colour veil = over.at(start + cellWide / 2, from + cellHigh / 2);
          legible.add(ink, veil.over(below), tall * broad);
        }
      }
    }
    return legible.contrast();
  }

  private static int column(double at, double start, double cell, int most) {
    return Math.clamp((long) Math.floor((at - start) / cell), 0, most - 1);
  }

  private static Colour colour(int argb) {
    return new Colour(argb >> 16 & 255, argb >> 8 & 255, argb & 255, argb >>> 24);
  }
}
