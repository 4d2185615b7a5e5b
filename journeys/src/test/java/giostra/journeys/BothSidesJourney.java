package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.TrackParts;
import giostra.core.format.EditJson;
import giostra.core.layout.Heights;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.piece.counters.CounterParts;
import giostra.core.snag.Rule;
import giostra.core.snag.Snags;
import giostra.core.testing.Demo;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * For each rule that no other journey measures: a page that has the fault, and one that just has it
 * not. What is found is asked of the server; whether it is so is measured in Chromium, without the
 * engine. Each way out is taken, and the fault is gone from the browser.
 */
@ExtendWith({Giostra.class, Chromium.class})
class BothSidesJourney {
  /** The demo, to be changed. */
  private static final Document DEMO = Demo.document();

  /** How a fault is seen, by somebody who knows nothing of the engine. */
  @FunctionalInterface
  private interface Look {
    boolean wrong(Page page, String address);
  }

  /**
   * A rule and two pages, one to each side of it.
   *
   * @param piece where it is found
   * @param width at which, px
   * @param fault what makes the demo have it
   * @param sound what makes it just not have it
   */
  private record Case(
      Rule rule, String piece, int width, List<Edit> fault, List<Edit> sound, Look look) {
    @Override
    public String toString() {
      return rule.word();
    }
  }

  private static Edit set(String node, String setting, String band, Object value) {
    return new Edit.SetValue(node, setting, band, value);
  }

  private static Edit once(String node, String setting, Object value) {
    return set(node, setting, Values.ALL, value);
  }

  /** The last step at which a rule finds nothing, and the first at which it finds something. */
  private static Case between(
      Rule rule,
      String piece,
      int width,
      IntStream steps,
      Function<Integer, Edit[]> at,
      Look look) {
    List<Edit> before = List.of();
    for (int step : steps.toArray()) {
      List<Edit> edits = List.of(at.apply(step));
      Document document = Edits.apply(DEMO, edits).document();
      if (Snags.of(document, document.node(piece), Demo.PICTURES, 0).stream()
          .anyMatch(each -> each.rule() == rule && each.from() <= width && width <= each.to())) {
        assertThat(before).as("%s finds something at once", rule).isNotEmpty();
        return new Case(rule, piece, width, edits, before, look);
      }
      before = edits;
    }
    throw new AssertionError(rule + " finds nothing at any step");
  }

  /** Asks the page, scrolled to the piece, for somebody who has asked for less motion. */
  private static Look asked(String piece, String function) {
    return (page, address) -> {
      page.navigate(address);
      page.waitForSelector("main");
      page.locator("[data-piece=" + piece + "], #g-" + piece).first().scrollIntoViewIfNeeded();
      return Js.ask(page, function, piece).asBoolean();
    };
  }

  /** Whether Chromium draws some of the letters in fonts that do not come with the page. */
  private static Look inOtherFonts(String selector) {
    return (page, address) -> {
      page.navigate(address);
      page.waitForSelector("main");
      page.evaluate("() => document.fonts.ready");
      page.locator(selector).first().scrollIntoViewIfNeeded();
      CDPSession browser = page.context().newCDPSession(page);
      browser.send("DOM.enable");
      browser.send("CSS.enable");
      JsonObject document = browser.send("DOM.getDocument").getAsJsonObject("root");
      var asked = new JsonObject();
      asked.addProperty("nodeId", document.get("nodeId").getAsInt());
      asked.addProperty("selector", selector);
      int node = browser.send("DOM.querySelector", asked).get("nodeId").getAsInt();
      var of = new JsonObject();
      of.addProperty("nodeId", node);
      boolean others = false;
      for (var each : browser.send("CSS.getPlatformFontsForNode", of).getAsJsonArray("fonts")) {
        others |= !each.getAsJsonObject().get("isCustomFont").getAsBoolean();
      }
      return others;
    };
  }

  /** Whether nobody of those is on show on any of these days. */
  private static Look nobody(String selector, String... days) {
    return (page, address) -> {
      for (String day : days) {
        page.clock().setFixedTime(Instant.parse(day + "T12:00:00Z").toEpochMilli());
        page.navigate(address);
        page.waitForSelector("[data-piece=houses][data-live]");
        String on = "(all) => all.some((each) => each.getClientRects().length > 0)";
        if ((boolean) page.locator(selector).evaluateAll(on)) {
          return false;
        }
      }
      return true;
    };
  }

