package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import giostra.core.page.Document;
import giostra.core.page.ItemSettings;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.accordion.Categories;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Categories of questions renamed, ordered and deleted, with where their questions go. */
@ExtendWith({Giostra.class, Chromium.class})
class CategoryJourney {
  private static Accordion questions(Api api, String page) {
    return (Accordion) api.document(page).piece("questions");
  }

  private static Map<String, Long> counted(Accordion piece) {
    return piece.items().stream()
        .collect(
            Collectors.groupingBy(
                item -> item.values().get(ItemSettings.CATEGORY), Collectors.counting()));
  }

  private static void press(Page page, String name) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
        .click();
  }

  /** Waits until the dialog lists these, as they are saved. */
  private static void listed(Page page, String... names) {
    for (int i = 0; i < names.length; i++) {
      assertThat(page.locator(".categories li input").nth(i))
          .hasAttribute("aria-label", "Name of " + names[i]);
    }
    assertThat(page.locator(".categories li")).hasCount(names.length);
  }

  @InTurn(7)
  @Test
  void categoriesAreRenamedOrderedAndDeleted(Api api, Page page) {
    Document demo = api.document(Api.DEMO);
    String id = api.newPage("velluta", demo);
    List<String> before = Categories.of(questions(api, id));
    assertThat(before).containsExactly("Tickets", "Getting here", "Access");
    Map<String, Long> counts = counted(questions(api, id));
    Bench bench = Bench.open(page, api, id, "fill", "questions");
    press(page, "Categories");

    Locator name = page.getByLabel("Name of Tickets");
    name.fill("Entry");
    name.press("Enter");
    listed(page, "Entry", "Getting here", "Access");
    assertThat(Categories.of(questions(api, id)))
        .containsExactly("Entry", "Getting here", "Access");
    assertThat(counted(questions(api, id)).get("Entry")).isEqualTo(counts.get("Tickets"));

    press(page, "Move Access up");
    listed(page, "Entry", "Access", "Getting here");
    assertThat(Categories.of(questions(api, id)))
        .containsExactly("Entry", "Access", "Getting here");

    press(page, "Delete Access");
    page.getByLabel("Its questions go to").selectOption("Getting here");
    listed(page, "Entry", "Getting here");
    assertThat(Categories.of(questions(api, id))).containsExactly("Entry", "Getting here");
    assertThat(counted(questions(api, id)).get("Getting here"))
        .isEqualTo(counts.getOrDefault("Getting here", 0L) + counts.getOrDefault("Access", 0L));

    page.getByLabel("Name of a new category").fill("Weather");
    page.getByLabel("Name of a new category").press("Enter");
    listed(page, "Entry", "Getting here", "Weather");
    page.getByLabel("Name of a new category").fill("Entry");
    page.getByLabel("Name of a new category").press("Enter");
    assertThat(page.getByRole(AriaRole.ALERT))
        .hasText("Name of a category is Entry; it must be one that there is not yet");
    press(page, "Delete Weather");
    listed(page, "Entry", "Getting here");
    press(page, "Done");

    // One step of undo brings the questions back to where they were.
    for (int i = 0; i < 3; i++) {
      press(page, "Undo");
      bench.saved();
    }
    assertThat(counted(questions(api, id)).get("Access")).isEqualTo(counts.get("Access"));
    assertThat(Categories.of(questions(api, id)))
        .containsExactly("Entry", "Access", "Getting here");
    page.navigate(api.publish(id));
    assertThat(page.locator(".g-chip"))
        .hasText(new String[] {"All", "Entry", "Access", "Getting here"});
  }
}
