package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import com.microsoft.playwright.options.ScreenshotType;
import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.fit.Crop;
import giostra.core.fit.Crop.Fit;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.TrackSettings;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.carousel.CarouselSettings;
import giostra.core.testing.Demo;
import giostra.core.testing.InTurn;
import giostra.core.value.Focus;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import javax.imageio.ImageIO;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Which files of pictures Chromium fetches, and what it shows of them in their boxes. */
@ExtendWith({Giostra.class, Chromium.class})
class PictureJourney {
  /** Share of what the screen could show that a picture has at the least, but for rounding. */
  private static final double SHORT = 0.98;

  /**
   * At each width and density every picture is fetched once, in a file that is sharp enough and no
   * more than one rung too large. Reference: Debian's Chromium, which takes the first that is.
   */
  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest(name = "{0} px at {1}")
  @CsvSource({
    "320, 1", "390, 1", "768, 1", "1024, 1", "1440, 1", "1920, 1",
    "320, 2", "390, 2", "768, 2", "1024, 2", "1440, 2", "1920, 2"
  })
  void theFilesThatAreFetchedFit(int width, double density, Api api, Chromium.Open chromium) {
    var options =
        new Browser.NewContextOptions().setViewportSize(width, 800).setDeviceScaleFactor(density);
    Page page = chromium.page(options);
    Set<String> fetched = Collections.synchronizedSet(new HashSet<>());
    var twice = new ArrayList<String>();
    page.onRequest(request -> {
      // Clips are asked for in parts.
      boolean clip = request.url().matches(".*\\.(webm|mp4)");
      if (request.url().contains("/media/") && !fetched.add(request.url()) && !clip) {
        twice.add(request.url());
      }
    });
    // Fonts that come too late are not used, and how high texts are decides how wide grounds are.
    page.route("**/media/**", route -> route.abort());
    page.navigate(api.at(Api.LIVE_DEMO));
    page.evaluate("() => Promise.all([...document.fonts].map((face) => face.load()))");
    page.unroute("**/media/**");
    fetched.clear();
    twice.clear();
    page.navigate(api.at(Api.LIVE_DEMO));
    // An image shows its file of before until another one is there: it is asked when all are.
    Js.ask(page, SHOWN, null);
    page.waitForLoadState(LoadState.NETWORKIDLE);
    JsonNode shown = Js.ask(page, SHOWN, null);
    var wrong = new ArrayList<String>();
    var needless = new HashSet<>(fetched);
    // What a file is fetched for is the widest place it stands in: Chromium puts a file that it has
    // already into a narrower place too, and fetches no second one.
    var widest = new HashMap<String, Double>();
    for (JsonNode each : shown) {
      widest.merge(each.path("src").asString(), each.path("said").asDouble(), Math::max);
    }
    long bytes = 0;
    for (JsonNode each : shown) {
      needless.remove(each.path("src").asString());
      double needed = each.path("drawn").asDouble() * density;
      double has = each.path("natural").asDouble();
      double said = each.path("said").asDouble();
      boolean largest = each.path("largest").asBoolean();
      boolean smallest = each.path("smallest").asBoolean();
      double next = each.path("next").asDouble();
      bytes += each.path("bytes").asLong();
      if (has < needed * SHORT && !largest) {
        wrong.add("too small: " + each);
      }
      // The next smaller one would have done for what was said, with some room for rounding.
      if (!smallest
          && next > widest.getOrDefault(each.path("src").asString(), said) * density * 1.02) {
        wrong.add("larger than said: " + each);
      }
      if (said > 0 && said < each.path("drawn").asDouble() - 1) {
        wrong.add("said to be narrower than drawn: " + each);
      }
    }
    System.out.printf(
        "pictures: %d px at %.0f: %d on the page, %d files fetched, %.0f KB%n",
        width, density, shown.size(), fetched.size(), bytes / 1024.0);
    // Posters show without being images, and so do clips that play under words.
    Object others =
        page.evaluate(
            "() => [...document.querySelectorAll('video')].map((v) => v.poster + (v.paused ? '' : ' ' + v.currentSrc))");
    needless.removeIf(url -> others.toString().contains(url));
    assertThat(shown.size()).isGreaterThan(20);
    assertThat(wrong).isEmpty();
    assertThat(twice).as("fetched twice").isEmpty();
    assertThat(needless).as("fetched and not shown, of %s", shown).isEmpty();
  }

