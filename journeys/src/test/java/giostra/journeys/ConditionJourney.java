package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Clock;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import giostra.core.look.Values;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.TrackSettings;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.slider.Slider;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.zone.ZoneOffsetTransition;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/**
 * Items that show at some addresses only, on tracks: the others stand as if these were not there.
 */
@ExtendWith({Giostra.class, Chromium.class})
class ConditionJourney {
  /** Items that are for some addresses only close up where they hide: no hole, no stop too many. */
  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest
  @ValueSource(ints = {1280, 800, 390})
  void itemsThatConditionsHideCloseUp(int width, Api api, Chromium.Open chromium) {
    Document document = api.document(Api.DEMO);
    Piece words = document.piece("words");
    String second = words.items().get(1).id();
    Document conditional =
        Edits.apply(
                document,
                List.of(
                    new Edit.SetValue(
                        second, ConditionSettings.SHOW_QUERY.id(), Values.ALL, "season=frost")))
            .document();
    Document without = Edits.apply(document, List.of(new Edit.RemoveNode(second))).document();
    String some = published(api, conditional);
    String fewer = published(api, without);
    // Without motion a move is there at once.
    Page page = chromium.calm(width, 800);
    assertThat(track(page, some)).as("as if it were not there").isEqualTo(track(page, fewer));
    String all = published(api, document);
    assertThat(track(page, some + "?season=frost")).as("all of them").isEqualTo(track(page, all));
  }

  private static final Map<Document, String> PUBLISHED = new HashMap<>();

  /** Each is published once, however many widths it is looked at. */
  private static String published(Api api, Document document) {
    return PUBLISHED.computeIfAbsent(document, each -> api.publish(api.newPage("velluta", each)));
  }

  /** Where the items of a track stand at each stop, by key, and how many marks it has. */
  private static JsonNode track(Page page, String address) {
    page.navigate(address);
    page.waitForSelector("[data-piece=words][data-live]");
    return Js.ask(
        page,
        """
        async () => {
          const root = document.querySelector('[data-piece=words]');
          const state = () => [...root.querySelectorAll('.g-item')].filter((e) => e.checkVisibility())
              .map((e) => [e.dataset.item, Math.round(e.getBoundingClientRect().left * 4) / 4, e.inert]);
          const all = [state()];
          const shown = [...root.querySelectorAll('.g-dot')].filter((e) => e.checkVisibility());
          for (let i = 0; i < shown.length + 1; i++) {
            root.giostra.next();
            await new Promise((r) => setTimeout(r, 60));
            all.push(state());
          }
          return { all, dots: shown.length, items: root.giostra.items,
            arrows: [...root.querySelectorAll('.g-arrow')].filter((e) => e.checkVisibility()).length };
        }
        """,
        null);
  }

  @Test
  void marksThatNameItemsGoWithThem(Api api, Chromium.Open chromium) {
    var items = new ArrayList<Item>();
    for (String name : List.of("Autumn", "Frost", "Orchids")) {
      Values values = Values.NONE.with(ItemSettings.HEADING, Values.ALL, name);
      if (!name.equals("Orchids")) {
        values =
            values.with(ConditionSettings.SHOW_QUERY, Values.ALL, name.toLowerCase(Locale.ROOT));
      }
      items.add(new Item("slide-" + items.size(), values));
    }
    Values values = Values.NONE.with(TrackSettings.MARKS, "desktop", TrackSettings.Marks.NAMES);
    var slider = new Slider("openings", values, items);
    Document any = api.document(Api.DEMO);
    String address =
        api.publish(
            api.newPage(
                new Document(
                    any.site(),
                    new giostra.core.page.Page(
                        "page",
                        any.page().values(),
                        List.of(new Section("one", Values.NONE, List.of(slider)))))));
    Page page = chromium.page(1280, 800);
    page.navigate(address + "?frost");
    page.waitForSelector("[data-live]");
    assertThat(page.locator(".g-dot:visible").allInnerTexts()).containsExactly("Frost", "Orchids");
    page.locator(".g-dot:visible").nth(1).click();
    page.waitForTimeout(700);
    assertThat(page.evaluate("() => document.querySelector('[data-piece]').giostra.current"))
        .isEqualTo("slide-2");
    page.navigate(address);
    page.waitForSelector("[data-live]");
    assertThat(page.locator(".g-arrow:visible, .g-dot:visible").count())
        .as("one is left: nothing moves")
        .isZero();
    assertThat(page.getByText("Orchids").first().isVisible()).isTrue();
  }

