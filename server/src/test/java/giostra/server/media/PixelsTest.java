package giostra.server.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Random;
import javax.imageio.ImageIO;
import net.coobird.thumbnailator.Thumbnails;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Large pictures are the same picture when they were never whole in memory. */
class PixelsTest {
  /** Above what is read whole. */
  private static BufferedImage large(int type) {
    var image = new BufferedImage(3600, 2500, type);
    Graphics2D on = image.createGraphics();
    on.setPaint(new GradientPaint(0, 0, Color.ORANGE, 3600, 2500, Color.BLUE));
    on.fillRect(0, 0, 3600, 2500);
    on.setColor(new Color(255, 255, 255, 128));
    on.fillOval(300, 200, 1500, 900);
    on.dispose();
    return image;
  }

  private static byte[] written(BufferedImage image, String format) throws IOException {
    var out = new ByteArrayOutputStream();
    assertThat(ImageIO.write(image, format, out)).isTrue();
    return out.toByteArray();
  }

  private static double apart(BufferedImage one, BufferedImage other) {
    assertThat(one.getWidth()).isEqualTo(other.getWidth());
    assertThat(one.getHeight()).isEqualTo(other.getHeight());
    double sum = 0;
    int count = 0;
    for (int y = 0; y < one.getHeight(); y += 7) {
      for (int x = 0; x < one.getWidth(); x += 7) {
        int a = one.getRGB(x, y);
        int b = other.getRGB(x, y);
        for (int shift = 0; shift < 32; shift += 8) {
          sum += Math.abs((a >> shift & 0xFF) - (b >> shift & 0xFF));
          count++;
        }
      }
    }
    return sum / count;
  }

  /** Thumbnailator, which has the whole of it in memory, makes the same of it. */
  @ParameterizedTest
  @CsvSource({"jpeg, 1", "png, 2", "png, 13", "webp, 2"})
  void aLargePictureIsTheSameInStrips(String format, int type) throws IOException {
    BufferedImage image = large(type);
    byte[] bytes = written(image, format);
    BufferedImage made = Pixels.within(bytes, 1280, each -> each);
    var plain = new BufferedImage(3600, 2500, BufferedImage.TYPE_INT_ARGB);
    plain.createGraphics().drawImage(image, 0, 0, null);
    assertThat(apart(made, Thumbnails.of(plain).width(1280).asBufferedImage())).isLessThan(3);
  }

  @Test
  void aSmallOneIsRead() throws IOException {
    var image = new BufferedImage(40, 30, BufferedImage.TYPE_INT_ARGB);
    image.setRGB(3, 4, 0x80FF0000);
    BufferedImage made = Pixels.within(written(image, "png"), 16, each -> each);
    assertThat(made.getWidth()).isEqualTo(40);
    assertThat(made.getRGB(3, 4)).isEqualTo(0x80FF0000);
  }

  /** Exif 2.32, orientation 6: the first row is at the right. */
  @Test
  void aLargePictureIsTurnedAsItSays() throws IOException {
    BufferedImage image = large(BufferedImage.TYPE_INT_RGB);
    byte[] plain = written(image, "jpeg");
    var out = new ByteArrayOutputStream();
    out.write(plain, 0, 2);
    out.writeBytes(WildPicturesTest.EXIF_TURNED);
    out.write(plain, 2, plain.length - 2);
    byte[] turned = out.toByteArray();
    assertThat(PictureFacts.read(turned, "").width()).isEqualTo(2500);
    BufferedImage made = Pixels.within(turned, 1000, each -> each);
    assertThat(made.getWidth()).isEqualTo(1000);
    assertThat(made.getHeight()).isEqualTo(1440);
    int left = made.getRGB(2, 2);
    int was = image.getRGB(5, 2494);
    for (int shift = 0; shift < 24; shift += 8) {
      assertThat((left >> shift & 0xFF) - (was >> shift & 0xFF)).isBetween(-6, 6);
    }
  }

  /** Each px is the mean of what lies beneath it, worked out px by px. */
  @Test
  void whatIsMadeIsTheMeanOfWhatLiesBeneath() {
    var random = new Random(7);
    for (int i = 0; i < 60; i++) {
      int width = 1 + random.nextInt(40);
      int height = 1 + random.nextInt(40);
      int toWidth = 1 + random.nextInt(width);
      int toHeight = 1 + random.nextInt(height);
      int[][] px = new int[height][width];
      var averaged = new Averaged(width, height, toWidth, toHeight);
      for (int[] row : px) {
        for (int x = 0; x < width; x++) {
          row[x] = 0xFF000000 | random.nextInt(0x1000000);
        }
        averaged.add(row);
      }
      BufferedImage made = averaged.picture();
      for (int y = 0; y < toHeight; y++) {
        for (int x = 0; x < toWidth; x++) {
          for (int shift = 0; shift < 32; shift += 8) {
            double mean = mean(px, shift, x, y, toWidth, toHeight);
            assertThat((double) (made.getRGB(x, y) >> shift & 0xFF)).isCloseTo(mean, within(0.51));
          }
        }
      }
    }
  }

  private static double mean(int[][] px, int shift, int x, int y, int toWidth, int toHeight) {
    double wide = px[0].length / (double) toWidth;
    double high = px.length / (double) toHeight;
    double sum = 0;
    for (int v = 0; v < px.length; v++) {
      double rows = Math.min(v + 1, (y + 1) * high) - Math.max(v, y * high);
      for (int u = 0; u < px[0].length && rows > 0; u++) {
        double columns = Math.min(u + 1, (x + 1) * wide) - Math.max(u, x * wide);
        sum += columns > 0 ? rows * columns * (px[v][u] >> shift & 0xFF) : 0;
      }
    }
    return sum / (wide * high);
  }
}
