package giostra.server.media;

import com.luciad.imageio.webp.WebPReadParam;
import giostra.core.value.Refused;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.concurrent.Semaphore;
import javax.imageio.IIOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.MemoryCacheImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.Orientation;

/**
 * The pixels of pictures, in no more memory than there is for them: a large one is never whole in
 * it, but goes by in strips, and only so many are looked at, at a time.
 */
final class Pixels {
  /** Px of a picture that is read whole; 4 bytes each, and as many for what is made of it. */
  static final long WHOLE = 8_000_000;

  /** Px of what is made of a larger one, at the most. */
  static final double MADE = 16_000_000;

  /** Px that are enough to see whether there are any. */
  private static final double LOOKED_AT = 500_000;

  /** Px of a strip. */
  private static final int STRIP = 12_000_000;

  /** Millions of px that are in memory at a time. */
  private static final int ROOM = 16;

  /** Files that are gone through at a time: libraries may hold more of one than they give. */
  private static final Semaphore LOOKS = new Semaphore(2, true);

  private static final Semaphore FREE = new Semaphore(ROOM, true);

  private Pixels() {}

  /** Whether pixels of a type are ever read here: what moves, and what has none, stays as it is. */
  static boolean areReadOf(String type) {
    return switch (type) {
      case "image/jpeg", "image/png", "image/webp" -> true;
      default -> false;
    };
  }

  /**
   * Holds a picture to having pixels that can be read, before a page counts on it: it is gone
   * through once, and few of them are kept.
   *
   * @throws Refused where they cannot
   */
  static void check(byte[] bytes) {
    LOOKS.acquireUninterruptibly();
    try {
      read(
          bytes,
          reader -> {
            long px = (long) reader.getWidth(0) * reader.getHeight(0);
            int each = (int) Math.ceil(Math.sqrt(px / LOOKED_AT));
            ImageReadParam how = reader.getDefaultReadParam();
            if (how instanceof WebPReadParam webp) {
              return scaled(
                  reader,
                  webp,
                  Math.max(1, reader.getWidth(0) / each),
                  Math.max(1, reader.getHeight(0) / each));
            }
            how.setSourceSubsampling(each, each, 0, 0);
            return reader.read(0, how);
          });
    } catch (IOException e) {
      throw new Refused(
          "it",
          "of pixels that cannot be read (" + e.getMessage() + ")",
          "a whole picture, in RGB");
    } finally {
      LOOKS.release();
    }
  }

  /** What is made of a picture while there is room for it. */
  @FunctionalInterface
  interface Work<T> {
    /** Makes it. */
    T of(BufferedImage picture) throws IOException;
  }

  /**
   * Works on a picture as it is shown: turned as it says, and no wider than what is asked for where
   * it is too large to be read whole.
   *
   * @param wide px that are needed at the most
   * @throws IIOException for what cannot be read
   */
  static <T> T within(byte[] bytes, int wide, Work<T> work) throws IOException {
    return read(
        bytes,
        reader -> {
          long px = (long) reader.getWidth(0) * reader.getHeight(0);
          int takes = Math.clamp(2 * px / 1_000_000 + 1, 1, ROOM);
          FREE.acquireUninterruptibly(takes);
          try {
            int held = PictureFacts.orientation(bytes);
            BufferedImage read =
                px <= WHOLE ? whole(bytes) : large(reader, held >= PictureFacts.SIDEWAYS, wide);
            return work.of(
                ExifFilterUtils.getFilterForOrientation(Orientation.typeOf(held)).apply(read));
          } finally {
            FREE.release(takes);
          }
        });
  }

  /** What is done with a file that is open. */
  @FunctionalInterface
  private interface Open<T> {
    T of(ImageReader reader) throws IOException;
  }

  private static <T> T read(byte[] bytes, Open<T> open) throws IOException {
    try (var in = new MemoryCacheImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        throw new IIOException("of no known type");
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in);
        if ((long) reader.getWidth(0) * reader.getHeight(0) > PictureFacts.MOST_PIXELS) {
          throw new IIOException("of more px than it said");
        }
        return open.of(reader);
      } catch (IllegalArgumentException
          | IndexOutOfBoundsException
          | NegativeArraySizeException e) {
        throw new IIOException("damaged", e);
      } catch (OutOfMemoryError e) {
        // So the library of WebP says that a file is damaged, too.
        throw new IIOException("damaged, or more than there is memory for", e);
      } finally {
        reader.dispose();
      }
    }
  }

  private static BufferedImage whole(byte[] bytes) throws IOException {
    return Thumbnails.of(new ByteArrayInputStream(bytes))
        .useExifOrientation(false)
        .scale(1)
        .asBufferedImage();
  }

  private static BufferedImage large(ImageReader reader, boolean turned, int wide)
      throws IOException {
    int width = reader.getWidth(0);
    int height = reader.getHeight(0);
    double scale = Math.min(1, wide / (double) (turned ? height : width));
    scale = Math.min(scale, Math.sqrt(MADE / ((double) width * height)));
    int toWidth = (int) Math.max(1, Math.round(width * scale));
    int toHeight = (int) Math.max(1, Math.round(height * scale));
    return reader.getDefaultReadParam() instanceof WebPReadParam how
        ? scaled(reader, how, toWidth, toHeight)
        : strips(reader, toWidth, toHeight);
  }

  /** The library makes it smaller as it reads it. */
  private static BufferedImage scaled(
      ImageReader reader, WebPReadParam how, int toWidth, int toHeight) throws IOException {
    how.setScaledWidth(toWidth);
    how.setScaledHeight(toHeight);
    how.setUseScaling(true);
    return reader.read(0, how);
  }

  private static BufferedImage strips(ImageReader reader, int toWidth, int toHeight)
      throws IOException {
    int width = reader.getWidth(0);
    int height = reader.getHeight(0);
    var made = new Averaged(width, height, toWidth, toHeight);
    int rows = Math.max(1, STRIP / width);
    for (int y = 0; y < height; y += rows) {
      int high = Math.min(rows, height - y);
      ImageReadParam how = reader.getDefaultReadParam();
      how.setSourceRegion(new Rectangle(0, y, width, high));
      BufferedImage strip = reader.read(0, how);
      if (strip.getWidth() != width || strip.getHeight() != high) {
        throw new IIOException("cut off");
      }
      // Whatever colours it is written in, they are sRGB from here on.
      var line = new BufferedImage(width, 1, BufferedImage.TYPE_INT_ARGB_PRE);
      Graphics2D on = line.createGraphics();
      on.setComposite(java.awt.AlphaComposite.Src);
      int[] px = new int[width];
      for (int row = 0; row < high; row++) {
        on.drawImage(strip, 0, -row, null);
        line.getRaster().getDataElements(0, 0, width, 1, px);
        made.add(px);
      }
      on.dispose();
    }
    return made.picture();
  }
}
