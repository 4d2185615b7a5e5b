package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ReducedMotion;
import giostra.core.page.Edit;
import giostra.core.page.Section;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** Sections and pieces in pages of somebody else's, which do their worst. */
@ExtendWith({Giostra.class, Chromium.class})
class SnippetJourney {
  /** How wide the room is in each page, px. */
  private static final int ROOM = 1000;

  private static final String LOADED =
      """
      () => [...document.querySelectorAll('giostra-piece')].every((each) => {
        const room = each.shadowRoot?.querySelector('.g-room');
        return room && room.style.visibility === ''
            && [...each.shadowRoot.querySelectorAll('[data-kind]')].every((piece) => piece.hasAttribute('data-live'))
            && [...each.shadowRoot.querySelectorAll('img')].every((image) => image.complete
                || !image.checkVisibility() || image.getBoundingClientRect().top > innerHeight
                || image.getBoundingClientRect().left > innerWidth || image.getBoundingClientRect().right < 0);
      })
      """;

  private static final String SHIFTS =
      """
      window.shifted = 0;
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) window.shifted += entry.value;
      }).observe({ type: 'layout-shift', buffered: true });
      """;

  /**
   * A page that changes what the language brings; after a while, once all has come, it mends it.
   */
  private static final String BROKEN =
      """
      const all = [[Array.prototype, ['map', 'filter', 'forEach', 'find', 'flatMap', 'push', 'join',
          'at', 'indexOf', 'some', 'every', 'reduce', 'slice']], [String.prototype, ['split', 'replace']],
          [JSON, ['parse']], [Object, ['entries', 'keys']], [Math, ['round', 'max', 'min']]];
      const was = {};
      for (const [of, names] of all) for (const name of names) {
        was[name] = of[name];
        of[name] = () => { throw new Error(name); };
      }
      setTimeout(() => {
        for (const [of, names] of all) for (const name of names) of[name] = was[name];
      }, 4000);
      """;

  /** A page of somebody else's: what is around the lines that are pasted, and its policy. */
  private record Around(String page, String policy, int width) {
    static Around of(String page) {
      return new Around(page, "", ROOM);
    }

    String with(String lines) {
      return page.replace("@@", lines);
    }
  }

  private static String body(String style, String script, String inside) {
    return "<!DOCTYPE html><html lang=en><head><meta charset=utf-8><title>Old</title><style>body{margin:0}"
        + style
        + "</style><script>"
        + script
        + "</script></head><body><main>"
        + inside
        + "</main><header><h1>Old</h1></header></body></html>";
  }

  private static final Around PLAIN = Around.of(body("", "", "@@"));

  private static Stream<Arguments> pages() {
    Map<String, Around> all =
        Map.ofEntries(
            Map.entry(
                "resets",
                Around.of(
                    body(
                        "*{margin:0!important;letter-spacing:.1em;font:30px monospace}"
                            + "*,*::before{box-sizing:content-box;text-transform:uppercase}",
                        "",
                        "@@"))),
            Map.entry(
                "rules that insist",
                Around.of(
                    body(
                        "button{all:unset!important}img{width:20px!important}"
                            + "section,.g-item,.g-card,.g-section,.g-room{display:none!important}"
                            + ":root{--g-ink:lime;--g-ground:red;color:magenta}"
                            + "giostra-piece{color:red;line-height:3;padding:9px;float:right}",
                        "",
                        "@@"))),
            Map.entry("a smaller root", Around.of(body("html{font-size:62.5%}", "", "@@"))),
            Map.entry(
                "a column of a wide screen",
                new Around(body(".c{inline-size:1000px}", "", "<div class=c>@@</div>"), "", 1800)),
            Map.entry("a language that was changed", Around.of(body("", BROKEN, "@@"))),
            Map.entry(
                "a strict policy",
                new Around(
                    "<!DOCTYPE html><html lang=en><title>Old</title><main>@@</main>",
                    "default-src 'none'; script-src 'nonce-abc'; style-src 'none'; connect-src SERVER;"
                        + " img-src SERVER; font-src SERVER; media-src SERVER;"
                        + " require-trusted-types-for 'script'; trusted-types giostra-piece",
                    ROOM + 16)),
            Map.entry(
                "right to left",
                Around.of(body("", "", "@@").replace("<html lang=en", "<html lang=ar dir=rtl"))),
            Map.entry(
                "quirks",
                Around.of("<title>Old</title><style>body{margin:0}</style><main>@@</main>")),
            Map.entry(
                "a form",
                Around.of(
                    body(
                        "",
                        "addEventListener('submit', () => document.body.append('sent'))",
                        "<form>@@</form>"))),
            Map.entry(
                "a cell of a row", Around.of(body("main{display:flex}", "", "<p hidden>a</p>@@"))),
            Map.entry(
                "a cell of a grid",
                Around.of(body("main{display:grid;grid-template-columns:auto}", "", "@@"))),
            // Each begins with a whole px.
            Map.entry(
                "twice", Around.of(body("div{height:820px}", "", "<div>@@</div><div>@@</div>"))),
            Map.entry("in a frame", PLAIN),
            Map.entry("zoomed to 200 %", PLAIN),
            Map.entry(
                "late",
                Around.of(
                    body(
                        "",
                        "setTimeout(() => { const script = document.createElement('script');"
                            + " script.src = document.querySelector('[type=later]').getAttribute('src');"
                            + " document.head.append(script); }, 700)",
                        "@@"))));
    return all.entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .map(each -> Arguments.of(each.getKey(), each.getValue()));
  }

