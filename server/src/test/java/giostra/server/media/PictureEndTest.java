package giostra.server.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.value.Refused;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Where pictures end, on files that the JDK and libwebp wrote. Sources: PNG specification, "Chunk
 * layout"; GIF89a; WebP container specification.
 */
class PictureEndTest {
  private static byte[] written(String format) throws IOException {
    var out = new ByteArrayOutputStream();
    var image = new BufferedImage(20, 10, BufferedImage.TYPE_INT_RGB);
    image.setRGB(3, 3, 0xffffff);
    assertThat(ImageIO.write(image, format, out)).isTrue();
    return out.toByteArray();
  }

  private static byte[] moving(int frames) throws IOException {
    var out = new ByteArrayOutputStream();
    ImageWriter writer = ImageIO.getImageWritersByFormatName("gif").next();
    try (var stream = ImageIO.createImageOutputStream(out)) {
      writer.setOutput(stream);
      writer.prepareWriteSequence(null);
      for (int i = 0; i < frames; i++) {
        var image = new BufferedImage(9, 9, BufferedImage.TYPE_BYTE_INDEXED);
        image.setRGB(i % 9, 0, 0xffffff);
        IIOMetadata metadata =
            writer.getDefaultImageMetadata(ImageTypeSpecifier.createFromRenderedImage(image), null);
        writer.writeToSequence(new IIOImage(image, null, metadata), null);
      }
      writer.endWriteSequence();
    }
    return out.toByteArray();
  }

  @ParameterizedTest
  @CsvSource({"png, image/png", "gif, image/gif", "jpg, image/jpeg", "webp, image/webp"})
  void aStillPictureHasOneFrameAndNothingBehindIt(String format, String type) throws IOException {
    byte[] whole = written(format);
    assertThat(PictureEnd.frames(type, whole)).isEqualTo(1);
    byte[] zip = "PK\3\4 hidden".getBytes(StandardCharsets.ISO_8859_1);
    byte[] both = Arrays.copyOf(whole, whole.length + zip.length);
    System.arraycopy(zip, 0, both, whole.length, zip.length);
    assertThatThrownBy(() -> PictureEnd.frames(type, both))
        .isInstanceOf(Refused.class)
        .hasMessage(
            "it is 11 bytes longer than its picture; it must be a picture and nothing behind it");
  }

  @Test
  void framesAreCounted() throws IOException {
    assertThat(PictureEnd.frames("image/gif", moving(7))).isEqualTo(7);
    assertThatThrownBy(() -> PictureEnd.frames("image/gif", moving(601)))
        .hasMessageContaining("of 601 frames");
  }

  /** An animated PNG says how many frames it has before it shows any. */
  @Test
  void claimedFramesAreBelieved() throws IOException {
    byte[] png = written("png");
    ByteBuffer with = ByteBuffer.allocate(png.length + 20);
    with.put(png, 0, 33);
    with.putInt(8).put("acTL".getBytes(StandardCharsets.ISO_8859_1)).putInt(100_000).putInt(0);
    with.putInt(0).put(png, 33, png.length - 33);
    assertThatThrownBy(() -> PictureEnd.frames("image/png", with.array()))
        .hasMessageContaining("of 100000 frames; it must be of at most 600");
  }

  @Test
  void framesOfAnAnimatedWebpAreItsAnmfChunks() throws IOException {
    byte[] frame = "ANMF\4\0\0\0abcd".getBytes(StandardCharsets.ISO_8859_1);
    ByteBuffer file = ByteBuffer.allocate(12 + 3 * frame.length).order(ByteOrder.LITTLE_ENDIAN);
    file.put("RIFF".getBytes(StandardCharsets.ISO_8859_1)).putInt(4 + 3 * frame.length);
    file.put("WEBP".getBytes(StandardCharsets.ISO_8859_1)).put(frame).put(frame).put(frame);
    assertThat(PictureEnd.frames("image/webp", file.array())).isEqualTo(3);
  }

  @Test
  void cutOffPicturesAreRefusedAndNothingElseHappens() throws IOException {
    var random = new Random(5);
    for (String format : new String[] {"png", "gif", "webp"}) {
      byte[] whole = format.equals("gif") ? moving(4) : written(format);
      for (int i = 0; i < 200; i++) {
        byte[] some = Arrays.copyOf(whole, 13 + random.nextInt(whole.length - 13));
        assertThatThrownBy(() -> PictureEnd.frames("image/" + format, some))
            .as(format + " of " + some.length)
            .isInstanceOf(Refused.class);
      }
    }
  }
}
