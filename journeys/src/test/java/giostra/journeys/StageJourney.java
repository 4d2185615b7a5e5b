package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import giostra.core.fit.Screen;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/**
 * The stage is a screen of its own: what lies where on it is what lies where on the live page, in a
 * window of that width and height. Reference: Debian's Chromium.
 */
@ExtendWith({Giostra.class, Chromium.class})
class StageJourney {
  private static final int WIDTHS = Runs.of(3, 12);
  private static final List<Integer> HEIGHTS =
      Runs.deep() ? List.of(480, 800, 1100, 1600) : List.of(480, 1100);

  /** Where each piece and each item stands, and how large it is, in px. */
  private static final String BOXES =
      """
      async () => {
        await Promise.all([...document.fonts].map((face) => face.load()));
        const still = new CSSStyleSheet();
        still.replaceSync('*, ::details-content { transition: none !important; animation: none !important }');
        document.adoptedStyleSheets = [still];
        scrollTo({ top: 0, behavior: 'instant' });
        await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
        return Object.fromEntries([...document.querySelectorAll('[data-piece], [data-item]')].map((each) => {
          const box = each.getBoundingClientRect();
          return [each.dataset.item ?? each.dataset.piece,
            [box.left, box.top, box.width, box.height].map((px) => Math.round(px * 10) / 10).join(' ')];
        }));
      }
      """;

  /** The demo, which has all kinds, with heights that are shares of the screen. */
  private static Document document(Api api) {
    return Edits.apply(
            api.document(Api.DEMO),
            List.of(
                new Edit.SetValue("openings", "height", "desktop", "70svh"),
                new Edit.SetValue("openings", "height", "tablet", "55dvh"),
                new Edit.SetValue("openings", "height", "phone", "90svh")))
        .document();
  }

