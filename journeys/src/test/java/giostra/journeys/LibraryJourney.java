package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.ClipSettings;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.video.Video;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The media of a site: brought in, described, found, replaced and taken out. */
@ExtendWith({Giostra.class, Chromium.class})
class LibraryJourney {
  private static FilePayload picture(String name, int width, int height) {
    return new FilePayload(name, "image/png", MadePicture.png(width, height));
  }

  private static Locator tile(Page page, String name) {
    return page.locator(".contact-one").filter(new Locator.FilterOptions().setHasText(name));
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  private static void bring(Page page, FilePayload... files) {
    page.locator("header ~ main input[type=file]").first().setInputFiles(files);
  }

  @Test
  void aPictureThatCannotBeReadNowSaysSoAndComesBack(Api api, Page page) {
    String site = api.newSite("Away " + System.nanoTime());
    api.upload(site, "gate.png", MadePicture.png(300, 200));
    var store = new AtomicBoolean(false);
    page.route(
        Pattern.compile("/api/sites/" + site + "/media/[^/?]+/file"),
        route -> {
          if (store.get()) {
            route.resume();
          } else {
            route.fulfill(new Route.FulfillOptions().setStatus(503));
          }
        });
    page.navigate(api.at("/sites/" + site + "/media"));
    assertThat(tile(page, "gate.png")).containsText("cannot be read now");
    assertThat(Axe.found(page)).isEmpty();
    store.set(true);
    assertThat(tile(page, "gate.png").locator("img")).isVisible();
    assertThat(tile(page, "gate.png")).not().containsText("cannot be read now");
  }

  @Test
  void manyFilesComeInEachWithItsOutcome(Api api, Page page) throws IOException {
    String site = api.newSite("Library " + System.nanoTime());
    page.navigate(api.at("/sites/" + site + "/media"));
    assertThat(page.getByText("Nothing here yet.")).isVisible();
    bring(
        page,
        picture("one.png", 300, 200),
        picture("two.png", 90, 90),
        new FilePayload(
            "words.vtt",
            "text/vtt",
            "WEBVTT\n\n00:01.000 --> 00:02.000\nx\n".getBytes(StandardCharsets.UTF_8)),
        new FilePayload("bad.svg", "image/svg+xml", "<svg onload='x()'/>".getBytes()));
    assertThat(page.locator(".upload-list li")).hasCount(4);
    assertThat(page.locator(".upload-list"))
        .containsText("File bad.svg: The vector picture is with onload");
    assertThat(page.locator(".contact-one")).hasCount(3);
    assertThat(tile(page, "one.png")).containsText("300 × 200");
    assertThat(tile(page, "one.png")).containsText("wants words");
    page.getByText("Clear this list").click();
    assertThat(page.locator(".upload-list")).hasCount(0);

    // Those that still want words, one after the other.
    button(page, "without words").click();
    assertThat(page.locator(".contact-one")).hasCount(2);
    tile(page, "one.png").click();
    page.getByLabel("What it shows, for those who do not see it").fill("A gate");
    page.getByLabel("What it shows, for those who do not see it").blur();
    assertThat(page.locator(".contact-one")).hasCount(1);
    tile(page, "two.png").click();
    // It is gone from those without words as soon as it is said.
    page.getByLabel("It only decorates").click();
    assertThat(page.getByText("Nothing fits")).isVisible();

    button(page, "captions").click();
    assertThat(page.locator(".contact-one")).hasCount(1);
    page.locator(".library-kind").first().click();
    tile(page, "one.png").click();
    page.getByLabel("Tags").fill("gates, old");
    page.getByLabel("Tags").press("Enter");
    button(page, "# gates").click();
    assertThat(page.locator(".contact-one")).hasCount(1);
    assertThat(tile(page, "one.png")).isVisible();
  }

  @Test
  void anUploadIsCancelled(Api api, Page page) {
    String site = api.newSite("Library " + System.nanoTime());
    page.navigate(api.at("/sites/" + site + "/media"));
    // Held back, so that there is time to change one's mind.
    page.route("**/api/sites/" + site + "/media", route -> {});
    bring(page, new FilePayload("slow.mp4", "video/mp4", new byte[200_000]));
    button(page, "Cancel slow.mp4").click();
    assertThat(page.locator(".upload-list")).containsText("cancelled");
    assertThat(api.get("/api/sites/" + site + "/media").json().size()).isZero();
  }

  @InTurn(1)
  @Test
  void theFocalPointIsSetByPressAndByKeysAndHoldsOnTheLivePage(Api api, Page page) {
    // A copy of the site: others look at it meanwhile.
    String site = api.copyOfDemo();
    page.navigate(api.at("/sites/" + site + "/media"));
    tile(page, "desert-room.jpg").click();
    Locator picture = page.locator(".opened .focus-picture");
    picture.click(new Locator.ClickOptions().setPosition(10, 10));
    Pattern corner = Pattern.compile("at [0-9]% from the left and [0-9]% from the top");
    assertThat(picture).hasAttribute("aria-label", Pattern.compile(".*" + corner.pattern()));
    String before = picture.getAttribute("aria-label");
    picture.press("ArrowRight");
    assertThat(picture).not().hasAttribute("aria-label", before);
    assertThat(page.locator(".opened-shapes figure").first()).isVisible();
    String focus = focus(api, site, "desert-room");
    String demo = api.stage() + "/api/pages/" + site + "-evenings-at-velluta/preview/";
    String sheet =
        api.get(demo).text().replaceAll("(?s).*href=\"(style\\.[0-9a-f]+\\.css)\".*", "$1");
    assertThat(api.get(demo + sheet).text()).contains("object-position:" + focus);
  }

  private static String focus(Api api, String site, String id) {
    for (var each : api.get("/api/sites/" + site + "/media").json()) {
      if (each.path("id").asString().equals(id)) {
        return each.path("focus").asString();
      }
    }
    return "";
  }

  @InTurn(11)
  @Test
  void whatIsUsedSaysWhereAndIsNotDeleted(Api api, Page page) throws IOException {
    page.navigate(api.at("/sites/velluta/media"));
    tile(page, "lamp-walk.jpg").click();
    assertThat(page.locator(".opened-uses")).containsText("The lamp walk");
    button(page, "Delete").click();
    assertThat(page.locator(".opened [role=alert]")).containsText("it must be used nowhere");

    String site = api.newSite("Library " + System.nanoTime());
    page.navigate(api.at("/sites/" + site + "/media"));
    bring(page, picture("one.png", 300, 200));
    tile(page, "one.png").click();
    page.locator(".opened input[type=file]").setInputFiles(picture("other.png", 120, 80));
    assertThat(tile(page, "other.png")).containsText("120 × 80");
    button(page, "Delete").click();
    assertThat(page.getByText("Nothing here yet.")).isVisible();
  }

  @Test
  void aPictureElsewhereIsTakenInByItsAddress(Api api, Page page) {
    String site = api.newSite("Library " + System.nanoTime());
    page.navigate(api.at("/sites/" + site + "/media"));
    button(page, "By address").click();
    page.getByLabel("Its address").fill("pictures/lamp.jpg");
    button(page, "Take it in").click();
    assertThat(page.locator("dialog [role=alert]"))
        .containsText("Address of the picture is pictures/lamp.jpg; it must be the https or http");
    String far = api.falena() + "/thumbs/moths.jpg";
    page.getByLabel("Its address").fill(far);
    button(page, "Take it in").click();
    Locator tile = tile(page, "moths.uri");
    assertThat(tile).containsText("elsewhere, pixels unknown");
    tile.click();
    assertThat(page.locator(".opened")).containsText(far);
    assertThat(page.locator(".opened")).containsText("its pixels and bytes are unknown");
    // The same address once more is the same picture.
    button(page, "By address").click();
    page.getByLabel("Its address").fill(far);
    button(page, "Take it in").click();
    assertThat(page.locator("dialog[open]")).hasCount(0);
    assertThat(page.locator(".contact-one")).hasCount(1);
  }

  @Test
  void anIconSpriteIsCheckedByNameAndTakesThePlaceOfIcons(
      Api api, Page page, Chromium.Open chromium) {
    String starter = api.get("/api/icons/starter.svg").text();
    String odd =
        starter
            .replaceFirst("<symbol id=\"pause\"[^>]*>", "<symbol id=\"pause\">")
            .replaceFirst(
                "id=\"maximize\" viewBox=\"0 0 24 24\"", "id=\"maximize\" viewBox=\"0 0 48 24\"")
            .replace("id=\"minimize\"", "id=\"smaller\"");
    var file = new FilePayload("signs.svg", "image/svg+xml", odd.getBytes(StandardCharsets.UTF_8));
    String site = api.newSite("Library " + System.nanoTime());
    String bloom =
        api.upload(site, "bloom.webm", api.get("/api/sites/velluta/media/bloom-webm/file").bytes())
            .json()
            .path("id")
            .asString();
    page.navigate(api.at("/sites/" + site + "/media"));
    bring(page, file);
    tile(page, "signs.svg").click();
    Locator report = page.locator(".sprite-report");
    assertThat(report).containsText("Missing: pause, minimize.");
    assertThat(report).containsText("pause: it has no view box.");
    assertThat(report).containsText("maximize: its view box “0 0 48 24” is not square");
    assertThat(report.locator("li")).hasCount(6);

    var item = new Item("one", Values.NONE.with(ClipSettings.CLIP, Values.ALL, bloom));
    String id =
        api.newPage(
            site,
            new Document(
                new Site(Bands.INITIAL, Values.NONE),
                new giostra.core.page.Page(
                    "page",
                    Values.NONE,
                    List.of(
                        new Section(
                            "s",
                            Values.NONE,
                            List.of(new Video("film", Values.NONE, List.of(item))))))));
    Bench bench = Bench.open(page, api, id, "fill", "site");
    page.getByLabel("Icon sprite: choose").click();
    bench.pick("signs.svg");
    bench.saved();
    bench.publish();
    Page live = chromium.page(1280, 800);
    live.navigate(
        api.at(api.get("/api/pages/" + id + "/releases").json().get(0).path("address").asString()));
    assertThat(live.locator("#g-i-maximize")).hasAttribute("viewBox", "0 0 48 24");
    assertThat(live.locator("#g-i-pause")).hasAttribute("viewBox", "0 0 24 24");
    assertThat(live.locator(".g-start-sign > .g-own")).hasCount(1);
  }
}
