package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Clock;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Node;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What happens in time, by a designer and by those who visit. */
@ExtendWith({Giostra.class, Chromium.class})
class DriveJourney {
  private static final String OPENINGS = "[data-piece=openings]";

  private static Edit desktop(String node, String setting, Object value) {
    return new Edit.SetValue(node, setting, "desktop", value);
  }

  private static Edit once(String node, String setting, Object value) {
    return new Edit.SetValue(node, setting, "", value);
  }

  /** A page of the demo's with edits, published; its slider as one starts with it. */
  private static String live(Api api, Edit... edits) {
    return api.publish(api.newPage("velluta", Edits.apply(still(api), List.of(edits)).document()));
  }

  /** The demo's page with a slider that only a hand moves. */
  private static Document still(Api api) {
    return Edits.apply(
            api.document(Api.DEMO),
            List.of(
                new Edit.SetValue("openings", "movesItself", "desktop", null),
                new Edit.SetValue("openings", "movesItself", "phone", null),
                new Edit.SetValue("openings", "restsBy", "desktop", null),
                new Edit.SetValue("openings", "changes", "desktop", null),
                new Edit.SetValue("openings", "wordsCome", "desktop", null),
                new Edit.SetValue("opening-orchids", "ownChanges", "", null),
                new Edit.SetValue("opening-autumn", "framing", "", null),
                new Edit.SetValue("orchids-pin", "comes", "", null),
                new Edit.SetValue("opening", "depth", "desktop", null),
                new Edit.SetValue("houses", "entrance", "", null)))
        .document();
  }

  private static void heed(Page page) {
    page.evaluate(
        """
        () => {
          window.told = [];
          addEventListener('giostra:change', ({ detail }) => window.told.push(
              [detail.piece, detail.to, detail.cause].join(' ')));
        }
        """);
  }

  private static void scrollTo(Page page, String selector) {
    page.waitForSelector(selector);
    page.evaluate(
        "(s) => document.querySelector(s).scrollIntoView({ block: 'center', behavior: 'instant' })",
        selector);
  }

  private static String state(Frame stage, String script) {
    return String.valueOf(stage.evaluate("() => String(" + script + ")"));
  }

