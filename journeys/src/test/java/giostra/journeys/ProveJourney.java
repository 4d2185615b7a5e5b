package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * What is found on a page is seen along the axis it lies on, looked at on the stage, mended by a
 * way out that was tried, or left on purpose. What the engine says of widths is measured on the
 * stage.
 */
@ExtendWith({Giostra.class, Chromium.class})
class ProveJourney {
  private static final String WALK = "[data-item=house-1]";

  private static Edit once(String node, String setting, Object value) {
    return new Edit.SetValue(node, setting, Values.ALL, value);
  }

  private static String page(Api api, Edit... more) {
    Document demo = api.document(Api.DEMO);
    return api.newPage(api.copyOfDemo(), Edits.apply(demo, List.of(more)).document());
  }

  private static Locator bar(Page page, String says) {
    return page.locator(".strip-bar[aria-label*='" + says + "']");
  }

  /** How wide a walk is on the stage, in px of the page. */
  private static double walk(Frame stage) {
    return ((Number)
            stage.evaluate("(s) => document.querySelector(s).getBoundingClientRect().width", WALK))
        .doubleValue();
  }

  @InTurn(13)
  @Test
  void whatIsFoundIsLookedAtAndMendedByAWayThatWasTried(Api api, Chromium.Open chromium) {
    String id = page(api);
    Document before = api.document(id);
    Page page = chromium.page(1280, 900);
    Bench bench = Bench.open(page, api, id, "prove", "words");
    Frame stage = bench.stage();
    assertThat(page.locator(".prove-head h2")).hasText("7 snags");
    assertThat(page.locator(".prove-reach"))
        .hasText(Pattern.compile("proved at 2 281 widths, in 5 states, over one round of .* s"));
    assertThat(page.locator(".strip").filter(text("Plants"))).containsText("fine");

    // The bar lies under the ruler's widths; pressed, it takes the stage there.
    Locator narrow = bar(page, "narrower than 240 from 768 to 811");
    narrow.click();
    stage.waitForFunction("() => innerWidth >= 768 && innerWidth <= 811");
    assertThat(walk(stage)).as("as the engine says").isLessThan(240);
    assertThat(page.locator(".ways")).isFocused();
    assertThat(page.locator(".ways-says")).containsText("found 225.3 px, asked 240 px");
    Locator ways = page.locator(".way");
    assertThat(ways).hasCount(3);
    assertThat(ways.nth(1)).containsText("Tablet begins at 812 px, not at 768");
    assertThat(ways.nth(2)).containsText("In view in Tablet: 3 becomes 2");
    assertThat(ways.nth(2)).containsText("mends it");

    // A number tries a way on the stage, Escape lets go, Enter takes what is tried.
    page.keyboard().press("2");
    stage.waitForFunction(
        "(s) => document.querySelector(s).getBoundingClientRect().width > 240", WALK);
    page.keyboard().press("Escape");
    stage.waitForFunction(
        "(s) => document.querySelector(s).getBoundingClientRect().width < 240", WALK);
    assertThat(api.document(id)).as("nobody has taken anything").isEqualTo(before);
    page.keyboard().press("2");
    page.keyboard().press("Enter");
    bench.saved();
    assertThat(page.locator(".prove-head h2")).hasText("6 snags");
    assertThat(narrow).hasCount(0);
    stage.waitForFunction(
        "(s) => document.querySelector(s).getBoundingClientRect().width > 240", WALK);
    assertThat(api.document(id)).isNotEqualTo(before);
    bench.button("Undo").click();
    bench.saved();
    assertThat(page.locator(".prove-head h2")).hasText("7 snags");
    assertThat(api.document(id)).isEqualTo(before);
  }

  @InTurn(8)
  @Test
  void whatTheClientWantsIsLeftUntilItIsAnother(Api api, Chromium.Open chromium) {
    String id = page(api);
    Page page = chromium.page(1280, 900);
    Bench bench = Bench.open(page, api, id, "prove", "houses");
    bar(page, "breaks within the word").click();
    bench.button("Leave it, because…").click();
    page.getByPlaceholder("why, and who says so").fill("the sign on the door says so: Ines");
    page.keyboard().press("Enter");
    bench.saved();
    assertThat(page.locator(".prove-head h2")).hasText("6 snags");
    assertThat(page.locator(".prove-head")).containsText("1 left on purpose");
    page.reload();
    assertThat(page.locator(".prove-head h2")).hasText("6 snags");
    bar(page, "left on purpose").click();
    assertThat(page.locator(".ways-left")).containsText("the sign on the door says so: Ines");
    bench.step("Ship");
    assertThat(page.locator(".ship-proof")).containsText("2 break");
    bench.button("Look in Prove").click();
    // Another word there is another finding.
    api.edit(
        id,
        api.page(id).path("revision").asInt(),
        once("house-2", "heading", "Moonflowerings and more"));
    page.reload();
    assertThat(page.locator(".prove-head h2")).hasText(Pattern.compile("(7|8|9|\\d\\d) snags"));
    assertThat(page.locator(".prove-head")).not().containsText("left on purpose");
  }

