package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import giostra.core.anatomy.Anatomy;
import giostra.core.band.Bands;
import giostra.core.fit.Legible;
import giostra.core.format.DocumentJson;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.piece.flipboxes.FlipBoxes;
import giostra.core.piece.flipboxes.FlipParts;
import giostra.core.testing.InTurn;
import giostra.core.value.Colour;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/**
 * What lies under boxes: pictures as their grounds, and the shadows that they throw; what Chromium
 * draws of them, and whether words on them can be read, against its pixels.
 */
@ExtendWith({Giostra.class, Chromium.class})
class GroundsJourney {
  private static final List<Part> BOXES =
      Anatomy.EVERY.stream().filter(part -> part.has(Property.VEIL)).toList();

  /** A picture of patches in any colour, the same each time. */
  private static byte[] patches(int width, int height, int patch, long seed) throws IOException {
    var image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    var random = new Random(seed);
    for (int y = 0; y < height; y += patch) {
      for (int x = 0; x < width; x += patch) {
        int colour = random.nextInt(0x1000000);
        for (int at = 0; at < patch * patch; at++) {
          image.setRGB(x + at % patch, y + at / patch, colour);
        }
      }
    }
    var out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private static Edit set(String node, Part part, Property<?> property, Object value) {
    return new Edit.SetStyle(node, part.key(property, State.REST), "desktop", value);
  }

  /** A site with one picture. */
  private record Pictured(String site, String picture) {
    static Pictured of(Api api, byte[] picture) {
      String site = api.newSite("Grounds " + System.nanoTime());
      return new Pictured(
          site, api.upload(site, "patches.png", picture).json().path("id").asString());
    }

    String page(Api api) {
      return api.newPage(site, boxes());
    }
  }

  private static Document boxes() {
    var items = new ArrayList<Item>();
    for (int i = 1; i <= 3; i++) {
      items.add(
          new Item("box-" + i, Values.NONE.with(ItemSettings.HEADING, Values.ALL, "Box " + i)));
    }
    var section =
        new Section("section", Values.NONE, List.of(new FlipBoxes("boxes", Values.NONE, items)));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page("page", Values.NONE, List.of(section)));
  }

  /** Each box of each kind has one of its own: found on the live page as it was set. */
  @InTurn(5)
  @Test
  void everyBoxHasThePictureThatItIsGiven(Api api, Page page) throws IOException {
    Document all;
    try (var in = GroundsJourney.class.getResourceAsStream("looks.json")) {
      all = DocumentJson.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    }
    String id = api.newPage(api.copyOfDemo(), all);
    var edits = new ArrayList<Edit>();
    for (int n = 0; n < BOXES.size(); n++) {
      Part box = BOXES.get(n);
      edits.add(set(Site.ID, box, Property.PICTURE, "moonflower"));
      edits.add(set(Site.ID, box, Property.PICTURE_FIT, n % 2 == 0 ? "pattern" : "contain"));
      edits.add(set(Site.ID, box, Property.PICTURE_FOCUS, 10 + n + "% 30%"));
      edits.add(set(Site.ID, box, Property.PICTURE_SIZE, 30 + n + "px"));
      edits.add(set(Site.ID, box, Property.VEIL, "#0102%02x80".formatted(16 + n)));
    }
    assertThat(api.edit(id, 0, edits.toArray(Edit[]::new)).status()).isEqualTo(200);
    page.navigate(api.publish(id));
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    @SuppressWarnings("unchecked")
    var drawn =
        (List<String>)
            page.evaluate(
                """
                () => [...document.querySelectorAll('main *')].map((each) => getComputedStyle(each))
                    .filter((style) => style.backgroundImage.includes('url('))
                    .map((style) => [style.backgroundImage.replace(/url\\([^)]*\\)/, 'url'),
                        style.backgroundPosition, style.backgroundSize, style.backgroundRepeat].join('; '))
                """);
    assertThat(BOXES).hasSizeGreaterThanOrEqualTo(7);
    for (int n = 0; n < BOXES.size(); n++) {
      String colour = "rgba(1, 2, " + (16 + n) + ", 0.5)";
      // The last of three is the ground, which has no image.
      String laid =
          n % 2 == 0
              ? "auto, " + (30 + n) + "px auto, auto; repeat, repeat, repeat"
              : "auto, contain, auto; repeat, no-repeat, repeat";
      assertThat(drawn)
          .as(BOXES.get(n).label())
          .contains(
              "linear-gradient(%s, %s), url, none; 0%% 0%%, %d%% 30%%, 0%% 0%%; %s"
                  .formatted(colour, colour, 10 + n, laid));
    }
  }