  private static String drawnSeason(Random random, List<Edit> edits, String item) {
    var said = new StringBuilder(item);
    var values = new LinkedHashMap<String, Object>();
    LocalDate day = LocalDate.of(2026, 1, 1).plusDays(random.nextInt(1400));
    if (random.nextInt(3) > 0) {
      values.put("seasonBegins", random.nextBoolean() ? day.toString() : day + "T07:45");
    }
    if (random.nextInt(3) > 0) {
      values.put("seasonEnds", day.plusDays(1 + random.nextInt(300)).toString());
      values.put("seasonYearly", random.nextBoolean());
    }
    if (random.nextInt(3) == 0) {
      values.put("seasonMonths", "march october " + (random.nextBoolean() ? "november" : "april"));
    }
    if (random.nextInt(2) == 0) {
      values.put("seasonDays", random.nextBoolean() ? "sunday" : "monday friday saturday");
    }
    if (random.nextInt(3) > 0) {
      // Those that clocks skip and show twice among them.
      values.put(
          "seasonHours",
          List.of("18:00-23:30", "22:00-02:30", "01:30-02:15", "02:30-24:00", "00:15-00:15")
              .get(random.nextInt(5)));
    }
    values.forEach((setting, value) -> {
      edits.add(new Edit.SetValue(item, setting, "", value));
      said.append(' ').append(setting).append('=').append(value);
    });
    return said.toString();
  }

  static List<String> zones() {
    List<String> all =
        List.of("Europe/Lisbon", "America/New_York", "Australia/Lord_Howe", "Asia/Kathmandu");
    return Runs.deep() ? all : Runs.inTurn(all.subList(0, 3));
  }

  /**
   * At random moments, many of them on days on which clocks are changed, the page shows what the
   * engine says. Source: java.time and the IANA database on one side, Intl in the browser on the
   * other.
   */
  @InTurn({1, 9, 17})
  @ParameterizedTest
  @MethodSource("zones")
  void whatIsOnAtAMomentIsWhatTheEngineSays(String zone, Api api, Chromium.Open chromium) {
    var random = new Random(zone.hashCode());
    var items = new ArrayList<Item>();
    var edits = new ArrayList<Edit>();
    var said = new ArrayList<String>();
    edits.add(new Edit.SetValue("site", "zone", "", zone));
    for (int i = 0; i < 60; i++) {
      items.add(
          new Item("row-" + i, Values.NONE.with(ItemSettings.HEADING, Values.ALL, "Row " + i)));
      said.add(drawnSeason(random, edits, "row-" + i));
    }
    Document any = api.document(Api.DEMO);
    Document bare =
        new Document(
            any.site(),
            new giostra.core.page.Page(
                "page",
                any.page().values(),
                List.of(
                    new Section(
                        "one", Values.NONE, List.of(new Accordion("rows", Values.NONE, items))))));
    String id = api.newPage(bare);
    assertThat(api.edit(id, 0, edits.toArray(Edit[]::new)).status()).isEqualTo(200);
    Document document = api.document(id);
    Page page = chromium.page(1280, 800);
    page.navigate(api.publish(id));
    page.waitForSelector("[data-live]");
    ZoneId of = ZoneId.of(zone);
    var moments = new ArrayList<Instant>();
    Instant from = Instant.parse("2026-06-01T00:00:00Z");
    for (int i = 0; i < Runs.of(200, 2_000); i++) {
      moments.add(from.plusSeconds(random.nextInt(4 * 366 * 24 * 60) * 60L));
    }
    ZoneOffsetTransition change = of.getRules().nextTransition(from);
    for (int year = 0; year < 8 && change != null; year++) {
      for (int minutes = -180; minutes <= 180; minutes += 15) {
        moments.add(change.getInstant().plusSeconds(minutes * 60L));
      }
      change = of.getRules().nextTransition(change.getInstant());
    }
    JsonNode hidden =
        Js.ask(
            page,
            """
            (moments) => moments.map((at) => {
              window.giostraNow = at;
              document.dispatchEvent(new Event('giostra:start'));
              return [...document.querySelectorAll('[data-item^=row-]')].map((each) => each.hidden);
            })
            """,
            moments.stream().map(each -> (double) each.toEpochMilli()).toList());
    var wrong = new ArrayList<String>();
    int on = 0;
    for (int m = 0; m < moments.size(); m++) {
      assertThat(hidden.get(m).size()).isEqualTo(items.size());
      for (int i = 0; i < items.size(); i++) {
        boolean shows =
            ConditionSettings.season(document.node("row-" + i).values()).shows(moments.get(m), of);
        on += shows ? 1 : 0;
        if (hidden.get(m).get(i).asBoolean() == shows) {
          wrong.add(moments.get(m) + " " + said.get(i) + ": engine " + shows);
        }
      }
    }
    System.out.printf(
        "measured: %s, %d moments of %d seasons, %d on, %d otherwise than the engine says%n",
        zone, moments.size(), items.size(), on, wrong.size());
    assertThat(on).isBetween(items.size(), moments.size() * items.size() - items.size());
    assertThat(wrong).isEmpty();
  }