  /** How long the first slide of two rests, in ms: from its second coming until it goes again. */
  private static final String RESTS =
      """
      () => new Promise((done) => {
        const it = document.querySelector('[data-piece=openings]');
        const now = () => Number(it.style.getPropertyValue('--g-now'));
        const changes = [];
        let was = now();
        const frame = (at) => {
          if (now() !== was) changes.push(at);
          was = now();
          if (changes.length < 3) requestAnimationFrame(frame);
          // It comes in 0.9 s.
          else done(changes[2] - changes[1] - 900);
        };
        requestAnimationFrame(frame);
      })
      """;

  /** How faint the faintest words of a slide are in the last frame before it goes. */
  private static final String FAINT =
      """
      () => new Promise((done) => {
        const it = document.querySelector('[data-piece=openings]');
        const now = () => Number(it.style.getPropertyValue('--g-now'));
        let was = now();
        let changes = 0;
        let last = 1;
        const frame = () => {
          if (now() !== was) {
            changes += 1;
            was = now();
            // The first comes in while the page is opened.
            if (changes === 2) return done(last);
          }
          const words = it.querySelectorAll('[data-item]')[was - 1].querySelectorAll('.g-copybox > *');
          last = Math.min(...[...words].filter((each) => each.getClientRects().length)
            .map((each) => Number(getComputedStyle(each).opacity)));
          requestAnimationFrame(frame);
        };
        frame();
      })
      """;

  /** Asks something of the slider while it goes by itself. */
  private static double going(Page page, String address, String function) {
    page.navigate(address);
    page.waitForSelector("[data-piece=openings][data-live]");
    page.locator("[data-piece=openings]").scrollIntoViewIfNeeded();
    return Js.number(page, function, null);
  }

  private static List<Edit> cleared(String node) {
    var edits = new ArrayList<Edit>();
    DEMO.node(node)
        .values()
        .set()
        .forEach((setting, bands) ->
            bands
                .keySet()
                .forEach(band -> edits.add(new Edit.SetValue(node, setting, band, null))));
    return edits;
  }

  private static List<Edit> also(List<Edit> edits, Edit... more) {
    return Stream.concat(edits.stream(), Stream.of(more)).toList();
  }

  /** The demo's words, as long as said; the others of 200 characters. */
  private static List<Edit> quoted(int most, int least) {
    return IntStream.rangeClosed(1, 7)
        .mapToObj(n ->
            once(
                "words-" + n,
                "text",
                "four ".repeat(200).substring(0, n == 1 ? most : n == 2 ? least : 200)))
        .toList();
  }

  private static Edit[] wide(int tenths) {
    return new Edit[] {
      set("openings", "wordsMeasure", "desktop", tenths / 10.0 + "px"),
      set("openings", "height", "desktop", "auto"),
      once("opening-autumn", "text", ""),
      once("opening-autumn", "button", ""),
      once("opening-autumn", "kicker", ""),
      once("opening-frost", "hidden", true),
      once("opening-orchids", "hidden", true),
      once(
          "opening-autumn", "heading", "A dozen words that fall into two lines or three, as it is"),
    };
  }

  private static Edit[] rests(Object own) {
    return new Edit[] {
      set("openings", "restsBy", "desktop", "time"),
      set("openings", "rest", "desktop", "4s"),
      once("opening-autumn", "hidden", true),
      once("opening-orchids", "kicker", ""),
      once("opening-orchids", "text", ""),
      once("opening-frost", "kicker", ""),
      once("opening-frost", "text", ""),
      once("opening-frost", "button", ""),
      once("opening-frost", "heading", "Nine words that are read in three seconds, hardly"),
      once("opening-frost", "ownRest", own),
    };
  }

  private static Edit[] late(String beat) {
    return new Edit[] {
      set("openings", "restsBy", "desktop", "time"),
      set("openings", "rest", "desktop", "3s"),
      set("openings", "wordsBeat", "desktop", beat),
      once("opening-orchids", "hidden", true),
    };
  }