  /** What is told of a release's pictures, band by band, is what Chromium fetches of them. */
  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest(name = "{0} px at {1}")
  @CsvSource({"390, 1", "820, 2", "1280, 3", "390, 3", "820, 1", "1280, 1"})
  void whatAVisitorFetchesIsTold(int width, int density, Api api, Chromium.Open chromium) {
    JsonNode release =
        api.get("/api/pages/" + Api.DEMO + "/releases")
            .json()
            .valueStream()
            .filter(each -> each.path("line").path("live").asBoolean())
            .findFirst()
            .orElseThrow();
    long told =
        release
            .path("bands")
            .valueStream()
            .filter(band -> band.path("width").asInt() == width)
            .findFirst()
            .orElseThrow()
            .path("bytes")
            .path(density - 1)
            .asLong();
    Page page =
        chromium.page(
            new Browser.NewContextOptions()
                .setViewportSize(width, 800)
                .setDeviceScaleFactor(density));
    Set<String> fetched = Collections.synchronizedSet(new HashSet<>());
    page.onRequest(request -> fetched.add(request.url().replaceFirst(".*/media/", "media/")));
    page.navigate(api.at(Api.LIVE_DEMO));
    Js.ask(page, SHOWN, null);
    page.waitForLoadState(LoadState.NETWORKIDLE);
    long found =
        release
            .path("files")
            .valueStream()
            .filter(file -> file.path("type").asString().startsWith("image/"))
            .filter(file -> fetched.contains(file.path("path").asString()))
            .mapToLong(file -> file.path("bytes").asLong())
            .sum();
    System.out.printf(
        "measured: pictures at %d px and %d: told %d, fetched %d bytes%n",
        width, density, told, found);
    // Of a picture that it has in a larger file already a browser fetches no other.
    assertThat(found).isBetween(told * 2 / 3, told);
  }

  /** Squares of 4 px in any colour, which are as heavy in few px as in many. */
  private static byte[] noise(Random random, int width, int height) throws IOException {
    var image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < height; y += 4) {
      for (int x = 0; x < width; x += 4) {
        int colour = random.nextInt(0x1000000);
        for (int i = 0; i < 16; i++) {
          image.setRGB(x + i % 4, y + i / 4, colour);
        }
      }
    }
    var out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  /** A finding of the sweep that pictures are heavy. */
  private record Heavy(int from, int to) {}

  /**
   * What is said to be heavy is, at both ends of what is said, and not one px beside them: the
   * bytes that Debian's Chromium fetches of pictures where somebody sees all of them.
   */
  @InTurn(2)
  @Test
  void whatIsHeavyIsWhatIsFetched(Api api, Chromium.Open chromium) throws Exception {
    String site = api.newSite("Heavy " + System.nanoTime());
    var random = new Random(20261201);
    var items = new ArrayList<Item>();
    for (int i = 0; i < 5; i++) {
      String id =
          api.upload(site, "noise-" + i + ".png", noise(random, 1300, 868))
              .json()
              .path("id")
              .asString();
      items.add(
          new Item(
              "card-" + i,
              Values.NONE
                  .with(ItemSettings.HEADING, Values.ALL, "Lamp " + i)
                  .with(ItemSettings.PICTURE, Values.ALL, id)));
    }
    Values one = Values.NONE;
    for (Band band : Bands.INITIAL.all()) {
      one = one.with(TrackSettings.IN_VIEW, band.id(), 1);
    }
    var carousel = new Carousel("cards", one, items);
    String id =
        api.newPage(site, Demo.bare(List.of(new Section("s", Values.NONE, List.of(carousel)))));
    String live = api.publish(id);
    var told = new ArrayList<Heavy>();
    for (JsonNode snag : api.get("/api/pages/" + id + "/snags").json().path("snags")) {
      if (snag.path("rule").asString().equals("heavy")) {
        told.add(new Heavy(snag.path("from").asInt(), snag.path("to").asInt()));
      }
    }
    var widths = new TreeSet<Integer>(List.of(320, 390, 820, 1280, 1920));
    told.forEach(
        each -> widths.addAll(List.of(each.from() - 1, each.from(), each.to(), each.to() + 1)));
    widths.removeIf(width -> width < Bands.NARROWEST || width > Bands.WIDEST);
    var wrong = new ArrayList<String>();
    var weighed = new ArrayList<String>();
    int heavy = 0;
    for (int width : widths) {
      long bytes = fetched(chromium, live, width);
      boolean said = told.stream().anyMatch(each -> each.from() <= width && width <= each.to());
      heavy += said ? 1 : 0;
      weighed.add(width + ": " + bytes);
      if (said != bytes > 2_000_000) {
        wrong.add(width + " px: " + bytes + " bytes, told " + said);
      }
    }
    System.out.printf(
        "measured: pictures that are heavy: %d widths, %d heavy, told %s, fetched %s%n",
        widths.size(), heavy, told, weighed);
    assertThat(told).isNotEmpty();
    assertThat(widths).hasSizeGreaterThan(told.size() * 3);
    assertThat(wrong).isEmpty();
  }

