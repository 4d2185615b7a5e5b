package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import giostra.core.own.OwnPage;
import giostra.core.own.Side;
import giostra.core.own.Spot;
import giostra.core.testing.DrawnPages;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.Refused;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A page that she has already: brought, filled, taken back, brought anew. */
@ExtendWith({Giostra.class, Chromium.class})
class OwnPageJourney {
  private static final String CLUB =
      """
      <!DOCTYPE html>
      <html lang="en"><head><meta charset="utf-8"><title>Allotment club</title>
      <style>* { margin: 0 } button { all: unset } .news { padding: 20px }</style></head>
      <body><h1>Allotment club</h1>
      <p>Forty beds between the railway and the brook.
      <p>New members come on Saturdays.
      <h2 id="ask">What people ask</h2>
      <div class="news"><h2>News</h2>The tap is mended.</div>
      <script>document.body.append('A script of the page ran.')</script>
      </body></html>
      """;

  private static FilePayload file(String html) {
    return new FilePayload("club.html", "text/html", html.getBytes(StandardCharsets.UTF_8));
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static void choose(Page page, String label, String option) {
    Locator select = page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    String value =
        select
            .locator("option", new Locator.LocatorOptions().setHasText(option))
            .first()
            .getAttribute("value");
    select.selectOption(value);
  }

  @InTurn({0, 12})
  @Test
  void aPageComesGetsPiecesAndGoesBack(Api api, Chromium.Open chromium) throws IOException {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    api.publish(id);
    Page page = chromium.page(1280, 800);
    Bench.open(page, api, id, "ship", "questions");
    page.locator(".ship-own input[type=file]").setInputFiles(file(CLUB));
    FrameLocator seen = page.frameLocator(".own-seen iframe");
    assertThat(seen.locator("h1")).hasText("Allotment club");
    assertThat(seen.locator("body")).not().containsText("A script of the page ran.");

    // By pointing: the news, or rather what is around its heading.
    BoundingBox heading = seen.locator(".news h2").boundingBox();
    page.mouse().click(heading.x + 20, heading.y + heading.height / 2);
    assertThat(page.locator(".own-mark-chosen")).hasCount(1);
    button(page, "What is around it").click();
    button(page, "In its place").click();
    choose(page, "What", "Questions");
    button(page, "Put it there").click();
    assertThat(page.locator(".own-place")).hasCount(1);
    assertThat(page.locator(".own-place")).containsText("in its place: div.news");
    assertThat(seen.locator("giostra-piece summary").first()).isVisible();

    // By keys alone, at a heading; where the page's own markup would move it, it is said.
    choose(page, "At", "p “Forty");
    button(page, "After it").isDisabled();
    choose(page, "At", "h2#ask");
    button(page, "After it").press("Enter");
    button(page, "Put it there").press("Enter");
    assertThat(page.locator(".own-place")).hasCount(2);
    assertThat(Axe.within(page, "dialog[open]", "iframe")).isEmpty();

    Download download = page.waitForDownload(button(page, "Take it back")::click);
    assertThat(download.suggestedFilename()).isEqualTo("club.html");
    String back = Files.readString(download.path());
    assertThat(
            back.replaceAll(
                "(?s)<script src=[^>]*></script>\n<giostra-piece.*?</giostra-piece>\n", ""))
        .isEqualTo(CLUB.replaceAll("(?s)<div class=\"news\">.*?</div>", ""));

    // Where it came from it is at work, beside the page's own styles and scripts.
    try (var old = new OldPages()) {
      Page club = chromium.page(1280, 800);
      club.navigate(old.put("club", back, ""));
      assertThat(club.locator("body")).containsText("A script of the page ran.");
      Locator question = club.locator("giostra-piece summary").last();
      question.click();
      assertThat(club.locator("giostra-piece details[open]").last()).isVisible();
      club.context().close();
    }

    // It has changed: one place is found again, one is asked for.
    String changed =
        CLUB.replace("<h1>", "<p>Closed in January.</p><h1>")
            .replace("<div class=\"news\"><h2>News", "<section class=\"new\"><h2>Newest")
            .replace("mended.</div>", "mended.</section>");
    page.locator(".line-up-head input[type=file]").setInputFiles(file(changed));
    Locator lost = page.locator(".own-place", new Page.LocatorOptions().setHasText("Not found"));
    assertThat(lost).hasCount(1);
    assertThat(button(page, "Take it back")).isDisabled();
    choose(page, "At", "section.new");
    button(page, "In its place").click();
    button(page, "It is here now").click();
    assertThat(lost).hasCount(0);
    String again =
        Files.readString(page.waitForDownload(button(page, "Take it back")::click).path());
    assertThat(again).contains("<p>Closed in January.</p><h1>").doesNotContain("Newest");
    page.keyboard().press("Escape");
    assertThat(page.locator(".ship-own-line")).containsText("2 places");
    page.getByLabel("Take club.html away").click();
    button(page, "Take away for good").click();
    assertThat(page.locator(".ship-own-line")).hasCount(0);
  }

  /** What a browser makes of what was put in: which element it is beside, or in. */
  private static final String STANDS =
      """
      ([number, side]) => {
        const piece = document.querySelector('giostra-piece');
        const at = (element) => element?.getAttribute('data-giostra-at');
        const kin = { BEFORE: piece?.nextElementSibling, AFTER: piece?.previousElementSibling }[side]
            ?? piece?.parentElement;
        const there = document.querySelector(`[data-giostra-at="${number}"]`);
        if (side === 'INSTEAD') return piece && !there ? 'there' : 'beside what it should take away';
        const last = { FIRST: there?.firstElementChild, LAST: there?.lastElementChild }[side];
        if (last !== undefined && last !== piece) return 'not at the end that was asked';
        return at(kin) === String(number) ? 'there' : `at ${at(kin)}`;
      }
      """;

  /** Reference: the tree that Chromium makes of pages as people have them. */
  @InTurn({3, 15})
  @Test
  void whatIsPutInStandsThereInABrowser(Chromium.Open chromium) {
    Page page = chromium.page(800, 600);
    page.route("**/*", route -> route.abort());
    int places = 0;
    for (int seed = 1; seed <= Runs.of(15, 60); seed++) {
      DrawnPages.Drawn drawn = DrawnPages.of(seed);
      OwnPage own = OwnPage.of(drawn.bytes());
      var random = new Random(seed);
      for (Spot spot : own.spots()) {
        for (Side side : spot.sides()) {
          if (random.nextInt(5) > 0) {
            continue;
          }
          try {
            own.check(spot, side);
          } catch (Refused e) {
            continue;
          }
          var put = new OwnPage.Put(spot, side, "<giostra-piece></giostra-piece>");
          page.setContent(
              new String(own.numbered(List.of(put)), Charset.forName(drawn.encoding())));
          assertThat(page.evaluate(STANDS, List.of(spot.number(), side.name())))
              .as("seed %d, %s at %s", seed, side, spot)
              .isEqualTo("there");
          places++;
        }
      }
    }
    System.out.printf("measured: %d places stand in Chromium where they were asked%n", places);
    assertThat(places).isGreaterThan(40);
  }
}