  @InTurn(9)
  @Test
  void momentsAndDatesHaveTheirOwnAxes(Api api, Chromium.Open chromium) {
    String id =
        page(
            api,
            new Edit.SetValue("openings", "restsBy", "desktop", "time"),
            new Edit.SetValue("openings", "rest", "desktop", "2s"),
            once("opening-autumn", "seasonEnds", "2027-01-05"),
            once("opening-frost", "seasonBegins", "2027-01-10"),
            once("opening-frost", "seasonEnds", "2027-02-28"),
            once("opening-orchids", "seasonBegins", "2027-03-01"));
    Page page = chromium.page(1280, 900);
    Bench bench = Bench.open(page, api, id, "prove", "openings");
    bench.button("times").click();
    assertThat(page.locator(".strips-ticks")).containsText(Pattern.compile("\\d s"));
    Locator hasty = bar(page, "rests 2 s");
    assertThat(hasty.first()).isVisible();
    // Several bands have it at the same time: each is met by keyboard, a press leads to the next.
    hasty.first().press("Enter");
    assertThat(page.locator(".ways-says")).containsText("found 2 s, asked");
    bench.button("dates").click();
    Locator nobody = bar(page, "nobody is on show from 6 Jan 2027 to 10 Jan 2027");
    nobody.click();
    // The stage is on the first day of it.
    assertThat(page.locator(".topbar input[type=date]")).hasValue("2027-01-06");
    bench.button("states").click();
    assertThat(page.locator(".strips-ticks")).containsText("Hover");
  }

  /** What life does to a page is looked at on the stage, and is no part of the page. */
  @InTurn(7)
  @Test
  void aPageIsPutToWhatLifeDoesToIt(Api api, Chromium.Open chromium) {
    String id = page(api);
    Document before = api.document(id);
    Page page = chromium.page(1280, 900);
    Bench bench = Bench.open(page, api, id, "prove", "houses");
    assertThat(page.locator(".prove-head h2")).hasText("7 snags");
    bench.button("+40 % for translation").click();
    assertThat(page.locator(".prove-head h2"))
        .hasText(Pattern.compile("([89]|\\d\\d) snags: \\+40 % for translation"));
    page.frameLocator("iframe >> nth=0")
        .locator("[data-item=house-2] :text('Moonflowermoon hourho')")
        .first()
        .waitFor();
    bench.button("twenty items").click();
    assertThat(page.frameLocator("iframe >> nth=0").locator("[data-piece=houses] [data-item]"))
        .hasCount(20);
    // It is the page as it is in every other step.
    bench.step("Arrange");
    assertThat(page.frameLocator("iframe >> nth=0").locator("[data-piece=houses] [data-item]"))
        .hasCount(6);
    assertThat(api.document(id)).isEqualTo(before);
    assertThat(api.get("/api/pages/" + id + "/snags?stress=hail").status()).isEqualTo(422);
  }

  @InTurn(12)
  @Test
  void severalWidthsStandSideBySideAndScrollTogether(Api api, Chromium.Open chromium) {
    Page page = chromium.page(1280, 900);
    Bench bench = Bench.open(page, api, Api.DEMO, "prove", "houses");
    bench.button("Line-up…").click();
    Locator frames = page.locator(".line-up-page iframe");
    assertThat(frames).hasCount(4);
    page.getByLabel("Another width").fill("99");
    assertThat(page.locator(".line-up [role=alert]")).containsText("280 to 2560");
    page.getByLabel("Another width").fill("1210");
    page.keyboard().press("Enter");
    assertThat(frames).hasCount(5);
    page.locator(".line-up-troubled button").filter(text("768")).click();
    assertThat(frames).hasCount(6);
    assertThat(page.locator(".line-up figure").nth(1)).containsText("768Tablet3");
    for (int i = 0; i < 6; i++) {
      frames.nth(i).contentFrame().locator("[data-piece=houses][data-live]").waitFor();
    }
    page.mouse().move(640, 500);
    page.mouse().wheel(0, 2700);
    // Each stands at the same share of its own length, which is what is compared.
    for (int i = 0; i < 6; i++) {
      Frame frame = frames.nth(i).elementHandle().contentFrame();
      frame.waitForFunction(
          "() => Math.abs(scrollY / (document.documentElement.scrollHeight - innerHeight) - 0.3)"
              + " < 0.002");
    }
    bench.button("Take 1210 px away").click();
    assertThat(frames).hasCount(5);
    page.keyboard().press("Escape");
    assertThat(page.locator(".line-up")).hasCount(0);
  }

