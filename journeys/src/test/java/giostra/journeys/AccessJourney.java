package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.WaitForSelectorState;
import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.dress.ShippedLooks;
import giostra.core.format.DocumentJson;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Look;
import giostra.core.page.LookSettings;
import giostra.core.page.Node;
import giostra.core.page.PageSettings;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.page.Starters;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.PickKind;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
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
  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest
  @ValueSource(ints = {1280, 768, 390, 1024, 1920, 320})
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

  @InTurn({0, 6, 12, 18})
  @ParameterizedTest
  @MethodSource("steps")
  void axeFindsNothingOnTheBench(String step, Api api, Page page) {
    Bench.open(page, api, Api.DEMO, step, "words").stage();
    page.waitForTimeout(500);
    assertThat(both(page, "iframe")).isEmpty();
  }

  @InTurn(6)
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

  @InTurn(6)
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

  @InTurn(8)
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

  @InTurn(9)
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

  /** A node and all that it holds with other ids. */
  private static Node again(Node node, String ending) {
    return node.type()
        .make(
            node.id() + ending,
            node.values(),
            node.children().stream().map(each -> again(each, ending)).toList());
  }

  /** Each look that ships, in each tone, on what one starts with of its kind. */
  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest
  @ValueSource(strings = {"Gazette", "Pebble", "Trellis", "Lantern", "Inkwell"})
  void looksThatShipPassAxe(String manner, Api api, Chromium.Open chromium) {
    String site = api.newSite("Looks " + manner);
    Set<String> bands = Bands.INITIAL.all().stream().map(Band::id).collect(Collectors.toSet());
    List<Look> looks =
        ShippedLooks.all().stream()
            .filter(each -> each.name().equals(manner))
            .map(each -> each.look("desktop"))
            .toList();
    assertThat(looks).hasSize(7);
    var pieces = new ArrayList<Node>();
    for (Look look : looks) {
      Starters.Starter starter =
          Starters.ALL.stream()
              .filter(each -> each.node().type() == look.of())
              .findFirst()
              .orElseThrow();
      Node piece =
          DocumentJson.readNode(
              api.post("/api/sites/" + site + "/starters/" + starter.id(), null)
                  .json()
                  .path("node"),
              bands);
      pieces.add(piece.with(piece.values().with(LookSettings.WORN, Values.ALL, look.id())));
    }
    var sections = new ArrayList<Section>();
    for (SectionSettings.Tone tone :
        List.of(SectionSettings.Tone.PAPER, SectionSettings.Tone.LEAF, SectionSettings.Tone.DUSK)) {
      String of = PickKind.word(tone);
      var blocks = new ArrayList<Block>();
      if (sections.isEmpty()) {
        Values title =
            Values.NONE
                .with(BlockSettings.HEADING_TEXT, Values.ALL, manner)
                .with(BlockSettings.LEVEL, Values.ALL, 1);
        blocks.add(new Block.Heading("title", title));
      }
      for (Node each : pieces) {
        String name = each.type().word() + " in " + of;
        Node other = again(each, "-" + each.type().word() + "-" + of);
        blocks.add((Block) other.with(other.values().with(PieceSettings.NAME, Values.ALL, name)));
      }
      sections.add(
          new Section(
              "in-" + of, Values.NONE.with(SectionSettings.TONE, Values.ALL, tone), blocks));
    }
    var document =
        new Document(
            new Site(Bands.INITIAL, Values.NONE).holding(looks),
            new giostra.core.page.Page(
                "page", Values.NONE.with(PageSettings.TITLE, Values.ALL, manner), sections));
    String address = api.publish(api.newPage(site, document));
    for (int width : List.of(1280, 390)) {
      Page page = chromium.page(width, 900);
      page.navigate(address);
      page.waitForFunction(
          "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
      page.waitForTimeout(600);
      assertThat(page.locator("[data-piece]").count()).isEqualTo(21);
      // Apart, since folded tabs are landmarks by their headings, and these are there three times.
      for (Section section : sections) {
        assertThat(Axe.within(page, "#g-" + section.id()))
            .as("%s at %s, %s", manner, width, section.id())
            .isEmpty();
      }
      page.context().close();
    }
  }

  /** All kinds, nested, in both writing directions and in each form of the bands. */
  static List<String> directions() {
    return Runs.inTurn(List.of("ltr", "rtl"));
  }

  @InTurn({2, 14})
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
    byte[] html = api.get(address).text().getBytes(StandardCharsets.UTF_8);
    assertThat(validator.validate(new ByteArrayInputStream(html)))
        .doesNotContainIgnoringCase("error:")
        .doesNotContainIgnoringCase("warning:");
  }

  @InTurn({1, 5, 9, 13, 17, 21})
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