  /** What comes while a page is open waits until nobody looks at its piece, and then is there. */
  @InTurn(15)
  @Test
  void whatComesWhileThePageIsOpenWaitsUntilNobodySeesIt(Api api, Chromium.Open chromium) {
    String site = api.copyOfDemo();
    String id = site + "-evenings-at-velluta";
    assertThat(
            api.edit(
                    id,
                    api.page(id).path("revision").asInt(),
                    new Edit.SetValue("site", "zone", "", "Europe/Lisbon"),
                    new Edit.SetValue("opening-frost", "seasonHours", "", "18:00-23:00"))
                .status())
        .isEqualTo(200);
    Page page = chromium.page(1280, 800);
    page.clock().install(new Clock.InstallOptions().setTime("2027-01-12T17:30:00Z"));
    page.navigate(api.publish(id));
    page.waitForSelector("[data-piece=openings][data-live]");
    Locator frost = page.locator("[data-item=opening-frost]");
    Locator marks = page.locator("[data-piece=openings] .g-dot:visible");
    assertThat(frost.evaluate("(e) => e.hidden")).isEqualTo(true);
    int before = marks.count();
    page.clock().fastForward("31:00");
    page.clock().runFor(2_000);
    assertThat(frost.evaluate("(e) => e.hidden")).as("somebody looks").isEqualTo(true);
    page.locator("[data-piece=openings] .g-dot:visible").first().focus();
    page.evaluate("() => window.scrollTo(0, document.body.scrollHeight)");
    page.clock().runFor(1_000);
    assertThat(frost.evaluate("(e) => e.hidden")).as("somebody is there by key").isEqualTo(true);
    page.evaluate("() => document.activeElement.blur()");
    page.clock().runFor(100);
    page.waitForFunction("() => !document.querySelector('[data-item=opening-frost]').hidden");
    page.clock().runFor(1_000);
    page.evaluate("() => window.scrollTo(0, 0)");
    page.clock().runFor(1_000);
    PlaywrightAssertions.assertThat(marks).hasCount(before + 1);
    // And goes again.
    page.clock().fastForward("05:10:00");
    page.evaluate("() => window.scrollTo(0, document.body.scrollHeight)");
    page.clock().runFor(1_000);
    page.waitForFunction("() => document.querySelector('[data-item=opening-frost]').hidden");
    page.evaluate("() => window.scrollTo(0, 0)");
    page.clock().runFor(1_000);
    PlaywrightAssertions.assertThat(marks).hasCount(before);
    // On a page that nobody has before them it is there at once, whatever is in view on it.
    page.evaluate("() => Object.defineProperty(document, 'hidden', { get: () => true })");
    page.clock().fastForward("19:30:00");
    page.clock().runFor(1_000);
    assertThat(frost.evaluate("(e) => e.hidden")).isEqualTo(false);
  }

