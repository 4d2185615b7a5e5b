package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * The carousel by keyboard, row by row. Source: ARIA Authoring Practices Guide, "Carousel (Slide
 * Show or Image Rotator) Pattern", Keyboard Interaction and WAI-ARIA Roles, States, and Properties;
 * the grouped form, whose slide pickers are buttons in a group. The rows on rotation do not apply:
 * nothing rotates by itself here.
 */
@ExtendWith({Giostra.class, Chromium.class})
class PatternJourney {
  private Page page;
  private Locator carousel;

  @BeforeEach
  void open(Api api, Page page) {
    this.page = page;
    page.navigate(api.at(Api.LIVE_DEMO));
    page.waitForSelector("[data-piece=words][data-live]");
    carousel = page.locator("[data-piece=words]");
    carousel.scrollIntoViewIfNeeded();
  }

  /** The item that the track rests at, once it does. */
  private int stop() {
    Js.rested(page);
    Object at =
        carousel.locator(".g-belt").evaluate("(b) => Number(b.style.getPropertyValue('--g-at'))");
    return ((Number) at).intValue();
  }

  @Test
  void tabAndShiftTabMoveThroughTheInteractiveElementsInPageOrder() {
    carousel.locator(".g-prev").focus();
    var order = new java.util.ArrayList<String>();
    for (int press = 0; press < 6; press++) {
      order.add(
          String.valueOf(
              page.evaluate("() => document.activeElement.className.split(' ').at(-1)")));
      page.keyboard().press("Tab");
    }
    assertThat(order).startsWith("g-prev", "g-next", "g-dot", "g-dot");
    page.keyboard().press("Shift+Tab");
    assertThat((Boolean) page.evaluate("() => document.activeElement.classList.contains('g-dot')"))
        .isTrue();
  }

  @Test
  void focusNeverEntersWhatIsOutOfView(Api api) {
    Locator houses = page.locator("[data-piece=houses]");
    houses.locator(".g-next").focus();
    for (int press = 0; press < 12; press++) {
      page.keyboard().press("Tab");
      boolean outside =
          (Boolean)
              page.evaluate(
                  """
                  () => {
                    const item = document.activeElement.closest('.g-item');
                    if (!item) return false;
                    const view = item.closest('.g-view').getBoundingClientRect();
                    const box = item.getBoundingClientRect();
                    return box.left < view.left - 1 || box.right > view.right + 1;
                  }
                  """);
      assertThat(outside).isFalse();
    }
  }

  @Test
  void enterAndSpaceOnNextAndPreviousMoveAndKeepTheFocus() {
    carousel.locator(".g-next").focus();
    page.keyboard().press("Enter");
    assertThat(stop()).isEqualTo(1);
    page.keyboard().press("Space");
    assertThat(stop()).isEqualTo(2);
    assertThat(carousel.locator(".g-next")).isFocused();
    carousel.locator(".g-prev").focus();
    page.keyboard().press("Enter");
    assertThat(stop()).isEqualTo(1);
    page.keyboard().press("Space");
    assertThat(stop()).isEqualTo(0);
  }

  @Test
  void enterAndSpaceOnAPickerGoToItsStop() {
    carousel.locator(".g-dot").nth(3).focus();
    page.keyboard().press("Enter");
    assertThat(stop()).isEqualTo(3);
    assertThat(carousel.locator(".g-dot").nth(3)).hasAttribute("aria-disabled", "true");
    carousel.locator(".g-dot").nth(1).focus();
    page.keyboard().press("Space");
    assertThat(stop()).isEqualTo(1);
  }

  @Test
  void rolesStatesAndNamesAreThoseOfThePattern() {
    assertThat(carousel).hasAttribute("role", "region");
    assertThat(carousel).hasAttribute("aria-roledescription", "carousel");
    assertThat(carousel).hasAccessibleName("Visitors’ words");
    Locator slide = carousel.locator(".g-item").first();
    assertThat(slide).hasAttribute("role", "group");
    assertThat(slide).hasAttribute("aria-roledescription", "card");
    assertThat(slide).hasAccessibleName("1 of 7");
    assertThat(carousel.locator(".g-next")).hasAccessibleName("Next");
    assertThat(carousel.locator(".g-prev")).hasAccessibleName("Previous");
    assertThat(carousel.locator(".g-dots")).hasAttribute("role", "group");
    assertThat(carousel.locator(".g-dots")).hasAccessibleName("Choose a place");
    assertThat(carousel.locator(".g-belt")).hasAttribute("aria-live", "polite");
    String belt = carousel.locator(".g-belt").getAttribute("id");
    for (String control : List.of(".g-next", ".g-prev", ".g-dot >> nth=0")) {
      assertThat(carousel.locator(control)).hasAttribute("aria-controls", belt);
    }
  }

