package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import giostra.core.band.Viewport;
import giostra.core.layout.TrackReading;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.piece.carousel.Carousel;
import giostra.core.testing.InTurn;
import giostra.core.value.CssBlocks;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import nu.validator.client.EmbeddedValidator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/**
 * What is shipped: the live page, the bundle from disk, both without script, nothing that shifts.
 */
@ExtendWith({Giostra.class, Chromium.class})
class ShipJourney {
  /** Px of the corners of what is compared. */
  private static final int ROUND = 8;

  /** As a title it has as many lines as that of the demo, on any screen. */
  private static final String NIGHT = "The garden opens when the night falls";

  @Test
  void theBundleWorksFromDisk(Api api, Chromium.Open chromium, @TempDir Path folder)
      throws IOException {
    unzip(api.get("/api/pages/" + Api.DEMO + "/bundle.zip").bytes(), folder);
    Page page = chromium.page(1280, 800);
    var failed = new ArrayList<String>();
    // Preloading a font is refused from disk; the sheet then loads it, as is checked below.
    page.onRequestFailed(request -> {
      if (!request.url().contains("/fonts/")) {
        failed.add(request.url());
      }
    });
    page.navigate(folder.resolve("index.html").toUri().toString());
    page.waitForSelector("[data-piece=words][data-live]");
    page.locator("[data-piece=words] .g-next").click();
    Js.rested(page);
    assertThat(place(page, "words")).isEqualTo("1");
    assertThat(failed).isEmpty();
    assertThat(
            Js.ask(
                    page,
                    "() => [...document.fonts].filter((f) => f.status === 'loaded').length",
                    null)
                .asInt())
        .isGreaterThanOrEqualTo(2);
    long missing =
        Js.ask(
                page,
                "() => [...document.images].filter((i) => i.complete && !i.naturalWidth).length",
                null)
            .asLong();
    assertThat(missing).isZero();
  }