  @InTurn(11)
  @Test
  void aDesignerLetsASliderMoveAndSeesItOnTheTape(Api api, Chromium.Open chromium) {
    String id = api.newPage("velluta", still(api));
    Page page = chromium.page(1280, 900);
    Bench bench = Bench.open(page, api, id, "drive", "openings");
    Frame stage = bench.stage();
    bench.button("Let it move by itself in Desktop").click();
    PlaywrightAssertions.assertThat(page.locator(".tape-set")).hasCount(3);
    // Off on the phone, by the sheet alone.
    PlaywrightAssertions.assertThat(bench.cell("openings", "movesItself", "phone"))
        .containsText("on");
    bench.set("openings", "movesItself", "phone", "off");
    bench.saved();
    assertThat(own(api, id, "openings", "movesItself", "phone")).isEqualTo("false");
    // Each rests as long as is set; one that cannot be read in it is told, with ways out.
    PlaywrightAssertions.assertThat(page.locator(".tape-set").first()).containsText("6.0 s");
    PlaywrightAssertions.assertThat(page.locator(".drive-snags"))
        .containsText(Pattern.compile("rests 6 s; its \\d+ words take [\\d.]+ s to read"));
    // An edge that is dragged is the rest of that slide.
    Locator edge = page.locator(".tape-edge").nth(1);
    var box = edge.boundingBox();
    var tape = page.locator(".tape-scale").boundingBox();
    page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
    page.mouse().down();
    page.mouse().move(box.x + box.width / 2 + tape.width / 10, box.y + box.height / 2);
    page.mouse().up();
    bench.saved();
    String rest = own(api, id, "opening-frost", "ownRest", "");
    assertThat(rest).matches("[78]\\.?\\d?s");
    page.locator(".drive-fix").filter(hasText("rest as long as words take")).first().click();
    PlaywrightAssertions.assertThat(page.locator(".drive-snags")).not().containsText("Autumn");

    // A manner plays on the stage while one points at it, on one's own two slides.
    page.locator(".changes-one").filter(hasText("push")).hover();
    stage.waitForFunction("() => document.getAnimations().length >= 2");
    page.locator(".tape-now").hover();
    stage.waitForFunction("() => document.getAnimations().length === 0");
    page.locator(".changes-one").filter(hasText("push")).click();
    bench.button("then…").click();
    page.locator(".changes-one").filter(hasText("fade")).click();
    bench.saved();
    assertThat(own(api, id, "openings", "changes", "desktop")).isEqualTo("push, fade");
    PlaywrightAssertions.assertThat(page.locator(".changes-way")).hasCount(2);
    // The curve is bent by keys; what cannot be is refused where it was typed, and stays.
    page.getByLabel("How it comes to rest").focus();
    page.keyboard().press("ArrowUp");
    bench.saved();
    assertThat(own(api, id, "openings", "changes", "desktop"))
        .contains("fade cubic-bezier(0.32,0.06,0.24,1.02)");
    page.locator(".changes-fields label").filter(hasText("takes")).locator("input").fill("40s");
    page.keyboard().press("Enter");
    PlaywrightAssertions.assertThat(page.locator(".changes [role=alert]"))
        .containsText("0.1s to 5s");
    page.locator(".changes [role=alert] button").click();
    PlaywrightAssertions.assertThat(page.locator(".changes [role=alert]")).hasCount(0);
    bench.set("openings", "wordsCome", "desktop", "rise");

    // Somebody points at it: dragged onto the tape; what comes of it stands below.
    page.locator(".tape-deed")
        .filter(hasText("points"))
        .dragTo(
            page.locator(".tape-row").nth(1),
            new Locator.DragToOptions().setTargetPosition(300, 16));
    PlaywrightAssertions.assertThat(page.locator(".tape-held"))
        .containsText("held: pointer over it");
    double before = tapeLength(page);
    page.locator(".tape-scale").focus();
    page.keyboard().press("End");
    bench.button("swipes on").click();
    PlaywrightAssertions.assertThat(page.locator(".tape-act")).hasCount(2);
    assertThat(tapeLength(page)).isGreaterThan(before);

    // The playhead draws the stage, forwards and back.
    page.locator(".tape-set").nth(2).click();
    stage.waitForFunction(
        "() => !document.querySelector('[data-item=opening-orchids]').inert"
            + " && document.querySelector('[data-item=opening-autumn]').inert");
    page.locator(".tape-scale").focus();
    page.keyboard().press("Home");
    stage.waitForFunction("() => !document.querySelector('[data-item=opening-autumn]').inert");
    assertThat(state(stage, "document.querySelector('.g-hold').hidden")).isEqualTo("false");
    page.keyboard().press(" ");
    page.waitForFunction("() => Number(document.querySelector('.tape-scale').ariaValueNow) > 300");
    page.keyboard().press(" ");
    bench.saved();

    // Published it does so: on the desktop, not on the phone.
    String address = api.publish(id);
    Page visitor = chromium.page(1280, 900);
    visitor.navigate(address);
    heed(visitor);
    scrollTo(visitor, OPENINGS);
    visitor.waitForFunction(
        "() => window.told.includes('openings opening-frost itself')",
        null,
        new Page.WaitForFunctionOptions().setTimeout(20_000));
    assertThat(visitor.locator(OPENINGS + " .g-hold").isVisible()).isTrue();
    visitor.setViewportSize(390, 800);
    PlaywrightAssertions.assertThat(visitor.locator(OPENINGS + " .g-belt"))
        .hasAttribute("aria-live", "polite");
  }

  /** What a node of a page itself says, as it is written. */
  private static String own(Api api, String id, String node, String setting, String band) {
    Node of = api.document(id).node(node);
    Object value = of.values().own(of.type().setting(setting), band);
    return value == null ? "" : String.valueOf(of.type().setting(setting).write(value));
  }

  private static double tapeLength(Page page) {
    return Double.parseDouble(page.locator(".tape-scale").getAttribute("aria-valuemax"));
  }

  private static Locator.FilterOptions hasText(String text) {
    return new Locator.FilterOptions().setHasText(Pattern.compile("^(then )?" + text + "$"));
  }

