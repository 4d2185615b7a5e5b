package giostra.server.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.value.Refused;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Uploads: their bytes decide. Source for the PNG header: PNG specification, "IHDR". */
@ExtendWith(Giostra.class)
class MediaApiTest {
  static byte[] picture(String type, int width, int height) throws IOException {
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
    var file = api.get("/api/sites/" + site + "/media/" + png.path("id").asString() + "/file");
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
    assertThat(answer.text())
        .contains("File nice.png: it is of no known type; it must be jpeg, png, webp, gif, svg");
    byte[] gif = "GIF89a\1\0\1\0\0\0\0;".getBytes(StandardCharsets.ISO_8859_1);
    assertThat(api.upload(site, "nice.png", gif).text()).contains("it is without a frame");
    assertThat(api.upload(site, "empty.png", new byte[0]).status()).isEqualTo(422);
  }

  /** What can be drawn nowhere is said when it is brought, and where it was taken before that. */
  @Test
  void aPictureOfPixelsThatCannotBeReadIsRefused(Api api) throws IOException {
    String site = api.newSite("Damaged");
    byte[] png = picture("png", 400, 300);
    int data = new String(png, StandardCharsets.ISO_8859_1).indexOf("IDAT") + 4;
    Arrays.fill(png, data, data + 40, (byte) 0x55);
    var refused = api.upload(site, "torn.png", png);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.text()).contains("torn.png").contains("of pixels that cannot be read");
    MediaService media = Giostra.bean(MediaService.class);
    MediaService.Media before = media.add(site, "torn", "torn.png", "", png);
    String small = before.path().replaceFirst("media/([^.]+)\\.png", "media/$1-96.webp");
    assertThatThrownBy(() -> media.open(site, small))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Picture torn.png")
        .hasMessageContaining("another file in its place");
    // It comes along with its site all the same.
    var archive = api.get("/api/sites/" + site + "/archive.zip");
    assertThat(archive.status()).isEqualTo(200);
    assertThat(api.send("/api/archives", "application/zip", archive.bytes()).status())
        .isEqualTo(201);
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
  void filesThatAreTooLargeAreRefused(Api api) throws IOException {
    String site = api.newSite("Large");
    byte[] png = Arrays.copyOf(picture("png", 4, 4), 21_500_000);
    assertThat(api.upload(site, "large.png", png).text())
        .contains("File large.png: it is 20 MB large; it must be 20 MB or less");
    var answer = api.upload(site, "large.mp4", new byte[69_000_000]);
    assertThat(answer.status()).isEqualTo(413);
    assertThat(answer.text()).contains("64 MB or less");
  }

  /** A picture that moves: one frame of one pixel, written so many times. */
  private static byte[] moving(int frames) {
    String head = "GIF89a\1\0\1\0\200\0\0\0\0\0\377\377\377";
    String frame = ",\0\0\0\0\1\0\1\0\0\2\2D\1\0";
    return (head + frame.repeat(frames) + ";").getBytes(StandardCharsets.ISO_8859_1);
  }

  @Test
  void aMovingPictureIsTakenUpToSoManyFrames(Api api) {
    String site = api.newSite("Moving");
    var gif = api.upload(site, "lamp.gif", moving(3)).json();
    assertThat(gif.path("type").asString()).isEqualTo("image/gif");
    assertThat(gif.path("files").asInt()).as("smaller files").isZero();
    assertThat(api.upload(site, "bomb.gif", moving(700)).text())
        .contains("File bomb.gif: it is of 700 frames; it must be of at most 600");
  }

  @Test
  void filesInDisguiseAreRefused(Api api) throws IOException {
    String site = api.newSite("Disguise");
    byte[] zip = "PK\3\4 and more".getBytes(StandardCharsets.ISO_8859_1);
    for (String type : List.of("png", "jpg", "gif")) {
      byte[] whole = type.equals("gif") ? moving(1) : picture(type, 8, 8);
      byte[] both = Arrays.copyOf(whole, whole.length + zip.length);
      System.arraycopy(zip, 0, both, whole.length, zip.length);
      assertThat(api.upload(site, "nice." + type, both).text())
          .contains("File nice." + type + ": it is 13 bytes longer than its picture");
    }
    byte[] svg =
        "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 4 4'><path d='M0 0h4'/></svg>"
            .getBytes(StandardCharsets.UTF_8);
    assertThat(api.upload(site, "nice.png", svg).text())
        .contains("it is a vector picture (image/svg+xml); it must be a picture, as named");
    var taken = api.upload(site, "nice.svg", svg).json();
    assertThat(taken.path("width").asInt()).isEqualTo(4);
    var file = api.get("/api/sites/" + site + "/media/" + taken.path("id").asString() + "/file");
    assertThat(file.header("content-security-policy")).contains("default-src 'none'");
    byte[] scripted = "<svg viewBox='0 0 4 4'><script>alert(1)</script></svg>".getBytes();
    assertThat(api.upload(site, "bad.svg", scripted).text())
        .contains("File bad.svg: The vector picture is with <script>");
  }

