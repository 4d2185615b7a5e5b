package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.WaitForSelectorState;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import nu.validator.client.EmbeddedValidator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The bench and the published pages against axe-core's rules for WCAG 2.2 AA and best practices,
 * and against the Nu HTML checker.
 */
@ExtendWith({Giostra.class, Chromium.class})
class AccessJourney {
  @ParameterizedTest
  @ValueSource(ints = {1280, 768, 390})
  void axeFindsNothingOnTheLivePage(int width, Api api, Chromium.Open chromium) {
    Page page = chromium.page(width, 800);
    page.navigate(api.at(Api.LIVE_DEMO));
    page.waitForSelector("[data-live]");
    assertThat(Axe.found(page)).isEmpty();
  }

  /** What is wrong by day and by night. */
  private static List<String> both(Page page, String... without) {
    return byDayAndNight(page, "html", without);
  }

  /** What is wrong with a dialog, by day and by night: what lies under it cannot be reached. */
  private static List<String> dialog(Page page) {
    return byDayAndNight(page, "dialog[open]", "iframe");
  }

  private static List<String> byDayAndNight(Page page, String within, String... without) {
    wears(page, "lamp");
    var all = new ArrayList<String>(Axe.within(page, within, without));
    // Elements are the same by day, and what they say of themselves.
    wears(page, "paper");
    Axe.colours(page, within, without).forEach(each -> all.add("paper: " + each));
    return all;
  }

  private static void wears(Page page, String theme) {
    // Colours go over from one to the other: to their end at once, since a page in which nothing
    // else moves was seen to draw no more frames, and a transition in it never to end.
    page.evaluate(
        """
        async (theme) => {
          document.documentElement.dataset.theme = theme;
          const frame = () => new Promise((next) => {
            requestAnimationFrame(next);
            setTimeout(next, 500);
          });
          await frame();
          await frame();
          for (const each of document.getAnimations())
            if (each instanceof CSSTransition) each.finish();
        }\
        """,
        theme);
  }

  static List<String> steps() {
    return Runs.inTurn(List.of("fill", "arrange", "prove", "ship"));
  }

  @InTurn({0, 1, 2, 3})
  @ParameterizedTest
  @MethodSource("steps")
  void axeFindsNothingOnTheBench(String step, Api api, Page page) {
    Bench.open(page, api, Api.DEMO, step, "words").stage();
    page.waitForTimeout(500);
    assertThat(both(page, "iframe")).isEmpty();
  }

  @InTurn(0)
  @Test
  void axeFindsNothingOnTheShelf(Api api, Page page) {
    // Two sites of one name can be told apart as well.
    api.newSite("Twins");
    String twin = api.newSite("Twins");
    api.newPage(twin, Subject.document());
    page.navigate(api.at("/?find=twins"));
    page.waitForSelector("h2");
    page.getByPlaceholder("Its name").fill("A site");
    page.waitForSelector(".dress-choice");
    assertThat(both(page, "iframe")).as("what a new site wears").isEmpty();
    page.getByText("Rename").nth(1).click();
    page.waitForSelector("dialog[open]");
    assertThat(dialog(page)).as("a dialog").isEmpty();
    page.keyboard().press("Escape");
    api.post("/api/pages/" + api.newPage(Subject.document()) + "/away", null);
    page.reload();
    page.waitForSelector(".away");
    assertThat(both(page, "iframe")).isEmpty();
    Bench.open(page, api, Api.DEMO, "fill", "words");
    page.keyboard().press("h");
    page.waitForSelector("dialog[open] iframe");
    assertThat(dialog(page)).as("the history").isEmpty();
  }

  @InTurn(4)
  @Test
  void axeFindsNothingInTheDialogs(Api api, Chromium.Open chromium) {
    Page page = chromium.page(1280, 800);
    Bench bench = Bench.open(page, api, Api.DEMO, "fill", "words");
    bench.stage();
    page.keyboard().press("?");
    assertThat(dialog(page)).as("the list of keys").isEmpty();
    page.keyboard().press("Escape");
    page.keyboard().press("Control+k");
    page.waitForSelector("dialog[open] [cmdk-input]");
    assertThat(dialog(page)).as("find").isEmpty();
    page.keyboard().press("Escape");
    page.getByLabel("Add a section at the top").click();
    assertThat(dialog(page)).as("the chooser").isEmpty();
    page.keyboard().press("Escape");
    bench.step("Prove");
    bench.button("Line-up…").click();
    page.waitForSelector(".line-up-page iframe");
    assertThat(dialog(page)).as("the line-up").isEmpty();
  }

  @InTurn(2)
  @Test
  void axeFindsNothingInTheLibraryNorWhereFilesAndFramesComeIn(Api api, Page page) {
    page.navigate(api.at("/sites/velluta/media"));
    page.locator(".contact-one").nth(3).click();
    page.waitForSelector(".opened");
    assertThat(both(page)).as("the library").isEmpty();
    page.getByText("By address").click();
    page.waitForSelector(".remote-seen");
    assertThat(dialog(page)).as("a picture elsewhere").isEmpty();
    page.keyboard().press("Escape");
    Bench bench = Bench.open(page, api, Api.DEMO, "fill", "film-bloom");
    bench.button("This item: A moonflower opens").click();
    assertThat(both(page, "iframe")).as("a clip").isEmpty();
    bench.button("Poster from a frame").click();
    page.waitForSelector(".frame-grab");
    assertThat(dialog(page)).as("frames").isEmpty();
    page.keyboard().press("Escape");
    Bench.open(page, api, Api.DEMO, "fill", "houses");
    bench.button("From a file").click();
    page.waitForSelector(".content-drop");
    assertThat(dialog(page)).as("a file").isEmpty();
    page.locator("dialog[open] textarea").fill("Heading,Shelf,Button,Extra\nA,1,x\nB,2,y,z,more");
    bench.button("Read what is pasted").click();
    page.waitForSelector(".mapping .to-mend");
    assertThat(dialog(page)).as("the mapping").isEmpty();
    bench.button("Put the file aside").click();
    page.waitForSelector(".content-drop");
  }

