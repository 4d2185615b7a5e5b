package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.BoundingBox;
import giostra.core.page.DriveSettings;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.HashSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Pictures that move slowly, what a visit starts with, and what the keyboard opens. */
@ExtendWith({Giostra.class, Chromium.class})
class SlowlyJourney {
  private static Edit once(String node, String setting, Object value) {
    return new Edit.SetValue(node, setting, "", value);
  }

  private static Edit desktop(String node, String setting, Object value) {
    return new Edit.SetValue(node, setting, "desktop", value);
  }

  private static String edited(Api api, Edit... edits) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    JsonNode page = api.page(id);
    assertThat(
            api.edit(id, page.path("revision").asInt(), page.path("siteRevision").asInt(), edits)
                .status())
        .isEqualTo(200);
    return id;
  }

  /** Where the picture of a section and the section are, px from the top of the screen. */
  private static final String LIES =
      """
      (id) => {
        const section = document.querySelector('#g-' + id);
        const picture = section.querySelector(':scope > .g-ground');
        const its = section.getBoundingClientRect();
        const box = picture.getBoundingClientRect();
        // Shares stay shares in what is computed: of the picture's own height.
        const px = (said) => [...said.matchAll(/(-?[\\d.]+)(%|px)/g)].reduce(
          (sum, [, n, unit]) => sum + (unit === '%' ? (n / 100) * box.height : Number(n)), 0);
        const cut = getComputedStyle(picture).clipPath;
        const [above, , below] = cut === 'none' ? [0, 0, 0]
          : cut.slice('inset('.length, -1).split(/ (?![^(]*\\))/).map(px);
        return [its.top, its.height, box.top, box.height, above, below ?? above];
      }
      """;

  /**
   * While a section goes through the screen its picture lags behind by the share that was said, and
   * covers it at each moment. Source: Scroll-driven Animations 1, range "cover".
   */
  @InTurn({3, 15})
  @Test
  void theGroundOfASectionLagsBehindThePage(Api api, Chromium.Open chromium) {
    String id =
        edited(
            api,
            once("plants-section", "ground", "moonflower"),
            desktop("plants-section", "depth", 40.0),
            once("words-section", "ground", "moonflower"),
            desktop("words-section", "depth", 25.0));
    String address = api.publish(id);
    Page page = chromium.page(1280, 800);
    page.navigate(address);
    double high =
        Js.number(page, "() => document.documentElement.scrollHeight - innerHeight", null);
    for (String[] each : new String[][] {{"plants-section", "0.4"}, {"words-section", "0.25"}}) {
      double share = Double.parseDouble(each[1]);
      double before = Double.NaN;
      double beforeTop = 0;
      int seen = 0;
      for (double at = 0; at <= high; at += 97) {
        page.evaluate("(top) => scrollTo({ top, behavior: 'instant' })", at);
        page.evaluate(
            "() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))");
        JsonNode lies = Js.ask(page, LIES, each[0]);
        double top = lies.get(0).asDouble();
        double tall = lies.get(1).asDouble();
        if (top > 790 || top + tall < 10) {
          continue;
        }
        double picture = lies.get(2).asDouble();
        assertThat(lies.get(3).asDouble())
            .as("how high the picture of %s is", each[0])
            .isCloseTo(tall + share * (tall + 800), within(1.0));
        // What shows of it is the section's box, no more and no less.
        assertThat(picture + lies.get(4).asDouble()).isCloseTo(top, within(1.0));
        assertThat(picture + lies.get(3).asDouble() - lies.get(5).asDouble())
            .isCloseTo(top + tall, within(1.0));
        if (!Double.isNaN(before)) {
          assertThat((picture - before) / (top - beforeTop))
              .as("of the page's way at %s", at)
              .isCloseTo(1 - share, within(0.02));
          seen++;
        }
        before = picture;
        beforeTop = top;
      }
      assertThat(seen).as("moments of %s", each[0]).isGreaterThan(3);
    }
    Page calm = chromium.calm(1280, 800);
    calm.navigate(address);
    JsonNode still = Js.ask(calm, LIES, "plants-section");
    assertThat(still.get(3).asDouble()).isCloseTo(still.get(1).asDouble(), within(0.1));
    // At other widths nothing was said.
    Page phone = chromium.page(390, 800);
    phone.navigate(address);
    assertThat(
            Js.ask(phone, "() => [document.documentElement.scrollWidth, innerWidth]", null)
                .toString())
        .isEqualTo("[390,390]");
  }

  private static final String SCALE =
      """
      (id) => {
        const matrix = new DOMMatrix(getComputedStyle(document.querySelector(
            `[data-item=${id}] .g-shot img`)).transform);
        return [matrix.a, matrix.e, matrix.f];
      }
      """;

  /** From one frame to another, by the sums that are used for contrast as well. */
  @InTurn({4, 16})
  @Test
  void aPictureGoesFromFrameToFrame(Api api, Page page) {
    String id =
        edited(
            api,
            desktop("openings", "movesItself", true),
            desktop("openings", "rest", "6s"),
            desktop("openings", "changes", "cut"),
            once("opening-frost", "framing", "20% 30% 2 to 80% 70% 1.2"));
    page.setViewportSize(1280, 800);
    page.navigate(api.publish(id));
    page.waitForFunction("() => 'live' in document.querySelector('[data-piece=openings]').dataset");
    BoundingBox box = page.locator("[data-item=opening-frost] .g-shot").boundingBox();
    double before = 3;
    for (int ms : List.of(0, 1500, 3000, 60_000)) {
      page.evaluate(
          "(ms) => document.querySelector('[data-piece=openings]').giostra.show("
              + "{ stop: 1, since: ms, passed: ms })",
          ms);
      JsonNode drawn = Js.ask(page, SCALE, "opening-frost");
      double large = drawn.get(0).asDouble();
      assertThat(large).isLessThan(before);
      before = large;
      // What is seen goes straight from the one to the other.
      double share = (2 - large) / (2 - 1.2);
      double left = (0.2 * (1 - 2) * (1 - share) + 0.8 * (1 - 1.2) * share) * box.width;
      double top = (0.3 * (1 - 2) * (1 - share) + 0.7 * (1 - 1.2) * share) * box.height;
      assertThat(drawn.get(1).asDouble()).isCloseTo(left, within(0.5));
      assertThat(drawn.get(2).asDouble()).isCloseTo(top, within(0.5));
      if (ms == 0 || ms == 60_000) {
        assertThat(large).isCloseTo(ms == 0 ? 2 : 1.2, within(0.001));
      }
    }
    // Others move as the piece says: not at all.
    page.evaluate(
        "() => document.querySelector('[data-piece=openings]').giostra.show("
            + "{ stop: 2, since: 3000, passed: 3000 })");
    assertThat(Js.ask(page, SCALE, "opening-orchids").get(0).asDouble()).isEqualTo(1);
  }

  /** By keyboard and by pointer: frames are drawn on the picture. */
  @InTurn({7, 19})
  @Test
  void framesAreDrawnOnThePicture(Api api, Page page) {
    String id = edited(api, desktop("openings", "movesItself", true));
    Bench.open(page, api, id, "drive", "opening-frost");
    page.getByText("This item:").click();
    page.getByText("Draw two frames").click();
    Locator first = page.locator(".framing-frame[data-name=First]");
    first.focus();
    page.keyboard().press("+");
    page.keyboard().press("+");
    page.keyboard().press("Shift+ArrowLeft");
    PlaywrightAssertions.assertThat(first)
        .hasAttribute("aria-label", java.util.regex.Pattern.compile("First frame, 0% .*1.1 times"));
    Locator last = page.locator(".framing-frame[data-name=Last]");
    last.scrollIntoViewIfNeeded();
    BoundingBox box = last.boundingBox();
    page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
    page.mouse().down();
    page.mouse()
        .move(
            box.x + box.width / 2 + 200,
            box.y + box.height / 2,
            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(4));
    page.mouse().up();
    PlaywrightAssertions.assertThat(last)
        .hasAttribute("aria-label", java.util.regex.Pattern.compile("Last frame, 100% .*"));
    PlaywrightAssertions.assertThat(
            page.getByText("saved", new Page.GetByTextOptions().setExact(true)))
        .isVisible();
    assertThat(Axe.within(page, ".framing")).isEmpty();
    page.waitForCondition(() ->
        ((Item) api.document(id).node("opening-frost"))
            .values()
            .get(DriveSettings.FRAMING)
            .written()
            .startsWith("0%"));
    // What is none is told where it was typed, and nothing is lost.
    Locator typed = page.locator("[data-setting=framing] input");
    typed.fill("20% 30% 9 to 1");
    typed.press("Enter");
    PlaywrightAssertions.assertThat(page.locator("[data-setting=framing] .text-error"))
        .containsText("two frames");
    PlaywrightAssertions.assertThat(typed).hasValue("20% 30% 9 to 1");
  }

  /**
   * Each visit starts with another item, the same for as long as it lasts; on the stage the first.
   */
  @InTurn({1, 13})
  @Test
  void anotherVisitStartsWithAnotherItem(Api api, Chromium.Open chromium) {
    String id = edited(api, once("openings", "startsWith", "another-each-visit"));
    String address = api.publish(id);
    var seen = new HashSet<String>();
    String current = "() => document.querySelector('[data-piece=openings]').giostra?.current";
    for (int visit = 0; visit < 40 && seen.size() < 3; visit++) {
      Page page = chromium.page(1280, 800);
      page.navigate(address);
      page.waitForFunction(current);
      String first = page.evaluate(current).toString();
      seen.add(first);
      if (visit == 0) {
        for (int width : List.of(1280, 390)) {
          page.setViewportSize(width, 800);
          page.reload();
          page.waitForFunction(current);
          assertThat(page.evaluate(current)).as("the same visit").isEqualTo(first);
        }
      }
      page.context().close();
    }
    assertThat(seen).hasSize(3);
  }

  /** Whatever its kind, a page can take a piece away, put it back and keep it as it is. */
  @InTurn({5, 17})
  @Test
  void aPageTakesAPieceAwayAndKeepsItAsItIs(Api api, Page page) {
    String id =
        edited(
            api,
            desktop("openings", "movesItself", true),
            desktop("openings", "restsBy", "time"),
            desktop("openings", "rest", "1s"),
            once("opening-autumn", "ownRest", "1s"));
    page.setViewportSize(1280, 800);
    page.navigate(api.publish(id));
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => e.giostra)");
    String told =
        """
        () => [...document.querySelectorAll('main [data-piece]')].map((piece) => {
          const { giostra } = piece;
          const high = document.documentElement.scrollHeight;
          giostra.visible = false;
          const away = piece.getClientRects().length === 0 && !giostra.visible;
          giostra.visible = true;
          return away && giostra.visible && piece.getClientRects().length === 1
            && document.documentElement.scrollHeight === high;
        })
        """;
    assertThat(Js.ask(page, told, null).valueStream().map(JsonNode::asBoolean))
        .hasSizeGreaterThan(6)
        .containsOnly(true);
    page.evaluate("() => document.querySelector('[data-piece=openings]').giostra.locked = true");
    String current = "() => document.querySelector('[data-piece=openings]').giostra.current";
    Object stays = page.evaluate(current);
    page.waitForTimeout(2500);
    assertThat(page.evaluate(current)).as("locked it stays").isEqualTo(stays);
    page.evaluate("() => document.querySelector('[data-piece=openings]').giostra.locked = false");
    page.waitForFunction("(was) => (" + current + ")() !== was", stays);
  }

  /** Opened where the keyboard comes to it; a press of a pointer is no such thing. */
  @InTurn({2, 14})
  @ParameterizedTest
  @CsvSource({"ltr", "rtl"})
  void theKeyboardOpensWhatItComesTo(String direction, Api api, Page page) {
    String id =
        edited(
            api,
            once("page", "direction", direction),
            once("questions", "trigger", "focus"),
            once("plants", "trigger", "focus"));
    page.setViewportSize(1280, 800);
    page.navigate(api.publish(id));
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    Locator questions = page.locator("[data-piece=questions] > .g-rows > details > summary");
    page.locator("[data-piece=questions] .g-search, [data-piece=questions] .g-chip").last().focus();
    page.keyboard().press("Tab");
    PlaywrightAssertions.assertThat(questions.nth(0)).isFocused();
    PlaywrightAssertions.assertThat(page.locator("[data-piece=questions] details[open]"))
        .hasCount(1);
    page.keyboard().press("Enter");
    PlaywrightAssertions.assertThat(page.locator("[data-piece=questions] details[open]"))
        .hasCount(0);
    // Boxes turn where the keyboard comes to them, and back when it goes on.
    Locator boxes = page.locator("[data-piece=plants] .g-box");
    boxes.nth(0).locator(".g-over-turn").focus();
    page.keyboard().press("Shift+Tab");
    page.keyboard().press("Tab");
    PlaywrightAssertions.assertThat(boxes.nth(0)).hasAttribute("data-turned", "");
    PlaywrightAssertions.assertThat(boxes.nth(0).locator(".g-turn-back")).isFocused();
    page.keyboard().press("Escape");
    PlaywrightAssertions.assertThat(boxes.nth(0)).not().hasAttribute("data-turned", "");
    PlaywrightAssertions.assertThat(boxes.nth(0).locator(".g-over-turn")).isFocused();
    for (int tabs = 0; tabs < 4 && !turned(boxes.nth(1)); tabs++) {
      page.keyboard().press("Tab");
    }
    assertThat(turned(boxes.nth(1))).as("the next has turned").isTrue();
    assertThat(turned(boxes.nth(0))).isFalse();
  }

  private static boolean turned(Locator box) {
    return box.getAttribute("data-turned") != null;
  }
}
