package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Between the screen and the server: two windows, no network, and a stage that never drifts. */
@ExtendWith({Giostra.class, Chromium.class})
class SessionJourney {
  private static final int EDITS = Runs.of(30, 400);

  @Test
  void twoWindowsThatSetDifferentValuesBothKeepTheirs(Api api, Chromium.Open chromium) {
    String id = api.newPage(Subject.document());
    Bench first = Bench.open(chromium.page(1280, 800), api, id, "arrange", "cards");
    Bench second = Bench.open(chromium.page(1280, 800), api, id, "arrange", "cards");
    first.set("cards", "gap", "desktop", "31px");
    first.saved();
    second.set("cards", "inView", "desktop", "2");
    second.saved();
    assertThat(api.get("/api/pages/" + id + "/document").text())
        .contains("\"31px\"")
        .contains("\"inView\":{\"desktop\":2}");
    assertThat(second.cell("cards", "gap", "desktop")).containsText("31px");
  }

  @Test
  void twoWindowsThatSetTheSameValueAreAsked(Api api, Chromium.Open chromium) {
    String id = api.newPage(Subject.document());
    Bench first = Bench.open(chromium.page(1280, 800), api, id, "arrange", "cards");
    Page unheard = chromium.page(1280, 800);
    // A window that has not heard of the other's edit yet, as on a line that is slow.
    unheard.route("**/events", Route::abort);
    Bench second = Bench.open(unheard, api, id, "arrange", "cards");
    first.set("cards", "gap", "desktop", "31px");
    first.saved();
    second.set("cards", "gap", "desktop", "17px");
    var dialog = second.page().locator("dialog[open]");
    assertThat(dialog).containsText("Changed in two windows");
    assertThat(dialog).containsText("17px");
    assertThat(dialog).containsText("31px");
    second.button("Keep mine").click();
    second.saved();
    assertThat(api.get("/api/pages/" + id + "/document").text()).contains("\"17px\"");
  }

  @Test
  void whatIsTypedWithoutANetworkIsKeptAndSentLater(Api api, Chromium.Open chromium) {
    String id = api.newPage(Subject.document());
    Page page = chromium.page(1280, 800);
    Bench bench = Bench.open(page, api, id, "arrange", "cards");
    bench.cell("cards", "gap", "desktop").waitFor();
    BrowserContext context = page.context();
    context.setOffline(true);
    bench.set("cards", "gap", "desktop", "33px");
    assertThat(page.locator(".topbar")).containsText("offline: 1 change kept here");
    assertThat(bench.cell("cards", "gap", "desktop")).containsText("33px");
    context.setOffline(false);
    bench.saved();
    assertThat(api.get("/api/pages/" + id + "/document").text()).contains("\"33px\"");
  }

  @Test
  void whereTheBrowserHasNoRoomForItAChangeIsSentAllTheSame(Api api, Page page) {
    String id = api.newPage(Subject.document());
    page.addInitScript(
        "Storage.prototype.setItem = () => { throw new DOMException('full', 'QuotaExceededError') }");
    Bench bench = Bench.open(page, api, id, "arrange", "cards");
    bench.set("cards", "gap", "desktop", "37px");
    bench.saved();
    assertThat(api.get("/api/pages/" + id + "/document").text()).contains("\"37px\"");
  }

  @Test
  void whatATabCouldNotSendTheNextOneTakesUp(Api api, Chromium.Open chromium) {
    String id = api.newPage(Subject.document());
    Page page = chromium.page(1280, 800);
    Bench bench = Bench.open(page, api, id, "arrange", "cards");
    page.route("**/edits?*", route -> route.abort());
    bench.set("cards", "gap", "desktop", "34px");
    assertThat(page.locator(".topbar")).containsText("offline");
    BrowserContext context = page.context();
    page.close();
    Page next = context.newPage();
    Bench again = Bench.open(next, api, id, "arrange", "cards");
    again.saved();
    assertThat(again.cell("cards", "gap", "desktop")).containsText("34px");
    next.waitForTimeout(300);
    assertThat(api.get("/api/pages/" + id + "/document").text()).contains("\"34px\"");
  }