  private static Edit ring(String ink) {
    return new Edit.SetStyle(
        "questions-section", StyleKey.parse("page.focus/rest/border-ink"), "desktop", ink);
  }

  private static Edit arrow(State state, double opacity) {
    return new Edit.SetStyle(
        "houses", TrackParts.ARROW.key(Property.OPACITY, state), "desktop", opacity);
  }

  static Stream<Case> cases() {
    return Stream.of(
        new Case(
            Rule.NO_ROOM,
            "figures",
            280,
            List.of(number("32px")),
            List.of(number("31px")),
            asked(
                "figures",
                """
                async (piece) => {
                  // The letters, not those that stand in for them.
                  await document.fonts.ready;
                  return [...document.querySelectorAll(`[data-piece=${piece}] .g-number`)].some((number) => {
                    const box = number.closest('[data-item]');
                    const room = box.getBoundingClientRect().width;
                    const letters = document.createRange();
                    letters.selectNodeContents(number);
                    return letters.getBoundingClientRect().width > room + 0.05;
                  });
                }
                """)),
        new Case(
            Rule.NO_GLYPH,
            "houses",
            1280,
            List.of(once("house-2", "heading", "Ge\u1208ez house")),
            List.of(once("house-2", "heading", "Ge\u00e9ez house")),
            inOtherFonts("[data-item=house-2] :is(h2,h3,h4)")),
        new Case(
            Rule.NO_FAMILY,
            "page",
            1280,
            List.of(heading("own-1")),
            List.of(heading("bitter")),
            asked(
                "questions",
                """
                async () => {
                  await document.fonts.ready;
                  const bare = (family) => family.replaceAll('"', '');
                  const asked = getComputedStyle(document.querySelector('#g-idea-title'))
                    .fontFamily.split(',')[0];
                  return ![...document.fonts].some((face) => bare(face.family) === bare(asked));
                }
                """)),
        new Case(
            Rule.BACKWARDS,
            "openings",
            1280,
            seasons("2026-12-24", "2026-12-23"),
            seasons("2026-12-24", "2026-12-24"),
            // It is there before it begins: what cannot be is no season.
            (page, address) ->
                !nobody("[data-item=opening-frost]", "2026-11-20").wrong(page, address)),
        new Case(
            Rule.NOBODY,
            "openings",
            1280,
            one("2027-01-10"),
            one("2027-01-06"),
            nobody("[data-piece=openings] [data-item]", "2027-01-08")),
        new Case(
            Rule.HASTY,
            "openings",
            1280,
            List.of(rests("2.7s")),
            List.of(rests("3.3s")),
            (page, address) -> {
              // 238 words a minute: Brysbaert 2019, as in docs/engine.md.
              double rest = going(page, address, RESTS);
              int words =
                  Js.ask(
                          page,
                          """
                          () => [...new Intl.Segmenter('en', { granularity: 'word' }).segment(
                            document.querySelector('[data-item=opening-frost] .g-copybox').innerText)]
                            .filter((each) => each.isWordLike).length
                          """,
                          null)
                      .asInt();
              return rest < words * 60_000 / 238.0;
            }),
        between(
            Rule.LATE_WORDS,
            "openings",
            1280,
            // Three tenths, since a browser has its own time.
            IntStream.iterate(1, tenths -> tenths < 40, tenths -> tenths + 3),
            tenths -> late(tenths / 10.0 + "s"),
            (page, address) -> {
              return going(page, address, FAINT) < 1;
            }),
        new Case(
            Rule.CLIP,
            "films",
            1280,
            List.of(once("film-bloom", "captions", ""), once("film-bloom", "captions2", "")),
            List.of(),
            asked(
                "films",
                """
                () => document.querySelector('[data-item=film-bloom] track[kind=captions]') === null
                """)),
        between(
            Rule.RING,
            "questions-section",
            1280,
            IntStream.rangeClosed(90, 220),
            grey -> new Edit[] {ring("#" + HexFormat.of().toHexDigits(grey.byteValue()).repeat(3))},
            asked(
                "questions-section",
                """
                () => {
                  const light = (colour) => {
                    const [r, g, b] = colour.match(/[\\d.]+/g).map((v) => v / 255)
                      .map((v) => v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
                    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
                  };
                  const row = document.querySelector('#g-questions-section summary');
                  row.focus({ focusVisible: true });
                  const ring = light(getComputedStyle(row).outlineColor);
                  let box = row.closest('section');
                  while (getComputedStyle(box).backgroundColor === 'rgba(0, 0, 0, 0)')
                    box = box.parentElement;
                  const under = light(getComputedStyle(box).backgroundColor);
                  return (Math.max(ring, under) + 0.05) / (Math.min(ring, under) + 0.05) < 3;
                }
                """)),
        new Case(
            Rule.HOVER_ONLY,
            "houses",
            1280,
            List.of(arrow(State.REST, 0.09), arrow(State.HOVER, 1)),
            List.of(arrow(State.REST, 0.1), arrow(State.HOVER, 1)),
            (page, address) -> {
              page.navigate(address);
              page.waitForSelector("[data-piece=houses][data-live]");
              Locator arrow = page.locator("[data-piece=houses] .g-next");
              double rest = seen(arrow);
              arrow.hover();
              page.waitForFunction(
                  "() => getComputedStyle(document.querySelector('[data-piece=houses] .g-next'))"
                      + ".opacity === '1'");
              return rest < 0.1;
            }),
        new Case(
            Rule.ORDER,
            "visit-columns",
            390,
            List.of(set("visit-columns", "order", "phone", "2 1")),
            List.of(set("visit-columns", "order", "phone", "1 2")),
            asked(
                "visit-columns",
                """
                () => {
                  const first = document.querySelector('#g-visit-text, [data-block=visit-text]')
                    ?? [...document.querySelectorAll('p')]
                      .find((it) => it.textContent.startsWith('The gate opens'));
                  const then = [...document.querySelectorAll('p')]
                    .find((it) => it.textContent.startsWith('Tuesday to Sunday'));
                  const read = first.compareDocumentPosition(then)
                    & Node.DOCUMENT_POSITION_FOLLOWING;
                  return Boolean(read)
                    !== first.getBoundingClientRect().top < then.getBoundingClientRect().top;
                }
                """)),
        new Case(
            Rule.CROWDED,
            "words",
            1280,
            List.of(set("words", "inView", "desktop", 4.0)),
            List.of(set("words", "inView", "desktop", 3.0)),
            asked("words", whole("whole.length > 3"))),
        new Case(
            Rule.UNLIKE,
            "words",
            1280,
            quoted(320, 80),
            quoted(320, 81),
            asked(
                "words",
                whole(
                    """
                    (() => {
                      const long = whole.map((it) =>
                        it.querySelector('blockquote').textContent.trim().length);
                      return Math.max(...long) / Math.min(...long) >= 4;
                    })()\
                    """))),
        between(
            Rule.LARGE_PORTRAIT,
            "words",
            1280,
            IntStream.iterate(96, px -> px < 400, px -> px + 4),
            px -> new Edit[] {set("words", "pictureWidth", "desktop", px + "px")},
            asked(
                "words",
                """
                (piece) => [...document.querySelectorAll(`[data-piece=${piece}] [data-item]`)]
                  .some((item) => {
                    const words = document.createRange();
                    words.selectNodeContents(item.querySelector('blockquote'));
                    const face = item.querySelector('.g-portrait').getBoundingClientRect().height;
                    return face > 96 && face > 2 * words.getBoundingClientRect().height;
                  })
                """)),
        new Case(
            Rule.EMPTY,
            "houses",
            1280,
            cleared("house-6"),
            also(cleared("house-6"), once("house-6", "heading", "Tea")),
            asked(
                "houses",
                """
                (piece) => [...document.querySelectorAll(`[data-piece=${piece}] [data-item]`)]
                  .some((item) => item.innerText.trim() === ''
                    && !item.querySelector('img, svg, video, iframe'))
                """)),
        new Case(
            Rule.SAME_WORDS,
            "houses",
            1280,
            buttons("#g-idea"),
            buttons("#g-visit"),
            asked(
                "houses",
                """
                (piece) => {
                  const leads = {};
                  for (const link of document.querySelectorAll(`[data-piece=${piece}] a[href]`)) {
                    const name = (link.ariaLabel ?? link.innerText).trim().toLowerCase();
                    (leads[name] ??= new Set()).add(link.href);
                  }
                  return Object.values(leads).some((places) => places.size > 1);
                }
                """)),
        close(),
        new Case(
            Rule.JUMP,
            "questions",
            1280,
            List.of(spacing(0.01)),
            List.of(spacing(0)),
            (page, address) -> {
              page.navigate(address);
              page.waitForSelector("[data-piece=questions][data-live]");
              Locator row = page.locator("[data-item=question-price] summary");
              row.scrollIntoViewIfNeeded();
              String wide =
                  """
                  () => {
                    const words = document.createRange();
                    words.selectNodeContents(
                      document.querySelector('[data-item=question-price] .g-question'));
                    return words.getBoundingClientRect().width;
                  }
                  """;
              double before = Js.number(page, wide, null);
              row.hover();
              page.waitForTimeout(400);
              return Math.abs(Js.number(page, wide, null) - before) > 0.5;
            }));
  }