  private static JsonNode taken(Api api, String page, String node) {
    Api.Answer answer = api.post("/api/pages/" + page + "/snippets", Map.of("node", node));
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    return answer.json();
  }

  private static Page still(Chromium.Open chromium, int width) {
    return still(chromium, width, 1);
  }

  /** For somebody who has zoomed: a px of a sheet is so many of the screen. */
  private static Page still(Chromium.Open chromium, int width, double zoom) {
    return chromium.page(
        new Browser.NewContextOptions()
            .setViewportSize(width, 1400)
            .setDeviceScaleFactor(zoom)
            .setReducedMotion(ReducedMotion.REDUCE));
  }

  /** The same files for all: a larger one that a page has already is taken in place of its own. */
  private static void smallFiles(Page page) {
    page.route(
        Pattern.compile("-\\d+\\.webp$"),
        route ->
            route.resume(
                new Route.ResumeOptions()
                    .setUrl(route.request().url().replaceAll("-\\d+\\.webp$", "-320.webp"))));
  }

  /** Waits for all faces: where none has been asked for yet, all that were asked for are there. */
  private static void lettered(Frame page) {
    page.evaluate(
        """
        async () => {
          await Promise.all([...document.fonts].map((face) => face.load()));
          await document.fonts.ready;
          await new Promise(requestAnimationFrame);
        }
        """);
  }

