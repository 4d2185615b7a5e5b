package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import giostra.core.band.Bands;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.slider.Slider;
import giostra.core.piece.slider.SliderSettings;
import giostra.core.testing.InTurn;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.Height;
import giostra.core.value.Length;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * Words on a clip that moves under them: dark at first and bright later, over a picture that is
 * dark. The bench looks at some frames, the server says at which second the words are read worst,
 * and Chromium shows just that contrast there. Clips are made by ffmpeg; source of the contrast:
 * WCAG 2.2, "contrast ratio".
 */
@ExtendWith({Giostra.class, Chromium.class})
class OverClipJourney {
  private static final Colour DARK = Colour.parse("#12181f");
  private static final Colour BRIGHT = Colour.parse("#d9d2c4");
  private static final String OVERLAY = "#0a141233";

  private static byte[] clip(Path folder) throws IOException, InterruptedException {
    Path made = folder.resolve("dusk.webm");
    Process process =
        new ProcessBuilder(
                "ffmpeg",
                "-v",
                "error",
                "-f",
                "lavfi",
                "-i",
                "color=c=0x12181f:s=320x180:r=12:d=2[a];color=c=0xd9d2c4:s=320x180:r=12:d=1[b];[a][b]concat",
                "-c:v",
                "libvpx-vp9",
                made.toString())
            .redirectErrorStream(true)
            .start();
    String said = new String(process.getInputStream().readAllBytes());
    assertThat(process.waitFor()).as(said).isZero();
    return Files.readAllBytes(made);
  }