  @InTurn(6)
  @Test
  void theStageIsTheLivePageInAWindowOfItsSize(Api api, Chromium.Open chromium) {
    String id = api.newPage(api.copyOfDemo(), document(api));
    String live = api.publish(id);
    Page bench = chromium.page(1280, 900);
    Page window = chromium.page(new Browser.NewContextOptions());
    // Fonts are optional: those that come late are not used before the next visit.
    window.navigate(live);
    window.evaluate("() => document.fonts.ready.then(() => true)");
    Bench.open(bench, api, id, "arrange", "openings")
        .stage()
        .evaluate("() => document.fonts.ready.then(() => true)");
    int compared = 0;
    for (int high : HEIGHTS) {
      for (int at = 0; at < WIDTHS; at++) {
        int wide = 320 + at * (1600 / WIDTHS);
        bench.evaluate(
            "([wide, high]) => { localStorage.setItem('giostra.width', wide); localStorage.setItem('giostra.screen', high) }",
            List.of(wide, high));
        Frame stage = Bench.open(bench, api, id, "arrange", "openings").stage();
        stage.waitForFunction(
            "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
        window.setViewportSize(wide, high);
        window.navigate(live);
        window.waitForFunction(
            "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
        JsonNode staged = Js.ask(stage, BOXES, null);
        JsonNode real = Js.ask(window.mainFrame(), BOXES, null);
        assertThat(staged).as("at %d x %d", wide, high).isEqualTo(real);
        compared += real.size();
      }
    }
    assertThat(compared).isGreaterThan(WIDTHS * HEIGHTS.size() * 40);
  }

  @Test
  void whileAPageIsOnItsWayTheStageSaysSo(Api api, Page page) {
    var held = new ArrayList<Route>();
    page.route(Pattern.compile("/preview/(\\?.*)?$"), held::add);
    page.navigate(api.at("/pages/" + Api.DEMO + "/arrange?at=openings"));
    Locator said = page.locator(".stage-coming");
    assertThat(said).isVisible();
    assertThat(said).hasText("The page is on its way…");
    held.removeFirst().resume();
    assertThat(said).hasCount(0);

    // So does what is assumed otherwise, which is a page of its own.
    page.locator(".assume summary").click();
    page.locator(".assume").getByText("right to left").click();
    assertThat(said).isVisible();
    held.removeFirst().resume();
    assertThat(said).hasCount(0);
  }

  /** What the bench says before the stage's script is there waits for it. */
  @ParameterizedTest
  @ValueSource(strings = {"77px", "78px 79px"})
  void whatIsEditedWhileTheStageIsOnItsWayComesToIt(String typed, Api api, Chromium.Open chromium) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    Page page = chromium.page(1280, 800);
    var held = new ArrayList<Route>();
    page.route(Pattern.compile("/preview/stage\\.js$"), held::add);
    Bench bench = Bench.open(page, api, id, "arrange", "films");
    page.waitForCondition(() -> !held.isEmpty());
    int edits = 0;
    for (String each : typed.split(" ")) {
      bench.set("films", "spaceAbove", "desktop", each);
      int made = ++edits;
      page.waitForCondition(
          () -> api.get("/api/pages/" + id).json().path("revision").asInt() == made);
    }
    // The bench has been told what the stage has to change, and nobody there hears it yet.
    assertThat(page.getByText("saved", new Page.GetByTextOptions().setExact(true))).isVisible();
    held.removeFirst().resume();
    Frame stage = bench.stage();
    String last = typed.substring(typed.lastIndexOf(' ') + 1);
    stage.waitForFunction(
        "last => getComputedStyle(document.querySelector('#g-films')).paddingTop === last", last);
  }

  /** No headless browser has bars: what a phone has without them is a window so much higher. */
  @InTurn(2)
  @Test
  void theStageHasAPhonesScreenWithoutItsBars(Api api, Chromium.Open chromium) {
    Document tall =
        Edits.apply(
                api.document(Api.DEMO),
                List.of(new Edit.SetValue("openings", "height", "phone", "80lvh")))
            .document();
    String id = api.newPage(api.copyOfDemo(), tall);
    Page window = chromium.page(390, 700 + Screen.BARS);
    window.navigate(api.publish(id));
    Page bench = chromium.page(1280, 900);
    bench.addInitScript(
        "localStorage.setItem('giostra.width', 390); localStorage.setItem('giostra.screen', 700)");
    Frame stage = Bench.open(bench, api, id, "arrange", "openings").stage();
    String high =
        "() => Math.round(document.querySelector('[data-piece=openings] .g-slide').getBoundingClientRect().height)";
    stage.waitForFunction("() => document.querySelector('[data-piece=openings] .g-slide')");
    int shown = Js.ask(stage, high, null).asInt();
    assertThat(shown).isEqualTo(Js.ask(window.mainFrame(), high, null).asInt());
    assertThat(shown).isEqualTo(Math.round(.8f * (700 + Screen.BARS)));
  }

  @Test
  void theScreensHeightIsTypedAndTheStageTakesTheWholeWindow(Api api, Chromium.Open chromium) {
    Page page = chromium.page(1280, 800);
    Bench bench = Bench.open(page, api, Api.DEMO, "arrange", "openings");
    bench.stage();
    Locator high = page.getByLabel("Height of the screen in px");
    assertThat(high).hasValue("800");
    assertThat(high(bench)).isEqualTo(800);
    high.fill("12");
    high.press("Enter");
    assertThat(high).hasAttribute("aria-invalid", "true");
    assertThat(page.locator(".stage-note")).containsText("it must be 240 to 2400 px");
    assertThat(high(bench)).isEqualTo(800);
    high.fill("1024");
    high.press("Enter");
    assertThat(page.locator(".stage-note")).not().containsText("it must be");
    assertThat(high(bench)).isEqualTo(1024);
    page.locator(".map-row[data-node=openings]").click();
    page.keyboard().press("w");
    Locator ground = page.locator(".stage-ground");
    assertThat(ground.boundingBox().height).isEqualTo(800);
    assertThat(ground.boundingBox().width).isEqualTo(1280);
    page.keyboard().press("Escape");
    assertThat(ground.boundingBox().height).isLessThan(600);
    assertThat(high(bench)).isEqualTo(1024);
  }

  /**
   * Each browser leaves out rules that it does not know, and rules are counted to find those that
   * change: what only some know must not lie at the top.
   */
  @Test
  void anEditChangesRulesOfTheSheetThatIsThere(Api api, Chromium.Open chromium) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    Bench bench = Bench.open(chromium.page(1280, 800), api, id, "arrange", "films");
    Frame stage = bench.stage();
    stage.evaluate("() => { document.querySelector('link[rel=stylesheet]').kept = true }");
    bench.set("films", "spaceAbove", "desktop", "77px");
    stage.waitForFunction(
        "() => getComputedStyle(document.querySelector('#g-films')).paddingTop === '77px'");
    assertThat(stage.evaluate("() => document.querySelector('link[rel=stylesheet]').kept"))
        .isEqualTo(true);
  }

  private static int high(Bench bench) {
    return ((Number) bench.stage().evaluate("() => innerHeight")).intValue();
  }
}