  @InTurn(18)
  @Test
  void whatTheServerFailsAtIsAskedAboutAndHoldsUpNothingForEver(Api api, Chromium.Open chromium) {
    String id = api.newPage(Subject.document());
    Page page = chromium.page(1280, 800);
    Bench bench = Bench.open(page, api, id, "arrange", "cards");
    bench.cell("cards", "gap", "desktop").waitFor();
    // A gateway, or a server without its database: it was not reached.
    page.route("**/edits?*", route -> route.fulfill(new Route.FulfillOptions().setStatus(503)));
    bench.set("cards", "gap", "desktop", "35px");
    assertThat(page.locator(".topbar")).containsText("offline: 1 change kept here");
    page.unroute("**/edits?*");
    bench.saved();
    // A server that has too much to do says so, and when to come back.
    page.route(
        "**/edits?*",
        route ->
            route.fulfill(
                new Route.FulfillOptions()
                    .setStatus(503)
                    .setContentType("application/problem+json")
                    .setHeaders(Map.of("Retry-After", "1"))
                    .setBody("{\"title\":\"Not now\",\"detail\":\"Many ask at once.\"}")));
    bench.set("cards", "gap", "desktop", "38px");
    var waits = page.locator(".topbar [title='Many ask at once.']");
    assertThat(waits).hasText("waiting for the server: 1 change kept here");
    page.unroute("**/edits?*");
    bench.saved();
    // The server itself, each time: three tries, then somebody says what becomes of it.
    var tries = new AtomicInteger();
    page.route(
        "**/edits?*",
        route -> {
          tries.incrementAndGet();
          route.fulfill(new Route.FulfillOptions().setStatus(500));
        });
    bench.set("cards", "gap", "desktop", "36px");
    assertThat(page.locator("dialog[open]")).containsText("The server could not take a change");
    assertThat(tries.get()).isEqualTo(3);
    page.unroute("**/edits?*");
    bench.button("Let this change go").click();
    bench.saved();
    bench.set("cards", "inView", "desktop", "2");
    bench.saved();
    String document = api.get("/api/pages/" + id + "/document").text();
    assertThat(document).contains("\"38px\"").contains("\"inView\":{\"desktop\":2}");
    assertThat(document).doesNotContain("36px");
  }

  @InTurn(15)
  @Test
  void anUndoWhoseAnswerWasLostHappensOnce(Api api, Chromium.Open chromium) {
    String id = api.newPage(Subject.document());
    Page page = chromium.page(1280, 800);
    Bench bench = Bench.open(page, api, id, "arrange", "cards");
    for (String gap : List.of("41px", "42px", "43px")) {
      bench.set("cards", "gap", "desktop", gap);
      bench.saved();
    }
    var lost = new AtomicInteger();
    page.route(
        "**/undo?*",
        route -> {
          if (lost.getAndIncrement() == 0) {
            // It arrives, and the answer does not.
            route.fetch();
            route.abort();
          } else {
            route.resume();
          }
        });
    bench.button("Undo").click();
    assertThat(page.locator(".topbar")).containsText("offline");
    bench.saved();
    assertThat(lost.get()).isEqualTo(2);
    assertThat(bench.cell("cards", "gap", "desktop")).containsText("42px");
    assertThat(api.page(id).path("revision").asInt()).isEqualTo(4);
    // An answer that is none does not leave it busy for ever.
    page.route(
        "**/redo?*",
        route -> route.fulfill(new Route.FulfillOptions().setStatus(200).setBody("{\"page\":")));
    bench.button("Redo").click();
    assertThat(page.locator(".topbar")).containsText("offline");
    page.unroute("**/redo?*");
    bench.saved();
    assertThat(bench.cell("cards", "gap", "desktop")).containsText("43px");
  }

  @Test
  void whatIsSetOnTheSiteIsReadAnewEverywhere(Api api, Chromium.Open chromium) {
    String id = api.newPage(api.newSite("Read anew " + System.nanoTime()), Subject.document());
    Page page = chromium.page(1280, 800);
    Bench bench = Bench.open(page, api, id, "arrange", "site");
    assertThat(bench.cell("site", "measure", "tablet")).containsText("1120px");
    bench.set("site", "measure", "desktop", "1000px");
    bench.saved();
    assertThat(bench.cell("site", "measure", "tablet")).containsText("1000px");
    page.locator(".map-row[data-node=cards]").click();
    bench.publish();
    Bench.open(page, api, id, "arrange", "site").set("site", "measure", "desktop", "900px");
    bench.saved();
    bench.step("Ship");
    assertThat(page.locator(".ship-live")).containsText("One change since");
  }