  private static long fetched(Chromium.Open chromium, String live, int width) {
    int density = width < 600 ? 3 : width < 1100 ? 2 : 1;
    Page page =
        chromium.page(
            new Browser.NewContextOptions()
                .setViewportSize(width, 800)
                .setDeviceScaleFactor(density));
    try {
      page.navigate(live);
      Js.ask(page, SHOWN, null);
      page.waitForLoadState(LoadState.NETWORKIDLE);
      return ((Number)
              page.evaluate(
                  "() => performance.getEntriesByType('resource')"
                      + ".filter((each) => each.name.includes('/media/'))"
                      + ".reduce((sum, each) => sum + each.encodedBodySize, 0)"))
          .longValue();
    } finally {
      page.context().close();
    }
  }

  /** Every picture that is drawn: how wide, from which file, and what its sizes say. */
  private static final String SHOWN =
      """
      async () => {
        const drawn = [...document.images].filter((image) => image.clientWidth > 0);
        for (const image of drawn) image.loading = 'eager';
        await Promise.all(drawn.map((image) => image.decode()));
        const size = (url) => performance.getEntriesByName(url)[0]?.encodedBodySize ?? 0;
        const said = (sizes) => {
          for (const part of sizes.split(/,(?![^(]*\\))/)) {
            const match = part.trim().match(/^(\\(width.*?\\)) (.*)$/);
            if (match && !matchMedia(match[1]).matches) continue;
            const probe = document.createElement('div');
            probe.style.cssText = `position:fixed;visibility:hidden;width:${match ? match[2] : part}`;
            document.body.append(probe);
            const width = probe.getBoundingClientRect().width;
            probe.remove();
            return width;
          }
          return 0;
        };
        return drawn.map((image) => {
          const box = image.getBoundingClientRect();
          const ratio = image.getAttribute('width') / image.getAttribute('height');
          const cover = getComputedStyle(image).objectFit === 'cover';
          const files = image.srcset.split(',').filter(Boolean)
              .map((file) => file.trim().split(' ')).map(([path, w]) => [new URL(path, location).href, parseInt(w)]);
          const at = files.findIndex(([path]) => path === image.currentSrc);
          return {
            src: image.currentSrc, drawn: cover ? Math.max(box.width, box.height * ratio) : box.width,
            natural: files[at]?.[1] ?? +image.getAttribute('width'), said: files.length ? said(image.sizes) : 0,
            largest: at === files.length - 1, smallest: at <= 0, next: files[at - 1]?.[1] ?? 0,
            bytes: size(image.currentSrc), sizes: image.sizes,
          };
        });
      }
      """;

  private static final int WIDE = 240;
  private static final int HIGH = 160;

