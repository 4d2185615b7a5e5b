package giostra.server.media;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Uploads: their bytes decide. Source for the PNG header: PNG specification, "IHDR". */
@ExtendWith(Giostra.class)
class MediaApiTest {
  private static byte[] picture(String type, int width, int height) throws IOException {
    var out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), type, out);
    return out.toByteArray();
  }

  @Test
  void theBytesDecideTheTypeNotTheName(Api api) throws IOException {
    String site = api.newSite("Media");
    var png = api.upload(site, "holiday.jpg", picture("png", 30, 20)).json();
    assertThat(png.path("type").asString()).isEqualTo("image/png");
    assertThat(png.path("width").asInt()).isEqualTo(30);
    assertThat(png.path("height").asInt()).isEqualTo(20);
    var file = api.get("/api/media/" + png.path("id").asString() + "/file");
    assertThat(file.header("content-type")).isEqualTo("image/png");
    assertThat(file.header("x-content-type-options")).isEqualTo("nosniff");
  }

  @Test
  void theSameBytesAreOnePicture(Api api) throws IOException {
    String site = api.newSite("Twice");
    byte[] bytes = picture("jpg", 12, 12);
    String first = api.upload(site, "a.jpg", bytes).json().path("id").asString();
    assertThat(api.upload(site, "b.jpg", bytes).json().path("id").asString()).isEqualTo(first);
    assertThat(api.get("/api/sites/" + site + "/media").json().size()).isEqualTo(1);
  }

  @Test
  void whatIsNoPictureIsRefusedWithTheReason(Api api) {
    String site = api.newSite("Refused");
    byte[] html = "<script>alert(1)</script>".getBytes(StandardCharsets.UTF_8);
    var answer = api.upload(site, "nice.png", html);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text()).contains("Picture nice.png", "it must be jpeg, png or webp");
    byte[] gif = "GIF89a\1\0\1\0\0\0\0;".getBytes(StandardCharsets.ISO_8859_1);
    assertThat(api.upload(site, "nice.png", gif).text()).contains("GIF");
    assertThat(api.upload(site, "empty.png", new byte[0]).status()).isEqualTo(422);
  }

  @Test
  void aPictureThatClaimsTooManyPixelsIsRefusedByItsHeader(Api api) throws IOException {
    byte[] png = picture("png", 4, 4);
    ByteBuffer.wrap(png).putInt(16, 60_000).putInt(20, 60_000);
    var crc = new CRC32();
    crc.update(Arrays.copyOfRange(png, 12, 29));
    ByteBuffer.wrap(png).putInt(29, (int) crc.getValue());
    var answer = api.upload(api.newSite("Bomb"), "bomb.png", png);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text()).contains("60000 x 60000 px", "at most 50 million px");
  }

  @Test
  void aFileOver20MbIsRefused(Api api) {
    var answer = api.upload(api.newSite("Large"), "large.png", new byte[21_500_000]);
    assertThat(answer.status()).isEqualTo(413);
    assertThat(answer.text()).contains("20 MB or less");
  }
}
