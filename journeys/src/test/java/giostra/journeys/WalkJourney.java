package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** From an empty page to a published carousel, the way a designer goes. */
@ExtendWith({Giostra.class, Chromium.class})
class WalkJourney {
  private static final String ROWS =
      """
      Quotation\tName\tRole
      The ferns were awake.\tIda Venn\tbotanist
      We stayed till the lamps went out.\tOle Strand\tferryman
      Cold glass, warm soup.\tMara Quill\tprinter
      I came back the next evening.\tTomas Reed\tteacher
      "A line
      and another"\tLin Holt\tgardener
      Dark, and full of wings.\tEska Moor\tnight nurse
      """;

  @Test
  void fromAnEmptyPageToAPublishedCarousel(Api api, Page page) {
    // A site of its own: on the way a post is moved, and that moves it on all pages of a site.
    String name = "Walk " + System.nanoTime();
    api.newSite(name);
    // A shelf of all that journeys make is drawn and counted for a long time.
    page.navigate(api.at("/?find=nothing-like-it"));
    page.getByLabel("Find a site or a page").fill(name);
    page.getByLabel(name, new Page.GetByLabelOptions().setExact(true))
        .getByText("New page")
        .click();
    page.getByLabel("Title of the page").fill("A walk");
    page.getByText("Make the page").click();
    var bench = new Bench(page);
    page.waitForURL("**/fill*");

    page.getByLabel("Add a section at the top").click();
    page.locator("dialog[open] .chooser-one")
        .filter(new Locator.FilterOptions().setHasText("Carousel of quotations"))
        .click();
    bench.saved();
    assertThat(page.locator(".item-row")).hasCount(4);
    bench.stage().waitForSelector("[data-kind=carousel][data-live]");

    fill(bench);
    arrange(bench);

    String stageTitle = bench.stage().title();
    Page alone =
        page.waitForPopup(() -> page.getByTitle("Open the stage in a tab of its own").click());
    assertThat(alone.title()).isEqualTo(stageTitle);
    assertThat(alone.locator("[data-kind=carousel] .g-item")).hasCount(6);
    alone.close();

    bench.publish();
    Page live = page.waitForPopup(() -> page.getByText("Open the live page").click());
    live.waitForSelector("[data-live]");
    assertThat(live.locator(".g-item")).hasCount(6);
    assertThat(live.locator(".g-item").first().textContent()).contains("We stayed till the lamps");
  }

  private static void fill(Bench bench) {
    Page page = bench.page();
    Locator cell = page.locator(".item-row .cell").nth(1);
    cell.click();
    page.keyboard().type("Typed in place");
    page.keyboard().press("Enter");
    bench.saved();
    assertThat(cell).containsText("Typed in place");

    // Six rows from a spreadsheet, with a line that names the columns, over four items.
    // The server is away at first: what was pasted waits.
    page.route("**/cells", Route::abort);
    cell.focus();
    page.evaluate(
        """
        (text) => {
          const data = new DataTransfer();
          data.setData('text/plain', text);
          document.activeElement.dispatchEvent(
              new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
        }
        """,
        ROWS);
    assertThat(page.locator(".foot")).containsText("What was pasted is kept here.");
    assertThat(page.locator(".item-row")).hasCount(4);
    page.unroute("**/cells");
    bench.button("Put it in now").click();
    assertThat(page.locator(".foot")).containsText("Pasted:");
    bench.saved();
    assertThat(page.locator(".item-row")).hasCount(6);
    assertThat(page.locator(".foot")).containsText("4 rows filled; 2 items added");
    assertThat(names(page))
        .containsExactly(
            "Ida Venn", "Ole Strand", "Mara Quill", "Tomas Reed", "Lin Holt", "Eska Moor");

    drag(page, page.getByLabel("Move Ole Strand"), page.getByLabel("Move Ida Venn"));
    bench.saved();
    assertThat(names(page)).startsWith("Ole Strand", "Ida Venn");
    bench.button("Duplicate Mara Quill").click();
    bench.saved();
    assertThat(page.locator(".item-row")).hasCount(7);
    bench.button("Hide Mara Quill").first().click();
    bench.saved();
    bench.button("Delete Tomas Reed").click();
    bench.saved();
    assertThat(page.locator(".item-row")).hasCount(6);
    bench.button("Undo").click();
    bench.saved();
    assertThat(page.locator(".item-row")).hasCount(7);
    assertThat(names(page)).contains("Tomas Reed");
  }