  /** Each pixel of it says where it stands: red across, green down. */
  private static String ramp() throws IOException {
    var image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < HIGH; y++) {
      for (int x = 0; x < WIDE; x++) {
        image.setRGB(x, y, x << 16 | y << 8 | 128);
      }
    }
    var out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return "data:image/png;base64," + Base64.getEncoder().encodeToString(out.toByteArray());
  }

  /** Reference: the pixels that Debian's Chromium shows at the corners and the middle of a box. */
  @Test
  void cropsShowThePartThatIsComputed(Chromium.Open chromium) throws IOException {
    Page page = chromium.page(400, 400);
    String ramp = ramp();
    var random = new Random(20261125);
    int cases = 0;
    double worst = 0;
    for (Fit fit : List.of(Fit.COVER, Fit.CONTAIN, Fit.NONE)) {
      for (int i = 0; i < 8; i++) {
        int boxWidth = 60 + random.nextInt(300);
        int boxHeight = 60 + random.nextInt(300);
        var focus = new Focus(random.nextInt(101), random.nextInt(101));
        var crop = new Crop(boxWidth, boxHeight, WIDE, HIGH, fit, focus);
        page.setContent(
            "<body style='margin:0;background:#0000ff'><img style='display:block;width:%dpx;height:%dpx;object-fit:%s;object-position:%s' src='%s'>"
                .formatted(
                    boxWidth,
                    boxHeight,
                    fit.name().toLowerCase(java.util.Locale.ROOT),
                    focus.css(),
                    ramp));
        BufferedImage shot =
            ImageIO.read(
                new ByteArrayInputStream(
                    page.screenshot(new Page.ScreenshotOptions().setType(ScreenshotType.PNG))));
        Crop.Part part = crop.shown();
        // A pixel of the screen is an average of those of the picture that fall into it.
        var near = Offset.offset(0.6 + 1 / crop.scale());
        // Where the part lies in the box: where a picture does not fill it, nothing is drawn.
        double left = Math.max(0, crop.left());
        double top = Math.max(0, crop.top());
        for (double[] share :
            new double[][] {{.06, .06}, {.94, .06}, {.5, .5}, {.06, .94}, {.94, .94}}) {
          double inX = part.width() * share[0];
          double inY = part.height() * share[1];
          int x = (int) (left + inX * crop.scale());
          int y = (int) (top + inY * crop.scale());
          int rgb = shot.getRGB(x, y);
          assertThat(rgb & 0xff).as("a pixel of the picture in %s", crop).isBetween(120, 136);
          double seenX = (rgb >> 16 & 0xff) + 0.5;
          double seenY = (rgb >> 8 & 0xff) + 0.5;
          // The middle of the pixel that was read, in px of the picture.
          double meantX = part.x() + (x + 0.5 - left) / crop.scale();
          double meantY = part.y() + (y + 0.5 - top) / crop.scale();
          worst = Math.max(worst, Math.max(Math.abs(seenX - meantX), Math.abs(seenY - meantY)));
          assertThat(seenX).as("across, in %s", crop).isCloseTo(meantX, near);
          assertThat(seenY).as("down, in %s", crop).isCloseTo(meantY, near);
        }
        if (left > 2 && fit != Fit.COVER) {
          assertThat(shot.getRGB((int) left - 2, boxHeight / 2) & 0xffffff)
              .as("beside the picture, in %s", crop)
              .isEqualTo(0x0000ff);
        }
        cases++;
      }
    }
    System.out.printf("crops: %d cases, 5 px each, worst %.2f px of the picture%n", cases, worst);
    assertThat(cases).isGreaterThanOrEqualTo(20);
  }

  /** A picture elsewhere is 640 x 360, but nobody knows: its place is 3 to 2 before and after. */
  @Test
  void aPictureElsewhereTakesTheRoomThatIsComputed(Api api, Page page) {
    String remote = api.remotePicture(api.falena() + "/thumbs/moths.jpg");
    Values card =
        Values.NONE
            .with(ItemSettings.PICTURE, Values.ALL, remote)
            .with(ItemSettings.HEADING, Values.ALL, "A far one");
    var cards =
        new Carousel(
            "cards",
            Values.NONE.with(
                CarouselSettings.PICTURE_SHAPE, "desktop", CarouselSettings.PictureShape.AS_IS),
            List.of(new Item("one", card), new Item("two", card)));
    var alone =
        new Block.Picture("alone", Values.NONE.with(BlockSettings.SOURCE, Values.ALL, remote));
    String id =
        api.newPage(
            "velluta",
            new Document(
                api.document(Api.DEMO).site(),
                new giostra.core.page.Page(
                    "page",
                    Values.NONE,
                    List.of(new Section("s", Values.NONE, List.of(cards, alone))))));
    page.navigate(api.publish(id));
    for (int width : Subject.WIDTHS) {
      page.setViewportSize(width, 800);
      page.waitForFunction(
          "() => [...document.images].every((i) => { i.loading = 'eager'; return i.complete && i.naturalWidth === 640 })");
      double computed = 0;
      for (JsonNode each :
          api.get("/api/pages/" + id + "/readings?width=" + width).json().path("heights")) {
        if (each.path("part").asString().equals("card")) {
          computed = each.path("height").asDouble();
        }
      }
      double shown =
          (Double)
              page.evaluate(
                  "document.querySelector('.g-card').getBoundingClientRect().height + 0.0001");
      assertThat(shown).as("at " + width).isCloseTo(computed, Offset.offset(1.0));
      double ratio =
          (Double)
              page.evaluate(
                  "() => { const b = document.querySelector('#g-alone img').getBoundingClientRect(); return b.width / b.height + 0.0000001 }");
      assertThat(ratio).isCloseTo(1.5, Offset.offset(0.01));
    }
  }

  private static Item card(String id, String heading, String button) {
    Values values =
        Values.NONE
            .with(ItemSettings.PICTURE, Values.ALL, "glasshouse-at-dusk")
            .with(ItemSettings.ALT, Values.ALL, "Three domes")
            .with(ItemSettings.HEADING, Values.ALL, heading)
            .with(ItemSettings.LINK.address(), Values.ALL, "#to-" + id);
    return new Item(
        id,
        button.isEmpty()
            ? values
            : values
                .with(ItemSettings.BUTTON, Values.ALL, button)
                .with(ItemSettings.BUTTON_LINK.address(), Values.ALL, "#button-" + id));
  }

  private static String led(Page page, String selector) {
    page.evaluate("() => history.replaceState(null, '', location.pathname)");
    // Whatever lies over it there is what is pressed.
    page.locator(selector).first().click(new Locator.ClickOptions().setForce(true));
    return page.evaluate("() => location.hash").toString();
  }

  private static Page cards(
      CarouselSettings.LinkOn on, String site, Api api, Chromium.Open chromium) {
    Values values =
        Values.NONE
            .with(CarouselSettings.LINK_ON, Values.ALL, on)
            .with(TrackSettings.IN_VIEW, "desktop", 2);
    var cards =
        new Carousel(
            "cards",
            values,
            List.of(card("named", "A night among ferns", "Plan it"), card("bare", "", "")));
    var title =
        new Block.Heading(
            "title",
            Values.NONE
                .with(BlockSettings.HEADING_TEXT, Values.ALL, "Cards")
                .with(BlockSettings.LEVEL, Values.ALL, 1));
    Page live = chromium.page(1280, 900);
    live.navigate(
        api.publish(
            api.newPage(
                site,
                new Document(
                    api.document(Api.DEMO).site(),
                    new giostra.core.page.Page(
                        "page",
                        Values.NONE.with(PageSettings.TITLE, Values.ALL, "Cards"),
                        List.of(new Section("s", Values.NONE, List.of(title, cards))))))));
    live.waitForFunction("() => 'live' in document.querySelector('[data-piece]').dataset");
    assertThat(Axe.found(live)).as(on.name()).isEmpty();
    return live;
  }

  /** The link of a card is on its heading, on its picture, or on all of it but what is a link. */
  @InTurn(6)
  @Test
  void aCardLeadsFromWhereItIsAskedTo(Api api, Chromium.Open chromium) {
    String first = "#g-cards .g-item:nth-child(1) ";
    String second = "#g-cards .g-item:nth-child(2) ";
    String site = api.copyOfDemo();

    Page heading = cards(CarouselSettings.LinkOn.HEADING, site, api, chromium);
    // A button of its own leads elsewhere; a card without words is not without its link.
    assertThat(led(heading, first + ".g-button")).isEqualTo("#button-named");
    assertThat(led(heading, first + ".g-shot")).isEmpty();
    assertThat(led(heading, second + ".g-shot")).isEqualTo("#to-bare");
    assertThat(heading.locator(second + "a").getAttribute("aria-label")).isEqualTo("Three domes");

    Page picture = cards(CarouselSettings.LinkOn.PICTURE, site, api, chromium);
    assertThat(led(picture, first + ".g-shot")).isEqualTo("#to-named");
    assertThat(led(picture, first + ".g-body")).isEmpty();
    assertThat(led(picture, first + ".g-button")).isEqualTo("#button-named");
    assertThat(picture.locator(first + ".g-leads").getAttribute("aria-label"))
        .isEqualTo("A night among ferns");

    Page whole = cards(CarouselSettings.LinkOn.CARD, site, api, chromium);
    assertThat(led(whole, first + ".g-shot")).isEqualTo("#to-named");
    assertThat(led(whole, first + ".g-body")).isEqualTo("#to-named");
    assertThat(led(whole, first + ".g-button")).isEqualTo("#button-named");
  }
}