  @InTurn(7)
  @Test
  void nothingIsWrongWithItForAxeByDayAndNight(Api api, Chromium.Open chromium) {
    String id = api.newPage("velluta", still(api));
    api.edit(id, api.page(id).path("revision").asInt(), desktop("openings", "movesItself", true));
    for (String theme : List.of("paper", "lamp")) {
      Page page = chromium.page(1280, 900);
      page.addInitScript("localStorage.setItem('giostra.theme', '" + theme + "')");
      Bench bench = Bench.open(page, api, id, "drive", "openings");
      page.locator(".tape-set").first().waitFor();
      bench.button("points").click();
      page.locator(".tape-held").first().waitFor();
      assertThat(Axe.found(page, "iframe")).as(theme).isEmpty();
      page.locator("[data-node=figures]").click();
      page.locator(".drive-sheets .form").waitFor();
      assertThat(Axe.found(page, "iframe")).as(theme + ", counters").isEmpty();
    }
  }

  /**
   * Source: ARIA Authoring Practices, "Carousel", auto-rotating: a control to stop and start
   * rotation comes first in the tab sequence and its label says what it does; rotation stops when
   * the keyboard comes into it and does not go on by itself, and while the pointer is over it; the
   * live region is off while it rotates by itself, and polite otherwise. WCAG 2.2, 2.2.2.
   */
  @InTurn(21)
  @Test
  void aSliderThatMovesByItselfKeepsToThePattern(Api api, Page page) {
    page.navigate(
        live(
            api,
            desktop("openings", "movesItself", true),
            desktop("openings", "rest", "1s"),
            desktop("openings", "changes", "fade 0.3s")));
    heed(page);
    scrollTo(page, OPENINGS);
    Locator hold = page.locator(OPENINGS + " .g-hold");
    Locator belt = page.locator(OPENINGS + " .g-belt");
    page.waitForFunction("() => window.told.length >= 2");
    PlaywrightAssertions.assertThat(belt).hasAttribute("aria-live", "off");
    assertThat(hold.getAttribute("aria-label")).isEqualTo("Pause");
    assertThat(
            page.evaluate(
                """
                () => document.querySelector('[data-piece=openings]')
                    .querySelector('button, a[href], [tabindex="0"]').className
                """))
        .isEqualTo("g-hold");
    assertThat(hold.boundingBox().width).isGreaterThanOrEqualTo(44);

    // The pointer over it holds it; off it, it goes on.
    page.locator(OPENINGS + " .g-view").hover();
    page.waitForTimeout(400);
    int held = told(page);
    page.waitForTimeout(1800);
    assertThat(told(page)).isEqualTo(held);
    PlaywrightAssertions.assertThat(belt).hasAttribute("aria-live", "off");
    page.mouse().move(3, 3);
    page.waitForFunction("(n) => window.told.length > n", held);

    // The keyboard comes in: it stops, and stays so when the keyboard has gone.
    page.evaluate(
        """
        () => {
          const before = document.createElement('button');
          before.id = 'before';
          document.querySelector('[data-piece=openings]').before(before);
          before.focus({ preventScroll: true });
        }
        """);
    page.keyboard().press("Tab");
    PlaywrightAssertions.assertThat(hold).isFocused();
    PlaywrightAssertions.assertThat(hold).hasAttribute("aria-label", "Play");
    PlaywrightAssertions.assertThat(belt).hasAttribute("aria-live", "polite");
    page.waitForTimeout(400);
    int stopped = told(page);
    page.keyboard().press("Shift+Tab");
    page.waitForTimeout(1800);
    assertThat(told(page)).isEqualTo(stopped);
    // The button starts it, also with the keyboard on it; the focus stays where it is.
    page.keyboard().press("Tab");
    page.keyboard().press("Enter");
    page.waitForFunction("(n) => window.told.length > n + 1", stopped);
    PlaywrightAssertions.assertThat(hold).isFocused();
    page.keyboard().press("Enter");
    PlaywrightAssertions.assertThat(belt).hasAttribute("aria-live", "polite");
    page.waitForTimeout(400);
    int paused = told(page);
    // By hand it moves all the same, and is told politely.
    page.locator(OPENINGS + " .g-next").click();
    page.waitForFunction("(n) => window.told.length === n + 1", paused);
    assertThat(page.evaluate("() => window.told.at(-1).endsWith('arrow')")).isEqualTo(true);
  }

