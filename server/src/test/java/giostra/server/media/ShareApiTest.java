package giostra.server.media;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.fit.Crop;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Section;
import giostra.core.piece.slider.Slider;
import giostra.core.testing.Demo;
import giostra.core.value.Focus;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Pictures for whoever is sent a page's address, made from its first slide. */
@ExtendWith(Giostra.class)
class ShareApiTest {
  private static final int WIDE = 1500;
  private static final int HIGH = 1000;

  /** Each pixel of it says where it stands: red across, green down. */
  private static byte[] ramp(int type) throws IOException {
    var image = new BufferedImage(WIDE, HIGH, type);
    for (int y = 0; y < HIGH; y++) {
      for (int x = 0; x < WIDE; x++) {
        image.setRGB(x, y, 0xFF000000 | x * 255 / WIDE << 16 | y * 255 / HIGH << 8 | 128);
      }
    }
    if (type == BufferedImage.TYPE_INT_ARGB) {
      // Its middle is seen through.
      image.setRGB(WIDE / 2 - 40, HIGH / 2 - 40, 80, 80, new int[6400], 0, 80);
    }
    var out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private record Made(String site, String page, String picture) {}

  private static Made page(Api api, byte[] picture) {
    String site = api.newSite("Shared " + System.nanoTime());
    String id = api.upload(site, "ramp.png", picture).json().path("id").asString();
    var items =
        List.of(
            new Item("bare", Values.NONE.with(ItemSettings.HEADING, Values.ALL, "No picture")),
            new Item("first", Values.NONE.with(ItemSettings.PICTURE, Values.ALL, id)));
    Document document =
        Demo.bare(
            List.of(new Section("one", Values.NONE, List.of(new Slider("s", Values.NONE, items)))));
    String page = api.newPage(site, document);
    api.edit(page, 0, new Edit.SetValue("page", "address", "", "https://velluta.example/"));
    return new Made(site, page, id);
  }

  private static List<String> shown(Api api, String live) {
    return Jsoup.parse(api.get(live).text()).select("meta[property=og:image]").eachAttr("content");
  }

  private static BufferedImage read(Api api, String live, String address) throws IOException {
    String path = address.replace("https://velluta.example/", "");
    Api.Answer answer = api.get(live + path);
    assertThat(answer.raw().headers().firstValue("content-type")).contains("image/jpeg");
    return ImageIO.read(new ByteArrayInputStream(answer.bytes()));
  }

  private static String live(Api api, Made made) {
    return api.publish(made.page()).replaceFirst("^https?://[^/]+", "");
  }

  /** Each corner of what is cut is the pixel of the whole that the rule of crops says. */
  @ParameterizedTest
  @ValueSource(strings = {"50% 50%", "0% 0%", "100% 30%", "20% 85%"})
  void theFirstSlidesPictureIsCutAboutItsFocalPoint(String focus, Api api) throws IOException {
    Made made = page(api, ramp(BufferedImage.TYPE_INT_RGB));
    api.put(
        "/api/sites/" + made.site() + "/media/" + made.picture(),
        Map.of("alt", "A ramp", "decorative", false, "focus", focus, "tags", List.of()));
    String live = live(api, made);
    List<String> shown = shown(api, live);
    assertThat(shown).hasSize(2);
    int[][] sizes = {{1200, 630}, {1000, 1000}};
    for (int i = 0; i < 2; i++) {
      BufferedImage image = read(api, live, shown.get(i));
      assertThat(List.of(image.getWidth(), image.getHeight()))
          .containsExactly(sizes[i][0], sizes[i][1]);
      Crop.Part part =
          new Crop(sizes[i][0], sizes[i][1], WIDE, HIGH, Crop.Fit.COVER, Focus.parse(focus))
              .shown();
      for (double across : new double[] {0.02, 0.5, 0.98}) {
        for (double down : new double[] {0.02, 0.5, 0.98}) {
          int rgb = image.getRGB((int) (across * sizes[i][0]), (int) (down * sizes[i][1]));
          double x = part.x() + across * part.width();
          double y = part.y() + down * part.height();
          assertThat(rgb >> 16 & 255)
              .isBetween((int) (x * 255 / WIDE) - 4, (int) (x * 255 / WIDE) + 4);
          assertThat(rgb >> 8 & 255)
              .isBetween((int) (y * 255 / HIGH) - 4, (int) (y * 255 / HIGH) + 4);
        }
      }
    }
  }

  /** JPEG has nothing that is seen through. */
  @Test
  void whatIsSeenThroughIsOnWhite(Api api) throws IOException {
    Made made = page(api, ramp(BufferedImage.TYPE_INT_ARGB));
    String live = live(api, made);
    BufferedImage image = read(api, live, shown(api, live).getFirst());
    int middle = image.getRGB(image.getWidth() / 2, image.getHeight() / 2);
    for (int shift : new int[] {0, 8, 16}) {
      assertThat(middle >> shift & 255).isGreaterThan(248);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "-1200x631at50-50.jpg",
        "-9999x9999at50-50.jpg",
        "-1200x630at101-0.jpg",
        "-1200x630at50-50.png",
        "-0x0at0-0.jpg"
      })
  void whatNoPageAsksForIsNotMade(String ending, Api api) throws IOException {
    Made made = page(api, ramp(BufferedImage.TYPE_INT_RGB));
    String path = shown(api, live(api, made)).getFirst();
    String start = path.replaceAll("^https://velluta.example/|-1200x630at50-50\\.jpg$", "");
    String preview = "/api/pages/" + made.page() + "/preview/";
    assertThat(api.get(api.stage() + preview + start + "-1200x630at50-50.jpg").status())
        .isEqualTo(200);
    assertThat(api.get(api.stage() + preview + start + ending).status()).isEqualTo(404);
  }
}
