package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import giostra.core.band.Bands;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.slider.Slider;
import giostra.core.piece.slider.SliderSettings;
import giostra.core.piece.tabs.Tabs;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Where parts stand and what they do under a pointer, as Chromium draws it. */
@ExtendWith({Giostra.class, Chromium.class})
class MovesJourney {
  private static Values said(int n) {
    return Values.NONE
        .with(ItemSettings.HEADING, Values.ALL, "Lamps are lit, evening " + n)
        .with(ItemSettings.KICKER, Values.ALL, "Until frost")
        .with(
            ItemSettings.TEXT,
            Values.ALL,
            "The doors are open from dusk until the last guest has gone, and the paths are lit.")
        .with(ItemSettings.BUTTON, Values.ALL, "Come")
        .with(ItemSettings.BUTTON_LINK.address(), Values.ALL, "#there");
  }

  private static List<Item> items(String of) {
    return IntStream.range(0, 4).mapToObj(n -> new Item(of + n, said(n))).toList();
  }

  private static String page(Api api, String direction) {
    Document document =
        new Document(
            new Site(Bands.INITIAL, Values.NONE),
            new giostra.core.page.Page(
                "page",
                Values.NONE
                    .with(PageSettings.TITLE, Values.ALL, "Moves")
                    .withRaw(
                        PageSettings.DIRECTION.id(),
                        Values.ALL,
                        PageSettings.DIRECTION.kind().read("Direction", direction)),
                List.of(
                    new Section(
                        "s",
                        Values.NONE,
                        List.of(
                            new Slider("slides", Values.NONE, items("slide")),
                            new Carousel("cards", Values.NONE, items("card")),
                            new Tabs("panels", Values.NONE, items("panel")))))));
    return api.newPage(api.newSite("Moves"), document);
  }

  private static Edit style(String node, String key, Object value) {
    return new Edit.SetStyle(node, StyleKey.parse(key), "desktop", value);
  }

  /** Boxes of words within what they stand in: from its start, from its end, width, px. */
  private static final String STANDS =
      """
      (selector) => {
        const it = document.querySelector(selector);
        const around = it.parentElement;
        const its = it.getBoundingClientRect();
        const box = around.getBoundingClientRect();
        const pad = getComputedStyle(around);
        const left = its.left - box.left - parseFloat(pad.paddingLeft);
        const right = box.right - its.right - parseFloat(pad.paddingRight);
        const rtl = document.documentElement.dir === 'rtl';
        const own = getComputedStyle(it);
        return [rtl ? right : left, rtl ? left : right, its.width,
          parseFloat(rtl ? own.paddingRight : own.paddingLeft), parseFloat(own.paddingTop)];
      }
      """;

  @Test
  void wordsStandWhereTheyAreToldToAndTakeNoMoreThanTheyMay(Api api, Page page) {
    for (String direction : List.of("ltr", "rtl")) {
      String id = page(api, direction);
      for (String[] at :
          new String[][] {
            {"slides", "page.item-text", ".g-copybox>.g-copy"},
            {"cards", "page.item-text", ".g-card .g-body>.g-copy"},
            {"panels", "page.item-text", ".g-panel .g-inner>.g-copy"}
          }) {
        int revision = api.page(id).path("revision").asInt();
        assertThat(
                api.edit(
                        id,
                        revision,
                        style(at[0], at[1] + "/rest/most-wide", "200px"),
                        style(at[0], at[1] + "/rest/margin", "8px 4px 0 20px"),
                        style(at[0], at[1] + "/rest/place", "end"))
                    .status())
            .isEqualTo(200);
        page.setViewportSize(1280, 900);
        page.navigate(api.publish(id));
        JsonNode end = Js.ask(page, STANDS, at[2]);
        assertThat(end.get(1).asDouble())
            .as("%s at the end, %s", at[0], direction)
            .isCloseTo(0, within(0.6));
        assertThat(end.get(2).asDouble()).isLessThanOrEqualTo(200);
        assertThat(end.get(3).asDouble()).as("kept free where reading begins").isEqualTo(20);
        assertThat(end.get(4).asDouble()).isEqualTo(8);
        api.edit(id, revision + 1, style(at[0], at[1] + "/rest/place", "center"));
        page.navigate(api.publish(id));
        JsonNode middle = Js.ask(page, STANDS, at[2]);
        assertThat(middle.get(0).asDouble())
            .as("%s in the middle", at[0])
            .isCloseTo(middle.get(1).asDouble(), within(0.6));
        assertThat(middle.get(0).asDouble()).isGreaterThan(10);
      }
    }
  }

