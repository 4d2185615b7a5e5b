package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import giostra.core.band.Bands;
import giostra.core.fit.Screen;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.GridSettings;
import giostra.core.page.Item;
import giostra.core.page.NodeType;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.page.TrackSettings;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.counters.Counters;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Where links lead, what is called the same, and which level a heading has, on pages drawn at
 * random: what is found of them is what Chromium, and axe-core, have.
 */
@ExtendWith({Giostra.class, Chromium.class})
class PlacesJourney {
  private static final long SEED = 20_261_130;
  private static final List<String> NAMES =
      List.of("tickets", "hours", "way", "g-s-1", "g-c-2", "g-c-3-b", "nothing", "top");

  /** Every link to a place on the page: who has it, whether one sees it, whether the place is. */
  private static final String LINKS =
      """
      () => {
        const seen = (it) => it !== null && it.getClientRects().length > 0;
        return [...document.querySelectorAll('main a[href^="#"]')].map((link) => ({
          of: (link.closest('[data-item]')?.dataset.item) ?? link.closest('[id]').id.slice(2),
          name: link.hash.slice(1),
          seen: seen(link),
          there: link.hash === '#top' || seen(document.getElementById(link.hash.slice(1))),
        }));
      }
      """;

  private static final String TWICE =
      """
      () => {
        const all = [...document.querySelectorAll('main [id]')].map((it) => it.id);
        return [...new Set(all.filter((id, n) => all.indexOf(id) !== n))];
      }
      """;

  private static Values raw(Object... pairs) {
    Values values = Values.NONE;
    for (int i = 0; i < pairs.length; i += 3) {
      values = values.withRaw((String) pairs[i], (String) pairs[i + 1], pairs[i + 2]);
    }
    return values;
  }

  private static <T> T any(Random random, List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  private static Values marked(Values values, Random random) {
    Values made = values;
    if (random.nextInt(3) == 0) {
      made = made.withRaw("anchor", Values.ALL, any(random, NAMES.subList(0, 3)));
    }
    if (random.nextInt(4) == 0) {
      made = made.withRaw("shown", any(random, List.of("phone", "tablet", "desktop")), false);
    }
    return random.nextInt(8) == 0 ? made.withRaw("hidden", Values.ALL, true) : made;
  }

  private static Item item(String id, Random random) {
    return new Item(
        id,
        marked(
            raw(
                "heading",
                Values.ALL,
                "Dusk",
                "button",
                Values.ALL,
                "See how",
                "buttonLink",
                Values.ALL,
                "#" + any(random, NAMES)),
            random));
  }

  private static Document drawn(Random random, boolean hiding) {
    var sections = new ArrayList<Section>();
    for (int n = 0; n < 5; n++) {
      var blocks = new ArrayList<Block>();
      blocks.add(
          new Block.Heading(
              "h-" + n, raw("text", Values.ALL, "Evenings", "level", "", 1 + random.nextInt(6))));
      if (hiding) {
        blocks.add(
            new Block.Text(
                "t-" + n,
                raw(
                    "text",
                    Values.ALL,
                    "<p>See <a href=\"#" + any(random, NAMES) + "\">there</a>.</p>")));
        blocks.add(
            new Block.Button(
                "b-" + n,
                raw("label", Values.ALL, "Go", "link", Values.ALL, "#" + any(random, NAMES))));
        blocks.add(
            new Carousel(
                "c-" + n,
                marked(raw("endless", "desktop", false), random),
                List.of(item("c-" + n + "-a", random), item("c-" + n + "-b", random))));
      }
      if (!hiding && n > 0) {
        blocks.addFirst(between("p-" + n, random));
      }
      sections.add(new Section("s-" + n, Values.NONE, blocks));
    }
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page("page", Values.NONE, sections));
  }

  /** A piece whose items have headings, as its kind writes them. */
  private static Block between(String id, Random random) {
    NodeType kind =
        any(
            random,
            List.of(
                NodeType.CAROUSEL,
                NodeType.SLIDER,
                NodeType.COUNTERS,
                NodeType.FLIP_BOXES,
                NodeType.ACCORDION,
                NodeType.TABS));
    Values said =
        raw(
            "heading",
            Values.ALL,
            "Dusk",
            "text",
            Values.ALL,
            "Doors open.",
            "to",
            Values.ALL,
            4.0);
    return (Block)
        kind.make(
            id,
            random.nextBoolean() ? Values.NONE : raw("title", Values.ALL, "Tonight"),
            List.of(new Item(id + "-a", said), new Item(id + "-b", said)));
  }

  private static List<Snag> found(Rule rule, Document document) {
    return Snags.of(document, PictureSizes.NONE, 0).stream()
        .filter(snag -> snag.rule() == rule)
        .toList();
  }

