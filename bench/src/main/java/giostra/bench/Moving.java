package giostra.bench;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.slider.Slider;
import giostra.core.value.Change.Manner;
import giostra.core.value.PickKind;
import giostra.server.testing.Api;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** What moving costs whoever visits, in Chromium: long tasks, pictures drawn, time of the CPU. */
final class Moving {
  /** As slow as a phone that costs little, which is common practice. */
  private static final int SLOWER = 4;

  private static final int CHANGES = 6;

  /** Ms that pieces out of view are watched for. */
  private static final int WATCHED = 15_000;

  private static final int RUNNING = 10;

  private static final List<String> PICTURES =
      List.of("lamp-walk", "glasshouse-at-dusk", "orchid-show", "water-hall");

  private final Api api;
  private final Browser browser;
  private final String site;

  /** Of the demo's pictures, on a site of its own. */
  private final List<String> pictures;

  private Moving(Api api, Browser browser) {
    this.api = api;
    this.browser = browser;
    this.site = api.newSite("Moving");
    this.pictures = PICTURES.stream().map(this::taken).toList();
  }

  private String taken(String name) {
    Path file =
        Path.of(
            System.getProperty("giostra.root"),
            "server/src/main/resources/giostra/demo/media",
            name + ".jpg");
    try {
      return api.upload(site, name + ".jpg", Files.readAllBytes(file)).json().path("id").asString();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Prints it. */
  static void measure(Api api) {
    Chromium.in(browser -> {
      var moving = new Moving(api, browser);
      moving.changes();
      moving.outOfView();
      return moving;
    });
  }

  private Document sliders(int count, List<Edit> more) {
    List<Section> sections =
        IntStream.range(0, count)
            .mapToObj(s ->
                new Section(
                    "section-" + s,
                    Values.NONE,
                    List.of((Block) new Slider("slider-" + s, Values.NONE, slides(s)))))
            .toList();
    Values title = Values.NONE.with(PageSettings.TITLE, Values.ALL, count + " sliders");
    var document =
        new Document(
            new Site(Bands.INITIAL, Values.NONE),
            new giostra.core.page.Page("page", title, sections));
    return more.isEmpty() ? document : Edits.apply(document, more).document();
  }

  private List<Item> slides(int number) {
    return IntStream.range(0, pictures.size())
        .mapToObj(i ->
            new Item(
                "slide-" + number + "-" + i,
                Values.NONE
                    .with(ItemSettings.PICTURE, Values.ALL, pictures.get(i))
                    .with(ItemSettings.HEADING, Values.ALL, "Evening " + i)
                    .with(ItemSettings.TEXT, Values.ALL, "Words on a slide. ".repeat(4))))
        .toList();
  }

  private Page open(String address) {
    Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
    page.navigate(address);
    page.evaluate(
        "() => Promise.all([...document.images].map((i) => { i.loading = 'eager'; return"
            + " i.decode().catch(() => {}) }))");
    page.waitForTimeout(1000);
    return page;
  }

  /** Each manner of changing, on a CPU that is slowed, against a page on which nothing changes. */
  private void changes() {
    for (Manner manner : Manner.values()) {
      Document document =
          sliders(
              1,
              List.of(
                  new Edit.SetValue("slider-0", "changes", "desktop", PickKind.word(manner)),
                  new Edit.SetValue("slider-0", "endless", "desktop", true),
                  new Edit.SetValue("slider-0", "arrows", "desktop", "below"),
                  new Edit.SetValue("slider-0", "wordsCome", "desktop", "rise")));
      Page page = open(api.publish(api.newPage(site, document)));
      CDPSession cdp = page.context().newCDPSession(page);
      var slower = new JsonObject();
      slower.addProperty("rate", SLOWER);
      cdp.send("Emulation.setCPUThrottlingRate", slower);
      page.evaluate(
          """
          () => {
            window.long = [];
            new PerformanceObserver((list) => long.push(...list.getEntries().map((e) => e.duration)))
              .observe({ type: 'longtask' });
            window.drawn = (ms) => new Promise((done) => {
              const begins = performance.now();
              let count = 0;
              const draw = () => {
                count += 1;
                performance.now() - begins < ms ? requestAnimationFrame(draw) : done(count);
              };
              requestAnimationFrame(draw);
            });
          }
          """);
      double still = number(page.evaluate("() => drawn(3000)"));
      // What is done for the first time is done before it counts.
      page.locator(".g-next").first().click();
      page.waitForTimeout(2000);
      page.evaluate("() => { long.length = 0 }");
      double moving =
          number(
              page.evaluate(
                  """
                  async (count) => {
                    const next = document.querySelector('.g-next');
                    const all = drawn(500 * count);
                    for (let i = 0; i < count; i++) {
                      next.click();
                      await new Promise((done) => setTimeout(done, 500));
                    }
                    return all;
                  }
                  """,
                  CHANGES));
      var tasks = new ArrayList<Double>();
      ((List<?>) page.evaluate("() => long")).forEach(each -> tasks.add(number(each)));
      System.out.printf(
          "changes by %s, CPU slowed %d times: %d tasks over 50 ms (longest %.0f), pictures drawn"
              + " %.0f %% of those of a page on which nothing changes%n",
          PickKind.word(manner),
          SLOWER,
          tasks.size(),
          tasks.stream().mapToDouble(each -> each).max().orElse(0),
          100 * moving / (still * CHANGES * 500 / 3000));
      page.close();
    }
  }

  /** Sliders that move by themselves and are scrolled away, against an empty page. */
  private void outOfView() {
    var edits = new ArrayList<Edit>();
    for (int s = 0; s < RUNNING; s++) {
      edits.add(new Edit.SetValue("slider-" + s, "movesItself", "desktop", true));
      edits.add(new Edit.SetValue("slider-" + s, "rest", "desktop", "1s"));
    }
    String running = api.publish(api.newPage(site, sliders(RUNNING, edits)));
    String empty = api.publish(api.newPage(site, sliders(0, List.of())));
    double[] idle = used(open(empty));
    Page page = open(running);
    double[] seen = used(page);
    page.evaluate("() => { document.body.style.paddingBlockStart = '9000px'; scrollTo(0, 0) }");
    page.waitForTimeout(3000);
    double[] away = used(page);
    System.out.printf(
        "%d sliders that move, ms of main thread (of it scripts) in %d s: an empty page %.0f (%.1f),"
            + " in view %.0f (%.1f), out of view %.0f (%.1f)%n",
        RUNNING, WATCHED / 1000, idle[0], idle[1], seen[0], seen[1], away[0], away[1]);
  }

  private static double[] used(Page page) {
    CDPSession cdp = page.context().newCDPSession(page);
    cdp.send("Performance.enable");
    double[] before = times(cdp);
    page.waitForTimeout(WATCHED);
    double[] after = times(cdp);
    return new double[] {after[0] - before[0], after[1] - before[1]};
  }

  /** Of its main thread and of scripts on it, in ms. */
  private static double[] times(CDPSession cdp) {
    var found = new double[2];
    cdp.send("Performance.getMetrics")
        .getAsJsonArray("metrics")
        .forEach(each -> {
          JsonObject metric = each.getAsJsonObject();
          double value = metric.get("value").getAsDouble() * 1000;
          switch (metric.get("name").getAsString()) {
            case "TaskDuration" -> found[0] = value;
            case "ScriptDuration" -> found[1] = value;
            default -> {}
          }
        });
    return found;
  }

  private static double number(Object value) {
    return ((Number) value).doubleValue();
  }
}