  private static int told(Page page) {
    return ((Number) page.evaluate("() => window.told.length")).intValue();
  }

  /** Source: WCAG 2.2, 2.3.3; without script everything is there and nothing moves. */
  @InTurn({4, 16})
  @Test
  void withLessMotionNothingMovesAndWithoutScriptAllIsThere(Api api, Chromium.Open chromium) {
    String address =
        live(
            api,
            desktop("openings", "movesItself", true),
            desktop("openings", "rest", "1s"),
            desktop("openings", "changes", "push"),
            desktop("openings", "wordsCome", "rise"),
            once("words", "entrance", "rise"),
            once("figures", "delay", "2s"));
    Page calm = chromium.calm(1280, 900);
    calm.navigate(address);
    heed(calm);
    scrollTo(calm, OPENINGS);
    calm.waitForTimeout(2200);
    assertThat(told(calm)).isZero();
    assertThat(calm.locator(OPENINGS + " .g-hold").isVisible()).isFalse();
    calm.locator(OPENINGS + " .g-next").click();
    assertThat(calm.evaluate("() => document.getAnimations().length")).isEqualTo(0);
    assertThat(calm.locator("[data-item=opening-frost]").evaluate("e => e.inert")).isEqualTo(false);
    assertThat(calm.locator("[data-piece=words]").evaluate("e => getComputedStyle(e).opacity"))
        .isEqualTo("1");
    Page plain =
        chromium.page(
            new Browser.NewContextOptions().setViewportSize(1280, 900).setJavaScriptEnabled(false));
    plain.navigate(address);
    assertThat(plain.locator(OPENINGS + " .g-hold").isVisible()).isFalse();
    assertThat(plain.locator("[data-piece=words]").isVisible()).isTrue();
    assertThat(plain.locator("[data-item=opening-orchids] .g-copybox > *").count())
        .isGreaterThan(2);
  }

  @InTurn(2)
  @Test
  void aPieceComesInWhenItIsSeenItemByItem(Api api, Page page) {
    page.navigate(
        live(
            api,
            once("houses", "entrance", "rise"),
            once("houses", "entranceTakes", "0.4s"),
            once("houses", "entranceBeat", "0.2s"),
            once("plants", "entrance", "fade"),
            once("plants", "entranceOften", "every-time")));
    page.waitForSelector("[data-piece=plants][data-entered]");
    String opacity = "(s) => getComputedStyle(document.querySelector(s)).opacity";
    assertThat(page.evaluate(opacity, "[data-item=house-1]")).isEqualTo("0");
    assertThat(page.evaluate(opacity, "[data-piece=plants]")).isEqualTo("0");
    scrollTo(page, "[data-piece=houses]");
    page.waitForFunction(
        """
        () => {
          const at = (n) => Number(getComputedStyle(
              document.querySelector(`[data-item=house-${n}]`)).opacity);
          window.later ||= at(1) > 0.5 && at(3) < at(1);
          return window.later && at(1) === 1 && at(3) === 1;
        }
        """);
    scrollTo(page, "[data-piece=plants]");
    page.waitForFunction(
        "() => getComputedStyle(document.querySelector('[data-piece=plants]')).opacity === '1'");
    page.evaluate("() => window.scrollTo({ top: 0, behavior: 'instant' })");
    page.waitForFunction(
        "() => getComputedStyle(document.querySelector('[data-piece=plants]')).opacity === '0'");
    assertThat(page.evaluate(opacity, "[data-item=house-1]")).isEqualTo("1");
  }

  @Test
  void countsStartLaterAndOneAfterAnother(Api api, Page page) {
    page.navigate(
        live(
            api,
            once("figures", "delay", "0.5s"),
            once("figures", "sequence", "0.6s"),
            once("figures", "duration", "0.3s")));
    page.waitForSelector("[data-piece=figures][data-live]");
    page.evaluate(Js.file("clockwork.js"), "figures");
    page.waitForFunction("() => window.clockwork.timers.length === 4");
    JsonNode ended =
        Js.ask(
            page,
            """
            () => {
              const ended = [];
              const items = [...document.querySelectorAll('[data-piece=figures] [data-item]')];
              for (let ms = 0; ms <= 4000; ms += 4) {
                window.clockwork.to(ms);
                items.forEach((item, i) => {
                  if (!item.hasAttribute('data-counting')) ended[i] ??= ms;
                });
              }
              return ended;
            }
            """,
            List.of());
    // A delay, one after the other, and as long as a count takes; told once a picture is drawn.
    for (int i = 0; i < 4; i++) {
      double at = 500 + i * 600 + 300;
      assertThat(ended.get(i).asDouble()).as("figure %d", i).isBetween(at, at + 20);
    }
  }

