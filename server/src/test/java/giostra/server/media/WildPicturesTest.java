package giostra.server.media;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.testing.Runs;
import giostra.core.testing.Wild;
import giostra.core.value.Refused;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever calls itself a picture is read or refused in words, and drawn smaller or not at all. */
class WildPicturesTest {
  /** What cameras write behind the start of a JPEG: orientation 6. Source: Exif 2.32, 4.6.4. */
  static final byte[] EXIF_TURNED = {
    (byte) 0xFF,
    (byte) 0xE1,
    0,
    34,
    'E',
    'x',
    'i',
    'f',
    0,
    0,
    'M',
    'M',
    0,
    42,
    0,
    0,
    0,
    8,
    0,
    1,
    1,
    0x12,
    0,
    3,
    0,
    0,
    0,
    1,
    0,
    6,
    0,
    0,
    0,
    0,
    0,
    0
  };

  private static byte[] written(String format, int type) {
    var image = new BufferedImage(37, 23, type);
    Graphics2D on = image.createGraphics();
    on.setColor(Color.ORANGE);
    on.fillOval(3, 2, 30, 18);
    on.dispose();
    var out = new ByteArrayOutputStream();
    try {
      if (!ImageIO.write(image, format, out)) {
        throw new IllegalStateException("no " + format);
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    return out.toByteArray();
  }

  /** A JPEG with what cameras write before it: a block of Exif with an orientation. */
  private static byte[] turned() {
    byte[] plain = written("jpeg", BufferedImage.TYPE_INT_RGB);
    var out = new ByteArrayOutputStream();
    out.write(plain, 0, 2);
    out.writeBytes(EXIF_TURNED);
    out.write(plain, 2, plain.length - 2);
    return out.toByteArray();
  }

  static List<Wild> readers() {
    var all = new ArrayList<Wild>();
    all.add(
        new Wild(
            "PNG",
            List.of(
                written("png", BufferedImage.TYPE_INT_ARGB),
                written("png", BufferedImage.TYPE_BYTE_INDEXED)),
            List.of("IHDR", "IDAT", "IEND", "acTL", "zTXt", "iTXt", "iCCP", "eXIf", "PLTE", "tRNS"),
            40_000,
            WildPicturesTest::read));
    all.add(
        new Wild(
            "JPEG",
            List.of(written("jpeg", BufferedImage.TYPE_INT_RGB), turned()),
            List.of("Exif\u0000\u0000", "JFIF\u0000", "ICC_PROFILE\u0000", "http://ns.adobe.com/"),
            40_000,
            WildPicturesTest::read));
    all.add(
        new Wild(
            "WebP",
            List.of(written("webp", BufferedImage.TYPE_INT_ARGB)),
            List.of("RIFF", "WEBP", "VP8 ", "VP8L", "VP8X", "ANIM", "ANMF", "EXIF", "XMP ", "ICCP"),
            40_000,
            WildPicturesTest::read));
    all.add(
        new Wild(
            "GIF",
            List.of(written("gif", BufferedImage.TYPE_BYTE_INDEXED)),
            List.of("GIF87a", "GIF89a", "NETSCAPE2.0"),
            40_000,
            WildPicturesTest::read));
    return all;
  }

  /** As it is taken in; and drawn smaller, as it is for pages, where it was. */
  private static void read(byte[] bytes) {
    PictureFacts facts = PictureFacts.read(bytes, "a picture");
    if (Runs.deep() || facts.width() * facts.height() < 1_000_000) {
      try {
        Pixels.check(bytes);
        int wide = Pixels.within(bytes, 16, BufferedImage::getWidth);
        assertThat(wide).isPositive();
      } catch (IOException e) {
        // What has a size and no pixels that can be read is not taken in.
        throw new Refused("it", String.valueOf(e.getMessage()), "a picture");
      }
    }
  }

  @ParameterizedTest
  @MethodSource("readers")
  void whateverComesIsReadOrRefused(Wild reader) throws InterruptedException {
    reader.go(120, Long.getLong("giostra.seed", 1));
  }
}
