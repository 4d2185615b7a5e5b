package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.carousel.Carousel;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A colour that is drawn in the picker is on the stage at once: the server says once which rules it
 * is in. What is set at the end is what was seen, and what is given up leaves nothing.
 */
@ExtendWith({Giostra.class, Chromium.class})
class DrawnColourJourney {
  private static final String KEY = "carousel.card/rest/ground";

  private static Document document() {
    var item = new Item("card", Values.NONE.with(ItemSettings.HEADING, Values.ALL, "A heading"));
    List<Section> sections =
        List.of(
            new Section(
                "section",
                Values.NONE,
                List.of(new Carousel("cards", Values.NONE, List.of(item)))));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page("page", Values.NONE, sections));
  }

  private static void draw(Locator colour, String hex) {
    colour.evaluate(
        """
        (field, hex) => {
          Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, hex);
          field.dispatchEvent(new Event('input', { bubbles: true }));
        }
        """,
        hex);
  }

  private static void seen(Frame stage, String rgb) {
    stage.waitForFunction(
        "(rgb) => getComputedStyle(document.querySelector('.g-card')).backgroundColor === rgb",
        rgb);
  }

  private static String rgb(int n) {
    return String.format(Locale.ROOT, "rgb(%d, %d, %d)", 20 + n * 7, 200 - n * 5, 90 + n);
  }

  private static String hex(int n) {
    return String.format(Locale.ROOT, "#%02x%02x%02x", 20 + n * 7, 200 - n * 5, 90 + n);
  }

  /** Opens the picker, and notes what the server is asked from then on. */
  private static List<String> picking(Bench bench, Frame stage) {
    stage.waitForSelector("#g-cards[data-live]");
    var asked = new ArrayList<String>();
    bench
        .page()
        .onRequest(request -> {
          if (request.url().endsWith("/trials")) {
            asked.add(request.url());
          }
        });
    bench.cell("cards", KEY, "desktop").focus();
    bench.page().keyboard().press("Space");
    return asked;
  }

  @InTurn(19)
  @Test
  void aColourIsSeenWhileItIsDrawnAndIsWhatIsSet(Api api, Page page) {
    String id = api.newPage(document());
    Bench bench = Bench.open(page, api, id, "dress", "cards");
    Frame stage = bench.stage();
    List<String> asked = picking(bench, stage);
    Locator dialog = page.locator("dialog[open]");
    Locator colour = dialog.getByLabel("Colour", new Locator.GetByLabelOptions().setExact(true));
    for (int n = 1; n <= 20; n++) {
      draw(colour, hex(n));
      seen(stage, rgb(n));
    }
    assertThat(asked).as("what the server was asked").hasSizeBetween(1, 2);
    // Given up, the stage is as it was.
    dialog.getByText("Cancel").click();
    stage.waitForFunction(
        "() => getComputedStyle(document.querySelector('.g-card')).backgroundColor"
            + " === 'rgb(255, 253, 246)'");
    assertThat(api.document(id).node("cards").values().styles().set()).isEmpty();
    // Drawn again and set, it is what the document says, and stays when the page is loaded anew.
    bench.cell("cards", KEY, "desktop").focus();
    page.keyboard().press("Space");
    draw(colour, hex(3));
    seen(stage, rgb(3));
    draw(colour, hex(9));
    seen(stage, rgb(9));
    dialog.getByText("Set", new Locator.GetByTextOptions().setExact(true)).click();
    bench.saved();
    seen(stage, rgb(9));
    page.navigate(api.publish(id));
    page.waitForSelector("#g-cards[data-live]");
    assertThat(page.evaluate("getComputedStyle(document.querySelector('.g-card')).backgroundColor"))
        .isEqualTo(rgb(9));
  }

  /** The colours of a gradient, and which way it goes, are drawn as one colour is. */
  @InTurn(8)
  @Test
  void aGradientIsSeenWhileItIsDrawn(Api api, Page page) {
    String id = api.newPage(document());
    Bench bench = Bench.open(page, api, id, "dress", "cards");
    Frame stage = bench.stage();
    List<String> asked = picking(bench, stage);
    Locator dialog = page.locator("dialog[open]");
    dialog.getByText("Along a line").click();
    for (String each : List.of("Colour 1", "Colour 2")) {
      dialog.getByLabel("Where " + each.toLowerCase(Locale.ROOT) + " is from").selectOption("");
    }
    Locator first = dialog.getByLabel("Colour 1", new Locator.GetByLabelOptions().setExact(true));
    Locator second = dialog.getByLabel("Colour 2", new Locator.GetByLabelOptions().setExact(true));
    draw(second, hex(1));
    int before = 0;
    for (int n = 2; n <= 20; n++) {
      draw(n % 2 == 0 ? first : second, hex(n));
      String top = rgb(n % 2 == 0 ? n : n - 1);
      // What a gradient goes over to is clear at first, and stays so.
      String bottom = rgb(n % 2 == 0 ? n - 1 : n).replace("rgb(", "rgba(").replace(")", ", 0)");
      stage.waitForFunction(
          "(image) => getComputedStyle(document.querySelector('.g-card')).backgroundImage === image",
          "linear-gradient(" + top + ", " + bottom + ")");
      before = n == 2 ? asked.size() : before;
    }
    assertThat(asked).as("what the server was asked since the first").hasSizeBetween(1, before);
    dialog.getByText("Set", new Locator.GetByTextOptions().setExact(true)).click();
    bench.saved();
    assertThat(api.document(id).node("cards").values().styles().set().toString())
        .contains("angle=180");
  }

  /** What is far out of view waits while a tone is drawn, and nothing moves. */
  @InTurn(22)
  @Test
  void whatIsFarOutOfViewIsDrawnWhenItIsComeTo(Api api, Page page) {
    var item = new Item("card", Values.NONE.with(ItemSettings.HEADING, Values.ALL, "A heading"));
    List<Section> sections =
        IntStream.range(0, 30)
            .mapToObj(n ->
                new Section(
                    "section-" + n,
                    Values.NONE,
                    List.of(
                        new Carousel(
                            "cards-" + n,
                            Values.NONE,
                            List.of(new Item("card-" + n, item.values()))))))
            .toList();
    String id =
        api.newPage(
            new Document(
                new Site(Bands.INITIAL, Values.NONE),
                new giostra.core.page.Page("page", Values.NONE, sections)));
    Bench bench = Bench.open(page, api, id, "dress", "site&setting=tone.paper/rest/tone-raised");
    Frame stage = bench.stage();
    stage.waitForSelector("#g-cards-29[data-live]");
    Object high = stage.evaluate("document.documentElement.scrollHeight");
    bench.cell("site", "tone.paper/rest/tone-raised", "desktop").focus();
    page.keyboard().press("Space");
    Locator dialog = page.locator("dialog[open]");
    Locator colour = dialog.getByLabel("Colour", new Locator.GetByLabelOptions().setExact(true));
    String far = "() => document.querySelectorAll('[data-far]').length";
    for (int n = 1; n <= 5; n++) {
      draw(colour, hex(n));
      seen(stage, rgb(n));
    }
    assertThat((Integer) stage.evaluate(far)).isBetween(10, 29);
    assertThat(stage.evaluate("document.documentElement.scrollHeight")).isEqualTo(high);
    stage.evaluate("() => scrollTo(0, document.documentElement.scrollHeight)");
    stage.waitForFunction(
        "(rgb) => getComputedStyle([...document.querySelectorAll('.g-card')].at(-1)).backgroundColor"
            + " === rgb && document.querySelector('[data-far]') === null",
        rgb(5));
    draw(colour, hex(6));
    stage.waitForFunction("() => document.querySelector('#g-cards-0').closest('[data-far]')");
    dialog.getByText("Cancel").click();
    stage.waitForFunction("() => document.querySelector('[data-far]') === null");
    seen(stage, "rgb(255, 253, 246)");
    assertThat(stage.evaluate("document.documentElement.scrollHeight")).isEqualTo(high);
  }
}
