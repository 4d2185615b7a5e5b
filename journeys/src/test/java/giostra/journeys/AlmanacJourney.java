package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.BoundingBox;
import giostra.core.anatomy.Anatomy;
import giostra.core.band.Bands;
import giostra.core.look.PartId;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.tabs.Tabs;
import giostra.core.piece.tabs.TabsSettings;
import giostra.core.testing.InTurn;
import giostra.core.value.Length;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A designer has a picture of something that she likes, and dresses tabs until the two agree. The
 * picture is drawn by other means than the compiler: plain HTML and CSS, in almanac.html, as
 * Debian's Chromium shows it.
 */
@ExtendWith({Giostra.class, Chromium.class})
class AlmanacJourney {
  private static final List<String> SEASONS = List.of("Spring", "Summer", "Autumn", "Winter");

  /** What is typed into the sheet, cell by cell, beside what the picture itself is asked for. */
  private static final String[][] TYPED = {
    {"tabs.heading/rest/padding-above", "19"},
    {"tabs.heading/rest/padding-below", "19"},
    {"tabs.heading/rest/padding-sides", "22"},
    {"tabs.heading/rest/gap", "14"},
    {"tabs.heading/rest/weight", "620"},
    {"tabs.heading/rest/text-size", "18px"},
    {"tabs.heading/rest/ink", "ink / 75%"},
    {"tabs.heading/rest/corners", "0"},
    {"tabs.heading/current/ink", "#fdf3da"},
    {"panel.heading-icon/rest/size", "26px"},
    {"tabs.divider/rest/size", "2px"},
    {"tabs.divider/rest/border-style", "dotted"},
    {"tabs.divider/rest/ground", "#b8a67c"},
    {"tabs.panel/rest/edge", "2 2 2 0"},
    {"tabs.panel/rest/edge-ink", "#2e2a45"},
    {"tabs.panel/rest/corners", "0 28 28 0"},
    {"tabs.panel/rest/padding-above", "48"},
    {"tabs.panel/rest/padding-sides", "42"},
    {"tabs.panel/rest/padding-below", "46"},
    {"page.subheading/rest/text-size", "22px"},
    {"page.subheading/rest/leading", "1.4"},
    {"page.button/rest/ground", "#2e2a45"},
    {"page.button/rest/ink", "#fdf3da"},
    {"page.button/rest/corners", "5"},
    {"page.button/rest/padding-above", "11"},
    {"page.button/rest/padding-below", "11"},
    {"page.button/rest/padding-sides", "22"},
  };

  /** The picture's own page, with a font that the published page has too. */
  private static String drawn(Page page, Api api, String live) throws IOException {
    try (InputStream in = AlmanacJourney.class.getResourceAsStream("almanac.html")) {
      String html = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      page.navigate(live);
      Object font =
          page.evaluate(
              """
              () => [...document.styleSheets].flatMap((s) => [...s.cssRules])
                .filter((r) => r instanceof CSSFontFaceRule && /Source Sans/.test(r.cssText)
                  && /U\\+0-FF|U\\+0{1,4}-0{0,2}FF/i.test(r.cssText))
                .map((r) => new URL(/url\\("?([^")]+)/.exec(r.cssText)[1], r.parentStyleSheet.href).href)[0]
              """);
      assertThat(font).as("a face of basic Latin").isNotNull();
      return html.replace("SOURCE-SANS", font.toString());
    }
  }

  private static byte[] reference(Chromium.Open chromium, Api api, String live) throws IOException {
    Page page = chromium.page(1120, 600);
    String html = drawn(page, api, live);
    page.route(
        "**/almanac.html",
        route ->
            route.fulfill(
                new Route.FulfillOptions()
                    .setContentType("text/html; charset=utf-8")
                    .setBody(html)));
    page.navigate(live + "almanac.html");
    page.waitForFunction("() => document.fonts.ready.then(() => document.fonts.check('18px Ref'))");
    return page.locator(".year").screenshot();
  }