  @InTurn(3)
  @Test
  void axeFindsNothingWhereLooksAreArranged(Api api, Page page) {
    Bench bench = Bench.open(page, api, Api.DEMO, "dress", "films");
    bench.bead("Bar").click();
    bench.cell("films", "video.bar/rest/ground", "desktop").waitFor();
    assertThat(both(page, "iframe")).as("the bar").isEmpty();
    // The keyboard comes to the colours, too.
    bench.cell("films", "video.bar/rest/ground", "desktop").focus();
    page.keyboard().press("Space");
    page.waitForSelector(".paint-shown");
    assertThat(both(page, "iframe")).as("a gradient").isEmpty();
    page.keyboard().press("Escape");
    page.waitForSelector(
        ".paint-shown", new Page.WaitForSelectorOptions().setState(WaitForSelectorState.DETACHED));
    Bench.open(page, api, Api.DEMO, "dress", "site");
    page.getByLabel("Parts of what").selectOption("tone");
    bench.bead("Dusk").click();
    bench.cell("site", "tone.dusk/rest/tone-ink", "desktop").waitFor();
    assertThat(both(page, "iframe")).as("a tone").isEmpty();
    page.getByLabel("Parts of what").selectOption("type");
    bench.button("Type scale").click();
    page.waitForSelector(".type-list li");
    assertThat(dialog(page)).as("a scale of type").isEmpty();
    Bench.open(page, api, Api.DEMO, "dress", "four-houses");
    bench.button("Wardrobe").click();
    page.waitForSelector(".hanger");
    bench.button("Keep as a look…").click();
    assertThat(both(page, "iframe")).as("the wardrobe").isEmpty();
    Bench.open(page, api, Api.DEMO, "dress", "page");
    bench.button("Dresses").click();
    page.waitForSelector(".hanger");
    assertThat(both(page, "iframe")).as("whole dresses").isEmpty();
  }

  @Test
  void axeIsAtWork(Api api, Page page) {
    page.navigate(api.at(Api.LIVE_DEMO));
    page.evaluate(
        """
        () => {
          const faint = document.createElement('p');
          faint.textContent = 'Faint';
          faint.style.color = '#999';
          faint.style.background = '#fff';
          faint.append(document.createElement('img'));
          document.querySelector('main').prepend(faint);
        }
        """);
    assertThat(Axe.found(page))
        .anyMatch(each -> each.startsWith("color-contrast"))
        .anyMatch(each -> each.startsWith("image-alt"));
    assertThat(Axe.found(page, "main > p")).isEmpty();
  }

  /** All kinds, nested, in both writing directions and in each form of the bands. */
  static List<String> directions() {
    return Runs.inTurn(List.of("ltr", "rtl"));
  }

  @InTurn({1, 4})
  @ParameterizedTest
  @MethodSource("directions")
  void allKindsNestedPassAxeAndTheNuChecker(String direction, Api api, Chromium.Open chromium)
      throws Exception {
    String id = api.newPage("velluta", Nested.document(direction));
    String address = api.publish(id);
    for (int width : List.of(1280, 800, 390)) {
      Page page = chromium.page(width, 900);
      page.navigate(address);
      page.waitForFunction(
          "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
      page.waitForTimeout(600);
      assertThat(Axe.found(page)).as(direction + " at " + width).isEmpty();
      assertThat(
              (Boolean)
                  page.evaluate(
                      "() => document.documentElement.scrollWidth <= document.documentElement.clientWidth"))
          .as("no sideways scroll at " + width)
          .isTrue();
    }
    var validator = new EmbeddedValidator();
    validator.setOutputFormat(EmbeddedValidator.OutputFormat.TEXT);
    byte[] html = api.get(address.replace(api.at(""), "")).text().getBytes(StandardCharsets.UTF_8);
    assertThat(validator.validate(new ByteArrayInputStream(html)))
        .doesNotContainIgnoringCase("error:")
        .doesNotContainIgnoringCase("warning:");
  }

  @Test
  void theNuCheckerFindsNothingOnTheLivePage(Api api) throws Exception {
    // Source: the Nu HTML checker, for the HTML standard.
    String html = api.get(Api.LIVE_DEMO).text();
    var validator = new EmbeddedValidator();
    validator.setOutputFormat(EmbeddedValidator.OutputFormat.TEXT);
    String says =
        validator.validate(new ByteArrayInputStream(html.getBytes(StandardCharsets.UTF_8)));
    assertThat(says).doesNotContainIgnoringCase("error:").doesNotContainIgnoringCase("warning:");
    String wrong = html.replace("<main>", "<main><p><div></p>");
    assertThat(validator.validate(new ByteArrayInputStream(wrong.getBytes(StandardCharsets.UTF_8))))
        .as("the checker at work")
        .contains("Error:");
  }
}