  /**
   * Boxes within what they stand in, px: from its start, from its end, from above, width, how much
   * of what it stands in is above and below it, corner.
   */
  private static final String KEPT =
      """
      (selector) => {
        const it = document.querySelector(selector);
        const its = it.getBoundingClientRect();
        const around = it.parentElement.getBoundingClientRect();
        const edge = getComputedStyle(it.parentElement);
        const left = its.left - around.left - parseFloat(edge.borderLeftWidth);
        const right = around.right - its.right - parseFloat(edge.borderRightWidth);
        const rtl = document.documentElement.dir === 'rtl';
        return [rtl ? right : left, rtl ? left : right,
          its.top - around.top - parseFloat(edge.borderTopWidth), its.width, its.height,
          parseFloat(getComputedStyle(it).borderTopLeftRadius)];
      }
      """;

  private static double[] kept(Page page, String selector) {
    JsonNode all = Js.ask(page, KEPT, selector);
    return IntStream.range(0, 6).mapToDouble(i -> all.get(i).asDouble()).toArray();
  }

  /** Pictures and the words of cards keep room free and take no more than they may. */
  @InTurn({5, 17})
  @Test
  void picturesAndBoxesKeepRoomAroundThemselves(Api api, Page page) {
    for (String direction : List.of("ltr", "rtl")) {
      List<Item> pictured =
          items("p").stream()
              .map(item ->
                  item.with(item.values().with(ItemSettings.PICTURE, Values.ALL, "lamp-walk")))
              .toList();
      List<Item> opened =
          items("o").stream()
              .map(item ->
                  item.with(item.values().with(ItemSettings.PICTURE, Values.ALL, "lamp-walk")))
              .toList();
      var document =
          new Document(
              new Site(Bands.INITIAL, Values.NONE),
              new giostra.core.page.Page(
                  "page",
                  Values.NONE
                      .with(PageSettings.TITLE, Values.ALL, "Room")
                      .withRaw(
                          PageSettings.DIRECTION.id(),
                          Values.ALL,
                          PageSettings.DIRECTION.kind().read("Direction", direction)),
                  List.of(
                      new Section(
                          "s",
                          Values.NONE,
                          List.of(
                              new Block.Picture(
                                  "pic",
                                  Values.NONE.with(BlockSettings.SOURCE, Values.ALL, "lamp-walk")),
                              new Carousel("cards", Values.NONE, pictured),
                              new Tabs("panels", Values.NONE, opened),
                              new Slider(
                                  "slides",
                                  Values.NONE.with(
                                      SliderSettings.PICTURE_USE,
                                      "desktop",
                                      SliderSettings.PictureUse.BESIDE),
                                  items("s").stream()
                                      .map(item ->
                                          item.with(
                                              item.values()
                                                  .with(
                                                      ItemSettings.PICTURE,
                                                      Values.ALL,
                                                      "lamp-walk")))
                                      .toList()))))));
      String id = api.newPage(api.copyOfDemo(), document);
      page.setViewportSize(1280, 900);
      for (String[] at :
          new String[][] {
            {"pic", "page.picture", ".g-picture>img"},
            {"panels", "panel.picture", ".g-panel-picture>img"},
            {"cards", "carousel.words", ".g-card>.g-body"}
          }) {
        int revision = api.page(id).path("revision").asInt();
        page.navigate(api.publish(id));
        double whole = kept(page, at[2])[3];
        assertThat(
                api.edit(id, revision, style(at[0], at[1] + "/rest/margin", "8px 4px 6px 20px"))
                    .status())
            .isEqualTo(200);
        page.navigate(api.publish(id));
        double[] left = kept(page, at[2]);
        assertThat(left[0]).as("%s, %s", at[1], direction).isCloseTo(20, within(0.1));
        assertThat(left[1]).isCloseTo(4, within(0.1));
        assertThat(left[3]).isCloseTo(whole - 24, within(0.1));
        assertThat(
                api.edit(
                        id,
                        revision + 1,
                        style(at[0], at[1] + "/rest/most-wide", "180px"),
                        style(at[0], at[1] + "/rest/place", "end"))
                    .status())
            .isEqualTo(200);
        page.navigate(api.publish(id));
        double[] end = kept(page, at[2]);
        assertThat(end[1]).as("%s at the end, %s", at[1], direction).isCloseTo(4, within(0.1));
        assertThat(end[3]).isCloseTo(180, within(0.1));
        api.edit(id, revision + 2, style(at[0], at[1] + "/rest/place", "center"));
        page.navigate(api.publish(id));
        double[] middle = kept(page, at[2]);
        assertThat(middle[0] - 20).isCloseTo(middle[1] - 4, within(0.6));
      }
      int revision = api.page(id).path("revision").asInt();
      assertThat(
              api.edit(
                      id,
                      revision,
                      style("cards", "carousel.shot/rest/margin", "10px 12px 0"),
                      style("cards", "carousel.shot/rest/corners", "9px"),
                      style("panels", "tabs.panel/rest/least-high", "900px"),
                      style("panels", "tabs.heading/rest/least-high", "71px"))
                  .status())
          .isEqualTo(200);
      page.navigate(api.publish(id));
      double[] inset = kept(page, ".g-card>.g-shot");
      assertThat(inset[0]).isCloseTo(12, within(0.1));
      assertThat(inset[1]).isCloseTo(12, within(0.1));
      assertThat(inset[2]).isCloseTo(10, within(0.1));
      assertThat(inset[5]).isEqualTo(9);
      assertThat(kept(page, ".g-slide>.g-shot")[5]).as("of slides nothing was said").isZero();
      assertThat(kept(page, ".g-tab>.g-panel")[4]).isCloseTo(900, within(0.1));
      assertThat(kept(page, ".g-heads>.g-head")[4]).isCloseTo(71, within(0.1));
      api.edit(
          id,
          revision + 1,
          new Edit.SetValue("cards", "pictureShape", "desktop", "round"),
          new Edit.SetValue("cards", "pictureWidth", "desktop", "100%"));
      page.navigate(api.publish(id));
      double[] round = kept(page, ".g-card>.g-shot");
      assertThat(round[5]).as("a round picture has no corners").isEqualTo(50);
      assertThat(round[0]).isCloseTo(12, within(0.1));
      assertThat(round[1]).isCloseTo(12, within(0.1));
    }
  }

