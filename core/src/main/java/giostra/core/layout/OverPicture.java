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

  /** Points that say enough of what lies under words. */
  private static final int ENOUGH = 4_000;

  /** The root of x³ = x + 1, after which no two points lie below or beside one another. */
  private static final double PLASTIC = 1.324_717_957_244_746;

  /**
   * Shares of the width and of the height of what is looked at, evenly spread: a hard edge that
   * runs down or across takes as many of them as it takes of the room, where those of a grid would
   * all change sides at once. Source: Roberts, "The unreasonable effectiveness of quasirandom
   * sequences" (2018), R2, from memory.
   */
  private static final double[] POINTS = new double[2 * ENOUGH];

  static {
    for (int i = 0; i < ENOUGH; i++) {
      POINTS[2 * i] = (0.5 + i / PLASTIC) % 1;
      POINTS[2 * i + 1] = (0.5 + i / (PLASTIC * PLASTIC)) % 1;
    }
  }

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
    double left = Math.max(0, x);
    double top = Math.max(0, y);
    double across = Math.min(width, x + wide) - left;
    double down = Math.min(height, y + high) - top;
    var legible = new Legible();
    if (across <= 0 || down <= 0) {
      return legible.contrast();
    }
    Laid laid = laid();
    Samples samples =
        seen.samples()
            .coarse(
                Math.min(seen.samples().across() / laid.wide, seen.samples().down() / laid.high));
    int ground = under.red() << 16 | under.green() << 8 | under.blue();
    for (int i = 0; i < POINTS.length; i += 2) {
      double atX = left + POINTS[i] * across;
      double atY = top + POINTS[i + 1] * down;
      int shown = over(laid.at(samples, atX, atY), ground);
      legible.add(ink, over(overlay.at(atX, atY), shown), 1);
    }
    return legible.contrast();
  }

  /**
   * Where a picture lies in the box and how large it is there, px.
   *
   * @param again whether it is laid again and again from there
   */
  private record Laid(double left, double top, double wide, double high, boolean again) {
    /** What shows of it at a point of the box, as 0xAARRGGBB; nothing beside it. */
    int at(Samples samples, double x, double y) {
      double across = (x - left) / wide;
      double down = (y - top) / high;
      if (again) {
        return samples.between(across - Math.floor(across), down - Math.floor(down));
      }
      return across < 0 || across > 1 || down < 0 || down > 1 ? 0 : samples.between(across, down);
    }
  }

  private Laid laid() {
    if (fit == GroundFit.PATTERN) {
      // From where its focal point has the first. Source: CSS Backgrounds 3, "background-repeat"
      // and "background-position". Chromium lays tiles of whole px, from measuring.
      double tall = Math.max(1, Math.round(size.height() * tile / size.width()));
      return new Laid(
          (width - tile) * seen.focus().x() / 100,
          (height - tall) * seen.focus().y() / 100,
          tile,
          tall,
          true);
    }
    Crop.Fit laid = fit == GroundFit.CONTAIN ? Crop.Fit.CONTAIN : Crop.Fit.COVER;
    var crop = new Crop(width, height, size.width(), size.height(), laid, seen.focus());
    return new Laid(
        crop.left(), crop.top(), size.width() * crop.scale(), size.height() * crop.scale(), false);
  }

  private static int over(int above, int below) {
    int alpha = above >>> 24;
    return Legible.mixed(above >> 16 & 255, below >> 16 & 255, alpha) << 16
        | Legible.mixed(above >> 8 & 255, below >> 8 & 255, alpha) << 8
        | Legible.mixed(above & 255, below & 255, alpha);
  }
}
