package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Somebody is asked in, comes in, and comes back. */
@ExtendWith({Giostra.class, Chromium.class})
class PeopleJourney {
  private static final String PASSWORD = "eleven lamps over water";

  @InTurn({0, 4, 8, 12, 16, 20})
  @Test
  void whoIsAskedInComesInAndComesBackWithAPassword(Api api, Chromium.Open chromium) {
    String name = "Asked " + System.nanoTime();
    api.newSite(name);
    String address = "ines" + System.nanoTime() + "@studio.example";
    Page mine = chromium.page(1280, 800);
    mine.navigate(api.at("/?find=" + name.replace(" ", "%20")));
    mine.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("People " + name)).click();
    Locator dialog = mine.getByRole(AriaRole.DIALOG);
    dialog.getByText("Ask in", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(dialog.getByRole(AriaRole.ALERT)).containsText("address");
    dialog.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true)).fill("Ines Corvo");
    dialog.getByLabel("Address for mail").fill(address);
    dialog.getByText("Ask in", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(dialog.locator("[data-way-in]")).isVisible();
    assertThat(Axe.within(mine, "dialog[open]")).isEmpty();
    assertThat(dialog.getByText("no password yet")).isVisible();

    // The message is in the mailbox that ships, and its address lets her in.
    Page hers = chromium.page(1280, 800);
    hers.context().clearCookies();
    hers.navigate(dialog.locator(".who-is-in-made a").getAttribute("href"));
    hers.locator("article a").first().click();
    assertThat(hers.locator("h2").first()).hasText(name);
    assertThat(hers.getByText("Add site")).hasCount(0);
    hers.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Who is in")).click();
    Locator own = hers.getByRole(AriaRole.DIALOG);
    own.getByLabel("A password, 12 characters or more").fill("short");
    own.getByText("Choose it").click();
    assertThat(own.getByRole(AriaRole.ALERT)).containsText("12 to 200 characters");
    own.getByLabel("A password, 12 characters or more").fill(PASSWORD);
    own.getByText("Choose it").click();
    assertThat(own.getByRole(AriaRole.STATUS)).containsText("The password is chosen");
    assertThat(Axe.within(hers, "dialog[open]")).isEmpty();

    // She comes back from elsewhere; a wrong one says no more than that.
    hers.context().clearCookies();
    hers.navigate(api.at("/"));
    Locator form = hers.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Sign in"));
    form.getByLabel("Address").fill(address);
    form.getByLabel("Password").fill("something else");
    hers.keyboard().press("Enter");
    assertThat(form.getByRole(AriaRole.ALERT)).containsText("Address or password");
    assertThat(Axe.found(hers)).isEmpty();
    form.getByLabel("Password").fill(PASSWORD);
    hers.keyboard().press("Enter");
    assertThat(hers.locator("h2").first()).hasText(name);

    // What she may do is said by whoever owns the site, and holds at once.
    dialog.getByLabel("What Ines Corvo may do").selectOption("designer");
    hers.waitForCondition(() -> {
      hers.reload();
      hers.locator("h2").first().waitFor();
      return hers.getByText("New page").count() > 0;
    });
    dialog
        .getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take Ines Corvo off " + name))
        .click();
    assertThat(dialog.getByText("Ines Corvo")).hasCount(0);
    hers.reload();
    assertThat(hers.getByText("You have a part in no site yet")).isVisible();
  }
}
