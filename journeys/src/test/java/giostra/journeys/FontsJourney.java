package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import giostra.core.anatomy.TypeParts;
import giostra.core.band.Bands;
import giostra.core.fit.Face;
import giostra.core.fit.OwnFonts;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.testing.InTurn;
import giostra.core.value.PickKind;
import giostra.core.value.Typeface;
import giostra.server.host.ShippedFiles;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Fonts of one's own: taken in, put together to families, worn by texts, headings and parts.
 * Reference: what Debian's Chromium draws with the same files on the live page.
 */
@ExtendWith({Giostra.class, Chromium.class})
class FontsJourney {
  private static final List<String> PHRASES =
      List.of("The moonflowers open at dusk", "AVATAR Type, To Yield", "office, fi 1 234.50");

  /** Letters of a size and a weight, upright and slanted: how wide they are on the page. */
  private static final String WIDE =
      """
      async ([phrases, weights]) => {
        await document.fonts.ready;
        const root = document.createElement('div');
        document.body.replaceChildren(root);
        const boxes = weights.flatMap((weight) => ['normal', 'italic'].flatMap((style) =>
          phrases.map((text) => {
            const box = document.createElement('span');
            Object.assign(box.style, { display: 'inline-block', whiteSpace: 'nowrap',
              font: `${style} ${weight} 32px/40px "Own 1","Further Letters"` });
            box.append(text);
            root.append(box, document.createElement('br'));
            return box;
          })));
        await Promise.all([...document.fonts].map((face) => face.load()));
        await document.fonts.ready;
        return boxes.map((box) => box.getBoundingClientRect().width);
      }
      """;

  private static FilePayload file(String name, byte[] bytes) {
    return new FilePayload(name, "application/octet-stream", bytes);
  }

  private static List<FilePayload> family() throws IOException {
    return List.of(
        file(
            "lanthorn-regular.ttf",
            new MadeFont("Lanthorn", 400, false).of("oswald-latin-wght-normal.ttf")),
        file(
            "lanthorn-bold.ttf",
            new MadeFont("Lanthorn", 700, false).of("bitter-latin-wght-normal.ttf")),
        file(
            "lanthorn-italic.ttf",
            new MadeFont("Lanthorn", 400, true).of("literata-latin-wght-normal.ttf")));
  }

  private static FilePayload caveat() {
    return file("caveat.woff2", ShippedFiles.load("fonts/caveat-latin-wght-normal.woff2"));
  }