  @Test
  void linksThatLeadNowhereAndNamesThatAreThereTwice(Api api, Chromium.Open chromium) {
    var random = new Random(SEED);
    Page page = chromium.page(1280, (int) Screen.USUAL_HEIGHT);
    int links = 0;
    int nowhere = 0;
    var twice = new TreeSet<String>();
    for (int n = 0; n < Runs.of(3, 30); n++) {
      Document document = drawn(random, true);
      page.navigate(api.publish(api.newPage(document)));
      page.waitForSelector("main");
      List<Snag> found = found(Rule.NOWHERE, document);
      for (int width : List.of(390, 820, 1280)) {
        page.setViewportSize(width, (int) Screen.USUAL_HEIGHT);
        for (JsonNode link : Js.ask(page, LINKS, null)) {
          String of = link.path("of").asString();
          String name = "#" + link.path("name").asString();
          boolean said =
              found.stream()
                  .filter(snag -> snag.place().item().equals(of))
                  .filter(snag -> snag.message().contains(name + ","))
                  .anyMatch(snag -> snag.from() <= width && width <= snag.to());
          boolean wrong = link.path("seen").asBoolean() && !link.path("there").asBoolean();
          assertThat(said).as("%s at %d px: %s", of, width, link).isEqualTo(wrong);
          links++;
          nowhere += wrong ? 1 : 0;
        }
      }
      Set<String> same = new TreeSet<>();
      Js.ask(page, TWICE, null).forEach(each -> same.add(each.asString()));
      Set<String> said = new TreeSet<>();
      found(Rule.SAME_ANCHOR, document)
          .forEach(snag -> said.add(snag.message().replaceAll("^“(.*?)”.*", "$1")));
      assertThat(said).isEqualTo(same);
      twice.addAll(same);
    }
    System.out.printf("measured: %d links, %d lead nowhere, twice %s%n", links, nowhere, twice);
    assertThat(nowhere).isBetween(links / 10, links * 9 / 10);
    assertThat(twice).isNotEmpty();
  }

  /** Source: axe-core, rule "heading-order". */
  @InTurn(3)
  @Test
  void headingsThatSkipALevelAreThoseOfAxe(Api api, Page page) {
    var random = new Random(SEED);
    int skipped = 0;
    for (int n = 0; n < Runs.of(8, 200); n++) {
      Document document = drawn(random, false);
      page.navigate(api.publish(api.newPage(document)));
      page.waitForSelector("main");
      boolean said = !found(Rule.SKIPPED_LEVEL, document).isEmpty();
      // What pieces write follows from what is before: of the designer's own headings it is asked.
      boolean axe =
          Axe.found(page).stream()
              .anyMatch(each -> each.startsWith("heading-order") && each.contains("id=\"g-h-"));
      assertThat(said)
          .as(() -> found(Rule.SKIPPED_LEVEL, document) + " of " + Axe.found(page))
          .isEqualTo(axe);
      skipped += said ? 1 : 0;
    }
    System.out.printf("measured: %d pages skip a level%n", skipped);
    assertThat(skipped).isPositive();
  }

  private static Object heights(int n, String which) {
    return n % 2 == 0 ? TrackSettings.Heights.valueOf(which) : GridSettings.Heights.valueOf(which);
  }