  /** As it is when nothing comes any more: a picture is decoded after it is there. */
  private static BufferedImage drawn(Locator what) {
    byte[] before = what.screenshot();
    for (int i = 0; i < 20; i++) {
      what.page().waitForTimeout(150);
      byte[] now = what.screenshot();
      boolean same = Arrays.equals(before, now);
      before = now;
      if (same) {
        break;
      }
    }
    try {
      return ImageIO.read(new ByteArrayInputStream(before));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The share of px in which two pictures differ so much that somebody could see it. */
  private static double different(BufferedImage one, BufferedImage other) {
    assertThat(List.of(one.getWidth(), one.getHeight()))
        .isEqualTo(List.of(other.getWidth(), other.getHeight()));
    int count = 0;
    for (int y = 0; y < one.getHeight(); y++) {
      for (int x = 0; x < one.getWidth(); x++) {
        int a = one.getRGB(x, y);
        int b = other.getRGB(x, y);
        for (int shift = 0; shift <= 16; shift += 8) {
          if (Math.abs((a >> shift & 255) - (b >> shift & 255)) > 12) {
            count++;
            break;
          }
        }
      }
    }
    return (double) count / (one.getWidth() * one.getHeight());
  }

  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest(name = "{0}")
  @MethodSource("pages")
  void inAnyPageItIsAsOnTheLivePage(String name, Around around, Api api, Chromium.Open chromium) {
    double zoom = name.startsWith("zoomed") ? 2 : 1;
    Page live = still(chromium, ROOM, zoom);
    smallFiles(live);
    // On the live page letters that come late are not used before the next visit.
    live.route(
        Pattern.compile("/style\\.\\w+\\.css$"),
        route -> {
          APIResponse answer = route.fetch();
          route.fulfill(
              new Route.FulfillOptions()
                  .setResponse(answer)
                  .setBody(answer.text().replace("font-display:optional", "font-display:block")));
        });
    live.navigate(api.at(Api.LIVE_DEMO));
    live.waitForSelector("[data-piece=houses][data-live]");
    assertThat(
            live.evaluate(
                "() => [...document.styleSheets[0].cssRules].some((each) => each.cssText.includes('font-display: block'))"))
        .isEqualTo(true);
    Locator section = live.locator("#g-houses-section");
    // By itself at the top, so that it begins with a whole px.
    live.evaluate(
        """
        () => {
          for (const each of document.querySelectorAll('main > :not(#g-houses-section)')) {
            each.style.display = 'none';
          }
          scrollTo(0, 0);
        }
        """);
    live.waitForFunction(
        """
        () => [...document.querySelectorAll('#g-houses-section img')].every((each) => {
          each.loading = 'eager';
          return each.complete;
        })
        """);
    lettered(live.mainFrame());
    BufferedImage asItIs = drawn(section);

    String lines = taken(api, Api.DEMO, "houses-section").path("follows").asString();
    if (name.equals("late")) {
      lines = lines.replace("<script ", "<script type=later ");
    }
    if (name.equals("a strict policy")) {
      lines = lines.replace("<script ", "<script nonce=abc ");
    }
    try (var old = new OldPages()) {
      Page page = still(chromium, around.width(), zoom);
      if (zoom > 1) {
        smallFiles(page);
      }
      var failed = new ArrayList<String>();
      page.onPageError(failed::add);
      page.addInitScript(SHIFTS);
      String policy = around.policy().replace("SERVER", api.live());
      String address = old.put("page", around.with(lines), policy);
      boolean framed = name.equals("in a frame");
      String frame = "<iframe src='" + address + "' width=1000 height=1400 frameborder=0></iframe>";
      page.navigate(framed ? old.put("around", PLAIN.with(frame), "") : address);
      // The last of them is the script's own.
      Frame in = page.frames().get(framed ? 1 : 0);
      if (name.equals("a language that was changed")) {
        // What the test asks is run in the page as well.
        page.waitForTimeout(4200);
      }
      in.waitForFunction(LOADED);
      lettered(in);
      Locator all = in.locator("giostra-piece");
      assertThat(all).hasCount(name.equals("twice") ? 2 : 1);
      for (Locator each : all.all()) {
        assertThat(each.boundingBox().width).isEqualTo(ROOM);
        assertThat(different(asItIs, drawn(each))).as("share of px that differ").isLessThan(0.0005);
      }
      Locator piece = all.first();
      // The page's own styles for what is not in a policy keep the room that it will take.
      if (policy.isEmpty()) {
        assertThat(((Number) in.evaluate("() => window.shifted")).doubleValue()).isLessThan(0.002);
      }

      in.evaluate(
          "() => document.addEventListener('giostra:change', (event) => { window.told = event.detail.to; })");
      piece.locator(".g-next").first().click();
      in.waitForFunction("() => window.told !== undefined");
      assertThat(in.evaluate("() => document.querySelector('giostra-piece').giostra.current"))
          .isEqualTo(in.evaluate("() => window.told"));
      assertThat(page.locator("text=sent")).hasCount(0);
      assertThat(
              in.evaluate(
                  "() => Object.keys(window).filter((each) => /giostra/i.test(each)).length"))
          .as("names that it leaves in the page's window")
          .isEqualTo(0);
      assertThat(failed).isEmpty();
    }
  }

  /** A piece alone: its bands are those of the room, and it is as high as the engine says. */
  @InTurn(20)
  @Test
  void aColumnIsAPhoneToIt(Api api, Chromium.Open chromium) {
    String lines = taken(api, Api.DEMO, "houses").path("follows").asString();
    try (var old = new OldPages()) {
      Page page = still(chromium, 1600);
      page.navigate(
          old.put(
              "page",
              body(".c{inline-size:380px}", "", "<div class=c>@@</div>@@").replace("@@", lines)));
      page.waitForFunction(LOADED);
      JsonNode seen =
          Js.ask(
              page,
              """
              () => [...document.querySelectorAll('giostra-piece')].map((each) => {
                const view = each.shadowRoot.querySelector('.g-view').getBoundingClientRect();
                return [...each.shadowRoot.querySelectorAll('.g-item')].filter((item) => {
                  const box = item.getBoundingClientRect();
                  return box.left >= view.left - 1 && box.right <= view.right + 1;
                }).length;
              })
              """,
              null);
      assertThat(seen.get(0).asInt()).as("in the column").isEqualTo(1);
      assertThat(seen.get(1).asInt()).as("across the page").isEqualTo(3);
      // A room that changes is another band at once.
      page.evaluate("() => { document.querySelector('.c').style.inlineSize = '1100px'; }");
      page.waitForFunction(
          """
          () => {
            const root = document.querySelector('giostra-piece').shadowRoot;
            const wide = root.querySelector('.g-view').getBoundingClientRect().width;
            return root.querySelector('.g-item').getBoundingClientRect().width < wide / 2;
          }
          """);
      // Scripts too go by the room: tabs fold in a column, and are tabs across the page.
      page.navigate(
          old.put(
              "tabs",
              body(".c{inline-size:380px}", "", "<div class=c>@@</div>")
                  .replace("@@", taken(api, Api.DEMO, "four-houses").path("follows").asString())));
      page.waitForFunction(LOADED);
      assertThat(page.locator("giostra-piece [role=tab]:visible")).hasCount(0);
      page.evaluate("() => { document.querySelector('.c').style.inlineSize = '1100px'; }");
      assertThat(page.locator("giostra-piece [role=tab]:visible")).hasCount(4);
      assertThat(page.locator("giostra-piece [role=tabpanel]:visible")).hasCount(1);
      // axe looks into trees; one page twice has no id twice, since each has its own.
      assertThat(Axe.found(page, ".nothing")).isEmpty();
    }
  }

  /** Boxes of a section, from its own corner: all kinds in one another. */
  private static final String BOXES =
      """
      (section) => {
        const at = section.getBoundingClientRect();
        return [...section.querySelectorAll('*')].filter((each) => each.checkVisibility()).map((each) => {
          const box = each.getBoundingClientRect();
          return [each.className.baseVal ?? each.className, ...[box.x - at.x, box.y - at.y, box.width,
              box.height].map((px) => Math.round(px * 10) / 10)].join(' ');
        });
      }
      """;

  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest
  @CsvSource({"390, rtl", "1280, rtl", "1280, ltr"})
  void everyBoxIsWhereItIsOnTheLivePage(
      int width, String direction, Api api, Chromium.Open chromium) {
    String id = api.newPage(api.newSite("Boxes " + System.nanoTime()), Nested.document(direction));
    Page live = still(chromium, width);
    live.navigate(api.publish(id));
    live.waitForSelector("[data-live]");
    Page page = still(chromium, width);
    try (var old = new OldPages()) {
      for (Section section : api.document(id).page().sections()) {
        page.navigate(
            old.put(
                section.id(), PLAIN.with(taken(api, id, section.id()).path("follows").asString())));
        page.waitForFunction(LOADED);
        assertThat(page.locator("giostra-piece #g-" + section.id()).evaluate(BOXES))
            .as(section.id())
            .isEqualTo(live.locator("#g-" + section.id()).evaluate(BOXES));
      }
    }
  }

  @InTurn({4, 16})
  @Test
  void whoFollowsSeesWhatIsPublishedAndWhoStaysDoesNot(Api api, Chromium.Open chromium) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    api.publish(id);
    JsonNode lines = taken(api, id, "questions");
    try (var old = new OldPages()) {
      Page page = still(chromium, ROOM);
      String address = old.put("page", PLAIN.with(lines.path("follows").asString()));
      String stays = old.put("stays", PLAIN.with(lines.path("stays").asString()));
      page.navigate(address);
      page.waitForFunction(LOADED);
      Locator question = page.locator("giostra-piece .g-question").first();
      assertThat(question).hasText("Do I have to book?");
      // By keyboard: it folds.
      Locator head = page.locator("giostra-piece summary, giostra-piece .g-fold").first();
      assertThat(head).isVisible();

      String item = api.document(id).piece("questions").items().getFirst().id();
      int revision = api.page(id).path("revision").asInt();
      assertThat(
              api.edit(id, revision, new Edit.SetValue(item, "heading", "", "Must I book?"))
                  .status())
          .isEqualTo(200);
      page.reload();
      page.waitForFunction(LOADED);
      assertThat(question).hasText("Do I have to book?");
      api.publish(id);
      page.reload();
      page.waitForFunction(LOADED);
      assertThat(question).hasText("Must I book?");
      page.navigate(stays);
      page.waitForFunction(LOADED);
      assertThat(question).hasText("Do I have to book?");
      assertThat(
              api.get("/api/pages/" + id + "/snippets")
                  .json()
                  .get(0)
                  .path("seen")
                  .get(0)
                  .path("origin")
                  .asString())
          .isEqualTo(old.origin());
    }
  }

  @Test
  void itIsMovedTakenOutAndPutBackWithoutHarm(Api api, Chromium.Open chromium) {
    String lines = taken(api, Api.DEMO, "houses").path("follows").asString();
    try (var old = new OldPages()) {
      Page page = still(chromium, ROOM);
      page.navigate(old.put("page", PLAIN.with(lines + "<div id=there></div>")));
      page.waitForFunction(LOADED);
      page.evaluate(
          "() => document.querySelector('#there').append(document.querySelector('giostra-piece'))");
      page.waitForTimeout(100);
      Locator piece = page.locator("giostra-piece");
      piece.locator(".g-next").click();
      assertThat(piece.locator(".g-dot[aria-selected=true], .g-dot[aria-disabled=true]"))
          .hasCount(1);
      Object second =
          page.evaluate("() => document.querySelector('giostra-piece').giostra.current");
      page.evaluate(
          """
          () => {
            window.kept = document.querySelector('giostra-piece');
            const inside = kept.shadowRoot.querySelector('[data-kind]');
            const { stop } = inside.giostra;
            inside.giostra = { stop() { window.stopped = true; stop(); } };
            kept.remove();
          }
          """);
      page.waitForFunction("() => window.stopped");
      page.evaluate("() => document.body.append(window.kept)");
      page.waitForFunction(LOADED);
      assertThat(page.evaluate("() => window.kept.giostra.current")).isNotEqualTo(second);
      piece.locator(".g-next").click();
      page.waitForFunction("(second) => window.kept.giostra.current === second", second);
      // Another address, another piece.
      page.evaluate(
          "() => { kept.setAttribute('src', kept.getAttribute('src').replace('houses', 'nothing')); }");
      page.waitForSelector("giostra-piece[data-missing]");
    }
  }

  @Test
  void whereItCannotBeHadItsLinkStays(Api api, Chromium.Open chromium) {
    String lines = taken(api, Api.DEMO, "houses").path("follows").asString();
    try (var old = new OldPages()) {
      Page page = still(chromium, ROOM);
      page.route("**/snippets/*/**/*.html", Route::abort);
      page.navigate(old.put("page", PLAIN.with(lines)));
      page.waitForSelector("giostra-piece[data-missing]");
      assertThat(page.locator("giostra-piece a")).isVisible();
      assertThat(page.locator("giostra-piece").boundingBox().height).isLessThan(60);
      // Back on the net it comes by itself.
      page.unroute("**/snippets/*/**/*.html");
      page.evaluate("() => dispatchEvent(new Event('online'))");
      page.waitForFunction(LOADED);
      assertThat(page.locator("giostra-piece .g-next")).isVisible();
    }
  }

  @Test
  void withoutScriptAllOfItCanBeRead(Api api, Chromium.Open chromium) {
    try (var old = new OldPages()) {
      Page page = still(chromium, ROOM);
      for (String node : List.of("four-houses", "questions", "houses")) {
        page.navigate(
            old.put(node, PLAIN.with(taken(api, Api.DEMO, node).path("plain").asString())));
        assertThat(page.locator("giostra-piece .g-room")).isVisible();
        assertThat(page.locator("giostra-piece [data-live]")).hasCount(0);
        JsonNode reads =
            Js.ask(
                page,
                """
                () => {
                  const root = document.querySelector('giostra-piece').shadowRoot;
                  return [...root.querySelectorAll('.g-copy')].filter((words) =>
                      !words.closest('details') && !words.checkVisibility()).length;
                }
                """,
                null);
        assertThat(reads.asInt()).as("texts of " + node + " that cannot be seen").isZero();
        assertThat(Axe.found(page, ".nothing")).as(node).isEmpty();
      }
    }
  }

  @InTurn(16)
  @Test
  void inShipADesignerTakesOne(Api api, Page page) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    api.publish(id);
    Bench.open(page, api, id, "ship", "questions");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make the snippet"))
        .click();
    Locator lines = page.getByLabel("Lines to paste");
    assertThat(lines)
        .hasValue(
            Pattern.compile(
                "<script .*<giostra-piece src=.*/live/questions\\.html.*", Pattern.DOTALL));
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Stays with this one"))
        .click();
    assertThat(lines)
        .hasValue(Pattern.compile(".*integrity=\"sha384-.*/1/questions\\.html.*", Pattern.DOTALL));
    assertThat(Axe.within(page, ".ship")).isEmpty();
    Page tried =
        page.waitForPopup(() ->
            page.getByRole(
                    AriaRole.LINK, new Page.GetByRoleOptions().setName("See it in an old page"))
                .click());
    tried.waitForFunction(LOADED);
    assertThat(tried.locator("giostra-piece .g-question").first()).isVisible();
  }
}
