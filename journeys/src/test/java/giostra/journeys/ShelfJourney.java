package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import giostra.core.page.Edit;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Whole pages and sites on the shelf, and what a page was before. */
@ExtendWith({Giostra.class, Chromium.class})
class ShelfJourney {
  private static void press(Page page, String name) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
        .click();
  }

  private static Locator dialog(Page page) {
    return page.locator("dialog[open]");
  }

  private static void act(Page page, String name) {
    dialog(page)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true))
        .click();
    assertThat(dialog(page)).hasCount(0);
  }

  @InTurn(19)
  @Test
  void pagesAndSitesAreNamedCopiedMovedPutAwayAndBroughtBack(Api api, Page page) {
    String mark = Long.toString(System.nanoTime(), 36);
    String site = api.newSite("Grove " + mark);
    String other = api.newSite("Orchard " + mark);
    api.newPage(site, Subject.document());
    page.navigate(api.at("/?find=" + mark));
    Locator grove = page.getByLabel("Grove " + mark, new Page.GetByLabelOptions().setExact(true));
    Locator orchard =
        page.getByLabel("Orchard " + mark, new Page.GetByLabelOptions().setExact(true));
    grove.getByText("Rename").nth(1).click();
    // What is to be typed goes into the title at once.
    page.keyboard().press("Control+a");
    page.keyboard().type("Oaks " + mark);
    dialog(page).getByLabel("Address").fill("oaks");
    act(page, "Rename");
    assertThat(grove.locator("h3")).hasText("Oaks " + mark);

    press(page, "Copy Oaks " + mark);
    dialog(page).getByLabel("Title of the copy").fill("Elms " + mark);
    act(page, "Copy");
    assertThat(grove.locator("h3")).hasCount(2);

    press(page, "Move Elms " + mark);
    dialog(page).getByLabel("To the site").selectOption(other);
    act(page, "Move");
    assertThat(orchard.locator("h3")).hasText("Elms " + mark);
    assertThat(grove.locator("h3")).hasCount(1);
    Locator away = page.getByLabel("Put away", new Page.GetByLabelOptions().setExact(true));
    assertThat(away).containsText("Elms " + mark);
    press(page, "Bring Elms " + mark + " back");
    assertThat(grove.locator("h3")).hasCount(2);

    press(page, "Put away Orchard " + mark);
    assertThat(orchard).hasCount(0);
    assertThat(away).containsText("a whole site");
    press(page, "Drop Orchard " + mark + " for good");
    assertThat(dialog(page)).containsText("This cannot be taken back.");
    act(page, "Drop for good");
    assertThat(page.getByText("Orchard " + mark)).hasCount(0);

    press(page, "Rename Grove " + mark);
    dialog(page).getByLabel("Name").fill("");
    dialog(page).getByText("Rename", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(dialog(page).getByRole(AriaRole.ALERT)).containsText("Name of the site is empty");
    dialog(page).getByLabel("Name").fill("Forest " + mark);
    act(page, "Rename");
    press(page, "Copy Forest " + mark);
    act(page, "Copy");
    assertThat(
            page.getByLabel(
                    "Forest " + mark + " (copy)", new Page.GetByLabelOptions().setExact(true))
                .locator("h3"))
        .hasCount(2);
  }

  @InTurn(11)
  @Test
  void aRevisionComesBackWithWhatTheSiteWasOrWithoutIt(Api api, Page page) {
    String site = api.newSite("Past " + System.nanoTime());
    String id = api.newPage(site, Subject.document());
    api.edit(id, 0, new Edit.SetValue("heading", "text", "", "Newer words"));
    api.edit(id, 1, new Edit.RemoveBand("tablet"));
    Bench bench = Bench.open(page, api, id, "arrange", "heading");
    page.keyboard().press("h");
    Locator history = dialog(page);
    assertThat(history.locator("ol button")).hasCount(2);
    history.locator("ol button").last().click();
    assertThat(history.locator("table")).containsText("Tablet from 768");
    assertThat(page.frameLocator("dialog[open] iframe").locator("h2").first()).hasText("A heading");
    history.getByText("Bring revision 0 back").click();
    assertThat(dialog(page)).hasCount(0);
    assertThat(bench.stage().locator("#g-heading").textContent()).isEqualTo("A heading");
    assertThat(api.document(id).bands().all()).as("the site stays").hasSize(2);
    bench.button("Undo").click();
    bench.saved();
    page.keyboard().press("h");
    dialog(page).locator("ol button").last().click();
    dialog(page).getByLabel("Bring back what the site was, too: on all its pages").check();
    dialog(page).getByText("Bring revision 0 back").click();
    assertThat(dialog(page)).hasCount(0);
    assertThat(api.document(id)).isEqualTo(Subject.document());
  }

  @Test
  void findHasTheCursorInItsField(Api api, Page page) {
    Bench.open(page, api, api.newPage(Subject.document()), "arrange", "cards").stage();
    page.keyboard().press("Control+k");
    page.keyboard().type("stri");
    assertThat(page.locator("[cmdk-input]")).hasValue("stri");
    assertThat(page.locator("[cmdk-item][aria-selected=true]")).containsText("Stride");
  }

  @Test
  void noPageMakesTheBrowserAskForWhatIsNotThere(Api api, Page page) {
    var missing = new ArrayList<String>();
    page.onResponse(response -> {
      if (response.status() >= 400) {
        missing.add(response.status() + " " + response.url());
      }
    });
    String live = api.publish(api.newPage(Subject.document()));
    page.navigate(live);
    page.waitForTimeout(400);
    assertThat(page.locator("link[rel=icon]")).hasCount(1);
    String icon = page.locator("link[rel=icon]").getAttribute("href");
    assertThat(api.get(live + icon).status()).isEqualTo(200);
    page.navigate(api.at("/?find=nothing-like-it"));
    page.waitForTimeout(400);
    assertThat(missing).isEmpty();
  }
}
