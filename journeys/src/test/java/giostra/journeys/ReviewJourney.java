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

/** A page for people who look at it, and what they say. */
@ExtendWith({Giostra.class, Chromium.class})
class ReviewJourney {
  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** A link is made, somebody remarks by it, and it is seen to where they said it. */
  @InTurn({0, 4, 8, 12, 16, 20})
  @Test
  void whatAGuestRemarksIsSeenTo(Api api, Chromium.Open chromium) {
    String site = api.newSite("Reviewed " + System.nanoTime());
    String id = api.newPage(site, Subject.document());
    Page mine = chromium.page(1280, 800);
    Bench bench = Bench.open(mine, api, id, "arrange", "cards");
    mine.keyboard().press("r");
    Locator panel = mine.getByRole(AriaRole.DIALOG);
    panel.getByLabel("Whom it is for").fill("The club");
    panel.getByText("Make a link").click();
    String link = panel.locator("[data-link]").innerText();
    assertThat(Axe.within(mine, "dialog[open]")).isEmpty();
    mine.keyboard().press("Escape");

    Page theirs = chromium.page(1280, 800);
    theirs.context().clearCookies();
    theirs.navigate(link);
    assertThat(theirs).hasURL(api.at("/review"));
    assertThat(theirs.locator(".topbar")).containsText("as it stands, until");
    for (String theme : new String[] {"light", "dark"}) {
      assertThat(Axe.found(theirs, "iframe")).as(theme).isEmpty();
      theirs.locator("header button").last().click();
    }
    theirs.frameLocator("iframe").locator("[data-piece=cards]").first().click();
    assertThat(theirs.getByLabel("It is about")).not().hasValue("page");
    theirs.getByLabel("It is about").selectOption("cards");
    button(theirs, "Phone 390").click();
    theirs.getByLabel("Your name").fill("Ada");
    theirs.getByLabel("What you have to say").fill("Could these be larger?\nOn a phone.");
    button(theirs, "Leave the remark").click();
    assertThat(theirs.locator(".remark")).containsText("Could these be larger?");
    // Whoever came by it goes nowhere else.
    theirs.navigate(api.at("/"));
    assertThat(theirs).hasURL(api.at("/review"));
    assertThat(theirs.locator(".remark")).containsText("390 px");

    // It is told at once, and leads to where it hangs, as wide as it was seen.
    Locator tool = button(mine, "Remarks, 1 open");
    assertThat(tool).isVisible();
    tool.click();
    panel.locator(".remark-foot .link").first().click();
    assertThat(mine.locator(".stage-note")).containsText("390");
    panel.getByRole(AriaRole.CHECKBOX).first().click();
    assertThat(panel.locator(".remark")).hasCount(0);
    mine.keyboard().press("Escape");
    assertThat(button(mine, "Remarks")).isVisible();

    // A link that is ended opens nothing any more.
    bench.button("Remarks").click();
    panel
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("End the link for"))
        .click();
    assertThat(panel.locator(".who-is-in-list li")).hasCount(0);
    theirs.navigate(link);
    assertThat(theirs.getByRole(AriaRole.HEADING)).containsText("This link opens nothing");
  }

  /** On a phone, by keyboard alone, and with words that are too long. */
  @InTurn({1, 5, 9, 13, 17, 21})
  @Test
  void aRemarkIsLeftByKeyboardOnAPhone(Api api, Chromium.Open chromium) {
    String site = api.newSite("Reviewed " + System.nanoTime());
    String id = api.newPage(site, Subject.document());
    Page page = chromium.page(320, 700);
    Chromium.letIn(page, api, api.member(site, "reviewer"));
    // Who only looks and remarks has no bench.
    page.navigate(api.at("/pages/" + id + "/arrange"));
    assertThat(page).hasURL(api.at("/pages/" + id + "/review"));
    Locator words = page.getByLabel("What you have to say");
    words.focus();
    page.keyboard().type("long".repeat(60));
    page.keyboard().press("Tab");
    page.keyboard().press("Enter");
    assertThat(page.locator(".remark")).containsText("A reviewer");
    assertThat(Js.number(page, "() => document.documentElement.scrollWidth", null))
        .isLessThanOrEqualTo(320);
    assertThat(Axe.found(page, "iframe")).isEmpty();
    assertThat(page.locator(".remark").getByRole(AriaRole.CHECKBOX)).hasCount(0);
    page.locator(".remark").getByText("Drop").click();
    assertThat(page.locator(".remark")).hasCount(0);
  }
}