  private static double seen(Locator it) {
    return Double.parseDouble((String) it.evaluate("(e) => getComputedStyle(e).opacity"));
  }

  private static Edit spacing(double em) {
    return new Edit.SetStyle(
        "questions", StyleKey.parse("accordion.heading/hover/spacing"), "desktop", em);
  }

  /**
   * A text that a thousandth less or more of room sets in other lines, and one that it does not.
   */
  private static Case close() {
    int at =
        IntStream.iterate(3000, tenths -> tenths < 5200, tenths -> tenths + 2)
            .filter(tenths -> high(tenths) != high(tenths + 2))
            .findFirst()
            .orElseThrow();
    return new Case(
        Rule.CLOSE,
        "openings",
        1280,
        List.of(wide(at)),
        List.of(wide((int) Math.round(at * 0.996))),
        asked(
            "openings",
            """
            async () => {
              await document.fonts.ready;
              const words = document.querySelector('[data-item=opening-autumn] .g-copybox :is(h2,h3,h4)');
              const box = getComputedStyle(words.parentElement);
              const wide = words.parentElement.getBoundingClientRect().width
                - parseFloat(box.paddingLeft) - parseFloat(box.paddingRight);
              const lines = (share) => {
                words.style.maxInlineSize = 'none';
                words.style.inlineSize = `${wide * share}px`;
                const letters = document.createRange();
                letters.selectNodeContents(words);
                return new Set([...letters.getClientRects()].map((line) => line.top)).size;
              };
              return new Set([0.9989, 1, 1.0011].map(lines)).size > 1;
            }
            """));
  }

