package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Section;
import giostra.core.testing.Demo;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;

/** Releases are sent to a place of one's own, and what visitors see there. */
@ExtendWith({Giostra.class, Chromium.class})
@ResourceLock("cantina")
class DeliveryJourney {
  private static final LocatorAssertions.ContainsTextOptions PATIENTLY =
      new LocatorAssertions.ContainsTextOptions().setTimeout(30_000);

  private static Document saying(String words) {
    Block text =
        new Block.Text(
            "text", Values.NONE.with(BlockSettings.PARAGRAPHS, Values.ALL, "<p>" + words + "</p>"));
    return Demo.bare(List.of(new Section("one", Values.NONE, List.of(text))));
  }

  /** By keyboard alone: a wrong word, the right one, a release, the next one by itself. */
  @InTurn(2)
  @Test
  void aReleaseGoesToAStoreAndTheNextOneByItself(Api api, Page page) {
    String site = api.newSite("Sent " + System.nanoTime());
    String id = api.newPage(site, saying("At dusk"));
    api.publish(id);
    page.navigate(api.at("/pages/" + id + "/ship"));
    Locator places = page.locator(".ship-places");
    places
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add a place…"))
        .press("Enter");
    Locator form =
        page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Another place"));
    form.getByLabel("What it is").selectOption("webdav");
    form.getByLabel("What you call it").fill("The club’s own server");
    form.getByLabel("Address of a folder").fill("http://elsewhere.example/club");
    form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add it"))
        .press("Enter");
    // It says which hosts may be sent to, and what was typed stays.
    Locator refused = form.getByRole(AriaRole.ALERT);
    assertThat(refused).containsText("elsewhere.example");
    assertThat(refused).containsText("GIOSTRA_DELIVERY_HOSTS");
    assertThat(form.getByLabel("What you call it")).hasValue("The club’s own server");
    assertThat(Axe.within(page, ".ship", "iframe")).isEmpty();
    form.getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName("Fill in one that ships, to try it"))
        .press("Enter");
    String address = form.getByLabel("Address of a folder").inputValue();
    form.getByLabel("Password").fill("wrong");
    form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add it"))
        .press("Enter");
    Locator place = places.getByRole(AriaRole.LISTITEM).first();
    assertThat(place).containsText("Nothing of this page was sent there yet.");
    place
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Send the live release"))
        .press("Enter");
    assertThat(place.getByRole(AriaRole.ALERT))
        .containsText("could not be sent: It answered 401", PATIENTLY);
    // Forgotten, after it was asked whether that is meant, and given anew with the right word.
    place
        .getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Forget Cantina, a web server"))
        .press("Enter");
    place
        .getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName("Forget it; what is there stays"))
        .press("Enter");
    assertThat(place).hasCount(0);
    places
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add a place…"))
        .press("Enter");
    form.getByLabel("What it is").selectOption("webdav");
    form.getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName("Fill in one that ships, to try it"))
        .press("Enter");
    form.getByLabel("Folder in it").fill("club/" + site);
    form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add it"))
        .press("Enter");
    place
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Send the live release"))
        .press("Enter");
    assertThat(place).containsText("Release 1 is there", PATIENTLY);
    assertThat(place).containsText(Pattern.compile("\\d+ files"));
    String path =
        api.get("/api/pages/" + id + "/destinations")
            .json()
            .path("places")
            .path(0)
            .path("path")
            .asString();
    seen(page, address + path, "At dusk");
    int revision = api.page(id).path("revision").asInt();
    var dawn = new Edit.SetValue("text", BlockSettings.PARAGRAPHS.id(), "", "<p>At dawn</p>");
    assertThat(api.edit(id, revision, dawn).status()).isEqualTo(200);
    api.publish(id);
    page.reload();
    assertThat(place).containsText("Release 2 is there", PATIENTLY);
    seen(page, address + path, "At dawn");
    assertThat(Axe.within(page, ".ship", "iframe")).isEmpty();
  }

  /** What a visitor there has: nothing is missing. */
  private static void seen(Page bench, String address, String words) {
    try (Page visitor = bench.context().newPage()) {
      var failed = new ArrayList<String>();
      visitor.onResponse(response -> {
        if (response.status() >= 400) {
          failed.add(response.url());
        }
      });
      visitor.navigate(address);
      assertThat(visitor.locator("main, body").first()).containsText(words);
      assertThat(
              (Boolean)
                  visitor.evaluate(
                      "() => [...document.styleSheets].length > 0"
                          + " && getComputedStyle(document.body).margin === '0px'"))
          .isTrue();
      assertThat(failed).isEmpty();
    }
  }
}