  @Test
  void anUndoThatIsOvertakenFromAnotherPageSaysSo(Api api, Chromium.Open chromium) {
    String site = api.newSite("Overtaken " + System.nanoTime());
    String one = api.newPage(site, Subject.document());
    String other = api.newPage(site, Subject.document());
    Page page = chromium.page(1280, 800);
    Bench bench = Bench.open(page, api, one, "arrange", "site");
    bench.set("site", "measure", "desktop", "1000px");
    bench.saved();
    api.edit(other, 0, 2, new Edit.SetValue("site", "measure", "desktop", "900px"));
    bench.button("Undo").click();
    assertThat(page.locator(".topbar")).containsText("has changed since from elsewhere");
    assertThat(bench.cell("site", "measure", "desktop")).containsText("900px");
  }

  /**
   * Many edits through the screen, drawn at random; then the stage's document is what a fresh
   * compile gives.
   */
  @InTurn(14)
  @Test
  void afterManyEditsTheStageIsAFreshCompile(Api api, Chromium.Open chromium) {
    String id = api.newPage(Subject.document());
    Page page = chromium.page(1280, 800);
    Bench bench = Bench.open(page, api, id, "arrange", "cards");
    bench.stage();
    var random = new Random(7);
    for (int edit = 0; edit < EDITS; edit++) {
      switch (random.nextInt(8)) {
        case 0 -> bench.set("cards", "gap", band(random), random.nextInt(60) + "px");
        case 1 ->
            bench.set("cards", "inView", band(random), Integer.toString(1 + random.nextInt(6)));
        case 2 -> bench.set("cards", "peek", band(random), random.nextInt(50) + "px");
        case 3 ->
            bench.set(
                "cards",
                "marks",
                band(random),
                List.of("dots", "tally", "bar", "none").get(random.nextInt(4)));
        case 4 -> bench.set("cards", "endless", band(random), "");
        case 5 -> bench.button("Duplicate").click();
        case 6 -> page.keyboard().press("Control+z");
        default ->
            bench.set(
                "cards",
                "arrows",
                band(random),
                List.of("beside", "below", "none").get(random.nextInt(3)));
      }
      // A duplicate is chosen; the original is worked on.
      page.locator(".map-row[data-node=cards]").click();
    }
    bench.saved();
    Page fresh = chromium.page(1280, 800);
    fresh.navigate(api.stage() + "/api/pages/" + id + "/preview/");
    fresh.waitForLoadState();
    String compiled = normal(fresh.content()) + fresh.evaluate(RULES);
    // The last change reaches the stage a little after the server; what drifted stays adrift.
    for (int tries = 0; tries < 60 && !staged(bench).equals(compiled); tries++) {
      page.waitForTimeout(250);
    }
    assertThat(staged(bench)).isEqualTo(compiled);
    Document document = api.document(id);
    assertThat(document.pieces()).isNotEmpty();
  }

  /** Rules as they hold: a stage patches them, and its sheet keeps the address it came from. */
  private static final String RULES =
      "() => [...document.styleSheets].flatMap((s) => [...s.cssRules]).map((r) => r.cssText).join('\\n')";

  private static String staged(Bench bench) {
    return normal(bench.stage().content()) + bench.stage().evaluate(RULES);
  }

  private static String band(Random random) {
    return List.of("phone", "tablet", "desktop").get(random.nextInt(3));
  }

  /** Without what the page script writes while it runs: styles, inert, places. */
  private static String normal(String html) {
    return html.replaceAll(" style=\"[^\"]*\"", "")
        .replaceAll(" data-live=\"\"", "")
        .replaceAll(" inert=\"\"", "")
        .replaceAll(" aria-disabled=\"[a-z]*\"", "")
        .replaceAll("<head>.*</head>", "<head>" + sheets(html) + "</head>")
        .replaceAll("style\\.[0-9a-f]+\\.css", "style.css")
        .replaceAll("\\s+", " ");
  }

  private static String sheets(String html) {
    var found = new StringBuilder();
    var match =
        java.util.regex.Pattern.compile("<(title>[^<]*|link [^>]*|meta [^>]*)").matcher(html);
    var all = new java.util.TreeSet<String>();
    while (match.find()) {
      all.add(match.group());
    }
    all.forEach(found::append);
    return java.util.regex.Matcher.quoteReplacement(found.toString());
  }
}