  private static void arrange(Bench bench) {
    Page page = bench.page();
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Arrange").setExact(true))
        .click();
    Locator first = page.locator("[data-path$='/inView/desktop']");
    first.focus();
    // By keyboard alone: three in view, two, one; a gap in each unit; then a peek that goes again.
    page.keyboard().type("3");
    page.keyboard().press("Enter");
    page.keyboard().type("1.5rem");
    page.keyboard().press("Enter");
    bench.saved();
    page.keyboard().press("ArrowUp");
    page.keyboard().press("ArrowLeft");
    page.keyboard().type("2%");
    page.keyboard().press("Enter");
    bench.saved();
    assertThat(page.locator("[data-path$='/gap/desktop']")).containsText("1.5rem");
    assertThat(page.locator("[data-path$='/gap/tablet']")).containsText("2%");
    page.locator("[data-path$='/gap/tablet']").focus();
    page.keyboard().press("Delete");
    bench.saved();
    assertThat(page.locator("[data-path$='/gap/tablet']")).containsText("1.5rem");
    assertThat(page.locator("[data-path$='/gap/tablet'] .origin-wider")).hasCount(1);

    // What cannot be is refused with the reason, and stays where it was typed.
    page.locator("[data-path$='/gap/desktop']").focus();
    page.keyboard().type("-4");
    page.keyboard().press("Enter");
    Locator gap = page.locator("[data-path$='/gap/desktop']");
    assertThat(gap).hasAttribute("aria-invalid", "true");
    assertThat(gap).containsText("-4");
    gap.focus();
    page.keyboard().press("Escape");
    assertThat(gap).containsText("1.5rem");

    // A setting without effect says why, and leads to the cause.
    page.locator("[data-path$='/peekSides/desktop']").focus();
    page.keyboard().press("b");
    bench.saved();
    assertThat(page.locator(".foot")).containsText("No effect: The peek is 0.");

    // The carriage, from 1440 to 360, and the stage follows.
    Locator carriage =
        page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Width of the stage"));
    width(page, carriage, 1440);
    assertThat(inView(bench)).isEqualTo(3);
    width(page, carriage, 360);
    assertThat(inView(bench)).isEqualTo(1);

    // A post from 1024 to 960, by dragging: the tooth moves with it.
    String before = page.locator(".tooth-post").nth(1).getAttribute("x1");
    Locator post = page.locator("[data-post=desktop] [role=slider]");
    double at = post.boundingBox().x;
    page.mouse().move(at + 10, post.boundingBox().y + 10);
    page.mouse().down();
    page.mouse()
        .move(
            at - 20,
            post.boundingBox().y + 10,
            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(5));
    page.mouse().up();
    bench.saved();
    assertThat(Integer.parseInt(post.textContent())).isBetween(900, 1000);
    post.focus();
    page.keyboard().type("960");
    page.keyboard().press("Enter");
    bench.saved();
    assertThat(post).hasText("960");
    assertThat(page.locator(".tooth-post").nth(1).getAttribute("x1")).isNotEqualTo(before);

    // Six are too many; counts that keep the cards comfortable.
    first.focus();
    page.keyboard().type("6");
    page.keyboard().press("Enter");
    bench.saved();
    page.getByText("Suggest counts").click();
    page.getByText("Take these").click();
    bench.saved();
    assertThat(page.getByText("Suggest counts")).isVisible();
  }

  private static void width(Page page, Locator carriage, int px) {
    carriage.focus();
    page.keyboard().press("Enter");
    page.keyboard().type(Integer.toString(px));
    page.keyboard().press("Enter");
    assertThat(carriage).hasAttribute("aria-valuenow", Integer.toString(px));
  }

  private static int inView(Bench bench) {
    bench.page().waitForTimeout(300);
    return ((Number)
            bench
                .stage()
                .evaluate(
                    "() => [...document.querySelectorAll('.g-item')].filter((i) => !i.inert).length"))
        .intValue();
  }

  private static List<String> names(Page page) {
    return page.locator("[data-path$='/name/']").allTextContents();
  }

  private static void drag(Page page, Locator from, Locator to) {
    var start = from.boundingBox();
    var end = to.boundingBox();
    page.mouse().move(start.x + 8, start.y + 20);
    page.mouse().down();
    page.mouse().move(start.x + 8, start.y + 10);
    page.mouse()
        .move(end.x + 8, end.y + 6, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(8));
    page.waitForTimeout(150);
    page.mouse().up();
  }
}