  /** A card that grows stands over the next, turned, leant and after a while; but not for all. */
  @Test
  void whatIsUnderThePointerStandsOverItsNeighbour(Api api, Chromium.Open chromium) {
    String id = page(api, "ltr");
    assertThat(
            api.edit(
                    id,
                    0,
                    style("cards", "carousel.card/hover/grows", 1.5),
                    style("cards", "carousel.card/hover/layer", 3),
                    style("cards", "carousel.card/hover/turns", 5),
                    style("cards", "carousel.card/hover/tilts", "10deg -8deg"),
                    style("cards", "carousel.card/rest/takes", "0.2s"),
                    style("cards", "carousel.card/rest/waits", "0.3s"),
                    style("cards", "carousel.card/rest/pace", "spring(0.4)"),
                    style("cards", "carousel.card/rest/least-high", "420px"))
                .status())
        .isEqualTo(200);
    String address = api.publish(id);
    Page page = chromium.page(new Browser.NewContextOptions().setViewportSize(1280, 1400), false);
    page.navigate(address);
    Locator card = page.locator("[data-item=card1] .g-card").first();
    assertThat(card.boundingBox().height).isGreaterThanOrEqualTo(420);
    card.hover();
    page.waitForFunction(
        "() => getComputedStyle(document.querySelector('[data-item=card1] .g-card')).scale === '1.5'"
            + " && document.getAnimations().length === 0");
    JsonNode worn =
        Js.ask(
            page,
            """
            () => {
              const card = document.querySelector('[data-item=card1] .g-card');
              const own = getComputedStyle(card);
              const next = document.querySelector('[data-item=card2] .g-card').getBoundingClientRect();
              const top = document.elementFromPoint(next.left + 6, next.top + next.height / 2);
              return [own.rotate, own.transform.startsWith('matrix3d'), own.transitionDelay,
                own.transitionTimingFunction.startsWith('linear('), card.contains(top)];
            }
            """,
            null);
    assertThat(worn.toString()).isEqualTo("[\"5deg\",true,\"0.3s\",true,true]");

    Page still = chromium.calm(1280, 1400);
    still.navigate(address);
    still.locator("[data-item=card1] .g-card").first().hover();
    assertThat(
            Js.ask(
                    still,
                    """
                    () => {
                      const own = getComputedStyle(document.querySelector('[data-item=card1] .g-card'));
                      return [own.transitionDuration, own.transitionDelay, own.scale];
                    }
                    """,
                    null)
                .toString())
        .as("at once, for whoever wants less motion")
        .isEqualTo("[\"0s\",\"0s\",\"1.5\"]");
  }

