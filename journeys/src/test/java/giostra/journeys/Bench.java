package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import giostra.server.testing.Api;
import java.util.regex.Pattern;

/** The bench as somebody in front of it uses it. */
final class Bench {
  private final Page page;

  Bench(Page page) {
    this.page = page;
  }

  /** Opens a page at a step, with something chosen. */
  static Bench open(Page page, Api api, String id, String step, String node) {
    page.navigate(api.at("/pages/" + id + "/" + step + "?at=" + node));
    var bench = new Bench(page);
    assertThat(page.getByText("saved", new Page.GetByTextOptions().setExact(true))).isVisible();
    return bench;
  }

  Page page() {
    return page;
  }

  /** A cell of the sheet or the table of items. */
  Locator cell(String node, String setting, String band) {
    return page.locator("[data-path='" + node + "/" + setting + "/" + band + "']");
  }

  /** Types into a cell, or picks in it, with the keyboard alone. */
  void set(String node, String setting, String band, String value) {
    Locator cell = cell(node, setting, band);
    cell.focus();
    String before = cell.innerText();
    page.keyboard().press("F2");
    Locator field = cell.locator("input, textarea, select");
    // It is typed into, opens what one chooses in, or is switched at once; nothing else will do.
    page.waitForCondition(() ->
        field.count() > 0
            || page.locator("dialog[open]").count() > 0
            || !cell.innerText().equals(before));
    if (field.count() == 0) {
      return;
    }
    if (field.evaluate("field => field.tagName").equals("SELECT")) {
      field.selectOption(value);
    } else {
      field.fill(value);
      field.press("Enter");
    }
  }

  /** A part on the thread. */
  Locator bead(String name) {
    return page.locator(".bead")
        .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^" + name + "(,|$)")));
  }

  /** Fills a field of a form. */
  void fill(String label, String value) {
    Locator field =
        page.locator(".form").getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
    field.waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.ATTACHED));
    if (!field.isVisible()) {
      page.locator(".form-more > summary").click();
    }
    if (field.evaluate("field => field.tagName").equals("SELECT")) {
      field.selectOption(value);
    } else {
      field.fill(value);
      field.blur();
    }
  }

  /** Goes to a step. */
  void step(String name) {
    page.locator(".verb").filter(new Locator.FilterOptions().setHasText(name)).click();
  }

  /** Takes a picture in the open picker. */
  void pick(String name) {
    page.locator("dialog[open] .picker-one")
        .filter(new Locator.FilterOptions().setHasText(name))
        .click();
  }

  /** Waits until the server has everything. */
  void saved() {
    page.waitForFunction(
        "() => [...document.querySelectorAll('.topbar [aria-live]')].some((e) => e.textContent === 'saved')"
            + " && !Object.keys(localStorage).some((key) => key.startsWith('giostra.kept.'))",
        null,
        // Many changes may wait in line, each with a large page to compile.
        new Page.WaitForFunctionOptions().setTimeout(90_000));
  }

  Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** Publishes and waits until it is said to be live. */
  void publish() {
    button("Publish").click();
    assertThat(page.locator(".ship-live"))
        .containsText(Pattern.compile("It is the page as it stands here"));
  }

  /** The frame that has the stage. */
  Frame stage() {
    page.waitForSelector("iframe");
    Frame stage = page.querySelector("iframe").contentFrame();
    stage.waitForSelector(
        "main", new Frame.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
    return stage;
  }
}
