package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.NodeType;
import giostra.core.page.Piece;
import giostra.core.piece.counters.CounterSettings.Curve;
import giostra.core.tempo.NumberStyle;
import giostra.core.testing.InTurn;
import giostra.core.value.Easing;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Slider, tabs, accordion, flip boxes and counters of the demo, by key, by finger, without script.
 * Source of keys, roles and states: the ARIA Authoring Practices' patterns "Tabs", "Accordion" and
 * "Carousel (tabbed)", row by row of their keyboard tables.
 */
@ExtendWith({Giostra.class, Chromium.class})
class KindsJourney {

  private static Page live(Api api, Chromium.Open chromium, int width) {
    Page page = chromium.page(width, 900);
    page.navigate(api.at(Api.LIVE_DEMO));
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    return page;
  }

  private static String focused(Page page) {
    return String.valueOf(page.evaluate("() => document.activeElement.id"));
  }

  @InTurn({3, 9, 15, 21})
  @Test
  void tabsInAColumnFollowTheKeyboardTable(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 1280);
    Locator tabs = page.locator("[data-piece=four-houses]");
    Locator list = tabs.locator(".g-heads");
    assertThat(list).hasAttribute("role", "tablist");
    assertThat(list).hasAttribute("aria-orientation", "vertical");
    list.locator(".g-head").first().focus();
    page.keyboard().press("ArrowDown");
    assertThat(focused(page)).isEqualTo("g-house-fern-tab");
    assertThat(page.locator("#g-house-fern-tab")).hasAttribute("aria-selected", "true");
    assertThat(page.locator("#g-house-fern-panel")).isVisible();
    assertThat(page.locator("#g-house-cloud-panel")).not().isVisible();
    page.keyboard().press("ArrowUp");
    page.keyboard().press("ArrowUp");
    assertThat(focused(page)).as("round the end").isEqualTo("g-house-water-tab");
    page.keyboard().press("ArrowDown");
    assertThat(focused(page)).isEqualTo("g-house-cloud-tab");
    page.keyboard().press("End");
    assertThat(focused(page)).isEqualTo("g-house-water-tab");
    page.keyboard().press("Home");
    assertThat(focused(page)).isEqualTo("g-house-cloud-tab");
    page.keyboard().press("Tab");
    assertThat(focused(page)).as("from the tab into its panel").isEqualTo("g-house-cloud-panel");
    page.keyboard().press("Shift+Tab");
    assertThat(focused(page)).isEqualTo("g-house-cloud-tab");
    assertThat(page.locator("#g-house-cloud-panel"))
        .hasAttribute("aria-labelledby", "g-house-cloud-tab");
    assertThat(page.locator("#g-house-cloud-tab"))
        .hasAttribute("aria-controls", "g-house-cloud-panel");
    assertThat(list.locator("[tabindex='0']")).hasCount(1);
  }

  /** Source of the way of sharing: Web Share API, "share() method"; here a stand-in for it. */
  @InTurn({1, 7, 13, 19})
  @Test
  void aQuestionsLinkIsCopiedAndShared(Api api, Chromium.Open chromium) {
    for (boolean shares : List.of(true, false)) {
      Page page = chromium.page(1280, 900);
      page.context().grantPermissions(List.of("clipboard-read", "clipboard-write"));
      page.addInitScript(
          shares
              ? "navigator.share = async (data) => { window.shared = data }"
              : "delete Navigator.prototype.share");
      page.navigate(api.at(Api.LIVE_DEMO));
      Locator row =
          page.locator("[data-piece=questions] .g-fold:not([hidden])")
              .filter(new Locator.FilterOptions().setHas(page.locator(".g-share")))
              .nth(1);
      row.locator("summary").click();
      Locator send = row.getByText("Share", new Locator.GetByTextOptions().setExact(true));
      Locator copy = row.getByText("Copy link");
      String address = api.at(Api.LIVE_DEMO) + "#" + row.getAttribute("id");
      // The word stands for two seconds: who looks from outside may be late, an observer is not.
      copy.evaluate(
          """
          (button) => {
            window.words = [];
            new MutationObserver(() => words.push(button.textContent.trim()))
              .observe(button, { childList: true, characterData: true, subtree: true });
          }\
          """);
      copy.click();
      page.waitForFunction("() => words.length === 2 || location.hash");
      assertThat(page.evaluate("() => words")).isEqualTo(List.of("Copied", "Copy link"));
      assertThat(page.evaluate("() => navigator.clipboard.readText()")).isEqualTo(address);
      if (!shares) {
        assertThat(send).not().isVisible();
        continue;
      }
      send.click();
      assertThat(page.evaluate("() => [shared.title, shared.url]"))
          .isEqualTo(List.of(row.locator(".g-question").textContent(), address));
    }
  }

  @InTurn({2, 8, 14, 20})
  @Test
  void tabsInARowAreMovedByTheArrowsAcross(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 800);
    page.locator("#g-house-cloud-tab").focus();
    page.keyboard().press("ArrowRight");
    assertThat(focused(page)).isEqualTo("g-house-fern-tab");
    page.keyboard().press("ArrowLeft");
    assertThat(focused(page)).isEqualTo("g-house-cloud-tab");
    page.keyboard().press("ArrowDown");
    assertThat(focused(page)).as("down is the page's").isEqualTo("g-house-cloud-tab");
  }

  @InTurn({1, 7, 13, 19})
  @Test
  void onAPhoneTheSameTabsAreAnAccordion(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 390);
    assertThat(page.locator("[data-piece=four-houses] .g-heads")).not().isVisible();
    Locator fold = page.locator("#g-house-fern-fold");
    assertThat(fold).hasAttribute("aria-expanded", "false");
    fold.focus();
    page.keyboard().press("Enter");
    assertThat(fold).hasAttribute("aria-expanded", "true");
    assertThat(page.locator("#g-house-fern-panel")).hasAttribute("role", "region");
    assertThat(page.locator("#g-house-fern-panel")).isVisible();
    page.keyboard().press("Space");
    assertThat(fold).hasAttribute("aria-expanded", "false");
    assertThat(page.locator("#g-house-fern-panel")).not().isVisible();
    page.keyboard().press("Tab");
    assertThat(focused(page)).isEqualTo("g-house-desert-fold");
  }

  @InTurn({4, 10, 16, 22})
  @Test
  void whatIsOpenStaysOpenOverABreakpoint(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 1280);
    page.locator("#g-house-water-tab").click();
    page.setViewportSize(390, 900);
    assertThat(page.locator("#g-house-water-panel")).isVisible();
    assertThat(page.locator("#g-house-water-panel")).hasAttribute("role", "region");
    page.setViewportSize(1280, 900);
    assertThat(page.locator("#g-house-water-panel")).hasAttribute("role", "tabpanel");
    assertThat(page.locator("#g-house-water-tab")).hasAttribute("aria-selected", "true");
  }

  @InTurn({5, 11, 17, 23})
  @Test
  void theAccordionFollowsTheKeyboardTable(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 1280);
    Locator first = page.locator("#g-question-booking");
    Locator second = page.locator("#g-question-price");
    assertThat(first).hasAttribute("open", "open");
    second.locator("summary").focus();
    page.keyboard().press("Enter");
    assertThat(second).hasJSProperty("open", true);
    assertThat(first).hasJSProperty("open", false);
    page.keyboard().press("Space");
    assertThat(second).hasJSProperty("open", false);
    // Until it has folded what is in it can still be reached.
    page.waitForFunction(
        "() => !document.querySelector('#g-question-price .g-inner').checkVisibility()");
    page.keyboard().press("Tab");
    assertThat(
            (Boolean)
                page.evaluate(
                    "() => document.activeElement === document.querySelector('#g-question-rain summary')"))
        .isTrue();
    page.keyboard().press("Shift+Tab");
    assertThat(
            (Boolean)
                page.evaluate(
                    "() => document.activeElement === document.querySelector('#g-question-price summary')"))
        .isTrue();
  }

  @InTurn({4, 10, 16, 22})
  @Test
  void openingAnimatesAndWhatStandsBelowMovesWithoutAJump(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 1280);
    page.locator("#g-question-tram").scrollIntoViewIfNeeded();
    JsonNode said =
        Js.ask(
            page,
            """
            async () => {
              const below = document.querySelector('#g-question-parking');
              const tops = [below.getBoundingClientRect().top + scrollY];
              document.querySelector('#g-question-booking').open = false;
              await new Promise((done) => setTimeout(done, 500));
              tops[0] = below.getBoundingClientRect().top + scrollY;
              document.querySelector('#g-question-tram summary').click();
              const start = performance.now();
              let drawn = 0;
              while (performance.now() - start < 700) {
                await new Promise(requestAnimationFrame);
                if (performance.now() - start < 300) drawn++;
                tops.push(below.getBoundingClientRect().top + scrollY);
              }
              const all = tops.at(-1) - tops[0];
              const steps = tops.slice(1).map((top, i) => top - tops[i]);
              return { all, back: Math.min(...steps), drawn, frames: steps.filter((s) => s > 0.1).length };
            }
            """,
            null);
    assertThat(said.path("all").asDouble()).isGreaterThan(80);
    assertThat(said.path("back").asDouble()).as("never back").isGreaterThan(-.5);
    // How many pictures there are in the 300 ms that it takes is the machine's affair.
    assertThat(said.path("frames").asInt())
        .as("frames it takes")
        .isGreaterThan(1)
        .isGreaterThan(said.path("drawn").asInt() / 2);
  }

  @InTurn({2, 8, 14, 20})
  @Test
  void theSearchFindsInAnswersAndOpensWhatItFinds(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 1280);
    Locator box = page.locator("[data-piece=questions] .g-search");
    box.fill("GREEN door");
    assertThat(page.locator("#g-question-tram")).hasJSProperty("open", true);
    assertThat(page.locator("[data-piece=questions] details:visible")).hasCount(1);
    assertThat(page.locator("[data-piece=questions] .g-found")).hasText("1 / 9");
    box.fill("");
    page.locator(".g-chip").filter(new Locator.FilterOptions().setHasText("Access")).click();
    assertThat(page.locator("[data-piece=questions] details:visible")).hasCount(3);
  }

  @InTurn({3, 9, 15, 21})
  @Test
  void aQuestionATabAndASlideAreOpenedByAddressAndByALink(Api api, Chromium.Open chromium) {
    Page page = chromium.page(1280, 900);
    page.navigate(api.at(Api.LIVE_DEMO) + "#g-question-clothes");
    assertThat(page.locator("#g-question-clothes")).hasJSProperty("open", true);
    page.navigate(api.at(Api.LIVE_DEMO) + "#g-house-desert");
    assertThat(page.locator("#g-house-desert-tab")).hasAttribute("aria-selected", "true");
    // A nested question opens the tab that it lies in.
    page.evaluate("() => { location.hash = 'g-care-roof' }");
    assertThat(page.locator("#g-care-roof")).hasJSProperty("open", true);
    page.evaluate("() => { location.hash = 'g-opening-orchids' }");
    assertThat(page.locator("#g-opening-orchids")).hasJSProperty("inert", false);
  }

  @InTurn({2, 8, 14, 20})
  @Test
  void aSliderWithNamesIsTheTabbedCarousel(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 1280);
    Locator slider = page.locator("[data-piece=openings]");
    Locator marks = slider.locator(".g-dots");
    assertThat(marks).hasAttribute("role", "tablist");
    assertThat(slider.locator(".g-item").first()).hasAttribute("role", "tabpanel");
    marks.locator(".g-dot").first().focus();
    page.keyboard().press("ArrowRight");
    assertThat(marks.locator(".g-dot").nth(1)).hasAttribute("aria-selected", "true");
    assertThat(marks.locator(".g-dot").nth(1)).isFocused();
    assertThat(page.locator("#g-opening-frost")).hasJSProperty("inert", false);
    page.keyboard().press("End");
    assertThat(page.locator("#g-opening-orchids")).hasJSProperty("inert", false);
    page.keyboard().press("Home");
    assertThat(page.locator("#g-opening-autumn")).hasJSProperty("inert", false);
    page.keyboard().press("ArrowLeft");
    assertThat(page.locator("#g-opening-orchids")).hasJSProperty("inert", false);
  }

  @InTurn({5, 11, 17, 23})
  @Test
  void aBoxTurnsByHoverTapAndKeyAndItsHiddenFaceIsInert(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 1280);
    Locator box = page.locator("#g-plant-cactus");
    box.scrollIntoViewIfNeeded();
    assertThat(box.locator(".g-back")).hasJSProperty("inert", true);
    box.hover();
    assertThat(box).hasAttribute("data-turned", "");
    assertThat(box.locator(".g-front")).hasJSProperty("inert", true);
    page.mouse().move(5, 5);
    assertThat(box.locator(".g-front")).hasJSProperty("inert", false);
    for (String key : List.of("Enter", "Space")) {
      box.locator(".g-over-turn").focus();
      page.keyboard().press(key);
      assertThat(box.locator(".g-turn-back")).isFocused();
      page.keyboard().press("Escape");
      assertThat(box.locator(".g-over-turn")).isFocused();
      assertThat(box.locator(".g-back")).hasJSProperty("inert", true);
    }
    Page phone =
        chromium.page(
            new Browser.NewContextOptions()
                .setViewportSize(390, 844)
                .setHasTouch(true)
                .setIsMobile(true));
    phone.navigate(api.at(Api.LIVE_DEMO));
    Locator touched = phone.locator("#g-plant-cactus[data-item]");
    touched.scrollIntoViewIfNeeded();
    touched.locator(".g-over-turn").tap();
    assertThat(touched).hasAttribute("data-turned", "");
    touched.locator(".g-turn-back").tap();
    assertThat(touched.locator(".g-back")).hasJSProperty("inert", true);
  }

  /**
   * At rest a box costs no layers of its own; on its way back both of its faces are still there.
   */
  @InTurn({0, 6, 12, 18})
  @Test
  void aBoxIsFlatButWhileItIsTurned(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 1280);
    Locator box = page.locator("#g-plant-cactus");
    box.scrollIntoViewIfNeeded();
    String depth =
        """
        (box) => [['.g-turn', 'transformStyle'], ['.g-back', 'visibility'],
            ['.g-front', 'backfaceVisibility']]
          .map(([of, name]) => getComputedStyle(box.querySelector(of))[name]).join(' ')
        """;
    String flat = "flat hidden visible";
    String deep = "preserve-3d visible hidden";
    assertThat(box.evaluate(depth)).isEqualTo(flat);
    box.locator(".g-over-turn").focus();
    page.keyboard().press("Enter");
    assertThat(box.evaluate(depth)).isEqualTo(deep);
    String moves =
        """
        (box) => box.querySelector('.g-turn').getAnimations()
          .filter((each) => each.transitionProperty === 'transform').length
        """;
    page.waitForCondition(() -> box.evaluate(moves).equals(0));
    assertThat(box.evaluate(depth)).isEqualTo(deep);
    page.keyboard().press("Escape");
    box.evaluate(
        """
        (box) => {
          for (const each of box.querySelector('.g-turn').getAnimations()) {
            each.pause();
            each.currentTime = each.effect.getComputedTiming().duration * 0.9;
          }
        }
        """);
    assertThat(box.evaluate(moves)).isEqualTo(1);
    assertThat(box.evaluate(depth)).isEqualTo(deep);
    box.evaluate(
        "(box) => { for (const each of box.querySelector('.g-turn').getAnimations()) each.finish() }");
    assertThat(box.evaluate(depth)).isEqualTo(flat);
  }

  @InTurn({5, 11, 17, 23})
  @Test
  void countsEndAtTheirValueAndTakeNoRoomOnTheWay(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 1280);
    Locator figure = page.locator("#g-figure-visitors");
    Object widths =
        page.evaluate(
            """
            async () => {
              const item = document.querySelector('#g-figure-visitors');
              item.scrollIntoView({ block: 'center' });
              const number = item.querySelector('.g-number');
              const widths = new Set();
              const texts = new Set();
              const start = performance.now();
              while (performance.now() - start < 2600) {
                await new Promise(requestAnimationFrame);
                widths.add(Math.round(number.getBoundingClientRect().width * 10));
                if (item.hasAttribute('data-counting')) texts.add(item.querySelector('.g-run').textContent);
              }
              return [widths.size, texts.size];
            }
            """);
    var said = (List<?>) widths;
    assertThat(((Number) said.get(0)).intValue()).as("widths it had").isEqualTo(1);
    assertThat(((Number) said.get(1)).intValue()).as("values it showed").isGreaterThan(5);
    assertThat(figure.locator(".g-final")).hasText("48,000");
    assertThat(figure.locator(".g-run")).hasText("");
  }

  @InTurn({3, 9, 15, 21})
  @Test
  void answersAsHighAsTheTallestAreSoInATabThatWasHiddenAtFirst(Api api, Page page) {
    Document plain = Subjects.page("tabs", List.of("tabs"));
    var inner = (Piece) Subjects.block(NodeType.ACCORDION, "inner");
    var edits =
        List.<Edit>of(
            new Edit.AddNode("tabs-2", 0, inner),
            new Edit.SetValue("inner", "panelHeight", "desktop", "tallest"),
            new Edit.SetValue("inner-3", "text", "", "Many words of it. ".repeat(60)));
    page.navigate(api.publish(api.newPage(Edits.apply(plain, edits).document())));
    page.waitForFunction("() => document.querySelector('[data-piece=inner][data-live]')");
    page.locator("#g-tabs-2-tab").click();
    page.locator("#g-inner-1 > summary").click();
    Locator panel = page.locator("#g-inner-1 > .g-panel");
    assertThat(panel).isVisible();
    page.waitForFunction(
        "() => document.querySelector('#g-inner-1 > .g-panel').getBoundingClientRect().height > 90");
    double brief = panel.boundingBox().height;
    page.locator("#g-inner-3 > summary").click();
    page.waitForTimeout(600);
    double full = page.locator("#g-inner-3 > .g-panel").boundingBox().height;
    assertThat(brief).isBetween(full - 1, full + 1);
  }

  @InTurn({4, 10, 16, 22})
  @Test
  void countsStartAtTheirShareOnceOrEachTimeTheyAreSeen(Api api, Chromium.Open chromium) {
    Document plain = Subjects.page("counters", List.of("once", "again", "late"));
    var edits = new ArrayList<Edit>();
    for (String section : List.of("s-once", "s-again", "s-late")) {
      edits.add(new Edit.SetValue(section, "spaceAbove", "desktop", "600px"));
      edits.add(new Edit.SetValue(section, "spaceBelow", "desktop", "600px"));
    }
    edits.add(new Edit.SetValue("again", "repeat", "", "every-time"));
    edits.add(new Edit.SetValue("late", "startsAt", "", "90"));
    Page page = chromium.page(1280, 500);
    page.navigate(api.publish(api.newPage(Edits.apply(plain, edits).document())));
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    Object seen =
        page.evaluate(
            """
            async () => {
              const times = { once: 0, again: 0, late: 0 };
              addEventListener('giostra:change', ({ detail }) => {
                if (detail.cause === 'seen' && detail.to === `${detail.piece}-1`) times[detail.piece]++;
              });
              const found = [];
              const see = async (piece, share) => {
                const box = document.querySelector(`#g-${piece}-1`).getBoundingClientRect();
                scrollTo({ top: scrollY + box.top + share * box.height - innerHeight, behavior: 'instant' });
                await new Promise((done) => setTimeout(done, 150));
                found.push(`${piece} ${share}: ${times[piece]}`);
              };
              await see('once', .3);
              await see('once', .5);
              await see('once', -1);
              await see('once', .5);
              await see('again', .5);
              await see('again', -1);
              await see('again', .5);
              await see('late', .8);
              await see('late', .95);
              return found.join(', ');
            }
            """);
    assertThat(seen)
        .isEqualTo(
            "once 0.3: 0, once 0.5: 1, once -1: 1, once 0.5: 1, again 0.5: 1, again -1: 1,"
                + " again 0.5: 2, late 0.8: 0, late 0.95: 1");
  }

  @InTurn({0, 6, 12, 18})
  @Test
  void withLessMotionNothingCountsOrTurns(Api api, Chromium.Open chromium) {
    Page page = chromium.calm(1280, 900);
    page.navigate(api.at(Api.LIVE_DEMO));
    page.locator("#g-figure-visitors").scrollIntoViewIfNeeded();
    page.waitForTimeout(300);
    assertThat(page.locator("[data-counting]")).hasCount(0);
    assertThat(page.locator("#g-figure-visitors .g-final")).isVisible();
    assertThat(
            page.locator("#g-plant-fern .g-turn")
                .evaluate("(e) => getComputedStyle(e).transitionDuration"))
        .isEqualTo("0s");
  }

  @InTurn({0, 6, 12, 18})
  @Test
  void withoutScriptEverythingIsThere(Api api, Chromium.Open chromium) {
    for (int width : List.of(1280, 390)) {
      Page page =
          chromium.page(
              new Browser.NewContextOptions()
                  .setViewportSize(width, 900)
                  .setJavaScriptEnabled(false));
      page.navigate(api.at(Api.LIVE_DEMO));
      for (String panel : List.of("cloud", "fern", "desert", "water")) {
        assertThat(page.locator("#g-house-" + panel + "-panel")).isVisible();
        assertThat(page.locator("#g-house-" + panel + "-fold")).isVisible();
      }
      assertThat(page.locator("[data-piece=four-houses] .g-heads")).not().isVisible();
      assertThat(page.locator("#g-figure-visitors .g-final")).hasText("48,000");
      assertThat(page.locator("#g-plant-cactus .g-back")).isVisible();
      assertThat(page.locator("#g-plant-cactus .g-over-turn")).not().isVisible();
      page.locator("#g-question-light summary").click();
      assertThat(page.locator("#g-question-light .g-panel")).isVisible();
      assertThat(page.locator(".g-search")).not().isVisible();
    }
  }

  @InTurn({1, 7, 13, 19})
  @Test
  void piecesAreDrivenFromScriptAndTellWhatTheyDid(Api api, Chromium.Open chromium) {
    Page page = live(api, chromium, 1280);
    Object told =
        page.evaluate(
            """
            async () => {
              const told = [];
              addEventListener('giostra:change', ({ detail }) => told.push(
                  [detail.piece, detail.from, detail.to, detail.cause].join(' ')));
              const of = (id) => document.querySelector(`[data-piece=${id}]`).giostra;
              of('four-houses').open('house-water');
              of('four-houses').next();
              of('openings').next();
              of('words').open('words-3');
              of('questions').open('question-tram');
              of('plants').open('plant-fern');
              await new Promise((done) => setTimeout(done, 900));
              return told.concat(of('four-houses').current, of('questions').current, of('four-houses').items.length);
            }
            """);
    assertThat(((List<?>) told).stream().map(String::valueOf).toList())
        .contains(
            "four-houses house-cloud house-water script",
            "four-houses house-water house-cloud script",
            "openings opening-autumn opening-frost arrow",
            "words words-1 words-3 script",
            "questions question-booking question-tram toggle",
            "house-cloud",
            "question-tram",
            "4")
        .anyMatch(line -> line.endsWith("plant-fern script"));
  }

  @InTurn({3, 9, 15, 21})
  @Test
  void eachPageLoadsOnlyTheScriptsItUses(Api api) {
    String html = api.get(Api.LIVE_DEMO).text();
    assertThat(html)
        .containsPattern("src=\"tabs\\.[0-9a-f]+\\.js")
        .containsPattern("src=\"counters\\.");
    String id = api.newPage("velluta", Subject.document());
    String carousel = api.get(api.publish(id)).text();
    assertThat(carousel)
        .containsPattern("src=\"track\\.")
        .doesNotContain("src=\"tabs.", "src=\"accordion.");
  }

  /** Reference libraries: ICU for Java and the browser's own Intl.NumberFormat. */
  @InTurn({1, 7, 13, 19})
  @Test
  void numbersAreWrittenAsTheBrowserWritesThem(Chromium.Open chromium) {
    Page page = chromium.page(400, 300);
    List<Double> values =
        new ArrayList<>(List.of(0.0, 1.0, -1.0, .5, 2.5, -2.5, 999.0, 1000.0, 9999.5));
    for (int i = 0; values.size() < 40; i++) {
      values.add(Math.pow(-1.7, i) * 3.37);
    }
    var all = new SoftAssertions();
    int compared = 0;
    for (String locale : List.of("en", "de", "fr", "it", "es", "ar")) {
      for (int decimals : List.of(0, 1, 2)) {
        for (boolean compact : List.of(false, true)) {
          var style = new NumberStyle(Locale.forLanguageTag(locale), decimals, true, compact);
          var theirs =
              (List<?>)
                  page.evaluate(
                      """
                      ([locale, decimals, compact, values]) => {
                        const format = new Intl.NumberFormat(locale, {
                          minimumFractionDigits: decimals, maximumFractionDigits: decimals,
                          notation: compact ? 'compact' : 'standard' });
                        return values.map((value) => format.format(
                            Math.abs(value) * 10 ** decimals < 0.5 ? 0 : value));
                      }
                      """,
                      List.of(locale, decimals, compact, values));
          for (int i = 0; i < values.size(); i++) {
            compared++;
            all.assertThat(style.format(values.get(i)))
                .as("%s, %d decimals, compact %b: %s", locale, decimals, compact, values.get(i))
                .isEqualTo(theirs.get(i));
          }
        }
      }
    }
    assertThat(compared).isEqualTo(6 * 40 * 6);
    all.assertAll();
  }

  /** Reference: the browser's getComputedTiming().progress for the same curves. */
  @InTurn({2, 8, 14, 20})
  @Test
  void curvesAreThoseOfTheBrowser(Chromium.Open chromium) {
    Page page = chromium.page(400, 300);
    for (Curve curve : Curve.values()) {
      String css =
          curve.easing() instanceof Easing.Bezier(var a, var b, var c, var d)
              ? "cubic-bezier(" + a + "," + b + "," + c + "," + d + ")"
              : "linear";
      var progress =
          (List<?>)
              page.evaluate(
                  """
                  (easing) => {
                    const animation = document.body.animate({ opacity: [0, 1] }, { duration: 1000, easing });
                    animation.pause();
                    return [...Array(99)].map((_, i) => {
                      animation.currentTime = (i + 1) * 10;
                      return animation.effect.getComputedTiming().progress;
                    });
                  }
                  """,
                  css);
      for (int i = 0; i < progress.size(); i++) {
        assertThat(curve.easing().at((i + 1) / 100.0))
            .as(curve + " at " + (i + 1) + " %")
            .isCloseTo(
                ((Number) progress.get(i)).doubleValue(),
                org.assertj.core.api.Assertions.within(1e-4));
      }
    }
  }
}