  /**
   * Two releases on one another: what is left of the wipe is of one, what is right of the other.
   */
  @InTurn(21)
  @Test
  void twoReleasesAreSeenOneOverTheOther(Api api, Page page) throws IOException {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    api.publish(id);
    api.edit(id, 0, new Edit.SetValue("opening-title", "text", "", NIGHT));
    api.publish(id);
    Bench.open(page, api, id, "ship", "opening-title");
    // Some letters more are told of, and nothing else weighs more: the title has as many lines.
    Locator weight = page.locator(".ship-weight tbody tr");
    assertThat(weight.filter(new Locator.FilterOptions().setHasText("Markup")).locator("td").nth(1))
        .hasText(Pattern.compile("^[+−]\\d+ B$"));
    assertThat(weight.filter(new Locator.FilterOptions().setHasText("Fonts")).locator("td").nth(1))
        .hasText("as before");
    // So it is for whoever sees it on a phone; pictures are in the file that fits a dense screen.
    Locator phone = weight.filter(new Locator.FilterOptions().setHasText("Phone at 390 px"));
    assertThat(phone.locator("td").nth(1)).hasText(Pattern.compile("^[+−]\\d+ B$"));
    String dense = phone.locator("td").first().textContent();
    page.getByLabel("On screens of").selectOption("1");
    assertThat(phone.locator("td").first()).not().hasText(dense);
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("See them both")).click();
    Locator compare =
        page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Compare releases"));
    assertThat(compare.frameLocator("[title='Release 1 at 1280 px']").locator("#g-opening-title"))
        .not()
        .hasText(NIGHT);
    assertThat(compare.frameLocator("[title='Release 2 at 1280 px']").locator("#g-opening-title"))
        .hasText(NIGHT);
    Locator wipe = page.getByLabel("Where one ends and the other begins");
    wipe.press("End");
    assertThat(compare.locator("figure").nth(1)).hasCSS("clip-path", "inset(0px 0px 0px 100%)");
    differsInItsTitleAlone(page, compare);
    page.getByLabel("How far both are scrolled").fill("700");
    page.waitForFunction("() => document.querySelectorAll('.compare-wiped iframe').length === 2");
    for (Frame frame : page.frames()) {
      if (frame.url().contains("siteRevision")) {
        frame.waitForFunction("() => Math.abs(scrollY - 700) < 1");
      }
    }
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName("side by side").setExact(true))
        .click();
    page.getByLabel("Width in px").fill("390");
    page.getByLabel("Width in px").press("Enter");
    assertThat(compare.locator("iframe[title='Release 2 at 390 px']")).isVisible();
    page.getByLabel("Width in px").fill("12");
    assertThat(compare.getByRole(AriaRole.ALERT))
        .hasText("12 is none: a whole width from 280 to 2560 px");
    assertThat(Axe.within(page, "dialog[open]", "iframe")).isEmpty();
  }

  /** Pixel for pixel they are the same but for the title, which has other words. */
  private static void differsInItsTitleAlone(Page page, Locator compare) throws IOException {
    var chip = new Locator.GetByRoleOptions().setName("where they differ");
    compare.getByRole(AriaRole.BUTTON, chip).click();
    Locator title =
        compare.frameLocator("[title='Release 2 at 1280 px']").locator("#g-opening-title");
    assertThat(title).isVisible();
    Js.rested(page);
    BoundingBox there = title.boundingBox();
    BoundingBox frame = compare.locator("iframe").first().boundingBox();
    var clip =
        new Page.ScreenshotOptions()
            // Its corners are round.
            .setClip(
                frame.x + ROUND,
                frame.y + ROUND,
                frame.width - 2 * ROUND,
                Math.min(frame.height, 700 - frame.y) - 2 * ROUND);
    BufferedImage seen = ImageIO.read(new ByteArrayInputStream(page.screenshot(clip)));
    int differing = 0;
    for (int y = 0; y < seen.getHeight(); y++) {
      for (int x = 0; x < seen.getWidth(); x++) {
        if ((seen.getRGB(x, y) & 0xFFFFFF) != 0xFFFFFF) {
          differing++;
          assertThat(y + frame.y + ROUND)
              .as("%d, %d: %06x", x, y, seen.getRGB(x, y) & 0xFFFFFF)
              .isBetween(there.y - 4, there.y + there.height + 4);
        }
      }
    }
    System.out.printf("measured: two releases differ in %d pixels, in their title%n", differing);
    assertThat(differing).isGreaterThan(200);
    var wiped = new Locator.GetByRoleOptions().setName("one over the other");
    compare.getByRole(AriaRole.BUTTON, wiped).click();
  }

  @InTurn(1)
  @ParameterizedTest
  @ValueSource(ints = {390, 1280})
  void withoutScriptTracksScrollAndSnapAtTheEnginesStops(
      int width, Api api, Chromium.Open chromium) {
    // Chromium turns script off through the protocol, so what is asked below runs beside the page.
    Page page =
        chromium.page(
            new Browser.NewContextOptions()
                .setViewportSize(width, 800)
                .setJavaScriptEnabled(false));
    page.navigate(api.at(Api.LIVE_DEMO));
    assertThat(page.locator("[data-piece=words] .g-next")).not().isVisible();
    assertThat(page.locator("[data-live]")).hasCount(0);
    Document demo = api.document(Api.DEMO);
    var view = page.locator("[data-piece=words] .g-view");
    view.scrollIntoViewIfNeeded();
    TrackReading engine =
        TrackReading.of(demo, (Carousel) demo.piece("words"), new Viewport(width, 800, 0, 1));
    for (int stop = 0; stop < engine.offsets().size(); stop++) {
      double offset = engine.offsets().get(stop);
      // A little beside the stop: the browser has to snap.
      view.evaluate("(view, to) => view.scrollTo({ left: to, behavior: 'instant' })", offset + 9);
      page.waitForTimeout(120);
      double stands = ((Number) view.evaluate("(view) => view.scrollLeft")).doubleValue();
      assertThat(stands).as("stop " + stop).isBetween(offset - 1, offset + 1);
    }
    // All of it can be read: nothing is inert, nothing is hidden.
    assertThat(page.locator("[data-piece=words] .g-item[inert]")).hasCount(0);
  }

  @ParameterizedTest
  @ValueSource(strings = {"ltr", "rtl"})
  void aTrackWhoseScriptNeverComesCanBeScrolled(String direction, Api api, Page page) {
    page.route("**/*.js", Route::abort);
    page.navigate(api.publish(api.newPage("velluta", Nested.document(direction))));
    // Right-to-left tracks wait some seconds for it, for the sake of the shifts below.
    JsonNode overflows =
        Js.ask(
            page,
            """
            () => {
              document.getAnimations().forEach((each) => each.finish());
              return [...document.querySelectorAll('.g-view')]
                .filter((view) => view.checkVisibility())
                .map((view) => getComputedStyle(view).overflow);
            }
            """,
            null);
    assertThat(overflows).hasSizeGreaterThan(2).allMatch(each -> each.asString().contains("auto"));
  }

  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest
  @CsvSource({"360, ltr", "768, ltr", "1280, ltr", "390, rtl", "1280, rtl", "1440, rtl"})
  void nothingShiftsOnLoad(int width, String direction, Api api, Chromium.Open chromium) {
    // Source: Layout Instability API; all shifts from the load to the end of the page, with all
    // kinds on it, scripts that come late and fonts that come later.
    String address =
        direction.equals("rtl")
            ? api.publish(api.newPage("velluta", Nested.document(direction)))
            : api.at(Api.LIVE_DEMO);
    // With a scrollbar, which stands at the left where one reads from the right.
    Page page =
        chromium.page(
            new Browser.NewContextOptions().setViewportSize(width, 800), direction.equals("rtl"));
    page.addInitScript(
        """
        window.shifts = [];
        new PerformanceObserver((list) => {
          for (const entry of list.getEntries()) {
            const rect = (at) => [at.x, at.y, at.width, at.height].map(Math.round).join(' ');
            const said = entry.sources.map((each) => {
              const piece = each.node?.closest?.('[data-piece]')?.dataset.piece;
              return `${each.node?.className} of ${piece}: ${rect(each.previousRect)} -> ${rect(each.currentRect)}`;
            });
            window.shifts.push(`${entry.value} at ${Math.round(entry.startTime)} ms, ${said.join('; ')}`);
          }
        }).observe({ type: 'layout-shift', buffered: true });
        """);
    for (String late : List.of("**/*.js", "**/*.woff2")) {
      page.route(
          late,
          route -> {
            page.waitForTimeout(late.endsWith("js") ? 300 : 700);
            route.resume();
          });
    }
    page.navigate(address);
    page.waitForSelector("[data-live]");
    page.mouse().move(width / 2.0, 400);
    double high = Js.number(page, "() => document.documentElement.scrollHeight", null);
    for (int at = 0; at < high; at += 400) {
      page.mouse().wheel(0, 400);
      page.waitForTimeout(60);
    }
    page.waitForTimeout(500);
    assertThat(Js.number(page, "() => scrollY + innerHeight", null))
        .as("the end of the page is reached")
        .isGreaterThanOrEqualTo(high - 2);
    JsonNode shifts = Js.ask(page, "() => window.shifts", null);
    assertThat(shifts).as("layout shifts").isEmpty();
  }

  @InTurn(0)
  @Test
  void aPageIsAsWideAsItsScreen(Api api, Page page) {
    Frame frame = Frames.open(page, api, api.at(Api.LIVE_DEMO));
    List<Integer> widths = Frames.widths(8);
    JsonNode wide = Frames.swept(frame, "() => document.documentElement.scrollWidth", widths);
    for (int at = 0; at < widths.size(); at++) {
      assertThat(wide.get(at).asInt())
          .as("at " + widths.get(at))
          .isLessThanOrEqualTo(widths.get(at));
    }
  }

  @Test
  void theReleaseIsThePreviewWithoutOneScriptTagAndInAShorterSheet(Api api) {
    // What is out of season is hidden in a release, which knows when it was made.
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    api.edit(id, 0, new Edit.RemoveNode("in-flower"));
    String preview = api.get(api.stage() + "/api/pages/" + id + "/preview/").text();
    String address = api.publish(id);
    String live = api.get(URI.create(address).getPath()).text();
    String without =
        preview.replaceFirst(
            "<script src=\"stage\\.js\" data-bench=\"[^\"]*\" data-bars=\"84\" data-barred=\"768\""
                + " defer></script>",
            "");
    assertThat(preview).isNotEqualTo(without);
    assertThat(without).isNotEqualTo(live);
    assertThat(without.replaceFirst(SHEET, "")).isEqualTo(live.replaceFirst(SHEET, ""));
    // Of the rules of the stage, in their order, and without those there are fewer.
    List<CssBlocks.Block> all = rules(api, api.stage() + "/api/pages/" + id + "/preview/", preview);
    List<CssBlocks.Block> sent = rules(api, address, live);
    int at = 0;
    for (CssBlocks.Block each : sent) {
      while (at < all.size() && !isPartOf(each, all.get(at))) {
        at++;
      }
      assertThat(at).as("%s comes of a rule of the stage", each.head()).isLessThan(all.size());
      at++;
    }
    assertThat(sent).hasSizeBetween(100, all.size() - 10);
  }

  /** Whether a rule is another one, or that for fewer of what it is for. */
  private static boolean isPartOf(CssBlocks.Block one, CssBlocks.Block whole) {
    boolean grouped = one.head().startsWith("@media") || one.head().startsWith("@supports");
    return grouped
        ? one.head().equals(whole.head())
        : one.body().equals(whole.body()) && whole.head().contains(one.head().split(",")[0]);
  }

  /** The rules of the sheet of a page, those in groups as one. */
  private static List<CssBlocks.Block> rules(Api api, String folder, String html) {
    var link = Pattern.compile(SHEET).matcher(html);
    assertThat(link.find()).isTrue();
    return CssBlocks.of(api.get(folder + link.group()).text()).stream()
        .filter(CssBlocks.Block.class::isInstance)
        .map(CssBlocks.Block.class::cast)
        .toList();
  }

  /**
   * The rules that meet nothing on a page are not sent, so that its sheet has a name of its own.
   */
  private static final String SHEET = "style\\.[0-9a-f]{12}\\.css";

  private static String place(Page page, String piece) {
    return String.valueOf(
        page.locator("[data-piece=" + piece + "] .g-belt")
            .evaluate("(belt) => belt.style.getPropertyValue('--g-at')"));
  }

  private static void unzip(byte[] bundle, Path folder) throws IOException {
    try (var zip = new ZipInputStream(new ByteArrayInputStream(bundle))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        Path file = folder.resolve(entry.getName()).normalize();
        Files.createDirectories(file.getParent());
        Files.write(file, zip.readAllBytes());
      }
    }
    assertThat(List.of(folder.toFile().list())).contains("index.html");
  }

  /** A release is planned and taken back, one that there is spoken of; by keyboard alone. */
  @InTurn(7)
  @Test
  void aReleaseIsPlannedAndSpokenOf(Api api, Page page) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    api.publish(id);
    Bench bench = Bench.open(page, api, id, "ship", "page");
    page.getByText("Publish at a time").focus();
    page.keyboard().press("Enter");
    page.locator(".ship-plan input[type=datetime-local]").fill("2020-02-03T09:00");
    page.keyboard().press("Enter");
    assertThat(page.locator(".ship-plan [role=alert]")).containsText("a time to come");
    String year = String.valueOf(java.time.LocalDate.now(java.time.ZoneOffset.UTC).getYear() + 1);
    page.locator(".ship-plan input[type=datetime-local]").fill(year + "-02-03T09:00");
    page.getByLabel("What is in it, for those").fill("The frost opening");
    page.keyboard().press("Enter");
    assertThat(page.locator(".ship-planned")).containsText("3 February " + year);
    assertThat(page.locator(".ship-planned")).containsText("The frost opening");
    assertThat(Axe.within(page, ".ship")).isEmpty();
    bench.button("Not then").press("Enter");
    assertThat(page.locator(".ship-planned")).hasCount(0);

    bench.button("Say what is in release 1").press("Enter");
    page.getByLabel("What is in release 1").fill("As the season began");
    page.keyboard().press("Enter");
    assertThat(page.locator(".ship-note")).hasText("As the season began");
    page.reload();
    assertThat(page.locator(".ship-note")).hasText("As the season began");
  }

  /** What is different from the release before, value by value, and since the last. */
  @InTurn(3)
  @Test
  void whatIsDifferentFromTheReleaseBeforeIsListed(Api api, Page page) {
    String id = api.copyOfDemo() + "-evenings-at-velluta";
    api.publish(id);
    int revision = api.page(id).path("revision").asInt();
    assertThat(
            api.edit(
                    id,
                    revision,
                    new Edit.SetValue("opening-frost", "heading", "", "Ice and lamplight"),
                    new Edit.SetValue("words", "gap", "phone", "7px"),
                    new Edit.MoveNode("opening-orchids", "openings", 0),
                    new Edit.SetValue("site", "padding", "desktop", "52px"))
                .status())
        .isEqualTo(200);
    api.publish(id);
    assertThat(
            api.edit(id, revision + 1, new Edit.SetValue("words", "gap", "phone", "9px")).status())
        .isEqualTo(200);
    JsonNode told = api.get("/api/pages/" + id + "/difference?from=1&to=2").json();
    assertThat(told.size()).isEqualTo(4);
    assertThat(api.get("/api/pages/" + id + "/difference?from=2&to=1").json().size()).isEqualTo(4);
    assertThat(api.get("/api/pages/" + id + "/difference?from=1&to=9").status()).isEqualTo(404);
    Bench bench = Bench.open(page, api, id, "ship", "films");
    Locator all = page.locator(".ship-told .ship-differences li");
    assertThat(all).hasCount(4);
    assertThat(all.filter(new Locator.FilterOptions().setHasText("Ice and lamplight")))
        .containsText("Heading");
    assertThat(all.filter(new Locator.FilterOptions().setHasText("is moved"))).hasCount(1);
    assertThat(all.filter(new Locator.FilterOptions().setHasText("52px"))).hasCount(1);
    page.getByText("What is different").click();
    Locator since = page.locator(".ship-live .ship-differences li");
    assertThat(since).hasCount(1);
    assertThat(since).containsText("7px 9px");
    assertThat(Axe.within(page, ".ship")).isEmpty();
    since.getByRole(AriaRole.BUTTON).click();
    page.waitForURL(address -> address.contains("at=words"));
    assertThat(bench.page().locator(".ship")).isVisible();
  }

  /** What was checked on a release, with the hashes of the files that visitors get. */
  @InTurn(17)
  @Test
  void theProofSheetSpeaksOfTheFilesOfItsRelease(Api api, Chromium.Open chromium) throws Exception {
    String site = api.copyOfDemo();
    String id = site + "-evenings-at-velluta";
    String live = api.publish(id);
    // What is changed after it is none of its matter.
    assertThat(
            api.edit(
                    id,
                    api.page(id).path("revision").asInt(),
                    new Edit.SetValue("page", "title", "", "Another title"))
                .status())
        .isEqualTo(200);
    Page page = chromium.page(1280, 800);
    Bench bench = Bench.open(page, api, id, "ship", "words");
    Page sheet =
        page.waitForPopup(() -> bench.page().getByText("Proof sheet of release 1").click());
    sheet.waitForSelector("h1");
    assertThat(sheet.locator("h1").innerText()).isEqualTo("Evenings at Velluta");
    assertThat(Axe.found(sheet)).isEmpty();
    var hashed = new TreeMap<String, String>();
    for (Locator row : sheet.locator("h2:has-text('Files') ~ table tbody tr").all()) {
      hashed.put(row.locator("th").innerText(), row.locator("code").innerText());
    }
    assertThat(hashed).hasSizeGreaterThan(10);
    for (var each : hashed.entrySet()) {
      String path = each.getKey().equals("index.html") ? "" : each.getKey();
      byte[] bytes = api.get(live + path).bytes();
      assertThat(HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes)))
          .as(each.getKey())
          .isEqualTo(each.getValue());
    }
    assertThat(sheet.getByText("holds for these files").count()).isEqualTo(1);
    // What is said of pictures is kept beside the page: the files say what was said then.
    for (JsonNode media : api.get("/api/sites/" + site + "/media").json()) {
      if (media.path("type").asString().startsWith("image/")) {
        Map<String, Object> said =
            Map.of(
                "alt",
                "Quite another text",
                "decorative",
                false,
                "focus",
                "10% 90%",
                "tags",
                List.of());
        assertThat(
                api.put("/api/sites/" + site + "/media/" + media.path("id").asString(), said)
                    .status())
            .isEqualTo(200);
      }
    }
    assertThat(api.get("/api/pages/" + id + "/proof-sheet?release=1").text())
        .contains("What is said here is of today")
        .doesNotContain("holds for these files");
    String now = api.get("/api/pages/" + id + "/proof-sheet").text();
    assertThat(now).contains("Another title").contains("which is not published so");
    assertThat(api.get("/api/pages/" + id + "/proof-sheet?release=7").status()).isEqualTo(404);
    var validator = new EmbeddedValidator();
    validator.setOutputFormat(EmbeddedValidator.OutputFormat.TEXT);
    assertThat(validator.validate(new ByteArrayInputStream(now.getBytes(StandardCharsets.UTF_8))))
        .doesNotContainIgnoringCase("error:");
    // On a phone nothing scrolls sideways.
    sheet.setViewportSize(320, 800);
    assertThat(
            (Boolean)
                sheet.evaluate(
                    "() => document.documentElement.scrollWidth <= document.documentElement.clientWidth"))
        .isTrue();
  }
}