  @InTurn(23)
  @Test
  void allHeightsShowWhereSomethingIsFoundAndLeadThere(Api api, Page page) {
    Bench bench = Bench.open(page, api, Api.DEMO, "prove", "houses");
    bench.button("Line-up…").click();
    bench.button("all heights").click();
    Locator strips = page.locator(".heights figure");
    assertThat(strips).hasCount(8);
    // All on one scale: the narrowest is the highest.
    assertThat(strips.first().boundingBox().height)
        .isGreaterThan(strips.last().boundingBox().height);
    assertThat(Axe.within(page, ".line-up")).isEmpty();
    Locator mark = strips.nth(3).locator(".heights-mark").first();
    String said = mark.getAttribute("aria-label");
    assertThat(said).startsWith("At 768 px: ");
    mark.press("Enter");
    assertThat(page.locator(".line-up")).hasCount(0);
    assertThat(bench.stage().evaluate("() => innerWidth")).isEqualTo(768);
  }

  /** From the first look to the sheet that the client gets with the release. */
  @InTurn(5)
  @Test
  void beforeAPageIsPublishedAllOfItIsGoneThrough(Api api, Chromium.Open chromium)
      throws Exception {
    String id = page(api);
    Page page = chromium.page(1280, 900);
    Bench bench = Bench.open(page, api, id, "prove", "words");
    Frame stage = bench.stage();
    assertThat(page.locator(".prove-head h2")).hasText("7 snags");
    // What is at one width: two ways are tried, the second is taken.
    Locator narrow = bar(page, "narrower than 240 from 768 to 811");
    narrow.click();
    stage.waitForFunction("() => innerWidth >= 768 && innerWidth <= 811");
    page.locator(".way-take").nth(1).waitFor();
    double before = walk(stage);
    for (String way : List.of("1", "2")) {
      page.keyboard().press(way);
      stage.waitForFunction(
          "([s, w]) => document.querySelector(s).getBoundingClientRect().width > w",
          List.of(WALK, before + 1));
    }
    page.keyboard().press("Enter");
    bench.saved();
    assertThat(page.locator(".prove-head h2")).hasText("6 snags");
    assertThat(narrow).hasCount(0);
    // The one that the client wants so.
    Locator broken = bar(page, "Moonflower\u201d breaks within");
    broken.press("Enter");
    assertThat(page.locator(".ways-says")).containsText("breaks within the word");
    bench.button("Leave it, because…").click();
    page.getByPlaceholder("why, and who says so").fill("the sign on the door says so");
    page.keyboard().press("Enter");
    bench.saved();
    assertThat(page.locator(".prove-head h2")).hasText("5 snags");
    // A date on which nobody is on show: the stage goes there.
    bench.button("dates").click();
    bar(page, "nobody is on show").click();
    assertThat(page.locator(".topbar input[type=date]")).hasValue("2027-02-28");
    // In another language words break, on the phone alone.
    bench.button("widths").click();
    bench.button("+40 % for translation").click();
    assertThat(page.locator(".prove-head h2"))
        .hasText(Pattern.compile("([6-9]|\\d\\d) snags: \\+40 % for translation"));
    bench.button("Line-up…").click();
    Locator frames = page.locator(".line-up-page iframe");
    assertThat(frames).hasCount(4);
    for (int width : List.of(790, 1210)) {
      page.getByLabel("Another width").fill(Integer.toString(width));
      page.keyboard().press("Enter");
    }
    assertThat(frames).hasCount(6);
    assertThat(page.locator(".line-up figure").filter(text("790"))).hasCount(1);
    // Who has typed the last that has room has not lost the keyboard.
    assertThat(page.getByLabel("Another width")).isFocused();
    page.keyboard().press("Escape");
    assertThat(page.locator(".line-up")).hasCount(0);
    // What is published is what the sheet speaks of.
    Bench.open(page, api, id, "ship", "words");
    assertThat(page.locator(".ship-proof")).containsText("2 break and 3 hurt");
    String live = api.publish(id);
    String sheet = api.get("/api/pages/" + id + "/proof-sheet?release=1").text();
    byte[] index = api.get(live).bytes();
    String hash = HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(index));
    assertThat(sheet).contains(hash, "the sign on the door says so", "from 280 to 2560");
    assertThat(sheet).doesNotContain("narrower than 240 from 768");
  }

  private static Locator.FilterOptions text(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }
}