  private static Document ofHeights(Random random) {
    var sections = new ArrayList<Section>();
    for (int n = 0; n < 4; n++) {
      var items = new ArrayList<Item>();
      for (int i = 0; i < 3; i++) {
        String words = "The doors are open from dusk. ".repeat(1 + random.nextInt(4)).strip();
        items.add(
            new Item(
                "c-" + n + "-" + i,
                raw(
                    "heading",
                    Values.ALL,
                    n % 2 == 0 ? "Dusk" : words,
                    "text",
                    Values.ALL,
                    n % 2 == 0 ? words : "",
                    "to",
                    Values.ALL,
                    412.0)));
      }
      Values values =
          raw("heights", "desktop", random.nextInt(4) == 0 ? heights(n, "ALL") : heights(n, "OWN"));
      sections.add(
          new Section(
              "s-" + n,
              Values.NONE,
              List.of(
                  n % 2 == 0
                      ? new Carousel(
                          "c-" + n, values.withRaw("inView", "desktop", 2 + n / 2), items)
                      : new Counters(
                          "c-" + n, values.withRaw("columns", "desktop", 2 + n / 2), items))));
    }
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page("page", Values.NONE, sections));
  }

  /** By how much those that stand at one height differ in theirs, at the most, px. */
  private static final String UNEVEN =
      """
      async () => {
        await document.fonts.ready;
        const most = {};
        for (const piece of document.querySelectorAll('.g-piece[data-piece]')) {
          const view = piece.getBoundingClientRect();
          const rows = new Map();
          for (const item of piece.querySelectorAll('[data-item]')) {
            const { top, left, right, height } = item.getBoundingClientRect();
            if (right < view.left + 1 || left > view.right - 1) continue;
            rows.set(Math.round(top), [...(rows.get(Math.round(top)) ?? []), height]);
          }
          most[piece.dataset.piece] = Math.max(
            ...[...rows.values()].map((all) => Math.max(...all) - Math.min(...all)));
        }
        return most;
      }
      """;

  @Test
  void whatIsNotEquallyHighIsWhatChromiumLaysOut(Api api, Chromium.Open chromium) {
    var random = new Random(SEED);
    Page page = chromium.page(1280, (int) Screen.USUAL_HEIGHT);
    int looked = 0;
    int uneven = 0;
    for (int n = 0; n < Runs.of(3, 30); n++) {
      Document document = ofHeights(random);
      page.navigate(api.publish(api.newPage(document)));
      page.waitForFunction(
          "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
      List<Snag> found = found(Rule.UNEVEN, document);
      for (int width : List.of(390, 640, 820, 1280)) {
        page.setViewportSize(width, (int) Screen.USUAL_HEIGHT);
        JsonNode most = Js.ask(page, UNEVEN, null);
        for (String piece : most.propertyNames()) {
          double px = most.path(piece).asDouble();
          boolean said =
              found.stream()
                  .filter(snag -> snag.place().node().equals(piece))
                  .anyMatch(snag -> snag.from() <= width && width <= snag.to());
          // What waits beside the view counts for the rule, which looks at every stop.
          boolean moves = piece.equals("c-0");
          if (Math.abs(px - 24) > 1 && (px >= 24 || !moves)) {
            assertThat(said)
                .as("%s at %d px: %.1f px, %s", piece, width, px, found)
                .isEqualTo(px >= 24);
            looked++;
            uneven += px >= 24 ? 1 : 0;
          }
        }
      }
    }
    System.out.printf("measured: %d rows looked at, %d uneven%n", looked, uneven);
    assertThat(uneven).isBetween(looked / 10, looked * 9 / 10);
  }

  /** Pictures that Chromium is given no words for, though nobody said that they are decoration. */
  @Test
  void picturesWithoutWordsAreThoseThatReadersAreToldNothingOf(Api api, Page page) {
    String site = api.newSite("Pictures");
    byte[] file = MadePicture.png(120, 80);
    String bare = api.upload(site, "bare.png", file).json().path("id").asString();
    String said =
        api.upload(site, "said.png", MadePicture.png(121, 80)).json().path("id").asString();
    api.put("/api/sites/" + site + "/media/" + said, told("A lamp", false));
    String ground =
        api.upload(site, "ground.png", MadePicture.png(122, 80)).json().path("id").asString();
    api.put("/api/sites/" + site + "/media/" + ground, told("", true));
    var items = new ArrayList<Item>();
    for (String picture : List.of(bare, said, ground)) {
      for (String alt : List.of("", "Two lamps")) {
        items.add(
            new Item(
                "i-" + items.size(),
                raw(
                    "heading",
                    Values.ALL,
                    "Dusk",
                    "picture",
                    Values.ALL,
                    picture,
                    "alt",
                    "",
                    alt)));
      }
    }
    var document =
        new Document(
            new Site(Bands.INITIAL, Values.NONE),
            new giostra.core.page.Page(
                "page",
                Values.NONE,
                List.of(
                    new Section(
                        "s",
                        Values.NONE,
                        List.of(
                            new Block.Picture("b-1", raw("picture", Values.ALL, bare)),
                            new Block.Picture("b-2", raw("picture", Values.ALL, said)),
                            new Carousel("c", Values.NONE, items))))));
    String id = api.newPage(site, document);
    var found = new TreeSet<String>();
    for (JsonNode snag : api.get("/api/pages/" + id + "/snags").json().path("snags")) {
      if (snag.path("rule").asString().equals("untold")) {
        found.add(snag.path("item").asString());
      }
    }
    assertThat(found).containsExactly("b-1", "i-0");
    page.navigate(api.publish(id));
    page.waitForSelector("main");
    var silent = new TreeSet<String>();
    Js.ask(
            page,
            "() => [...document.querySelectorAll('main img[alt=\"\"]')].map((it) =>"
                + " it.closest('[data-item]')?.dataset.item ?? it.closest('[id]').id.slice(2))",
            null)
        .forEach(each -> silent.add(each.asString()));
    // Two of decoration are silent as well, as somebody said.
    assertThat(silent).containsExactly("b-1", "i-0", "i-4");
  }

  private static Map<String, Object> told(String alt, boolean decorative) {
    return Map.of("alt", alt, "decorative", decorative, "focus", "50% 50%", "tags", List.of());
  }
}