  @Test
  void captionsAreReadAndTheirFaultsNamed(Api api) {
    String site = api.newSite("Captions");
    byte[] good = "WEBVTT\n\n00:01.000 --> 00:02.500\nA bud.\n".getBytes();
    var vtt = api.upload(site, "en.vtt", good).json();
    assertThat(vtt.path("type").asString()).isEqualTo("text/vtt");
    assertThat(vtt.path("durationMs").asInt()).isEqualTo(2500);
    byte[] bad = "WEBVTT\n\n00:01,000 --> 00:02,500\nA bud.\n".getBytes();
    assertThat(api.upload(site, "en.vtt", bad).text())
        .contains("File en.vtt: Line 3 of the captions is 00:01,000");
  }

  @Test
  void whatIsUsedIsReplacedEverywhereAndNotDeleted(Api api) throws IOException {
    String site = api.newSite("Kept");
    String id = api.upload(site, "a.png", picture("png", 40, 30)).json().path("id").asString();
    String preview = preview(api, site, id);
    String before = image(api, preview).attr("src");
    assertThat(api.delete("/api/sites/" + site + "/media/" + id).text())
        .contains("used in 1 place (One picture: picture)");
    var library = api.get("/api/sites/" + site + "/library").json();
    assertThat(library.get(0).path("uses").get(0).path("node").asString()).isEqualTo("shot");
    assertThat(library.get(0).path("lacks").asBoolean()).isTrue();

    var replaced =
        api.uploadTo(
            "/api/sites/" + site + "/media/" + id + "/file", "b.png", picture("png", 80, 30));
    assertThat(replaced.json().path("width").asInt()).isEqualTo(80);
    assertThat(image(api, preview).attr("width")).isEqualTo("80");
    assertThat(image(api, preview).attr("src")).isNotEqualTo(before);
    byte[] vtt = "WEBVTT\n\n00:01.000 --> 00:02.500\nA bud.\n".getBytes();
    assertThat(api.uploadTo("/api/sites/" + site + "/media/" + id + "/file", "b.vtt", vtt).text())
        .contains("it must be a picture, as before");

    String unused = api.upload(site, "c.png", picture("png", 9, 9)).json().path("id").asString();
    assertThat(api.delete("/api/sites/" + site + "/media/" + unused).status()).isEqualTo(204);
    assertThat(api.get("/api/sites/" + site + "/media").json().size()).isEqualTo(1);
  }

  @Test
  void smallerFilesAreMadeInTheBackground(Api api) throws IOException, InterruptedException {
    String site = api.newSite("Background");
    api.upload(site, "wide.jpg", picture("jpg", 900, 500));
    int made = 0;
    for (int i = 0; i < 100 && made < 7; i++) {
      Thread.sleep(100);
      made = api.get("/api/sites/" + site + "/media").json().get(0).path("filesMade").asInt();
    }
    assertThat(made).as("of 96, 160, 240, 320, 480, 640 and 800 px").isEqualTo(7);
  }

  /** A page that shows a picture across the whole content width; its preview. */
  private static String preview(Api api, String site, String picture) {
    Values values = Values.NONE.with(BlockSettings.SOURCE, Values.ALL, picture);
    var section = new Section("one", Values.NONE, List.of(new Block.Picture("shot", values)));
    Values title = Values.NONE.with(PageSettings.TITLE, Values.ALL, "One picture");
    String id =
        api.newPage(
            site,
            new Document(
                new Site(Bands.INITIAL, Values.NONE), new Page("page", title, List.of(section))));
    return api.stage() + "/api/pages/" + id + "/preview/";
  }

  private static Element image(Api api, String preview) {
    return Objects.requireNonNull(Jsoup.parse(api.get(preview).text()).selectFirst("main img"));
  }