  /** Of patches all over any part of the picture has the same colours. */
  @InTurn(18)
  @ParameterizedTest
  @ValueSource(strings = {"cover", "pattern"})
  void theContrastIsThatOfThePixels(String fit, Api api, Page page) throws IOException {
    Pictured of = Pictured.of(api, patches(480, 480, 4, 7));
    String id = of.page(api);
    String ink = "#f7f3e4";
    for (String veil : List.of("#0000", "#0a1412aa", "#0a1412e6")) {
      Edit[] edits = {
        set("boxes", FlipParts.FRONT, Property.PICTURE, of.picture()),
        set("boxes", FlipParts.FRONT, Property.PICTURE_FIT, fit),
        set("boxes", FlipParts.FRONT, Property.PICTURE_SIZE, "240px"),
        set("boxes", FlipParts.FRONT, Property.VEIL, veil),
        set("boxes", FlipParts.HEADING, Property.INK, ink)
      };
      int revision = api.page(id).path("revision").asInt();
      assertThat(api.edit(id, revision, edits).status()).isEqualTo(200);
      page.navigate(api.publish(id));
      page.waitForSelector("[data-live]");
      page.evaluate(
          """
          () => {
            const sheet = new CSSStyleSheet();
            sheet.replaceSync('.g-front *{visibility:hidden}');
            document.adoptedStyleSheets.push(sheet);
          }
          """);
      byte[] seen = page.locator(".g-front").first().screenshot();
      BufferedImage drawn = ImageIO.read(new ByteArrayInputStream(seen));
      var legible = new Legible();
      // The corners and the edge are not the picture's.
      for (int y = 16; y < drawn.getHeight() - 16; y++) {
        for (int x = 16; x < drawn.getWidth() - 16; x++) {
          legible.add(Colour.parse(ink), drawn.getRGB(x, y) & 0xffffff, 1);
        }
      }
      double told = contrast(api, id);
      System.out.printf(
          "measured: %s under %s: contrast %.2f, of the pixels %.2f%n",
          fit, veil, told, legible.contrast());
      assertThat(told)
          .isCloseTo(legible.contrast(), org.assertj.core.data.Percentage.withPercentage(6));
    }
  }

  /** What the board says of the heading at rest in the widest band. */
  private static double contrast(Api api, String id) {
    for (JsonNode part :
        api.get("/api/pages/" + id + "/board?node=boxes&part=flip.heading").json().path("parts")) {
      if (part.path("id").asString().equals("flip.heading")) {
        for (JsonNode each : part.path("contrasts")) {
          if (each.path("state").asString().equals("rest")
              && each.path("band").asString().equals("desktop")) {
            return each.path("found").asDouble();
          }
        }
      }
    }
    throw new AssertionError("no contrast of the heading");
  }

  @InTurn(19)
  @Test
  void aDesignerPutsAPictureUnderHerBoxesAndAnOverlayOnIt(
      Api api, Chromium.Open chromium, Page page) throws IOException {
    Pictured of = Pictured.of(api, patches(1600, 1200, 8, 3));
    String id = of.page(api);
    Bench bench = Bench.open(page, api, id, "dress", "boxes");
    bench.bead("Front").click();
    bench.cell("boxes", "flip.front/rest/picture", "desktop").click();
    bench.pick("patches.png");
    PlaywrightAssertions.assertThat(bench.cell("boxes", "flip.front/rest/picture", "desktop"))
        .containsText("patches.png");
    bench.saved();
    Frame stage = bench.stage();
    stage.waitForFunction(
        "() => getComputedStyle(document.querySelector('.g-front')).backgroundImage.includes('url(')");
    // It is told that her words cannot be read; the least overlay is a press away.
    bench.step("Prove");
    // Bars lie over each other: by keyboard each is met.
    Locator bar = page.locator(".strip-bar[aria-label*='front’s heading has a contrast']").first();
    bar.focus();
    bar.press("Enter");
    Locator way =
        page.locator(".way").filter(new Locator.FilterOptions().setHasText("one overlay of"));
    PlaywrightAssertions.assertThat(way).containsText("mends it");
    way.click();
    page.keyboard().press("Enter");
    bench.saved();
    assertThat(api.document(id).page().toString()).contains("veil");
    bench.step("Dress");
    bench.set("boxes", "flip.front/rest/picture-fit", "desktop", "pattern");
    bench.set("boxes", "flip.front/rest/picture-size", "desktop", "72");
    bench.saved();
    stage = bench.stage();
    stage.waitForFunction(
        "() => getComputedStyle(document.querySelector('.g-front')).backgroundSize.includes('72px')");
    bench.set("boxes", "flip.front/rest/picture-fit", "desktop", "cover");
    bench.saved();

    // Each band has a file that is wide enough for its screens, and no more.
    String address = api.publish(id);
    assertThat(picture(chromium.page(390, 800), address))
        .isNotEqualTo(picture(chromium.page(1280, 800), address));
  }

