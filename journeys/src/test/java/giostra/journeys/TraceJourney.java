package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.Clip;
import com.microsoft.playwright.options.WaitForSelectorState;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * A page held against a picture: laid over the stage, moved, measured, colours taken out of it, and
 * how much they are alike. Reference: what Debian's Chromium shows of the live page.
 */
@ExtendWith({Giostra.class, Chromium.class})
class TraceJourney {
  private static final String SECTION = "[data-section=tabs-section]";

  /** It is over the page, and has nothing of its own that could be seen. */
  private static final Frame.WaitForSelectorOptions ATTACHED =
      new Frame.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED);

  /** A copy of the demo, with what is seen of one of its sections. */
  private record Traced(String id, byte[] seen, Clip place) {}

  private static Traced traced(Api api, Chromium.Open chromium, int width) {
    // A page of a site brings its document's; a demo of its own has the demo's pictures.
    String site = api.copyOfDemo();
    String id = api.newPage(site, api.document(Api.DEMO));
    Page live = chromium.page(width, 800);
    live.navigate(api.publish(id));
    live.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    live.locator(SECTION).scrollIntoViewIfNeeded();
    live.waitForFunction("() => [...document.images].some((i) => i.complete && i.naturalWidth)");
    live.waitForTimeout(900);
    BoundingBox box = live.locator(SECTION).boundingBox();
    double scrolled = ((Number) live.evaluate("() => window.scrollY")).doubleValue();
    var clip = new Clip(0, Math.round(box.y + scrolled), width, Math.round(box.height));
    byte[] seen = live.screenshot(new Page.ScreenshotOptions().setFullPage(true).setClip(clip));
    return new Traced(id, seen, clip);
  }

  @InTurn(14)
  @Test
  void aDesignerHoldsThePageAgainstAPicture(Api api, Chromium.Open chromium, Page page) {
    Traced traced = traced(api, chromium, 1280);
    Bench bench = Bench.open(page, api, traced.id(), "dress", "four-houses");
    bench.stage();
    TracePanel trace = TracePanel.open(bench, "seen.png", traced.seen());
    // It lies where the chosen piece is, which begins a little below its section.
    double lies = Double.parseDouble(trace.px("top").inputValue());
    assertThat(lies).isBetween(traced.place().y, traced.place().y + 200);
    trace.set("top", Math.round(traced.place().y));
    double[] alike = trace.compared();
    System.out.printf(
        "measured: the drawing of the bench is like the live page in %.1f %% of what is drawn, %.1f"
            + " %% of the ground%n",
        alike[0], alike[1]);
    assertThat(alike[0]).as("drawn (%%)").isGreaterThanOrEqualTo(99);
    assertThat(alike[1]).as("ground (%%)").isGreaterThanOrEqualTo(99.9);
    assertThat(Axe.within(page, ".trace")).isEmpty();

    // Another ground of the current heading, and words of another weight.
    bench.set("four-houses", "tabs.heading/current/ground", "desktop", "#7a1f3d");
    bench.set("four-houses", "tabs.heading/rest/weight", "desktop", "400");
    double[] other = trace.compared();
    assertThat(other[0]).isLessThan(alike[0] - 0.5);
    assertThat(other[1]).isLessThan(alike[1]);

    // A difference of one px matters not, of thirty much.
    trace.set("left", 30);
    assertThat(trace.compared()[0]).isLessThan(other[0] - 20);
    // What visitors get has nothing of it.
    String live = api.get("/live" + api.publish(traced.id()).split("/live")[1]).text();
    assertThat(live).doesNotContain("trace");
    trace.set("left", 0);
    bench.saved();
    // A stage that is loaded anew has it again.
    page.locator(".assume > summary").click();
    page.getByLabel("less motion").check();
    page.waitForTimeout(500);
    bench.stage().waitForFunction("() => document.querySelector('[data-traced]')");
    page.getByLabel("less motion").uncheck();
    page.locator(".assume > summary").click();
    page.waitForTimeout(500);
    bench.stage().waitForFunction("() => document.querySelector('[data-traced]')");
    takesColoursMovesAndMeasures(api, trace, traced);
  }

  private static void takesColoursMovesAndMeasures(Api api, TracePanel trace, Traced traced) {
    Bench bench = trace.bench();
    Page page = bench.page();
    Frame stage = bench.stage();
    Locator hand = page.getByLabel("A press");

    hand.selectOption("colour");
    stage.waitForSelector("[data-traced=colour]", ATTACHED);
    bench.cell("four-houses", "tabs.heading/current/ink", "desktop").focus();
    Locator heading = stage.locator("[data-of=house-cloud]");
    // Presses are taken from the page: what lies under them is not meant.
    BoundingBox at = heading.boundingBox();
    page.mouse().click(at.x + at.width - 30, at.y + 5);
    PlaywrightAssertions.assertThat(trace.told()).containsText("#2f6652 put into heading, ink");
    bench.saved();
    assertThat(api.get("/api/pages/" + traced.id() + "/document").json().toString())
        .contains("\"ink\":{\"desktop\":\"#2f6652\"");

    hand.selectOption("measure");
    stage.waitForSelector("[data-traced=measure]", ATTACHED);
    drag(page, at.x + 10, at.y + 10, 60, 25);
    double scale = scale(page);
    PlaywrightAssertions.assertThat(trace.told())
        .hasText(
            "%d px across, %d px down".formatted(Math.round(60 / scale), Math.round(25 / scale)));

    byKeys(trace, stage, hand, traced);

    hand.selectOption("move");
    stage.waitForSelector("[data-traced=move]", ATTACHED);
    drag(page, at.x + 10, at.y + 10, 40, -12);
    bench.saved();
    PlaywrightAssertions.assertThat(page.locator(".trace-px input").first())
        .hasValue(String.valueOf(Math.round(40 / scale)));
    // It is one edit, and one press takes it back.
    page.keyboard().press("Control+z");
    PlaywrightAssertions.assertThat(page.locator(".trace-px input").first()).hasValue("0");

    page.getByText("Take it away").click();
    stage.waitForFunction("() => !document.querySelector('[data-traced]')");
    bench.saved();
    assertThat(api.document(traced.id()).page().values().set()).doesNotContainKey("trace");
  }

  /** The same by keys alone: from the middle of the stage, px by px or ten at a time. */
  private static void byKeys(TracePanel trace, Frame stage, Locator hand, Traced traced) {
    Bench bench = trace.bench();
    Page page = bench.page();
    Locator hold = bench.button("Do it by keyboard");
    hold.focus();
    page.keyboard().press("Enter");
    stage.waitForFunction("() => document.activeElement?.hasAttribute('data-traced')");
    page.keyboard().press("Enter");
    for (int i = 0; i < 3; i++) {
      page.keyboard().press("Shift+ArrowRight");
    }
    page.keyboard().press("ArrowDown");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("Enter");
    PlaywrightAssertions.assertThat(trace.told()).hasText("30 px across, 2 px down");
    page.keyboard().press("Escape");
    PlaywrightAssertions.assertThat(hold).isFocused();

    hand.selectOption("colour");
    stage.waitForSelector("[data-traced=colour]", ATTACHED);
    hold.focus();
    page.keyboard().press("Enter");
    stage.waitForFunction("() => document.activeElement?.hasAttribute('data-traced')");
    JsonNode middle =
        Js.ask(stage, "() => [scrollX + innerWidth / 2, scrollY + innerHeight / 2]", null);
    double lies = Double.parseDouble(trace.px("top").inputValue());
    BufferedImage seen = image(traced.seen());
    int x = (int) Math.floor(middle.get(0).asDouble());
    int y = (int) Math.floor(middle.get(1).asDouble() - lies) + 40;
    assertThat(y).isBetween(0, seen.getHeight() - 1);
    for (int i = 0; i < 4; i++) {
      page.keyboard().press("Shift+ArrowDown");
    }
    page.keyboard().press("Enter");
    PlaywrightAssertions.assertThat(trace.told())
        .containsText(String.format(Locale.ROOT, "#%06x", seen.getRGB(x, y) & 0xffffff));
    page.keyboard().press("Escape");
    bench.saved();
  }

  private static BufferedImage image(byte[] png) {
    try {
      return ImageIO.read(new ByteArrayInputStream(png));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void drag(Page page, double x, double y, double across, double down) {
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x + across / 2, y + down / 2);
    page.mouse().move(x + across, y + down);
    page.mouse().up();
  }

  private static double scale(Page page) {
    return ((Number)
            page.evaluate(
                "() => new DOMMatrix(getComputedStyle(document.querySelector('iframe')).transform).a"))
        .doubleValue();
  }
}