  /** Slow and held: what is there moves with its slide, and stands when the slide is held. */
  @InTurn(17)
  @Test
  void aPictureMovesForAsLongAsItsSlideIsThere(Api api, Page page) {
    page.navigate(
        live(
            api,
            desktop("openings", "movesItself", true),
            desktop("openings", "rest", "6s"),
            desktop("openings", "changes", "fade 0.3s"),
            desktop("openings", "groundMoves", "nearer"),
            desktop("openings", "groundBy", 40.0)));
    scrollTo(page, OPENINGS);
    String scale =
        """
        (id) => new DOMMatrix(getComputedStyle(document.querySelector(
            `[data-item=${id}] .g-shot img`)).transform).a
        """;
    page.waitForFunction("(id) => (" + scale + ")(id) > 1.05", "opening-autumn");
    page.locator(OPENINGS + " .g-view").hover();
    page.waitForTimeout(150);
    double held = Js.number(page, scale, "opening-autumn");
    page.waitForTimeout(500);
    assertThat(Js.number(page, scale, "opening-autumn")).isEqualTo(held);
    page.mouse().move(3, 3);
    page.waitForFunction(
        "([id, was]) => (" + scale + ")(id) > was + 0.02", List.of("opening-autumn", held));
    // The next begins anew, and what has gone stands as it was.
    page.locator(OPENINGS + " .g-next").click();
    page.waitForFunction("(id) => (" + scale + ")(id) === 1", "opening-autumn");
    page.mouse().move(3, 3);
    page.waitForFunction("(id) => (" + scale + ")(id) > 1.02", "opening-frost");
    // Drawn at a time it is where it is then: 6 s and the change before it, a half of them.
    page.evaluate(
        "() => document.querySelector('[data-piece=openings]').giostra.show("
            + "{ stop: 1, since: 3150, passed: 3150 })");
    assertThat(Js.number(page, scale, "opening-frost"))
        .isCloseTo(1.2, org.assertj.core.api.Assertions.within(0.001));
  }

  /** By the clocks of the site's zone, wherever the visitor's stand. */
  @InTurn(12)
  @Test
  void aSeasonHandsOverAtOneMoment(Api api, Chromium.Open chromium) {
    String address =
        live(
            api,
            once("openings", "seasonBegins", "2026-01-01"),
            once("opening-autumn", "seasonEnds", "2026-11-30T18:00"),
            once("opening-frost", "seasonBegins", "2026-11-30T18:00"),
            once("opening-frost", "seasonEnds", "2027-02-28"),
            once("opening-orchids", "seasonBegins", "2027-02-28"),
            once("opening-orchids", "seasonEnds", "2027-03-01"),
            once("opening-orchids", "seasonYearly", true));
    Page page =
        chromium.page(
            new Browser.NewContextOptions().setViewportSize(1280, 900).setTimezoneId("Asia/Tokyo"));
    page.addInitScript(
        """
        window.shifts = [];
        new PerformanceObserver((list) => {
          shifts.push(...list.getEntries().map((each) => each.value));
        }).observe({ type: 'layout-shift', buffered: true });
        """);
    // What is on is known before anything is drawn, however late the other scripts come.
    page.route(
        "**/*.js",
        route -> {
          page.waitForTimeout(200);
          route.resume();
        });
    for (String[] each :
        new String[][] {
          {"2025-12-31T23:59:59.999Z", ""},
          {"2026-11-30T17:59:59.999Z", "opening-autumn"},
          {"2026-11-30T18:00:00Z", "opening-frost"},
          {"2027-02-28T12:00:00Z", "opening-frost opening-orchids"},
          {"2027-03-01T12:00:00Z", "opening-orchids"},
          {"2027-03-02T00:00:00Z", ""},
          {"2029-03-01T23:00:00Z", "opening-orchids"}
        }) {
      page.clock().setFixedTime(each[0]);
      page.navigate(address);
      page.waitForSelector(OPENINGS + "[data-live]", attached());
      assertThat(
              page.evaluate(
                  """
                  () => [...document.querySelectorAll('[data-piece=openings] [data-item]')]
                      .filter((item) => item.checkVisibility()).map((item) => item.dataset.item)
                      .join(' ')
                  """))
          .as(each[0])
          .isEqualTo(each[1]);
      // Hidden only after it had been drawn, the slider alone makes 0.2. What is left is of a page
      // of which a browser has read a part. Source: Web Vitals, "Cumulative Layout Shift", good.
      assertThat(Js.number(page, "() => shifts.reduce((sum, each) => sum + each, 0)", null))
          .as("shifts at %s", each[0])
          .isLessThan(0.1);
    }
  }