  private static double high(int tenths) {
    Document document = Edits.apply(DEMO, List.of(wide(tenths))).document();
    return Heights.of(document, document.piece("openings"), Demo.PICTURES, 0, 800)
        .at(1280)
        .getFirst()
        .height();
  }

  /** Something about the items that are wholly in view. */
  private static String whole(String what) {
    return """
    (piece) => {
      const track = document.querySelector(`[data-piece=${piece}] .g-belt`).parentElement
        .getBoundingClientRect();
      const whole = [...document.querySelectorAll(`[data-piece=${piece}] [data-item]`)]
        .filter((it) => {
          const box = it.getBoundingClientRect();
          return box.left >= track.left - 1 && box.right <= track.right + 1;
        });
      return %s;
    }
    """
        .replace("%s", what);
  }

  private static Edit number(String size) {
    return new Edit.SetStyle(
        "figures", CounterParts.NUMBER.key(Property.TEXT_SIZE, State.REST), "phone", size);
  }

  private static Edit heading(String family) {
    return new Edit.SetStyle(
        "page", PageParts.heading(2).key(Property.FAMILY, State.REST), "desktop", family);
  }

  private static List<Edit> seasons(String begins, String ends) {
    return List.of(
        once("opening-frost", "seasonBegins", begins), once("opening-frost", "seasonEnds", ends));
  }

