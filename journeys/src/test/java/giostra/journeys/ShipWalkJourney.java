package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import giostra.core.page.Edit;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * The walk of Ship: what is different, a snippet, a page of one's own, back and forward, tokens.
 */
@ExtendWith({Giostra.class, Chromium.class})
class ShipWalkJourney {
  /** The club's old page: styles that reach everything, and a script that changes the language. */
  private static final String CLUB =
      """
      <!DOCTYPE html>
      <html lang="en"><head><meta charset="utf-8"><title>Allotment club</title>
      <style>* { margin: 0 } button { all: unset } h2 { color: #a33 }</style>
      <script>
        const map = Array.prototype.map;
        Array.prototype.map = function () { return ['not', 'yours']; };
        setTimeout(() => { Array.prototype.map = map; }, 3000);
      </script></head>
      <body><h1>Allotment club</h1>
      <h2 id="first">What people ask</h2>
      @@
      <h2 id="second">And once more</h2>
      @@
      </body></html>
      """;

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator.FilterOptions text(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  private static Edit set(String node, String setting, String value) {
    return new Edit.SetValue(node, setting, "", value);
  }

  @InTurn(9)
  @Test
  void intoThePageTheyAlreadyHave(Api api, Chromium.Open chromium) throws IOException {
    String id = api.copyOfDemo() + "-evenings-at-velluta";
    api.publish(id);
    int revision = api.page(id).path("revision").asInt();
    assertThat(
            api.edit(
                    id,
                    revision,
                    set("opening-frost", "heading", "Ice and lamplight"),
                    set("question-tram", "heading", "Which tram do I take?"),
                    set("question-clothes", "heading", "What shall I wear?"),
                    new Edit.MoveNode("opening-orchids", "openings", 0))
                .status())
        .isEqualTo(200);
    Page page = chromium.page(1280, 800);
    Bench bench = Bench.open(page, api, id, "ship", "questions");
    button(page, "Publish").click();
    Locator told = page.locator(".ship-told .ship-differences li");
    assertThat(told).hasCount(4);
    assertThat(told.filter(text("is moved"))).hasCount(1);
    assertThat(told.filter(text("What shall I wear?"))).hasCount(1);

    // A snippet of the questions, twice in the club's old page.
    button(page, "Make the snippet").click();
    Locator lines = page.getByLabel("Lines to paste");
    assertThat(lines).isVisible();
    String pasted = CLUB.replace("@@", lines.inputValue());
    try (var old = new OldPages()) {
      Page club = chromium.page(1280, 900);
      club.navigate(old.put("club", pasted, ""));
      Locator asked = club.locator("giostra-piece .g-question");
      assertThat(asked.filter(text("What shall I wear?"))).hasCount(2);
      asked.filter(text("What shall I wear?")).last().click();
      assertThat(club.locator("giostra-piece details[open]").last()).isVisible();

      // An answer is mended and published: nobody pastes anything.
      api.edit(
          id,
          api.page(id).path("revision").asInt(),
          set("question-clothes", "heading", "Is it warm inside?"));
      page.reload();
      button(page, "Publish").click();
      assertThat(page.locator(".ship-line b").first()).hasText("3");
      club.reload();
      assertThat(asked.filter(text("Is it warm inside?"))).hasCount(2);
      club.context().close();
    }

    back(page);
    broughtAndTakenBack(page);
    tokens(api, bench, id);
  }

  /** Once back, and forward. */
  private static void back(Page page) {
    assertThat(page.locator(".ship-line")).hasCount(3);
    for (int number : new int[] {2, 3}) {
      button(page, "Bring release " + number + " back").click();
      Locator live = page.locator(".ship-line").filter(text("live"));
      assertThat(live).hasCount(1);
      assertThat(live.locator("b")).hasText(Integer.toString(number));
    }
  }

  /** The club's page as a file: two places by pointing, and all the rest byte for byte. */
  private static void broughtAndTakenBack(Page page) throws IOException {
    String club = CLUB.replace("@@", "");
    page.locator(".ship-own input[type=file]")
        .setInputFiles(
            new FilePayload("club.html", "text/html", club.getBytes(StandardCharsets.UTF_8)));
    FrameLocator seen = page.frameLocator(".own-seen iframe");
    for (String place : new String[] {"#first", "#second"}) {
      seen.locator(place).scrollIntoViewIfNeeded();
      var box = seen.locator(place).boundingBox();
      page.mouse().click(box.x + 12, box.y + box.height / 2);
      assertThat(page.locator(".own-mark-chosen")).hasCount(1);
      button(page, "After it").click();
      button(page, "Put it there").click();
      assertThat(page.locator(".own-place").filter(text(place))).hasCount(1);
    }
    String back =
        Files.readString(page.waitForDownload(button(page, "Take it back")::click).path());
    String cut =
        back.replaceAll("(?s)<script src=[^>]*></script>\n<giostra-piece.*?</giostra-piece>\n", "");
    assertThat(cut).isEqualTo(club);
    assertThat(back.split("<giostra-piece", -1)).hasSize(3);
    page.keyboard().press("Escape");
    assertThat(page.locator(".ship-own-line")).containsText("2 places");
  }

  /** Two colours are changed elsewhere; what would change is seen before it does. */
  private static void tokens(Api api, Bench bench, String id) throws IOException {
    Page page = bench.page();
    String file =
        Files.readString(
            page.waitForDownload(() -> page.getByText("Download the tokens").click()).path());
    String changed = TokensJourney.recoloured(file);
    page.getByLabel("Tokens from a file")
        .setInputFiles(
            new FilePayload(
                "house.tokens.json", "application/json", changed.getBytes(StandardCharsets.UTF_8)));
    Locator dialog = page.locator("dialog[open]");
    assertThat(dialog.locator("tbody tr")).hasCount(2);
    assertThat(api.get("/api/pages/" + id + "/tokens").text()).isEqualTo(file);
    dialog.getByText("Take these 2 changes").click();
    bench.saved();
    assertThat(api.get("/api/pages/" + id + "/tokens").text()).contains("#7a1f5c", "#101c3a");
  }
}
