package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import giostra.core.anatomy.Anatomy;
import giostra.core.band.Bands;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.ClipSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.NodeType;
import giostra.core.page.Renamed;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.video.Video;
import giostra.core.piece.video.VideoParts;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.Ground;
import giostra.core.value.Refused;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The parts of players: each property of each part in each state, typed into the sheet, published,
 * and read off the live page while the browser holds the part in that state.
 */
@ExtendWith({Giostra.class, Chromium.class})
class PartsJourney {
  private static Document document() {
    return document(Map.of());
  }

  /** Two players that are alike, but for what the first sets for desktops. */
  private static Document document(Map<String, String> departures) {
    Values own = Values.NONE;
    for (var each : departures.entrySet()) {
      StyleKey key = StyleKey.parse(each.getKey());
      own = own.withStyle(key, "desktop", NodeType.VIDEO.style(key).read(each.getValue()));
    }
    Values film = own;
    Values item =
        Values.NONE
            .with(ClipSettings.CLIP, Values.ALL, "bloom")
            .with(ItemSettings.PICTURE, Values.ALL, "bloom-open")
            .with(ItemSettings.HEADING, Values.ALL, "A bloom");
    List<Section> sections =
        List.of("film", "other").stream()
            .map(id ->
                new Section(
                    "s-" + id,
                    Values.NONE,
                    List.of(
                        new Video(
                            id,
                            id.equals("film") ? film : Values.NONE,
                            List.of(new Item(id + "-1", item))))))
            .toList();
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page("page", Values.NONE, sections));
  }

  /** What is typed, and what of it the browser has to say. */
  private record Typed(String value, String variable, String css) {}

  /** A value of a property, another one for another number. */
  private static Typed typed(StyleKey key, int n) {
    String hex = "#%02x%02x%02x".formatted(20 + n * 3 % 200, 40 + n * 7 % 200, 60 + n * 11 % 190);
    int size =
        switch (key.part().id()) {
          case "video.start-button" -> 60 + n % 40;
          case "video.bar" -> 60 + n % 30;
          case "video.bar-button" -> 26 + n % 20;
          case "video.track" -> 3 + n % 20;
          default -> 11 + n % 12;
        };
    return switch (key.property().id()) {
      case "size" -> new Typed(size + "px", "--p-size", size + "px");
      case "padding" -> new Typed("" + (1 + n % 9), "--p-pad", (1 + n % 9) + "px");
      case "corners" -> new Typed(1 + n % 19 + "%", "--p-round", 1 + n % 19 + "%");
      case "ink" -> new Typed(hex, "--p-ink", hex);
      case "ground" ->
          n % 2 == 0
              ? new Typed(
                  "linear-gradient(90deg, " + hex + ", #fff)",
                  "--p-ground",
                  "linear-gradient(90deg," + hex + " 0%,#ffffff 100%)")
              : new Typed(hex + "cc", "--p-ground", hex + "cc");
      case "picture" -> new Typed("lamp-walk.jpg", "--p-picture", "url(\"media/");
      case "border" -> new Typed(1 + n % 7 + "px", "--p-border", 1 + n % 7 + "px");
      case "border-ink" -> new Typed(hex, "--p-line", hex);
      case "nudge" -> new Typed("0." + n % 9 + " -1.3", "--p-nudge", "0." + n % 9 + "px -1.3px");
      default -> throw new IllegalStateException(key.written());
    };
  }

  /** States share values: one that is set to what rest has holds against one that is weaker. */
  private static int shared(Part part, StyleKey key) {
    int state = part.states().indexOf(key.state());
    return VideoParts.PLAYER.indexOf(part) * 13
        + part.properties().indexOf(key.property()) * 5
        + state % 2;
  }

  static List<String> owners() {
    return Runs.inTurn(List.of("film", "site"));
  }

  @InTurn({2, 14})
  @ParameterizedTest
  @MethodSource("owners")
  void everyPropertyInEveryStateIsSetInTheSheetAndShows(String node, Api api, Page page) {
    String id = page(api, Map.of());
    String picture =
        api.get("/api/sites/" + api.page(id).path("siteId").asString() + "/media")
            .json()
            .valueStream()
            .filter(each -> each.path("name").asString().equals("lamp-walk.jpg"))
            .findFirst()
            .orElseThrow()
            .path("id")
            .asString();
    page.route("**/preview/**", Route::abort);
    var asked = new LinkedHashMap<String, Typed>();
    var typed = new ArrayList<StyleKey>();
    var bulk = new ArrayList<Edit>();
    for (Part part : VideoParts.PLAYER) {
      for (StyleKey each : part.keys()) {
        Typed value = typed(each, shared(part, each));
        asked.put(each.written(), value);
        // One of each state goes through the screen, another property each time.
        int turn = (VideoParts.PLAYER.indexOf(part) + part.states().indexOf(each.state())) % 3;
        if (part.properties().indexOf(each.property()) == turn) {
          typed.add(each);
        } else {
          bulk.add(
              new Edit.SetStyle(
                  node,
                  each,
                  "desktop",
                  each.property() == Property.PICTURE ? picture : value.value()));
        }
      }
    }
    assertThat(api.edit(id, 0, bulk.toArray(Edit[]::new)).status()).isEqualTo(200);
    Bench bench = Bench.open(page, api, id, "dress", node);
    if (node.equals("site")) {
      page.getByLabel("Parts of what").selectOption("video");
    }
    for (StyleKey each : typed) {
      Part part = Anatomy.part(each.part());
      bench.bead(part.label()).click();
      type(bench, node, each, Objects.requireNonNull(asked.get(each.written())));
    }
    assertThat(typed).hasSizeGreaterThan(12);
    bench.saved();
    assertThat(asked).hasSizeGreaterThan(100);
    bench.publish();
    page.unroute("**/preview/**");
    String release =
        api.get("/api/pages/" + id + "/releases").json().get(0).path("address").asString();
    page.navigate(api.at(release));
    page.waitForSelector("[data-piece=other][data-live]");
    // The look of the site is worn by all of its players, a departure by one.
    page.locator("#g-" + (node.equals("site") ? "other" : "film") + " .g-start")
        .scrollIntoViewIfNeeded();
    var wrong = new ArrayList<String>();
    for (Part part : VideoParts.PLAYER) {
      for (State state : part.states()) {
        check(page, node.equals("site") ? "other" : "film", part, state, asked, wrong);
      }
    }
    assertThat(wrong).isEmpty();
    if (!node.equals("site")) {
      assertThat(variable(page, "#g-other .g-time", "--p-size")).isEqualTo("14px");
    }
  }

  /** A page on a site of its own, whose players wear what is there initially. */
  private static String page(Api api, Map<String, String> departures) {
    String site = api.newSite("Parts " + System.nanoTime());
    for (String file : List.of("bloom-open.jpg", "lamp-walk.jpg", "bloom.webm")) {
      String known = file.equals("bloom.webm") ? "bloom-webm" : file.replaceAll("\\..*", "");
      api.upload(site, file, api.get("/api/sites/velluta/media/" + known + "/file").bytes());
    }
    var ids = new LinkedHashMap<String, String>();
    for (var each : api.get("/api/sites/" + site + "/media").json()) {
      String name = each.path("name").asString();
      ids.put(name.replaceAll("\\..*", ""), each.path("id").asString());
    }
    // Media of a new site may have other ids.
    return api.newPage(site, Renamed.of(document(departures), ids));
  }

  private static void type(Bench bench, String node, StyleKey each, Typed value) {
    if (each.property() == Property.PICTURE) {
      bench.cell(node, each.written(), "desktop").click();
      bench.pick(value.value());
    } else {
      bench.set(node, each.written(), "desktop", value.value());
    }
  }

  private static String selector(String id, Part part) {
    return "#g-"
        + id
        + switch (part.id().id()) {
          case "video.start-button" -> " .g-start-sign";
          case "video.bar" -> " .g-controls";
          case "video.bar-button" -> " .g-mute";
          case "video.track" -> " .g-scrub > input";
          default -> " .g-time";
        };
  }

  private static String variable(Page page, String selector, String name) {
    return String.valueOf(
        page.evaluate(
            "([s, n]) => getComputedStyle(document.querySelector(s)).getPropertyValue(n).trim()",
            List.of(selector, name)));
  }

  /** Brings a part into a state as a visitor does, and reads what the browser then has. */
  private static void check(
      Page page, String id, Part part, State state, Map<String, Typed> asked, List<String> wrong) {
    String selector = selector(id, part);
    if (part != VideoParts.START_BUTTON && page.locator("#g-" + id + " .g-controls").isHidden()) {
      page.locator("#g-" + id + " .g-start").click();
      page.waitForFunction("s => !document.querySelector(s).paused", "#g-" + id + " video");
      page.evaluate("s => document.querySelector(s).pause()", "#g-" + id + " video");
    }
    Locator held =
        page.locator(part == VideoParts.START_BUTTON ? "#g-" + id + " .g-start" : selector);
    page.mouse().move(2, 2);
    page.evaluate("document.activeElement?.blur()");
    switch (state) {
      case REST, DISABLED -> {}
      case HOVER -> held.hover();
      case PRESSED -> {
        held.hover();
        page.mouse().down();
      }
      case FOCUS -> {
        page.keyboard().press("Tab");
        held.focus();
      }
      case CURRENT -> {
        held.click();
        page.mouse().move(2, 2);
        page.evaluate("document.activeElement?.blur()");
        PlaywrightAssertions.assertThat(held).hasAttribute("data-pressed", "");
      }
    }
    for (StyleKey each : part.keys()) {
      if (each.state() == state) {
        Typed typed = Objects.requireNonNull(asked.get(each.written()));
        String found = normal(variable(page, selector, typed.variable()));
        if (!found.startsWith(normal(typed.css()))) {
          wrong.add(each.written() + ": " + found + ", not " + typed.css());
        }
      }
    }
    if (state == State.PRESSED) {
      // Let go elsewhere: what is pressed does nothing.
      page.mouse().move(2, 2);
      page.mouse().up();
    }
    if (state == State.CURRENT) {
      held.click();
    }
  }

  /** What the variables do: boxes, colours and lines as the browser computes them. */
  @Test
  void partsAreDrawnAsTheirPropertiesSay(Api api, Page page) {
    String id =
        page(
            api,
            Map.ofEntries(
                Map.entry("video.start-button/rest/size", "90px"),
                Map.entry("video.start-button/rest/padding", "15px"),
                Map.entry("video.start-button/rest/corners", "12px"),
                Map.entry("video.start-button/rest/border", "5px"),
                Map.entry("video.start-button/rest/border-ink", "#112233"),
                Map.entry("video.start-button/rest/ink", "#445566"),
                Map.entry("video.start-button/rest/nudge", "2.5 -0.4"),
                Map.entry("video.start-button/rest/ground", "#778899"),
                Map.entry("video.bar/rest/size", "80px"),
                Map.entry("video.bar-button/rest/size", "50px"),
                Map.entry("video.time/rest/size", "20px"),
                Map.entry("video.time/rest/ink", "#abcdef")));
    page.navigate(api.publish(id));
    page.waitForSelector("[data-piece=film][data-live]");
    Locator sign = page.locator("#g-film .g-start-sign");
    assertThat(sign.boundingBox().width).isEqualTo(90);
    assertThat(
            sign.evaluate(
                "e => { const s = getComputedStyle(e), i = e.firstElementChild; return [s.borderTopWidth, s.borderTopColor, s.borderRadius, s.color, s.backgroundColor, getComputedStyle(i).translate, i.getBoundingClientRect().width].join() }"))
        .isEqualTo("5px,rgb(17, 34, 51),12px,rgb(68, 85, 102),rgb(119, 136, 153),2.5px -0.4px,50");
    page.locator("#g-film .g-start").click();
    page.waitForSelector("#g-film .g-controls:not([hidden])");
    assertThat(page.locator("#g-film .g-controls").boundingBox().height).isEqualTo(80);
    assertThat(page.locator("#g-film .g-play").boundingBox().width).isEqualTo(50);
    assertThat(
            page.locator("#g-film .g-time")
                .evaluate("e => getComputedStyle(e).fontSize + getComputedStyle(e).color"))
        .isEqualTo("20pxrgb(171, 205, 239)");
    // Phones have the lead value too; the other piece keeps what it has initially.
    assertThat(variable(page, "#g-other .g-start-sign", "--p-size")).isEqualTo("76px");
    page.setViewportSize(390, 800);
    assertThat(variable(page, "#g-film .g-start-sign", "--p-size")).isEqualTo("90px");
  }

  /** The fixed sheet and the catalogue name the same initial values. */
  @Test
  void theSheetHasTheInitialValuesOfTheCatalogue(Api api, Page page) {
    page.navigate(api.publish(page(api, Map.of())));
    page.waitForSelector("[data-piece=film][data-live]");
    var asked = new LinkedHashMap<String, Typed>();
    for (Part part : VideoParts.PLAYER) {
      for (StyleKey each : part.keys()) {
        asked.put(each.written(), new Typed("", typed(each, 0).variable(), initial(part, each)));
      }
    }
    var wrong = new ArrayList<String>();
    for (Part part : VideoParts.PLAYER) {
      for (State state : part.states()) {
        check(page, "film", part, state, asked, wrong);
      }
    }
    assertThat(wrong).isEmpty();
  }

  private static String initial(Part part, StyleKey key) {
    Object value =
        Cascade.value(
            part,
            key.property(),
            key.state(),
            new Scope(Bands.INITIAL, List.of()),
            Bands.INITIAL.lead());
    String css = String.valueOf(part.setting(key.property()).write(value));
    return css.isEmpty() ? "none" : css;
  }

  /** One way of writing for what can be written in several. */
  private static String normal(String css) {
    if (css.equals("0")) {
      return "0px";
    }
    try {
      return Ground.parse(css).written();
    } catch (Refused e) {
      return css;
    }
  }

  @InTurn(10)
  @Test
  void aDepartureIsGivenToAllPlayersAndUndone(Api api, Page page) {
    String id = api.newPage(document());
    Bench bench = Bench.open(page, api, id, "dress", "film");
    bench.bead("Start button").click();
    Locator cell = bench.cell("film", "video.start-button/rest/ground", "desktop");
    cell.locator(".swatch-button").click();
    Locator dialog = page.locator("dialog[open]");
    dialog.getByText("Along a line").click();
    dialog.getByLabel("Colour 1", new Locator.GetByLabelOptions().setExact(true)).fill("#aa3311");
    dialog.getByText("Set", new Locator.GetByTextOptions().setExact(true)).click();
    bench.saved();
    PlaywrightAssertions.assertThat(cell)
        .containsText("linear-gradient(180deg,#aa3311d1 0%,#11201d00 100%)");
    PlaywrightAssertions.assertThat(cell.locator(".origin-here")).isVisible();
    PlaywrightAssertions.assertThat(page.locator(".wears")).containsText("departs in 1");
    bench.button("give it to the site").click();
    bench.saved();
    PlaywrightAssertions.assertThat(cell.locator(".origin-site")).isVisible();
    Document shared = api.document(id);
    assertThat(shared.site().values().styles().set())
        .containsOnlyKeys(StyleKey.parse("video.start-button/rest/ground"));
    assertThat(shared.node("film").values()).isEqualTo(Values.NONE);
    // What is no colour is refused beside the cell, and stays as it was typed.
    bench.set("film", "video.start-button/rest/ink", "desktop", "reddish");
    bench.cell("film", "video.start-button/rest/ink", "desktop").focus();
    PlaywrightAssertions.assertThat(page.locator(".foot"))
        .containsText("Start button, colour is reddish; it must be a colour such as #1c2b27");
    page.keyboard().press("Escape");
    bench.button("Undo").click();
    bench.saved();
    assertThat(api.document(id).node("film").values()).isNotEqualTo(Values.NONE);
    bench.button("wear it again").click();
    bench.saved();
    assertThat(api.document(id).node("film").values()).isEqualTo(Values.NONE);
  }
}