  /** Without script shows what was on when the page was published; with one what is on now. */
  @InTurn(10)
  @Test
  void withoutScriptShowsWhatWasOnAtPublishing(Api api, Chromium.Open chromium) {
    String id = api.copyOfDemo() + "-evenings-at-velluta";
    assertThat(
            api.edit(
                    id,
                    api.page(id).path("revision").asInt(),
                    new Edit.SetValue("opening-frost", "seasonBegins", "", "2099-12-01"),
                    new Edit.SetValue("house-cloud", "seasonEnds", "", "2001-02-28"),
                    new Edit.SetValue("words", "seasonEnds", "", "2001-02-28"))
                .status())
        .isEqualTo(200);
    String address = api.publish(id);
    Page still =
        chromium.page(
            new Browser.NewContextOptions().setViewportSize(1280, 800).setJavaScriptEnabled(false));
    still.navigate(address);
    for (String gone :
        List.of("[data-item=opening-frost]", "[data-item=house-cloud]", "#g-words")) {
      PlaywrightAssertions.assertThat(still.locator(gone)).isHidden();
    }
    PlaywrightAssertions.assertThat(still.locator("[data-item=opening-autumn]")).isVisible();
    Page live = chromium.page(1280, 800);
    live.clock().setFixedTime("2099-12-24T12:00:00Z");
    live.navigate(address);
    live.waitForSelector("[data-piece=openings][data-live]");
    assertThat(live.locator("[data-item=opening-frost]").evaluate("(e) => e.hidden"))
        .isEqualTo(false);
  }

  /** Seasons go out as a calendar file, and come back changed. */
  @InTurn(18)
  @Test
  void datesComeFromACalendarFile(Api api, Page page) {
    String id = api.copyOfDemo() + "-evenings-at-velluta";
    String orchids = "opening-orchids";
    api.edit(
        id,
        api.page(id).path("revision").asInt(),
        new Edit.SetValue(orchids, "seasonBegins", "", "2027-01-08"),
        new Edit.SetValue(orchids, "seasonEnds", "", "2027-02-28"));
    String at = "/api/pages/" + id + "/seasons.ics?piece=openings";
    Api.Answer file = api.get(at);
    assertThat(file.header("content-type")).startsWith("text/calendar");
    assertThat(file.header("content-disposition")).contains(".ics");
    String later =
        file.text()
            .replace("20270301", "20270315")
            .replace(
                "END:VCALENDAR",
                "BEGIN:VEVENT\r\nUID:x\r\nSUMMARY:Stocktaking\u2009\u2014\u591c\r\nDTSTART;VALUE=DATE:20270401\r\nEND:VEVENT\r\nEND:VCALENDAR");
    assertThat(later).isNotEqualTo(file.text());

    Bench bench = Bench.open(page, api, id, "drive", "openings");
    bench.button("The year").click();
    page.getByLabel("Dates from a file")
        .setInputFiles(new FilePayload("no.ics", "text/calendar", "hello".getBytes()));
    PlaywrightAssertions.assertThat(page.getByRole(AriaRole.ALERT))
        .containsText("no.ics: Calendar file is Error at line 1");
    page.getByLabel("Dates from a file")
        .setInputFiles(
            new FilePayload("later.ics", "text/calendar", later.getBytes(StandardCharsets.UTF_8)));
    Locator dialog = page.locator("dialog[open]");
    PlaywrightAssertions.assertThat(dialog).containsText("2027-01-08 to 2027-03-14");
    PlaywrightAssertions.assertThat(dialog).containsText("Stocktaking\u2009\u2014\u591c");
    dialog.getByText("Set this season").click();
    bench.saved();
    assertThat(api.document(id).node(orchids).values().get(ConditionSettings.SEASON_ENDS))
        .isEqualTo("2027-03-14");
    assertThat(
            api.send(
                    "/api/pages/" + id + "/seasons?piece=openings",
                    "text/calendar",
                    "x".repeat(1_000_001).getBytes())
                .status())
        .isEqualTo(422);
  }
}