  private static String picture(Page page, String address) {
    page.navigate(address);
    page.waitForSelector("[data-live]");
    return (String)
        page.evaluate("() => getComputedStyle(document.querySelector('.g-front')).backgroundImage");
  }

  /** Cards on a track, the first at its beginning, others waiting behind its end. */
  private static Document cards(String shadow, String gap) {
    var items = new ArrayList<Item>();
    for (int i = 1; i <= 6; i++) {
      items.add(
          new Item("card-" + i, Values.NONE.with(ItemSettings.HEADING, Values.ALL, "Card " + i)));
    }
    var section =
        new Section("section", Values.NONE, List.of(new Carousel("cards", Values.NONE, items)));
    var page = new giostra.core.page.Page("page", Values.NONE, List.of(section));
    return Edits.apply(
            new Document(new Site(Bands.INITIAL, Values.NONE), page),
            List.of(
                set("cards", CarouselParts.CARD, Property.SHADOW, shadow),
                set("cards", CarouselParts.CARD, Property.GROUND, "#00ff00"),
                set("cards", CarouselParts.CARD, Property.BORDER, "0"),
                new Edit.SetValue("cards", "gap", "desktop", gap)))
        .document();
  }

  /** Px beside the track, from it outwards, at half its height: whether there is something red. */
  private static List<Boolean> red(Page page, boolean atStart) throws IOException {
    var box = page.locator(".g-view").boundingBox();
    BufferedImage drawn = ImageIO.read(new ByteArrayInputStream(page.screenshot()));
    int y = (int) (box.y + box.height / 2);
    var found = new ArrayList<Boolean>();
    for (int away = 1; away <= 24; away++) {
      int x = (int) (atStart ? Math.round(box.x) - away : Math.round(box.x + box.width) - 1 + away);
      var colour = new java.awt.Color(drawn.getRGB(x, y));
      assertThat(colour.getGreen() > 200 && colour.getRed() < 60)
          .as("no card %d px beside the track", away)
          .isFalse();
      found.add(colour.getRed() - colour.getGreen() > 12);
    }
    return found;
  }

  /** A shadow is whole at the ends of its track where cards are as far apart as it reaches. */
  @InTurn(22)
  @Test
  void aShadowIsWholeAtTheEndsOfItsTrack(Api api, Chromium.Open chromium) throws IOException {
    String site = api.newSite("Shadows");
    for (String direction : List.of("ltr", "rtl")) {
      for (String gap : List.of("24px", "12px")) {
        String id = api.newPage(site, cards("0 4px 18px #ff0000", gap));
        Edit way = new Edit.SetValue("page", "direction", "", direction);
        assertThat(api.edit(id, 0, way).status()).isEqualTo(200);
        String address = api.publish(id);
        Page page = chromium.page(1280, 800);
        page.navigate(address);
        page.waitForSelector("[data-live]");
        page.waitForTimeout(300);
        for (boolean atStart : new boolean[] {true, false}) {
          List<Boolean> red = red(page, atStart);
          boolean fits = gap.equals("24px");
          assertThat(red.get(3)).as("red 4 px beside it, %s, %s", gap, direction).isEqualTo(fits);
          assertThat(red.subList(19, 24)).as("nor further than it reaches").doesNotContain(true);
        }
        Page phone = chromium.page(390, 800);
        phone.navigate(address);
        phone.waitForSelector("[data-live]");
        phone.waitForTimeout(300);
        assertThat(
                phone.evaluate(
                    "() => [document.documentElement.scrollWidth, document.documentElement.clientWidth]"))
            .isEqualTo(List.of(390, 390));
      }
    }
  }
}
