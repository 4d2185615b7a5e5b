package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Two people on one page. */
@ExtendWith({Giostra.class, Chromium.class})
class TogetherJourney {
  /** The other's edit is there within a second, and what one is in the midst of typing stays. */
  @InTurn({3, 7, 11, 15, 19, 23})
  @Test
  void whatOneChangesTheOtherSeesAndTypesOn(Api api, Chromium.Open chromium) {
    String site = api.newSite("Together " + System.nanoTime());
    String id = api.newPage(site, Subject.document());
    Page hers = chromium.page(1280, 800);
    Chromium.letIn(hers, api, api.member(site, "designer"));
    Page his = chromium.page(1280, 800);
    Bench one = Bench.open(hers, api, id, "arrange", "cards");
    Bench other = Bench.open(his, api, id, "arrange", "cards");
    Locator present = his.getByLabel("Who else is on this page");
    assertThat(present.getByRole(AriaRole.BUTTON)).hasCount(1);
    assertThat(present.getByRole(AriaRole.BUTTON))
        .hasAttribute("title", java.util.regex.Pattern.compile("A designer, at .+"));

    // He is in the midst of a value when hers comes.
    Locator field = other.cell("cards", "inView", "desktop");
    field.focus();
    his.keyboard().press("F2");
    field.locator("input").fill("2");
    assertThat(one.cell("cards", "inView", "desktop")).hasAttribute("data-typed-by", "Owner");
    one.cell("cards", "gap", "desktop").waitFor();
    Frame stage = his.querySelector("iframe").contentFrame();
    one.set("cards", "gap", "desktop", "37px");
    one.saved();
    long from = System.nanoTime();
    assertThat(other.cell("cards", "gap", "desktop")).containsText("37px");
    System.out.printf(
        "measured: another's edit is on the sheet %d ms after it was acknowledged%n",
        (System.nanoTime() - from) / 1_000_000);
    // The stage shows it as well, without being loaded anew.
    stage.waitForFunction(
        "() => [...document.styleSheets].some((s) => [...s.cssRules].some((r) => r.cssText.includes('37px')))");
    assertThat(field.locator("input")).hasValue("2");
    assertThat(field.locator("input")).isFocused();
    field.locator("input").press("Enter");
    other.saved();
    assertThat(api.get("/api/pages/" + id + "/document").text())
        .contains("\"37px\"")
        .contains("\"inView\":{\"desktop\":2}");
    // Both are told of in the history, by name.
    his.keyboard().press("Escape");
    other.button("History").click();
    assertThat(his.locator("dialog[open] ol")).containsText("A designer");
    assertThat(his.locator("dialog[open] ol")).containsText("Owner");
    // Who leaves is gone.
    hers.navigate("about:blank");
    assertThat(present.getByRole(AriaRole.BUTTON)).hasCount(0);
  }

  /** Who writes has the steps that they may take, and no way to what they may not. */
  @InTurn({3, 7, 11, 15, 19, 23})
  @Test
  void aWriterFills(Api api, Chromium.Open chromium) {
    String site = api.newSite("Written " + System.nanoTime());
    String id = api.newPage(site, Subject.document());
    Page page = chromium.page(1280, 800);
    Chromium.letIn(page, api, api.member(site, "writer"));
    page.navigate(api.at("/"));
    page.locator("h3 >> nth=0").click();
    Bench bench = new Bench(page);
    assertThat(page.locator(".verb")).hasCount(2);
    assertThat(page).hasURL(java.util.regex.Pattern.compile(".*/fill.*"));
    assertThat(bench.button("Publish")).hasCount(0);
    assertThat(page.locator(".map-gap:visible")).hasCount(0);
    page.keyboard().press("2");
    assertThat(page).hasURL(java.util.regex.Pattern.compile(".*/fill.*"));
    page.navigate(api.at("/pages/" + id + "/dress?at=cards"));
    assertThat(page.locator(".verb[aria-current]")).hasText("Fill");
    assertThat(Axe.found(page, "iframe")).isEmpty();
    // Elsewhere it says what is needed, and keeps to it.
    String before = api.page(id).path("revision").asString();
    page.navigate(api.at("/pages/" + id + "/fill?at=page"));
    bench.fill("Title", "By a writer");
    bench.saved();
    assertThat(api.page(id).path("revision").asString()).isNotEqualTo(before);
    assertThat(api.get("/api/pages/" + id + "/document").text()).contains("By a writer");
  }
}