  private static byte[] plain(int width, int height, Colour colour) throws IOException {
    var image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        image.setRGB(x, y, colour.red() << 16 | colour.green() << 8 | colour.blue());
      }
    }
    var out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private static Document document(String picture, String clip) {
    Values words =
        Values.NONE
            .with(ItemSettings.PICTURE, Values.ALL, picture)
            .with(ItemSettings.GROUND_CLIP, Values.ALL, clip)
            .with(ItemSettings.HEADING, Values.ALL, "The lamps are lit at dusk");
    Values values =
        Values.NONE
            .with(SliderSettings.HEIGHT, "desktop", new Height.Fixed(Length.px(400)))
            .withStyle(
                StyleKey.parse("slider.overlay/rest/ground"), "desktop", Ground.parse(OVERLAY));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page(
            "page",
            Values.NONE.with(PageSettings.TITLE, Values.ALL, "Dusk"),
            List.of(
                new Section(
                    "s",
                    Values.NONE,
                    List.of(new Slider("dusk", values, List.of(new Item("first", words))))))));
  }

  private static List<JsonNode> overClips(Api api, String id) {
    return api.get("/api/pages/" + id + "/snags")
        .json()
        .path("snags")
        .valueStream()
        .filter(snag -> snag.path("message").asString().contains("on the clip"))
        .toList();
  }

  @InTurn(20)
  @Test
  void wordsAreReadOnTheFramesOfAClip(
      Api api, Page bench, Chromium.Open chromium, @TempDir Path folder)
      throws IOException, InterruptedException {
    String site = api.newSite("Over clips");
    String picture =
        api.upload(site, "dark.png", plain(320, 180, DARK)).json().path("id").asString();
    byte[] bytes = clip(folder);
    JsonNode clip = api.upload(site, "dusk.webm", bytes).json();
    assertThat(clip.path("frames").asInt()).isZero();
    String id = api.newPage(site, document(picture, clip.path("id").asString()));
    // Nobody has looked at it yet: nothing is said that is not known.
    assertThat(overClips(api, id)).isEmpty();

    bench.navigate(api.at("/pages/" + id + "/prove"));
    String media = "/api/sites/" + site + "/media";
    bench.waitForCondition(() ->
        api.get(media).json().valueStream().anyMatch(each -> each.path("frames").asInt() > 0));
    bench.waitForCondition(() -> !overClips(api, id).isEmpty());
    // What was found since is told without anybody asking anew.
    bench.getByText(Pattern.compile("^[4-9] break$")).waitFor();
    List<JsonNode> found = overClips(api, id);
    assertThat(found).isNotEmpty();
    JsonNode first = found.getFirst();
    double second =
        Double.parseDouble(
            first.path("message").asString().replaceAll(".* at (\\S+) s of.*", "$1"));
    assertThat(second).isBetween(2.0, 3.0);
    double read = first.path("measured").path("found").asDouble();
    assertThat(seen(api, chromium, api.publish(id), second)).isCloseTo(read, within(0.15));

    // The least overlay mends it, and one percent less would not: the way out was tried.
    JsonNode way = first.path("fixes").get(0);
    assertThat(
            api.post(
                    "/api/pages/" + id + "/edits",
                    Map.of(
                        "revision",
                        api.page(id).path("revision").asInt(),
                        "siteRevision",
                        api.page(id).path("siteRevision").asInt(),
                        "key",
                        "over-clip-way-out",
                        "edits",
                        way.path("edits")))
                .status())
        .isEqualTo(200);
    assertThat(
            overClips(api, id).stream()
                .filter(each -> each.path("band").equals(first.path("band"))))
        .isEmpty();

    // The same bytes on another site were looked at already.
    String other = api.newSite("Over clips too");
    assertThat(api.upload(other, "again.webm", bytes).json().path("frames").asInt()).isPositive();
  }

  /** The contrast of the heading with the pixels in the middle of its letters' box. */
  private static double seen(Api api, Chromium.Open chromium, String address, double second)
      throws IOException {
    Page page = chromium.page(new Browser.NewContextOptions().setViewportSize(1280, 900), false);
    page.navigate(address);
    page.waitForFunction(
        "() => getComputedStyle(document.querySelector('.g-moving')).opacity === '1'");
    JsonNode box =
        Js.ask(
            page,
            """
            async (second) => {
              const clip = document.querySelector('.g-moving');
              clip.pause();
              const there = new Promise((done) => clip.addEventListener('seeked', done));
              clip.currentTime = second;
              await there;
              const words = document.querySelector('.g-copybox h2');
              const { x, y, width, height } = words.getBoundingClientRect();
              const ink = getComputedStyle(words).color;
              document.querySelector('.g-copybox').style.visibility = 'hidden';
              return [x + width / 2, y + height / 2, ink];
            }
            """,
            second);
    BufferedImage shot = ImageIO.read(new ByteArrayInputStream(page.screenshot()));
    int pixel = shot.getRGB((int) box.get(0).asDouble(), (int) box.get(1).asDouble());
    Colour under = new Colour(pixel >> 16 & 255, pixel >> 8 & 255, pixel & 255, 255);
    List<Integer> ink =
        List.of(box.get(2).asString().replaceAll("[^0-9,]", "").split(",")).stream()
            .map(Integer::valueOf)
            .toList();
    return Colour.contrast(new Colour(ink.get(0), ink.get(1), ink.get(2), 255), under);
  }

  @Test
  void whatIsNoFramesIsRefusedWithTheReason(Api api, @TempDir Path folder)
      throws IOException, InterruptedException {
    String site = api.newSite("No frames");
    String picture =
        api.upload(site, "dark.png", plain(320, 180, DARK)).json().path("id").asString();
    String clip = api.upload(site, "dusk.webm", clip(folder)).json().path("id").asString();
    refused(api, site, picture, 2, plain(96, 108, BRIGHT), "of a clip");
    refused(api, site, clip, 0, plain(96, 108, BRIGHT), "from 1 to 24");
    refused(api, site, clip, 2, plain(96, 109, BRIGHT), "96 x 109 px");
    refused(api, site, clip, 2, plain(640, 720, BRIGHT), "128 px wide at the most");
    refused(api, site, clip, 2, "no picture".getBytes(), "no PNG that can be read");
    assertThat(
            api.uploadTo(
                    "/api/sites/" + site + "/media/" + clip + "/frames?frames=2",
                    "frames.png",
                    plain(96, 108, BRIGHT))
                .json()
                .path("frames")
                .asInt())
        .isEqualTo(2);
  }

  private static void refused(
      Api api, String site, String media, int frames, byte[] bytes, String why) {
    Api.Answer answer =
        api.uploadTo(
            "/api/sites/" + site + "/media/" + media + "/frames?frames=" + frames,
            "frames.png",
            bytes);
    assertThat(answer.status()).as(answer.text()).isBetween(400, 422);
    assertThat(answer.text()).contains(why);
  }

  private static org.assertj.core.data.Offset<Double> within(double by) {
    return org.assertj.core.data.Offset.offset(by);
  }
}
