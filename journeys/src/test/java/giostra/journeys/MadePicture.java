package giostra.journeys;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** Pictures of which only the size matters. */
final class MadePicture {
  private MadePicture() {}

  /** A black one. */
  static byte[] png(int width, int height) {
    var out = new ByteArrayOutputStream();
    try {
      ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }
}