  @Test
  void controlsComeBeforeTheSlidesAsThePatternAdvises() {
    boolean before =
        (Boolean)
            carousel.evaluate(
                "(piece) => Boolean(piece.querySelector('.g-next').compareDocumentPosition(piece.querySelector('.g-belt')) & Node.DOCUMENT_POSITION_FOLLOWING)");
    assertThat(before).isTrue();
  }

  @Test
  void twoCarouselsOnAPageDoNotDisturbEachOther() {
    carousel.locator(".g-next").click();
    assertThat(stop()).isEqualTo(1);
    assertThat(
            page.locator("[data-piece=houses] .g-belt")
                .evaluate("(b) => b.style.getPropertyValue('--g-at')"))
        .isEqualTo("0");
  }

  @Test
  void aChangeIsTold() {
    page.evaluate(
        "() => { window.told = []; addEventListener('giostra:change', (e) => told.push(e.detail)); }");
    carousel.locator(".g-next").click();
    stop();
    assertThat(Js.ask(page, "() => window.told", null).toString())
        .isEqualTo(
            "[{\"piece\":\"words\",\"from\":\"words-1\",\"to\":\"words-2\",\"cause\":\"arrow\"}]");
  }

  @Test
  void theAnchorItemStaysInViewAcrossBreakpoints() {
    page.setViewportSize(390, 800);
    page.waitForTimeout(200);
    carousel.scrollIntoViewIfNeeded();
    page.evaluate("() => document.querySelectorAll('[data-piece=words] .g-dot')[5].click()");
    assertThat(stop()).isEqualTo(5);
    page.setViewportSize(1280, 800);
    assertThat(stop()).isEqualTo(4);
    page.setViewportSize(390, 800);
    assertThat(stop()).isEqualTo(5);
  }

  @Test
  void withReducedMotionItCuts() {
    page.emulateMedia(
        new Page.EmulateMediaOptions()
            .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.REDUCE));
    double moved =
        Js.number(
            page,
            """
            () => new Promise((done) => {
              const item = document.querySelectorAll('[data-piece=words] .g-item')[1];
              document.querySelector('[data-piece=words] .g-next').click();
              const view = document.querySelector('[data-piece=words] .g-view').getBoundingClientRect();
              requestAnimationFrame(() => done(item.getBoundingClientRect().left - view.left));
            })
            """,
            null);
    assertThat(Math.abs(moved)).isLessThan(0.1);
  }

  @Test
  void theMouseDragsWithoutSelectingTextOrFiringAClick() {
    page.evaluate(
        "() => { window.clicks = 0; document.querySelector('[data-piece=houses]').addEventListener('click', () => clicks++); }");
    Locator view = page.locator("[data-piece=houses] .g-view");
    view.scrollIntoViewIfNeeded();
    var box = view.boundingBox();
    page.mouse().move(box.x + 500, box.y + 300);
    page.mouse().down();
    page.mouse()
        .move(
            box.x + 120,
            box.y + 310,
            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(12));
    page.mouse().up();
    stop();
    assertThat(page.evaluate("() => document.getSelection().toString()")).isEqualTo("");
    assertThat(page.evaluate("() => window.clicks")).isEqualTo(0);
    assertThat(
            page.locator("[data-piece=houses] .g-belt")
                .evaluate("(b) => b.style.getPropertyValue('--g-at')"))
        .isNotEqualTo("0");
  }

  @Test
  void aSidewaysWheelMovesItAndAnUprightOneMovesThePage() {
    carousel.scrollIntoViewIfNeeded();
    var box = carousel.locator(".g-view").boundingBox();
    page.mouse().move(box.x + 300, box.y + 60);
    double before = Js.number(page, "() => scrollY", null);
    for (int turn = 0; turn < 6; turn++) {
      page.mouse().wheel(70, 0);
      page.waitForTimeout(16);
    }
    page.waitForTimeout(200);
    assertThat(stop()).isEqualTo(1);
    assertThat(Js.number(page, "() => scrollY", null)).isEqualTo(before);
    page.mouse().wheel(0, 200);
    page.waitForTimeout(400);
    assertThat(Js.number(page, "() => scrollY", null)).isGreaterThan(before + 100);
  }
}