  /** Which question is the first goes by the date: it is open, and a turn opens the next. */
  @InTurn(3)
  @Test
  void theFirstThatIsThereIsOpen(Api api, Chromium.Open chromium) {
    String open =
        """
        () => [...document.querySelectorAll('[data-piece=in-flower] details')]
            .filter((each) => each.checkVisibility())
            .map((each) => `${each.dataset.item} ${each.open ? 'open' : 'closed'}`).join(', ')
        """;
    Page page = chromium.page(1280, 900);
    for (String[] each :
        new String[][] {
          {"2027-02-27T20:00:00Z", "flower-queen open"},
          {"2027-02-28T20:00:00Z", ""},
          {"2027-03-01T20:00:00Z", "flower-moon open"},
          {"2031-07-02T20:00:00Z", "flower-orchid open"}
        }) {
      page.clock().setFixedTime(each[0]);
      page.navigate(api.at(Api.LIVE_DEMO));
      page.waitForSelector("[data-piece=in-flower][data-live]", attached());
      assertThat(page.evaluate(open)).as(each[0]).isEqualTo(each[1]);
    }
    Page staying = chromium.page(1280, 900);
    staying.clock().install(new Clock.InstallOptions().setTime("2026-06-30T23:58:00Z"));
    staying.navigate(api.at(Api.LIVE_DEMO));
    staying.waitForSelector("[data-piece=in-flower][data-live]", attached());
    assertThat(staying.evaluate(open)).isEqualTo("flower-moon open");
    // Out of view it turns without moving anything.
    staying.clock().runFor(3 * 60_000);
    staying.waitForFunction("() => (" + open.strip() + ")() === 'flower-orchid open'");
  }

  private static Page.WaitForSelectorOptions attached() {
    return new Page.WaitForSelectorOptions()
        .setState(com.microsoft.playwright.options.WaitForSelectorState.ATTACHED);
  }

  /** The year shows who is on when; a day that is pressed is the stage's. */
  @InTurn(6)
  @Test
  void aDesignerSeesTheYearAndLooksAtADay(Api api, Chromium.Open chromium) {
    String id = api.newPage("velluta", still(api));
    api.edit(
        id,
        api.page(id).path("revision").asInt(),
        once("opening-autumn", "seasonEnds", "2026-11-30"),
        once("opening-frost", "seasonBegins", "2027-01-15"),
        once("opening-orchids", "seasonBegins", "2027-01-20"));
    Page page = chromium.page(1280, 900);
    Bench bench = Bench.open(page, api, id, "drive", "opening-frost");
    bench.button("The year").click();
    PlaywrightAssertions.assertThat(page.locator(".year-row")).hasCount(3);
    page.locator(".year-nobody").first().waitFor();
    PlaywrightAssertions.assertThat(page.locator(".drive-snags"))
        .containsText("nobody is on show from 1 Dec 2026 to 15 Jan 2027");
    page.getByLabel("The stage’s date").fill("2027-01-16");
    page.waitForFunction("() => document.querySelector('iframe').src.includes('on=1800')");
    Frame stage = bench.stage();
    stage.waitForFunction(
        "() => document.querySelector('[data-item=opening-autumn]')?.hidden"
            + " && !document.querySelector('[data-item=opening-frost]').hidden"
            + " && document.querySelector('[data-item=opening-orchids]').hidden");
    page.locator(".drive-fix").filter(hasText("let Frost take over at once")).click();
    PlaywrightAssertions.assertThat(page.locator(".year-nobody")).hasCount(0);
    bench.saved();
    assertThat(own(api, id, "opening-frost", "seasonBegins", "")).isEqualTo("2026-12-01");
    // What makes no sense is told, and stays where it was typed.
    page.locator("[aria-label='What to drive'] > button").nth(1).click();
    page.locator(".field[data-setting=seasonEnds] input").fill("2026-01-01");
    page.locator(".field[data-setting=seasonEnds] input").blur();
    PlaywrightAssertions.assertThat(page.locator(".drive-snags")).containsText("Season ends is");
    assertThat(Axe.found(page, "iframe")).isEmpty();
  }