  private static Document document(String html) {
    var icons = new ArrayList<String>();
    Matcher paths = Pattern.compile(" d=\"([^\"]+)\"").matcher(html);
    for (MatchResult path : paths.results().toList()) {
      icons.add(
          "<svg viewBox=\"0 0 24 24\" fill=\"none\" stroke=\"currentColor\" stroke-width=\"2\""
              + " stroke-linecap=\"round\" stroke-linejoin=\"round\"><path d=\""
              + path.group(1)
              + "\"/></svg>");
    }
    var items = new ArrayList<Item>();
    for (int i = 0; i < SEASONS.size(); i++) {
      String season = SEASONS.get(i);
      boolean summer = i == 1;
      items.add(
          new Item(
              season.toLowerCase(java.util.Locale.ROOT),
              Values.NONE
                  .with(ItemSettings.HEADING, Values.ALL, season)
                  .with(ItemSettings.ICON, Values.ALL, ItemSettings.ICON.read(icons.get(i)))
                  .with(ItemSettings.OPEN, Values.ALL, summer)
                  .with(ItemSettings.KICKER, Values.ALL, summer ? "June to August" : "A season")
                  .with(
                      ItemSettings.SUBHEADING,
                      Values.ALL,
                      summer ? "Long evenings under glass" : "Under glass")
                  .with(
                      ItemSettings.TEXT,
                      Values.ALL,
                      summer
                          ? "<p>The doors stay open until the last light has left the roof. Bring a"
                              + " chair, or take one of ours; the moths come to whoever sits still"
                              + " the longest, and the soup is on from nine.</p>"
                          : "<p>The benches fill from the back.</p>")
                  .with(
                      ItemSettings.BUTTON,
                      Values.ALL,
                      "See the " + season.toLowerCase(java.util.Locale.ROOT))
                  .with(ItemSettings.BUTTON_LINK.address(), Values.ALL, "#there")));
    }
    Values tabs =
        Values.NONE
            .with(TabsSettings.FORM, "desktop", TabsSettings.Form.TABS)
            .with(TabsSettings.FORM, "phone", TabsSettings.Form.ACCORDION)
            .with(TabsSettings.HEADS_SIDE, "desktop", TabsSettings.HeadsSide.START)
            .with(TabsSettings.HEADS_SIDE, "tablet", TabsSettings.HeadsSide.ABOVE)
            .with(TabsSettings.HEADS_ROW, "tablet", TabsSettings.HeadsRow.GRID)
            .with(TabsSettings.COLUMNS, "tablet", 2)
            .with(TabsSettings.HEADS_DISTANCE, "desktop", Length.px(0))
            .with(TabsSettings.HEADS_GAP, "desktop", Length.px(2))
            .with(TabsSettings.DIVIDERS, "desktop", true)
            .with(TabsSettings.DIVIDER_INSET, "desktop", Length.px(0))
            .with(TabsSettings.MARK, Values.ALL, TabsSettings.Mark.NONE);
    List<Section> sections =
        List.of(
            new Section("section", Values.NONE, List.of(new Tabs("year", tabs, items))),
            new Section("other", Values.NONE, List.of(new Tabs("second", tabs, again(items)))));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page("page", Values.NONE, sections));
  }

  private static List<Item> again(List<Item> items) {
    return items.stream()
        .map(item ->
            new Item("second-" + item.id(), item.values().with(ItemSettings.ICON, Values.ALL, "")))
        .toList();
  }

  @InTurn(7)
  @Test
  void tabsAreDressedUntilTheyAgreeWithAPicture(Api api, Chromium.Open chromium, Page page)
      throws IOException {
    String plain;
    try (InputStream in = AlmanacJourney.class.getResourceAsStream("almanac.html")) {
      plain = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    String id = api.newPage(document(plain));
    byte[] liked = reference(chromium, api, api.publish(id));
    Bench bench = Bench.open(page, api, id, "dress", "year");
    Frame stage = bench.stage();

    // The picture is laid over the stage, where the tabs are.
    TracePanel trace = TracePanel.open(bench, "liked.png", liked);
    BoundingBox piece = place(chromium, api, id);
    // It is as wide as it is, and lies where the chosen piece does.
    PlaywrightAssertions.assertThat(trace.px("wide")).hasValue("1120");
    PlaywrightAssertions.assertThat(trace.px("top")).hasValue(String.valueOf(Math.round(piece.y)));
    trace.set("left", Math.round(piece.x));
    double[] first = trace.compared();

    // A press on a name chooses its part; its states stand side by side.
    stage.locator("[data-of=summer] .g-head-words").click();
    PlaywrightAssertions.assertThat(page.locator(".bead[aria-checked=true]"))
        .containsText("Heading");
    // The dark colour of the current one is taken out of the picture.
    page.getByLabel("A press").selectOption("colour");
    stage.waitForSelector(
        "[data-traced=colour]",
        new Frame.WaitForSelectorOptions()
            .setState(com.microsoft.playwright.options.WaitForSelectorState.ATTACHED));
    bench.cell("year", "tabs.heading/current/ground", "desktop").focus();
    // In the picture the second of four rows of 66 px is dark.
    BoundingBox on = stage.locator("#g-year").boundingBox();
    double scale = on.width / piece.width;
    page.mouse().click(on.x + 228 * scale, on.y + 100 * scale);
    PlaywrightAssertions.assertThat(trace.told()).containsText("#2e2a45 put into heading, ground");
    page.getByLabel("A press").selectOption("page");

    // The rest is typed, part after part.
    String part = "";
    for (String[] each : TYPED) {
      String of = each[0].substring(0, each[0].indexOf('/'));
      if (!of.equals(part)) {
        bench.bead(Anatomy.part(new PartId(of)).label()).click();
        part = of;
      }
      bench.set("year", each[0], "desktop", each[1]);
    }
    double[] last = trace.compared();
    System.out.printf(
        "measured: alike with a picture of plain HTML and CSS: drawn %.1f %%, before %.1f; ground"
            + " %.1f %%, before %.1f%n",
        last[0], first[0], last[1], first[1]);
    assertThat(last[0]).as("drawn (%%)").isGreaterThanOrEqualTo(97);
    assertThat(last[1]).as("ground (%%)").isGreaterThanOrEqualTo(99);
    assertThat(first[0]).isLessThan(90);
    kept(bench, api, id);
  }

  private static BoundingBox place(Chromium.Open chromium, Api api, String id) {
    Page live = chromium.page(1280, 800);
    live.navigate(api.publish(id));
    live.waitForSelector("#g-year[data-live]");
    return live.locator("#g-year").boundingBox();
  }

  /** For phones other paddings; kept as a look, which the other tabs wear; one departs. */
  private static void kept(Bench bench, Api api, String id) {
    Page page = bench.page();
    bench.button("Close the trace").click();
    bench.bead("Panel").click();
    bench.button("bands").click();
    bench.set("year", "tabs.panel/rest/padding-sides", "phone", "18");
    bench.saved();
    bench.button("Wardrobe").click();
    bench.button("Keep as a look…").click();
    page.getByLabel("Name of the look").fill("Almanac");
    bench.button("Keep it").click();
    page.locator(".hanger").filter(new Locator.FilterOptions().setHasText("Almanac")).waitFor();
    bench.saved();

    bench = Bench.open(page, api, id, "dress", "second");
    Frame stage = bench.stage();
    bench.button("Wardrobe").click();
    page.locator(".hanger")
        .filter(new Locator.FilterOptions().setHasText("Almanac"))
        .locator(".hanger-wear")
        .click();
    bench.saved();
    bench.button("Back to the board").click();
    PlaywrightAssertions.assertThat(page.locator(".wears")).containsText("wears Almanac");
    bench.bead("Heading").click();
    bench.set("second", "tabs.heading/current/ground", "desktop", "#1f4d3d");
    bench.saved();
    PlaywrightAssertions.assertThat(page.locator(".wears")).containsText("departs in 1");
    grounded(stage, "second-summer", "rgb(31, 77, 61)");
    grounded(stage, "summer", "rgb(46, 42, 69)");
  }

  /** Waits for a ground: it is gone over to. */
  private static void grounded(Frame stage, String item, String rgb) {
    stage.waitForFunction(
        "([of, rgb]) => getComputedStyle(document.querySelector(`[data-of=${of}]`)).backgroundColor === rgb",
        List.of(item, rgb));
  }
}