  private static List<Edit> one(String next) {
    return List.of(
        once("opening-autumn", "seasonEnds", "2027-01-05"),
        once("opening-frost", "seasonBegins", next),
        once("opening-frost", "seasonEnds", "2027-02-28"),
        once("opening-orchids", "seasonBegins", "2027-03-01"));
  }

  private static List<Edit> buttons(String second) {
    return List.of(
        once("house-1", "button", "See more"),
        once("house-1", "link", "#g-visit"),
        once("house-2", "button", "See more"),
        once("house-2", "link", second));
  }

  /** Findings of a page, by their keys. */
  private static Map<String, JsonNode> found(Api api, String page) {
    var found = new LinkedHashMap<String, JsonNode>();
    for (JsonNode each : api.get("/api/pages/" + page + "/snags").json().path("snags")) {
      found.put(each.path("key").asString(), each);
    }
    return found;
  }

  private static List<JsonNode> of(Case it, Map<String, JsonNode> found) {
    return found.values().stream()
        .filter(each -> each.path("rule").asString().equals(it.rule.word()))
        .filter(each -> each.path("piece").asString().equals(it.piece))
        .filter(
            each -> each.path("from").asInt() <= it.width && it.width <= each.path("to").asInt())
        .toList();
  }

  private static String page(Api api, String site, List<Edit> edits) {
    return api.newPage(site, Edits.apply(DEMO, edits).document());
  }

  private static boolean wrong(Case it, Api api, Chromium.Open chromium, String id) {
    Page page =
        it.rule == Rule.HASTY || it.rule == Rule.LATE_WORDS
            ? chromium.page(it.width, 800)
            : chromium.calm(it.width, 800);
    boolean wrong = it.look.wrong(page, api.publish(id));
    page.close();
    return wrong;
  }

  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest(name = "{0}")
  @MethodSource("cases")
  void whatIsFoundIsSoAndWhatIsJustNotIsNot(Case it, Api api, Chromium.Open chromium) {
    String site = api.copyOfDemo();
    String sound = page(api, site, it.sound);
    assertThat(of(it, found(api, sound))).as("just not: %s", it.sound).isEmpty();
    assertThat(wrong(it, api, chromium, sound)).as("in Chromium, just not").isFalse();

    String faulty = page(api, site, it.fault);
    Map<String, JsonNode> all = found(api, faulty);
    List<JsonNode> told = of(it, all);
    assertThat(told).as("told of %s", it.fault).isNotEmpty();
    assertThat(wrong(it, api, chromium, faulty)).as("in Chromium").isTrue();

    // Several of a kind are mended by the ways out of each.
    int ways = 0;
    Document document = Edits.apply(DEMO, it.fault).document();
    for (int way = 0; way < told.getFirst().path("fixes").size(); way++) {
      Document mended = document;
      Set<String> brings = new HashSet<>();
      for (JsonNode each : told) {
        JsonNode outs =
            api.get(
                    "/api/pages/"
                        + faulty
                        + "/ways-out?snag="
                        + URLEncoder.encode(each.path("key").asString(), StandardCharsets.UTF_8))
                .json();
        if (way >= outs.size() || !outs.get(way).path("mends").asBoolean()) {
          continue;
        }
        outs.get(way).path("brings").forEach(some -> brings.add(some.asString()));
        List<Edit> edits = EditJson.read(outs.get(way).path("edits"), document.bands());
        mended = Edits.apply(mended, edits).document();
      }
      if (mended.equals(document)) {
        continue;
      }
      ways++;
      String other = api.newPage(site, mended);
      Map<String, JsonNode> then = found(api, other);
      assertThat(of(it, then)).as("by way %d", way).isEmpty();
      assertThat(then.entrySet())
          .filteredOn(each -> !all.containsKey(each.getKey()))
          .extracting(each -> each.getValue().path("message").asString())
          .as("what it brings is told")
          .isSubsetOf(brings);
      assertThat(wrong(it, api, chromium, other)).as("in Chromium, by way %d", way).isFalse();
    }
    System.out.printf("measured: %s, both sides so in Chromium, %d ways out taken%n", it, ways);
  }
}
