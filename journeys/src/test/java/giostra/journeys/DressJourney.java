package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import giostra.core.band.Bands;
import giostra.core.dress.MadeTone;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Look;
import giostra.core.page.LookSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.piece.tabs.Tabs;
import giostra.core.piece.tabs.TabsParts;
import giostra.core.testing.InTurn;
import giostra.core.value.Colour;
import giostra.core.value.ToneColour;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * How things look, by a designer: a press on the stage leads to a part, the board shows it in each
 * of its states, the wardrobe has looks to try on and to wear.
 */
@ExtendWith({Giostra.class, Chromium.class})
class DressJourney {
  private static final String WEIGHT = "tabs.heading/rest/weight";
  private static final String INK = "tabs.heading/rest/ink";

  /** Two tabs of four seasons each, in two tones. */
  private static Document document() {
    List<Section> sections =
        Stream.of("one", "two")
            .map(id -> {
              Values named = Values.NONE.with(PieceSettings.NAME, Values.ALL, "Seasons " + id);
              List<Item> items =
                  Stream.of("Spring", "Summer", "Autumn", "Winter")
                      .map(season ->
                          new Item(
                              id + "-" + season.toLowerCase(java.util.Locale.ROOT),
                              Values.NONE
                                  .with(ItemSettings.HEADING, Values.ALL, season)
                                  .with(ItemSettings.TEXT, Values.ALL, "<p>What it brings.</p>")))
                      .toList();
              Values tone =
                  Values.NONE
                      .with(
                          SectionSettings.TONE,
                          Values.ALL,
                          id.equals("one") ? SectionSettings.Tone.PAPER : SectionSettings.Tone.DUSK)
                      .with(SectionSettings.NAME, Values.ALL, "Section " + id);
              return new Section("s-" + id, tone, List.of(new Tabs(id, named, items)));
            })
            .toList();
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page(
            "page", Values.NONE.with(PageSettings.TITLE, Values.ALL, "Seasons"), sections));
  }

  private static String page(Api api) {
    return api.newPage(api.newSite("Dressed " + System.nanoTime()), document());
  }

  private static String css(Frame stage, String selector, String name) {
    return String.valueOf(
        stage.evaluate(
            "([s, n]) => getComputedStyle(document.querySelector(s))[n]", List.of(selector, name)));
  }

  private static void waitFor(Page page, Frame stage, String selector, String name, String value) {
    stage.waitForFunction(
        "([s, n, v]) => getComputedStyle(document.querySelector(s))[n] === v",
        List.of(selector, name, value));
    page.waitForTimeout(0);
  }

  @InTurn(0)
  @Test
  void aToneIsMadeOfOneColourAndASectionWearsIt(Api api, Page page) {
    String id = page(api);
    Bench bench = Bench.open(page, api, id, "dress", "page");
    Frame stage = bench.stage();
    bench.button("New tone").click();
    page.getByLabel("Its name").fill("Moss");
    page.getByLabel("Made of, as CSS has it").fill("#3f6b2a");
    page.getByLabel("dark", new Page.GetByLabelOptions().setExact(true)).check();
    PlaywrightAssertions.assertThat(page.locator(".new-tone-table tbody tr")).hasCount(4);
    assertThat(Axe.within(page, "dialog[open] .modal-box")).isEmpty();
    bench.button("Make it").click();
    bench.saved();
    // It is a tone as others are: its colours can be changed one by one.
    page.getByLabel("Set for").selectOption("site");
    PlaywrightAssertions.assertThat(bench.bead("Moss")).isVisible();
    // One of the same name is refused, and nothing that was entered is lost.
    bench.button("New tone").click();
    page.getByLabel("Its name").fill("moss");
    bench.button("Make it").click();
    PlaywrightAssertions.assertThat(page.locator(".new-tone [role=alert]")).containsText("moss");
    PlaywrightAssertions.assertThat(page.getByLabel("Its name")).hasValue("moss");
    page.keyboard().press("Escape");

    page.locator("[data-node='s-one']").click();
    bench.step("Fill");
    Locator tone = page.locator(".field[data-setting='tone'] select");
    PlaywrightAssertions.assertThat(tone.locator("option"))
        .hasText(new String[] {"paper", "leaf", "dusk", "Moss"});
    tone.selectOption("own-1");
    bench.saved();
    Map<ToneColour, Colour> made = MadeTone.of(Colour.parse("#3f6b2a"), true);
    String ground = rgb(made, ToneColour.GROUND);
    waitFor(page, stage, "[data-section='s-one']", "backgroundColor", ground);
    page.navigate(api.publish(id));
    for (ToneColour each : List.of(ToneColour.GROUND, ToneColour.INK)) {
      assertThat(
              page.evaluate(
                  "(name) => getComputedStyle(document.querySelector('[data-section=s-one]'))[name]",
                  each == ToneColour.INK ? "color" : "backgroundColor"))
          .isEqualTo(rgb(made, each));
    }
    // It can be called something else, and be taken away: sections wear the first tone again.
    bench = Bench.open(page, api, id, "dress", "page");
    stage = bench.stage();
    page.getByLabel("Set for").selectOption("site");
    bench.bead("Moss").click();
    page.getByLabel("Name of the tone").fill("Fern");
    page.keyboard().press("Enter");
    PlaywrightAssertions.assertThat(bench.bead("Fern")).isVisible();
    page.getByText("Take it away").click();
    waitFor(page, stage, "[data-section='s-one']", "backgroundColor", "rgb(251, 247, 236)");
    bench.saved();
    PlaywrightAssertions.assertThat(bench.bead("Fern")).hasCount(0);
    assertThat(api.document(id).site().values().set()).doesNotContainKey("tone1");
    assertThat(api.document(id).node("s-one").values().set()).doesNotContainKey("tone");
  }

  private static String rgb(Map<ToneColour, Colour> made, ToneColour name) {
    Colour colour = Objects.requireNonNull(made.get(name));
    return "rgb(%d, %d, %d)".formatted(colour.red(), colour.green(), colour.blue());
  }

  @InTurn(4)
  @Test
  void aPressOnTheStageLeadsToThePartAndTheBoardHasAllItsStates(Api api, Page page) {
    String id = page(api);
    Bench bench = Bench.open(page, api, id, "dress", "one");
    Frame stage = bench.stage();
    stage.locator("[data-of=one-autumn]").click();
    PlaywrightAssertions.assertThat(bench.bead("Heading")).hasAttribute("aria-checked", "true");
    PlaywrightAssertions.assertThat(page.locator(".state-head")).hasCount(6);
    // Each state is drawn as it is compiled, in one frame over the columns.
    Frame drawn = page.waitForSelector(".drawing iframe").contentFrame();
    drawn.waitForFunction("() => document.querySelectorAll('.drawn').length === 6");
    assertThat(
            drawn.evaluate(
                """
                () => [...document.querySelectorAll('.drawn')].map((cell) => {
                  const held = cell.querySelector('[data-held], .g-head[disabled]');
                  return held ? getComputedStyle(held).color : '';
                }).join(' | ')\
                """))
        .asString()
        // At rest and current nothing is held; the others have the colours of their states.
        .isEqualTo(" |  | rgb(86, 99, 92) | rgb(28, 43, 39) | rgb(28, 43, 39) | rgb(86, 99, 92)");

    // Typing sets, in the state of the column; the drawing and the stage follow.
    bench.set("one", WEIGHT, "desktop", "620");
    bench.set("one", "tabs.heading/hover/ink", "desktop", "#aa3311");
    bench.saved();
    waitFor(page, stage, "[data-of=one-winter]", "fontWeight", "620");
    // What is looked at on hover is so in its place as well.
    page.locator(".state-head button").filter(hasText("Hover")).click();
    waitFor(page, stage, "[data-of=one-winter]", "color", "rgb(170, 51, 17)");
    page.locator(".state-head button").filter(hasText("At rest")).click();
    waitFor(page, stage, "[data-of=one-winter]", "color", "rgb(86, 99, 92)");
    PlaywrightAssertions.assertThat(bench.bead("Heading").locator(".bead-own")).isVisible();
    PlaywrightAssertions.assertThat(page.locator(".wears")).containsText("departs in 2");

    // Words that cannot be read are told, with the nearest colour that can.
    bench.set("one", INK, "desktop", "#c9c4b8");
    bench.saved();
    bench.cell("one", INK, "desktop").focus();
    PlaywrightAssertions.assertThat(page.locator(".foot")).containsText("it should be 4.5");
    page.locator(".foot button").filter(hasText("nearest that passes")).click();
    bench.saved();
    PlaywrightAssertions.assertThat(page.locator(".foot")).not().containsText("it should be 4.5");

    // What is no value is refused where it was typed, and nothing is lost.
    bench.set("one", "tabs.heading/rest/corners", "desktop", "round");
    bench.cell("one", "tabs.heading/rest/corners", "desktop").focus();
    PlaywrightAssertions.assertThat(page.locator(".foot"))
        .containsText("Heading, corners is round; it must be");
    page.keyboard().press("Escape");
    // Columns are bands on demand: a phone has values of its own.
    bench.button("bands").click();
    bench.set("one", WEIGHT, "phone", "500");
    bench.saved();
    assertThat(
            api.document(id)
                .node("one")
                .values()
                .styles()
                .own(TabsParts.TAB.key(Property.WEIGHT, State.REST), "phone"))
        .isEqualTo(500);
  }

  /**
   * Edges on three sides, two corners, padding at the start: by keyboard, on the drawing. Source:
   * CSS Logical Properties 1 (start and end follow the direction), read off Chromium.
   */
  @InTurn(1)
  @Test
  void sidesAndCornersAreSetOneByOne(Api api, Page page) {
    String id = page(api);
    Bench bench = Bench.open(page, api, id, "dress", "one");
    bench.bead("Panel").click();
    // What is chosen by eye shows on the stage before it is set, and goes when it is given up.
    Frame stage = bench.stage();
    String ground = css(stage, ".g-panel", "backgroundImage");
    bench.cell("one", "tabs.panel/rest/ground", "desktop").focus();
    page.keyboard().press("Space");
    page.getByText("From a point").click();
    page.getByLabel("from above, %").fill("10");
    stage.waitForFunction(
        "() => getComputedStyle(document.querySelector('.g-panel')).backgroundImage"
            + ".startsWith('radial-gradient(at 50% 10%')");
    assertThat(Axe.within(page, "dialog[open] .modal-box")).isEmpty();
    page.keyboard().press("Escape");
    PlaywrightAssertions.assertThat(page.locator("dialog[open]")).hasCount(0);
    waitFor(page, stage, ".g-panel", "backgroundImage", ground);
    assertThat(api.page(id).path("revision").asInt()).isZero();
    around(bench, "tabs.panel/rest/edge", "3", "3", "3", "0");
    bench.cell("one", "tabs.panel/rest/edge", "desktop").focus();
    page.keyboard().press("Space");
    assertThat(Axe.within(page, "dialog[open] .modal-box")).isEmpty();
    page.keyboard().press("Escape");
    PlaywrightAssertions.assertThat(page.locator("dialog[open]")).hasCount(0);
    around(bench, "tabs.panel/rest/corners", "0", "26px", "1.5rem", "0");
    bench.bead("Heading").click();
    around(bench, "tabs.heading/rest/padding-sides", "30px", "6");
    Locator cell = bench.cell("one", "tabs.heading/rest/padding-sides", "desktop");
    PlaywrightAssertions.assertThat(cell).containsText("30 6");
    assertThat(worn(page, api.publish(id)))
        .isEqualTo(
            "0px 26px 24px 0px | 0px 3px 0px 0px, -3px 0px 0px 0px, 0px -3px 0px 0px | 30px 6px");
    assertThat(
            api.edit(id, 3, new Edit.SetValue("page", PageSettings.DIRECTION.id(), "", "rtl"))
                .status())
        .isEqualTo(200);
    assertThat(worn(page, api.publish(id)))
        .isEqualTo(
            "26px 0px 0px 24px | 0px 3px 0px 0px, 0px -3px 0px 0px, 3px 0px 0px 0px | 6px 30px");
  }

  /** Opens a cell's drawing of the box, types into it and sets it. */
  private static void around(Bench bench, String key, String... lengths) {
    Page page = bench.page();
    bench.cell("one", key, "desktop").focus();
    page.keyboard().press("Space");
    Locator fields = page.locator(".box-place input");
    if (page.locator(".box-alike input").isChecked()) {
      page.locator(".box-alike input").press("Space");
    }
    for (int at = 0; at < lengths.length; at++) {
      fields.nth(at).fill(lengths[at]);
    }
    fields.first().press("Enter");
    bench.saved();
  }

  /** Corners and edges of a panel, paddings of a heading, as Chromium has them. */
  private static Object worn(Page page, String address) {
    page.navigate(address);
    return page.evaluate(
        """
        () => {
          const panel = getComputedStyle(document.querySelector('.g-panel'));
          const head = getComputedStyle(document.querySelector('[data-of=one-winter]'));
          const edge = panel.boxShadow.replaceAll(/rgba?\\([^)]*\\) | inset/g, '');
          const corners = ['TopLeft', 'TopRight', 'BottomRight', 'BottomLeft'];
          return [
            corners.map((at) => panel[`border${at}Radius`]).join(' '),
            edge,
            `${head.paddingLeft} ${head.paddingRight}`,
          ].join(' | ');
        }
        """);
  }

  private static Locator.FilterOptions hasText(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  @InTurn(9)
  @Test
  void aLookIsTriedOnWornSharedKeptAndDropped(Api api, Page page) {
    String id = page(api);
    Bench bench = Bench.open(page, api, id, "dress", "one");
    Frame stage = bench.stage();
    stage.waitForSelector("[data-of=one-winter]");
    bench.button("Wardrobe").click();
    Locator pebble = page.locator(".hanger").filter(hasText("Pebble"));
    // Pointing tries it, pointing elsewhere takes it back.
    pebble.locator(".hanger-wear").hover();
    waitFor(page, stage, "[data-of=one-winter]", "borderRadius", "99px");
    assertThat(css(stage, "[data-of=two-winter]", "borderRadius")).isEqualTo("10px");
    page.locator(".wardrobe h2").hover();
    waitFor(page, stage, "[data-of=one-winter]", "borderRadius", "10px");
    assertThat(api.document(id).site().looks()).isEmpty();
    // A press wears it.
    pebble.locator(".hanger-wear").click();
    bench.saved();
    waitFor(page, stage, "[data-of=one-winter]", "borderRadius", "99px");
    assertThat(api.document(id).site().looks()).extracting(Look::name).containsExactly("Pebble");
    bench.button("Back to the board").click();
    PlaywrightAssertions.assertThat(page.locator(".wears")).containsText("wears Pebble");

    // One departs in one thing, and gives it to the look: the other one that wears it follows.
    assertThat(
            api.edit(
                    id,
                    api.page(id).path("revision").asInt(),
                    new Edit.SetValue("two", "look", "", "look.pebble-tabs"))
                .status())
        .isEqualTo(200);
    bench = Bench.open(page, api, id, "dress", "one");
    stage = bench.stage();
    bench.set("one", "tabs.heading/rest/corners", "desktop", "4");
    bench.saved();
    PlaywrightAssertions.assertThat(page.locator(".wears")).containsText("departs in 1");
    bench.button("give it to the look").click();
    bench.saved();
    waitFor(page, stage, "[data-of=two-winter]", "borderRadius", "4px");
    // Set for the look itself, the foot says how many things that changes.
    page.getByLabel("Set for").selectOption("look.pebble-tabs");
    bench.cell("look.pebble-tabs", WEIGHT, "desktop").focus();
    PlaywrightAssertions.assertThat(page.locator(".foot")).containsText("changes 2 pieces");
    bench.set("look.pebble-tabs", WEIGHT, "desktop", "710");
    bench.saved();
    waitFor(page, stage, "[data-of=two-winter]", "fontWeight", "710");

    // Kept under a name of her own, with what she changed; renamed; the other one is dropped.
    page.getByLabel("Set for").selectOption("one");
    bench.set("one", WEIGHT, "desktop", "640");
    bench.saved();
    bench.button("Wardrobe").click();
    bench.button("Keep as a look…").click();
    page.getByLabel("Name of the look").fill("Almanac");
    bench.button("Keep it").click();
    page.locator(".hanger").filter(hasText("Almanac")).waitFor();
    bench.saved();
    Document kept = api.document(id);
    assertThat(kept.site().wornBy(kept.piece("one")).map(Look::name)).contains("Almanac");
    assertThat(kept.node("one").values().styles().set()).isEmpty();
    Locator almanac = page.locator(".hanger").filter(hasText("Almanac"));
    almanac.getByText("Rename").click();
    page.getByLabel("New name of Almanac").fill("Calendar");
    page.keyboard().press("Enter");
    bench.saved();
    Locator worn = page.locator(".hanger").filter(hasText("Of this site, worn by 1"));
    PlaywrightAssertions.assertThat(worn).hasCount(2);
    page.getByLabel("Drop the look Pebble").click();
    bench.button("Drop it, 1 wear it").click();
    bench.saved();
    Document dropped = api.document(id);
    assertThat(dropped.site().looks()).extracting(Look::name).containsExactly("Calendar");
    assertThat(dropped.site().wornBy(dropped.piece("two"))).isEmpty();
    waitFor(page, stage, "[data-of=two-winter]", "fontWeight", "600");
    // And back again, as one step.
    bench.button("Undo").click();
    bench.saved();
    waitFor(page, stage, "[data-of=two-winter]", "fontWeight", "710");

    // The live page has what the stage has.
    page.navigate(api.publish(id));
    page.waitForSelector("[data-piece=one][data-live]");
    assertThat(
            page.evaluate(
                "getComputedStyle(document.querySelector('[data-of=one-winter]')).fontWeight"))
        .isEqualTo("640");
    assertThat(
            page.evaluate(
                "getComputedStyle(document.querySelector('[data-of=two-winter]')).fontWeight"))
        .isEqualTo("710");
  }

  /**
   * Sizes of all words out of one, tried on the stage and laid on. By hand: 17 x 1.5^4 = 86.06 px
   * on a screen of 800 px, 16 x 1.2^4 = 33.18 at 360, and at 390 of the 440 px between them 30 on.
   */
  @InTurn(14)
  @Test
  void aScaleOfTypeIsTriedOnAndLaidOverAllPages(Api api, Page page) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    page.setViewportSize(1280, 800);
    Bench bench = Bench.open(page, api, id, "dress", "page");
    Frame stage = bench.stage();
    stage.waitForSelector("h1");
    String before = css(stage, "h1", "fontSize");
    page.getByLabel("Parts of what").selectOption("page");
    bench.button("Type scale").click();
    page.locator("dialog[open] fieldset")
        .filter(hasText("On large screens"))
        .getByLabel("Ratio")
        .fill("1.5");
    sized(stage, 86.0625);
    page.keyboard().press("Escape");
    waitFor(page, stage, "h1", "fontSize", before);
    assertThat(api.document(id).site().values().styles())
        .isEqualTo(api.document(Api.DEMO).site().values().styles());

    bench.button("Type scale").click();
    Locator ratio =
        page.locator("dialog[open] fieldset")
            .filter(hasText("On large screens"))
            .getByLabel("Ratio");
    ratio.fill("3");
    PlaywrightAssertions.assertThat(page.locator("dialog[open] [role=alert]"))
        .containsText("ratio of the scale is 3");
    ratio.fill("1.5");
    page.locator("dialog[open]").getByText("Lay it on").click();
    bench.saved();
    sized(stage, 86.0625);
    // What follows the scale says so.
    bench.bead("Heading 1").click();
    bench.cell("page", "page.heading-1/rest/text-size", "desktop").click();
    PlaywrightAssertions.assertThat(page.locator(".foot"))
        .containsText("from the type style “Title”");

    String live = api.publish(id);
    page.navigate(live);
    sized(page.mainFrame(), 86.0625);
    page.setViewportSize(390, 844);
    sized(page.mainFrame(), 33.1776 + (86.0625 - 33.1776) * 30 / 440);
    assertThat(api.post("/api/pages/" + id + "/undo", null).status()).isEqualTo(200);
    assertThat(api.document(id).site().values().styles())
        .isEqualTo(api.document(Api.DEMO).site().values().styles());
  }

  /** The widths of the words of all headings of tabs, px. */
  private static final String WORDS_OF_HEADINGS =
      """
      () => [...document.querySelectorAll('[data-piece=four-houses] [role=tab]')].map((tab) => {
        const words = document.createRange();
        const name = [...tab.childNodes].find((each) => each.nodeType === 3 && each.data.trim());
        words.selectNodeContents(name ?? tab.querySelector('span:not(.g-head-icon)') ?? tab);
        return words.getBoundingClientRect().width;
      })
      """;

  /** What takes other room under the pointer is told, and Chromium has it by as much. */
  @InTurn(10)
  @Test
  void whatJumpsUnderThePointerIsToldOnTheBoard(Api api, Page page) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    Bench bench = Bench.open(page, api, id, "dress", "four-houses");
    bench.bead("Heading").click();
    bench.cell("four-houses", "tabs.heading/hover/weight", "desktop").waitFor();
    bench.set("four-houses", "tabs.heading/hover/weight", "desktop", "800");
    bench.saved();
    bench.cell("four-houses", "tabs.heading/hover/weight", "desktop").click();
    Locator foot = page.locator(".foot");
    PlaywrightAssertions.assertThat(foot).containsText("px wider under the pointer");
    double told =
        Double.parseDouble(
            foot.innerText().replaceAll("(?s).*?([0-9.]+) px wider under the pointer.*", "$1"));

    Page live = page.context().newPage();
    live.setViewportSize(1280, 800);
    live.navigate(api.publish(id));
    live.waitForSelector("[data-piece=four-houses][data-live]");
    live.evaluate("() => document.fonts.ready.then(() => true)");
    JsonNode rest = Js.ask(live, WORDS_OF_HEADINGS, null);
    CDPSession browser = live.context().newCDPSession(live);
    LooksJourney.hold(browser, "hover", "[data-piece=four-houses] [role=tab]");
    live.waitForFunction(
        "() => getComputedStyle(document.querySelector('[data-piece=four-houses] [role=tab]'))"
            + ".fontWeight === '800'");
    JsonNode there = Js.ask(live, WORDS_OF_HEADINGS, null);
    double most = 0;
    for (int at = 0; at < rest.size(); at++) {
      most = Math.max(most, there.get(at).asDouble() - rest.get(at).asDouble());
    }
    assertThat(most).isCloseTo(told, org.assertj.core.api.Assertions.within(0.2));

    bench.button("As at rest").click();
    bench.saved();
    PlaywrightAssertions.assertThat(foot).not().containsText("under the pointer");
  }

  /** Waits until the first heading is so large, px, but for what CSS rounds. */
  private static void sized(Frame frame, double px) {
    frame.waitForFunction(
        "(px) => Math.abs(parseFloat(getComputedStyle(document.querySelector('h1')).fontSize) - px) < .03",
        px);
  }

  /** A site begins in a whole dress, and tries on another one. */
  @InTurn(6)
  @Test
  void aSiteWearsAWholeDress(Api api, Page page) {
    String name = "Pressed " + System.nanoTime();
    page.navigate(api.at("/?find=nothing-like-it"));
    page.getByPlaceholder("Its name").fill(name);
    page.locator(".dress-choice label").filter(hasText("Press")).click();
    page.getByText("Add site").click();
    page.getByLabel("Find a site or a page").fill(name);
    PlaywrightAssertions.assertThat(
            page.getByRole(
                com.microsoft.playwright.options.AriaRole.HEADING,
                new Page.GetByRoleOptions().setName(name)))
        .isVisible();
    String site = name.toLowerCase(java.util.Locale.ROOT).replace(' ', '-');
    String id = api.newPage(site, document());
    Document made = api.document(id);
    assertThat(made.site().wornBy(made.piece("one")).map(Look::name)).contains("Gazette");

    Bench bench = Bench.open(page, api, id, "dress", "page");
    Frame stage = bench.stage();
    stage.waitForSelector("[data-of=one-winter]");
    assertThat(css(stage, "[data-of=one-winter]", "fontFamily")).contains("Playfair");
    bench.button("Dresses").click();
    Locator orchard = page.locator(".hanger-wear").filter(hasText("Orchard"));
    orchard.hover();
    waitFor(page, stage, "#g-s-one", "backgroundColor", "rgb(253, 246, 241)");
    page.locator(".wardrobe h2").hover();
    waitFor(page, stage, "#g-s-one", "backgroundColor", "rgb(255, 255, 255)");
    orchard.click();
    bench.saved();
    waitFor(page, stage, "#g-s-one", "backgroundColor", "rgb(253, 246, 241)");
    Document worn = api.document(id);
    assertThat(worn.site().wornBy(worn.piece("one")).map(Look::name)).contains("Pebble");
    // All of it is one step.
    bench.button("Undo").click();
    bench.saved();
    assertThat(api.document(id)).isEqualTo(made);
  }

  /** What was made of one part is put on the same part of another piece. */
  @InTurn(5)
  @Test
  void howAPartIsSetIsCopiedToAnother(Api api, Page page) {
    String id = page(api);
    Bench bench = Bench.open(page, api, id, "dress", "one");
    bench.set("one", WEIGHT, "desktop", "710");
    bench.set("one", "tabs.heading/hover/ink", "desktop", "accent");
    bench.saved();
    bench.button("Copy how the heading is set here").click();
    bench = Bench.open(page, api, id, "dress", "two");
    bench.cell("two", WEIGHT, "desktop").waitFor();
    bench.button("Paste onto the heading").click();
    bench.saved();
    Document pasted = api.document(id);
    assertThat(pasted.node("two").values().styles())
        .isEqualTo(pasted.node("one").values().styles());
    // One step back takes all of it away again.
    bench.button("Undo").click();
    bench.saved();
    assertThat(api.document(id).node("two").values().styles().set()).isEmpty();
    // Onto all that have the part, and one of the items, at once.
    bench.button("Paste onto several").click();
    assertThat(Axe.within(page, "dialog[open]")).isEmpty();
    PlaywrightAssertions.assertThat(bench.button("Set")).isDisabled();
    page.locator(".onto-all input").check();
    bench.button("Set").click();
    bench.saved();
    Document all = api.document(id);
    assertThat(all.node("two").values().styles()).isEqualTo(all.node("one").values().styles());
    assertThat(all.node("two-winter").values().styles())
        .isEqualTo(all.node("one").values().styles());
    bench.button("Undo").click();
    bench.saved();
    assertThat(api.document(id).node("two").values().styles().set()).isEmpty();
    assertThat(api.document(id).node("two-winter").values().styles().set()).isEmpty();
  }

  /** From the thread over the board to another look, without a pointer. */
  @InTurn(20)
  @Test
  void theKeyboardIsEnough(Api api, Page page) {
    String id = page(api);
    Bench bench = Bench.open(page, api, id, "dress", "one");
    bench.bead("Heading").focus();
    page.keyboard().press("ArrowRight");
    PlaywrightAssertions.assertThat(bench.bead("Line of the current")).isFocused();
    PlaywrightAssertions.assertThat(bench.bead("Line of the current"))
        .hasAttribute("aria-checked", "true");
    page.keyboard().press("ArrowLeft");
    PlaywrightAssertions.assertThat(bench.bead("Heading")).isFocused();
    bench.cell("one", INK, "desktop").focus();
    page.keyboard().press("ArrowRight");
    page.keyboard().type("accent");
    page.keyboard().press("Enter");
    bench.saved();
    var key = TabsParts.TAB.key(Property.INK, State.CURRENT);
    assertThat(api.document(id).node("one").values().styles().speaksOf(key)).isTrue();
    bench.cell("one", "tabs.heading/current/ink", "desktop").focus();
    page.keyboard().press("Delete");
    bench.saved();
    assertThat(api.document(id).node("one").values().styles().speaksOf(key)).isFalse();
    bench.button("Wardrobe").focus();
    page.keyboard().press("Enter");
    page.locator(".hanger-wear").nth(1).focus();
    page.keyboard().press("Enter");
    bench.saved();
    assertThat(api.document(id).node("one").values().get(LookSettings.WORN))
        .isEqualTo("look.gazette-tabs");
    page.keyboard().press("Escape");
    PlaywrightAssertions.assertThat(page.locator(".board")).isVisible();
  }

  /** Two windows that dress one look: both say something, neither loses it. */
  @InTurn(15)
  @Test
  void twoWindowsDressOneLook(Api api, Chromium.Open chromium) {
    String id = page(api);
    assertThat(
            api.edit(
                    id,
                    0,
                    new Edit.AddNode(
                        Site.ID,
                        0,
                        new Look(
                            "look.both",
                            Values.NONE
                                .with(LookSettings.NAME, Values.ALL, "Both")
                                .with(LookSettings.OF, Values.ALL, LookSettings.Of.TABS))),
                    new Edit.SetValue("one", "look", "", "look.both"))
                .status())
        .isEqualTo(200);
    Page first = chromium.page(1280, 800);
    Page second = chromium.page(1280, 800);
    Bench one = Bench.open(first, api, id, "dress", "one");
    Bench other = Bench.open(second, api, id, "dress", "one");
    first.getByLabel("Set for").selectOption("look.both");
    second.getByLabel("Set for").selectOption("look.both");
    one.set("look.both", WEIGHT, "desktop", "710");
    one.saved();
    other.set("look.both", INK, "desktop", "#123456");
    other.saved();
    Look both = api.document(id).site().look("look.both").orElseThrow();
    assertThat(both.values().styles().set())
        .containsOnlyKeys(
            TabsParts.TAB.key(Property.WEIGHT, State.REST),
            TabsParts.TAB.key(Property.INK, State.REST));
  }
}