  /** A page with slanted words. */
  private static Document slanted() {
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page(
            "page",
            Values.NONE.with(PageSettings.TITLE, Values.ALL, "Letters"),
            List.of(
                new Section(
                    "s",
                    Values.NONE,
                    List.of(
                        new Block.Text(
                            "t",
                            Values.NONE.with(
                                BlockSettings.PARAGRAPHS,
                                Values.ALL,
                                "<p>Words, <em>slanted</em> and <strong>bold</strong></p>")))))));
  }

  @InTurn(14)
  @Test
  void aDesignerSetsThePageInHerOwnLetters(Api api, Page page) throws IOException {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    Bench bench = Bench.open(page, api, id, "dress", "site");
    page.getByLabel("Parts of what").selectOption("type");
    bench.bead("Families").click();
    bench.button("Fonts").click();
    Locator dialog = page.locator(".fonts");
    PlaywrightAssertions.assertThat(dialog).containsText("Drop the files of a family here");
    var files = new ArrayList<>(family());
    files.add(caveat());
    files.add(file("no-font.woff2", "nothing".getBytes(StandardCharsets.UTF_8)));
    dialog.locator("input[type=file]").setInputFiles(files.toArray(FilePayload[]::new));

    Locator families = dialog.locator(".own-family");
    PlaywrightAssertions.assertThat(families).hasCount(2);
    PlaywrightAssertions.assertThat(families.first().locator("h3")).hasText("Lanthorn");
    PlaywrightAssertions.assertThat(families.first().locator("li"))
        .hasText(new String[] {"400", "700", "400 slanted"});
    PlaywrightAssertions.assertThat(families.nth(1).locator("li")).hasText("400–700");
    PlaywrightAssertions.assertThat(dialog.getByRole(AriaRole.ALERT)).containsText("no-font.woff2");
    assertThat(Axe.within(page, ".fonts")).isEmpty();

    families.first().getByText("Texts").click();
    families.nth(1).getByText("Headings").click();
    bench.saved();
    page.keyboard().press("Escape");
    PlaywrightAssertions.assertThat(bench.cell("site", "type.families/rest/text-face", "desktop"))
        .containsText("Lanthorn");

    // The live page is sent these files and is drawn with them.
    Page live = page.context().newPage();
    live.setViewportSize(1280, 800);
    live.navigate(api.publish(id));
    live.waitForFunction("() => document.fonts.status === 'loaded'");
    assertThat(drawn(live)).contains("Own 1 1 500", "Own 2 1 1000");
    assertThat(
            live.evaluate("() => getComputedStyle(document.querySelector('h1')).fontFamily")
                .toString())
        .startsWith("\"Own 2\"");
    assertThat(live.evaluate("() => getComputedStyle(document.body).fontFamily").toString())
        .startsWith("\"Own 1\"");
    live.close();

    // Taken away, what had its letters has those that the site began with, in one step back.
    bench.button("Fonts").click();
    dialog.getByLabel("Take Lanthorn away").click();
    PlaywrightAssertions.assertThat(families).hasCount(1);
    bench.saved();
    assertThat(api.document(id).site().fonts().getFirst()).isEmpty();
    page.keyboard().press("Escape");
    page.keyboard().press("Control+z");
    bench.saved();
    assertThat(api.document(id).site().fonts().getFirst()).hasSize(3);
  }

  private static String drawn(Page live) {
    return live.evaluate(
            "() => [...document.fonts].filter((f) => f.status === 'loaded').map((f) =>"
                + " `${f.family.replaceAll('\"', '')} ${f.weight}`).join(', ')")
        .toString();
  }

  @Test
  void theEngineMeasuresTheLettersThatChromiumDraws(Api api, Chromium.Open chromium)
      throws IOException {
    String site = api.newSite("Letters");
    String id = api.newPage(site, slanted());
    Map<String, byte[]> bytes = new HashMap<>();
    List<FilePayload> files = new ArrayList<>(family());
    files.add(caveat());
    for (FilePayload each : files) {
      String font = api.upload(site, each.name, each.buffer).json().path("id").asString();
      assertThat(font).startsWith(each.name.replaceAll("\\..*", "-"));
      bytes.put(font, each.buffer);
    }
    List<String> ids =
        bytes.keySet().stream().filter(font -> font.startsWith("lanthorn")).sorted().toList();
    JsonNode page = api.page(id);
    Api.Answer edited =
        api.edit(
            id,
            page.path("revision").asInt(),
            page.path("siteRevision").asInt(),
            new Edit.SetValue("site", "font1", Values.ALL, String.join(" ", ids)),
            new Edit.SetStyle(
                "site",
                TypeParts.FAMILIES.key(Property.TEXT_FACE, State.REST),
                "desktop",
                PickKind.word(Typeface.OWN_1)));
    assertThat(edited.status()).as(edited.text()).isEqualTo(200);
    Page live = chromium.page(1280, 800);
    live.navigate(api.publish(id));
    live.waitForFunction("() => document.fonts.status === 'loaded'");
    // A font that comes late is not drawn with until the next visit.
    live.reload();
    List<Integer> weights = List.of(100, 400, 500, 501, 700, 1000);
    JsonNode wide = Js.ask(live, WIDE, List.of(PHRASES, weights));
    String own = OwnFonts.family(ids);
    int at = 0;
    for (int weight : weights) {
      for (boolean slanted : new boolean[] {false, true}) {
        for (String text : PHRASES) {
          Face face = Face.of(own, weight);
          assertThat((slanted ? face.slanted() : face).width(text, 32, 0))
              .as("%s at %d%s", text, weight, slanted ? ", slanted" : "")
              .isCloseTo(wide.path(at++).asDouble(), within(0.05));
        }
      }
    }

    // They go along with their site.
    Api.Answer archived =
        api.send(
            "/api/archives",
            "application/zip",
            api.get("/api/sites/" + site + "/archive.zip").bytes());
    assertThat(archived.status()).as(archived.text()).isEqualTo(201);
    String brought = archived.json().path("site").asString();
    assertThat(
            api.get("/api/sites/" + brought + "/media")
                .json()
                .valueStream()
                .filter(each -> each.path("font").isObject())
                .map(each -> each.path("id").asString()))
        .containsExactlyInAnyOrderElementsOf(bytes.keySet());
  }

  /** How high each text is, how high the letters of its first line reach, and all of the page. */
  private static final String BROKEN =
      """
      async () => {
        await document.fonts.ready;
        const texts = [...document.querySelectorAll('main :is(h1,h2,h3,p,li,blockquote)')]
            .filter((each) => each.offsetHeight > 0 && each.textContent.trim());
        return [document.documentElement.scrollHeight, ...texts.flatMap((each) => {
          const words = document.createTreeWalker(each, NodeFilter.SHOW_TEXT,
              (node) => node.data.trim() ? NodeFilter.FILTER_ACCEPT : NodeFilter.FILTER_SKIP);
          const range = document.createRange();
          range.selectNodeContents(words.nextNode());
          const [line] = range.getClientRects();
          return [each.getBoundingClientRect().height, line?.height ?? 0];
        })];
      }
      """;

  private static List<Double> broken(
      Chromium.Open chromium, String address, int width, boolean has) {
    Page page = chromium.page(width, 800);
    if (!has) {
      page.route("**/*.woff2", com.microsoft.playwright.Route::abort);
    }
    page.navigate(address);
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    page.waitForTimeout(300);
    var all = new ArrayList<Double>();
    for (Object each : (List<?>) page.evaluate(BROKEN)) {
      all.add(((Number) each).doubleValue());
    }
    return all;
  }

  /**
   * On a slow line letters that a machine has stand in for those of the page. They take as much
   * room, and their lines as well. Reference: Debian's Chromium with the fonts and without them.
   */
  @InTurn(16)
  @Test
  void whereFontsDoNotComeTextsAreBrokenAlmostAsWithThem(Api api, Chromium.Open chromium) {
    int texts = 0;
    int alike = 0;
    double worst = 0;
    for (int width : List.of(1280, 800, 390)) {
      List<Double> own = broken(chromium, api.at(Api.LIVE_DEMO), width, true);
      List<Double> instead = broken(chromium, api.at(Api.LIVE_DEMO), width, false);
      assertThat(instead).hasSameSizeAs(own);
      worst = Math.max(worst, Math.abs(instead.getFirst() / own.getFirst() - 1));
      for (int i = 1; i < own.size(); i += 2) {
        texts++;
        alike += Math.abs(own.get(i) - instead.get(i)) < 1 ? 1 : 0;
        // Over and under its line a letter reaches as far.
        assertThat(instead.get(i + 1)).isCloseTo(own.get(i + 1), within(1.01));
      }
    }
    System.out.printf(
        "measured: without their fonts %d of %d texts are as high, pages within %.2f %%%n",
        alike, texts, worst * 100);
    assertThat(alike).isGreaterThan(texts * 19 / 20);
    assertThat(worst).isLessThan(0.01);
  }

  /**
   * Files that are fetched, and those of them that no word needs: told by the page as it is shown,
   * not by the compiler. Source: CSS Fonts 4, "unicode-range" and 5.3 (which face draws a
   * character: the first of its families that has it), with what faces say of themselves.
   */
  private static final String NEEDED =
      """
      async () => {
        await document.fonts.ready;
        const faces = [...document.styleSheets].flatMap((sheet) => [...sheet.cssRules])
            .filter((rule) => rule instanceof CSSFontFaceRule && rule.style.getPropertyValue('src').includes('url('))
            .map(({ style }) => ({
              family: style.getPropertyValue('font-family').replaceAll('"', ''),
              file: style.getPropertyValue('src').match(/url\\("?([^")]+)"?\\)/)[1].split('/').at(-1),
              slanted: style.getPropertyValue('font-style').startsWith('italic'),
              ranges: (style.getPropertyValue('unicode-range') || 'U+0-10FFFF').split(',').map((each) =>
                  each.trim().slice(2).split('-').map((end) => parseInt(end, 16))),
            }));
        const has = (face, c) => face.ranges.some(([from, to = from]) => from <= c && c <= to);
        const needed = new Set();
        const words = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        for (let node = words.nextNode(); node; node = words.nextNode()) {
          if (!node.data.trim() || ['SCRIPT', 'STYLE', 'TEMPLATE'].includes(node.parentElement.tagName)) continue;
          const style = getComputedStyle(node.parentElement);
          const families = style.fontFamily.split(',').map((each) => each.trim().replaceAll('"', ''));
          for (const letter of style.textTransform === 'uppercase' ? node.data + node.data.toUpperCase() : node.data) {
            for (const family of families) {
              const of = faces.filter((each) => each.family === family && has(each, letter.codePointAt(0)));
              for (const each of of) needed.add(each.file);
              if (of.length) break;
            }
          }
        }
        return { declared: faces.map(({ file }) => file), needed: [...needed] };
      }
      """;

  /** A page fetches the slices of fonts that its words need, and no other one. */
  @InTurn(23)
  @Test
  void theDemoFetchesTheSlicesThatItsWordsNeed(Api api, Chromium.Open chromium) {
    Page page = chromium.page(1280, 800);
    var fetched = new java.util.TreeMap<String, Integer>();
    page.onResponse(answer -> {
      if (answer.url().endsWith(".woff2")) {
        fetched.put(
            answer.url().substring(answer.url().lastIndexOf('/') + 1), answer.body().length);
      }
    });
    page.navigate(api.at(Api.LIVE_DEMO));
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    JsonNode told = Js.ask(page, NEEDED, null);
    List<String> needed = told.path("needed").valueStream().map(JsonNode::asString).toList();
    List<String> declared = told.path("declared").valueStream().map(JsonNode::asString).toList();
    System.out.printf(
        "measured: fonts of the demo: %d bytes in %s; declared %s%n",
        fetched.values().stream().mapToInt(Integer::intValue).sum(), fetched, declared);
    assertThat(fetched).isNotEmpty();
    assertThat(needed).containsAll(fetched.keySet());
    assertThat(needed).as("declared, but of no use").containsAll(declared);
  }
}