  /** By keyboard alone: a move is tried on the stage, set, bent on its curve, and taken back. */
  @InTurn(7)
  @Test
  void aReadyMoveIsTriedAndTaken(Api api, Page page) {
    String id = page(api, "ltr");
    Bench bench = Bench.open(page, api, id, "dress", "cards");
    bench.bead("Button").click();
    Frame stage = bench.stage();
    String scale =
        "(scale) => [...document.querySelectorAll('[data-piece=cards] .g-button')]"
            + ".some((each) => getComputedStyle(each).scale === scale)";
    Locator open = page.getByText("Ready moves");
    open.focus();
    page.keyboard().press("Enter");
    assertThat(Axe.within(page, "dialog[open] .modal-box")).isEmpty();
    page.locator(".moves button", new Page.LocatorOptions().setHasText("Swells")).focus();
    stage.waitForFunction(scale, "1.05");
    assertThat(api.page(id).path("revision").asInt()).isZero();
    page.keyboard().press("Escape");
    stage.waitForFunction("(scale) => !(" + scale + ")(scale)", "1.05");
    open.focus();
    page.keyboard().press("Enter");
    page.locator(".moves button", new Page.LocatorOptions().setHasText("Swells")).focus();
    page.keyboard().press("Enter");
    bench.saved();
    PlaywrightAssertions.assertThat(bench.cell("cards", "page.button/hover/grows", "desktop"))
        .containsText("1.05");
    // Another takes its place, not half of it.
    open.focus();
    page.keyboard().press("Enter");
    page.locator(".moves button", new Page.LocatorOptions().setHasText("Perks up")).focus();
    page.keyboard().press("Enter");
    bench.saved();
    PlaywrightAssertions.assertThat(bench.cell("cards", "page.button/hover/grows", "desktop"))
        .not()
        .containsText("1.05");
    PlaywrightAssertions.assertThat(bench.cell("cards", "page.button/hover/moves", "desktop"))
        .containsText("0px -6px");
    // Its pace is bent by eye.
    bench.cell("cards", "page.button/rest/pace", "desktop").focus();
    page.keyboard().press("Space");
    assertThat(Axe.within(page, "dialog[open] .modal-box")).isEmpty();
    page.getByLabel("past the end and back").press("Space");
    page.getByText("Set", new Page.GetByTextOptions().setExact(true)).click();
    bench.saved();
    PlaywrightAssertions.assertThat(bench.cell("cards", "page.button/rest/pace", "desktop"))
        .containsText("cubic-bezier(0.3,1.4,0.6,1)");
  }
}