  /** A pointer that only passes opens nothing; one that stays does. Source: WCAG 2.2, 1.4.13. */
  @InTurn(8)
  @Test
  void aPointerHasToStay(Api api, Page page) {
    page.navigate(
        live(api, once("four-houses", "trigger", "hover"), once("four-houses", "intent", "1s")));
    scrollTo(page, "[data-piece=four-houses]");
    heed(page);
    page.locator("[data-of=house-desert]").hover();
    page.waitForTimeout(120);
    page.mouse().move(3, 3);
    page.waitForTimeout(1200);
    assertThat(told(page)).isZero();
    page.locator("[data-of=house-fern]").hover();
    page.waitForFunction("() => window.told.includes('four-houses house-fern hover')");
  }

  /** A fade that a finger pulls: it follows the finger, and is carried through or not. */
  @InTurn(13)
  @Test
  void aHandDrawsAChange(Api api, Page page) {
    page.navigate(live(api, desktop("openings", "changes", "fade")));
    heed(page);
    scrollTo(page, OPENINGS);
    var box = page.locator(OPENINGS + " .g-view").boundingBox();
    double y = box.y + 40;
    page.mouse().move(900, y);
    page.mouse().down();
    page.mouse().move(700, y);
    page.mouse().move(600, y);
    String opacity =
        String.valueOf(
            page.evaluate(
                "() => getComputedStyle(document.querySelector('[data-item=opening-frost]')).opacity"));
    assertThat(Double.parseDouble(opacity)).isBetween(0.05, 0.6);
    // Held still and let go short of the middle, it goes back.
    page.waitForTimeout(200);
    page.mouse().up();
    page.waitForFunction(
        "() => document.querySelector('[data-item=opening-frost]').inert"
            + " && document.getAnimations().length === 0");
    assertThat(told(page)).isZero();
    page.mouse().move(1100, y);
    page.mouse().down();
    page.mouse().move(700, y);
    page.mouse().move(300, y);
    page.mouse().up();
    page.waitForFunction("() => window.told.includes('openings opening-frost drag')");
    page.waitForFunction(
        "() => !document.querySelector('[data-item=opening-frost]').inert"
            + " && document.querySelector('[data-item=opening-autumn]').inert"
            + " && document.getAnimations().length === 0");
    // Pulled all the way it is there; pulled and put back it has not moved, and does not.
    page.mouse().move(1275, y);
    page.mouse().down();
    page.mouse().move(700, y);
    page.mouse().move(2, y);
    page.mouse().up();
    page.waitForFunction(
        "() => window.told.includes('openings opening-orchids drag')"
            + " && document.getAnimations().length === 0");
    int said = told(page);
    page.mouse().move(400, y);
    page.mouse().down();
    page.mouse().move(700, y);
    page.mouse().move(400, y);
    page.waitForTimeout(200);
    page.mouse().up();
    assertThat(
            page.evaluate(
                """
                async () => {
                  const seen = [];
                  const begins = performance.now();
                  while (performance.now() - begins < 1000) {
                    await new Promise(requestAnimationFrame);
                    seen.push(Number(getComputedStyle(
                      document.querySelector('[data-item=opening-frost]')).opacity));
                  }
                  return document.querySelector('[data-item=opening-frost]').inert
                    && seen.filter((each, at) => at > 0 && each > seen[at - 1]).length === 0
                    && document.getAnimations().length === 0;
                }
                """))
        .isEqualTo(true);
    assertThat(told(page)).isEqualTo(said);
  }
}
