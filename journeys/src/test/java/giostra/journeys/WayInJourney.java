package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Who comes to the bench, and is let in or not. */
@ExtendWith({Giostra.class, Chromium.class})
class WayInJourney {
  private static String address(Api api) {
    return api.post("/api/keys", null).json().path("address").asString();
  }

  /** A window of somebody whom nobody has let in. */
  private static Page outside(Chromium.Open chromium, int width) {
    Page page = chromium.page(width, 800);
    page.context().clearCookies();
    return page;
  }

  @Test
  void theAddressThatIsPrintedLetsOneBrowserInOnce(Api api, Chromium.Open chromium) {
    Page page = outside(chromium, 1280);
    var asked = new ArrayList<String>();
    page.onRequest(request -> asked.add(request.url()));
    String address = address(api);
    page.navigate(address);
    assertThat(page.locator("h2").first()).isVisible();
    // The key is kept nowhere: not in the address, and no server was told it in one.
    assertThat(page.url()).isEqualTo(api.at("/"));
    assertThat(asked).noneMatch(each -> each.contains("key="));
    page.reload();
    assertThat(page.locator("h2").first()).isVisible();

    // Somebody else who has seen it is too late, and says so; a new one is pasted over it.
    Page other = outside(chromium, 1280);
    other.navigate(address);
    assertThat(other.getByRole(AriaRole.ALERT)).containsText("it works once");
    assertThat(other.locator("h2")).hasCount(0);
    other.evaluate("(address) => { location.href = address }", address(api));
    assertThat(other.locator("h2").first()).isVisible();
  }

  @InTurn({1, 5, 9, 13, 17, 21})
  @Test
  void whoeverIsOutSeesNothingAndComesInByKeyboard(Api api, Chromium.Open chromium) {
    Page page = outside(chromium, 320);
    page.navigate(api.at("/pages/" + Api.DEMO + "/arrange?at=houses"));
    assertThat(page.getByRole(AriaRole.HEADING)).containsText("not in yet");
    assertThat(page.content()).doesNotContain("Velluta");
    assertThat(Axe.found(page)).isEmpty();
    assertThat(Js.number(page, "() => document.documentElement.scrollWidth", null))
        .isLessThanOrEqualTo(320);
    page.keyboard().type("a".repeat(300));
    page.keyboard().press("Enter");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("./giostra start");
    page.keyboard().press("ControlOrMeta+a");
    page.keyboard().type(address(api));
    page.keyboard().press("Enter");
    assertThat(page.getByText("saved", new Page.GetByTextOptions().setExact(true))).isVisible();
  }

  /** A browser that is ended in the midst of something keeps what was typed, and sends it later. */
  @InTurn({3, 15})
  @Test
  void whatWasTypedIsSentWhenSomebodyIsInAgain(Api api, Chromium.Open chromium) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    Page page = outside(chromium, 1280);
    page.navigate(address(api));
    assertThat(page.locator("h2").first()).isVisible();
    Bench bench = Bench.open(page, api, id, "arrange", "houses");
    bench.cell("houses", "gap", "desktop").waitFor();
    page.context().clearCookies();
    bench.set("houses", "gap", "desktop", "33px");
    Locator bar = page.locator(".way-in-bar");
    assertThat(bar).containsText("This browser is out");
    assertThat(Axe.within(page, ".way-in-bar")).isEmpty();
    assertThat(bench.cell("houses", "gap", "desktop")).containsText("33px");
    assertThat(api.get("/api/pages/" + id + "/document").text()).doesNotContain("33px");
    bar.getByLabel("Address or key").fill(address(api));
    page.keyboard().press("Enter");
    assertThat(bar).hasCount(0);
    bench.saved();
    assertThat(api.get("/api/pages/" + id + "/document").text()).contains("33px");
  }

  @InTurn({5, 17})
  @Test
  void aTokenIsMadeShownOnceAndEnded(Api api, Page page) {
    page.navigate(api.at("/"));
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Who is in")).click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    dialog.getByText("Make a token").click();
    assertThat(dialog.getByRole(AriaRole.ALERT)).containsText("1 to 80 characters");
    String name = "Nightly " + "long".repeat(16);
    dialog.getByLabel("What it is for").fill(name);
    dialog.getByText("Make a token").click();
    String token = dialog.locator("[data-token]").innerText();
    assertThat(
            List.of(
                api.as(token, "GET", "/api/shelf", null).status(),
                api.as(token, "POST", "/api/sites", "{\"name\":\"No\"}").status()))
        .containsExactly(200, 403);
    assertThat(Axe.within(page, "dialog")).isEmpty();
    dialog
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("End " + name))
        .click();
    assertThat(dialog.getByText(name)).hasCount(0);
    assertThat(api.as(token, "GET", "/api/shelf", null).status()).isEqualTo(401);

    page.keyboard().press("Escape");
    assertThat(dialog).hasCount(0);
  }
}