  private static BufferedImage read(Api.Answer answer) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(answer.bytes()));
  }

  @Test
  void aPictureIsKeptInFewerPxAndNeverInMore(Api api) throws IOException {
    String site = api.newSite("Ladder");
    String id = api.upload(site, "w.jpg", picture("jpg", 1000, 500)).json().path("id").asString();
    String preview = preview(api, site, id);
    Element image = image(api, preview);
    // The measure is 1120 px and a phone is 280 at the least: 240 and less are never asked for.
    assertThat(image.attr("srcset").replaceAll("media/[0-9a-f]+", ""))
        .isEqualTo(
            "-240.webp 240w,-320.webp 320w,-480.webp 480w,-640.webp 640w,-800.webp 800w,-960.webp 960w,.jpg 1000w");
    for (String file : image.attr("srcset").split(",")) {
      String[] parts = file.split(" ");
      Api.Answer answer = api.get(preview + parts[0]);
      assertThat(answer.header("content-type"))
          .isEqualTo(parts[0].endsWith("webp") ? "image/webp" : "image/jpeg");
      BufferedImage small = read(answer);
      int width = Integer.parseInt(parts[1].replace("w", ""));
      assertThat(small.getWidth()).isEqualTo(width);
      assertThat(small.getHeight()).isEqualTo(width / 2);
    }
    String path = image.attr("src").replace(".jpg", "-500.webp");
    assertThat(api.get(preview + path).status()).as("no rung of the ladder").isEqualTo(404);
    assertThat(api.get(preview + path.replace("-500", "-1280")).status()).isEqualTo(404);
  }

  @Test
  void smallerPicturesKeepWhatIsSeenThrough(Api api) throws IOException {
    String site = api.newSite("Clear");
    var clear = new BufferedImage(800, 400, BufferedImage.TYPE_INT_ARGB);
    for (int y = 0; y < 400; y++) {
      for (int x = 400; x < 800; x++) {
        clear.setRGB(x, y, 0xff2f6652);
      }
    }
    var out = new ByteArrayOutputStream();
    ImageIO.write(clear, "png", out);
    String id = api.upload(site, "half.png", out.toByteArray()).json().path("id").asString();
    String preview = preview(api, site, id);
    String path = image(api, preview).attr("src").replace(".png", "-320.webp");
    BufferedImage small = read(api.get(preview + path));
    assertThat(small.getWidth()).isEqualTo(320);
    assertThat(small.getRGB(40, 80) >>> 24).as("clear on the left").isZero();
    int green = small.getRGB(280, 80);
    assertThat(green >>> 24).as("nothing seen through on the right").isEqualTo(255);
    for (int shift = 0; shift <= 16; shift += 8) {
      assertThat(green >> shift & 0xff)
          .as("a channel of green")
          .isCloseTo(0x2f6652 >> shift & 0xff, within(6));
    }
  }

  /** Source: Exif 2.32, tag 0x0112, value 6: turned a quarter clockwise to be seen upright. */
  @Test
  void aTurnedPictureStandsUprightInFewerPx(Api api) throws IOException {
    String site = api.newSite("Turned");
    var lying = new BufferedImage(600, 400, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < 400; y++) {
      for (int x = 0; x < 300; x++) {
        lying.setRGB(x, y, 0xc02020);
      }
    }
    var out = new ByteArrayOutputStream();
    ImageIO.write(lying, "jpg", out);
    var turned = api.upload(site, "turned.jpg", oriented(out.toByteArray(), 6)).json();
    assertThat(turned.path("width").asInt()).isEqualTo(400);
    assertThat(turned.path("height").asInt()).isEqualTo(600);
    String preview = preview(api, site, turned.path("id").asString());
    String path = image(api, preview).attr("src").replace(".jpg", "-320.webp");
    BufferedImage small = read(api.get(preview + path));
    assertThat(small.getHeight()).isEqualTo(480);
    assertThat(small.getRGB(160, 60) >> 16 & 0xff).as("red on top").isGreaterThan(150);
    assertThat(small.getRGB(160, 420) >> 16 & 0xff).as("black below").isLessThan(60);
  }

  /** The same JPEG with an APP1 segment that says how it is turned. */
  private static byte[] oriented(byte[] jpeg, int orientation) {
    byte[] exif = {
      (byte) 0xff,
      (byte) 0xe1,
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
      0x01,
      0x12,
      0,
      3,
      0,
      0,
      0,
      1,
      0,
      (byte) orientation,
      0,
      0,
      0,
      0,
      0,
      0
    };
    var out = new ByteArrayOutputStream();
    out.write(jpeg, 0, 2);
    out.writeBytes(exif);
    out.write(jpeg, 2, jpeg.length - 2);
    return out.toByteArray();
  }
}
