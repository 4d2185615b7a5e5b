package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import giostra.core.layout.Resolution;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Linking;
import giostra.core.page.NodeType;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.accordion.AccordionSettings;
import giostra.core.testing.InTurn;
import giostra.core.value.Length;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A piece that is kept on the site, put in linked and as a copy, and followed. */
@ExtendWith({Giostra.class, Chromium.class})
class StockJourney {
  private static Document page(Api api, String title) {
    Document any = api.document(Api.DEMO);
    var piece = (Piece) Subjects.block(NodeType.ACCORDION, "asked");
    return new Document(
        any.site(),
        new giostra.core.page.Page(
            "page",
            Values.NONE.with(PageSettings.TITLE, Values.ALL, title),
            List.of(new Section("one", Values.NONE, List.of((giostra.core.page.Block) piece)))));
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  @InTurn(22)
  @Test
  void whatIsKeptIsFollowedWhereItIsLinkedAndNotWhereItWasCopied(Api api, Page page) {
    String home = api.newPage("velluta", page(api, "Home of questions"));
    String other = api.newPage("velluta", page(api, "Another page"));
    Bench.open(page, api, home, "fill", "asked");
    button(page, "Keep on the site").click();
    page.locator("dialog[open] input").fill("Questions of the house");
    button(page, "Keep it").click();
    assertThat(page.locator("dialog[open]")).hasCount(0);

    Bench bench = Bench.open(page, api, other, "fill", "asked");
    for (int i = 0; i < 2; i++) {
      page.getByLabel("Add a section at the top").click();
      button(page, "Linked Questions of the house").click();
      bench.saved();
    }
    page.getByLabel("Add a section at the top").click();
    button(page, "Copy of Questions of the house").click();
    bench.saved();
    assertThat(page.locator(".map-row .lucide-link2, .map-row svg.lucide-link-2")).hasCount(2);
    List<Piece> pieces =
        api.document(other).pieces().stream().filter(Accordion.class::isInstance).toList();
    assertThat(pieces).filteredOn(Linking::linked).hasSize(2);

    // A departure, made in Arrange on one of the two.
    String linked = pieces.stream().filter(Linking::linked).findFirst().orElseThrow().id();
    Bench.open(page, api, other, "arrange", linked);
    bench.set(linked, "gap", "desktop", "31px");
    bench.saved();
    Bench.open(page, api, other, "fill", linked);
    assertThat(page.locator(".linked")).containsText("follows Questions of the house");
    assertThat(page.locator(".linked")).containsText("Departs here: Gap");

    // The source changes at its home.
    Item first = api.document(home).piece("asked").items().getFirst();
    api.edit(
        home,
        api.page(home).path("revision").asInt(),
        new Edit.SetValue(first.id(), ItemSettings.HEADING.id(), Values.ALL, "Changed at home?"));
    page.navigate(api.publish(other));
    Locator changed = page.getByText("Changed at home?");
    assertThat(changed).hasCount(2);
    List<?> gaps =
        (List<?>)
            page.evaluate(
                "() => [...document.querySelectorAll('.g-accordion .g-rows')].map((e) => getComputedStyle(e).rowGap)");
    assertThat(gaps.stream().filter("31px"::equals)).hasSize(1);
    assertThat((Boolean) page.evaluate(UNIQUE)).as("ids are unique").isTrue();
    // Both open by themselves, by keyboard.
    for (int i = 0; i < 2; i++) {
      Locator summary =
          page.locator("summary", new Page.LocatorOptions().setHasText("Changed at home?")).nth(i);
      boolean before = (Boolean) summary.evaluate("(e) => e.parentElement.open");
      summary.focus();
      page.keyboard().press("Enter");
      page.waitForTimeout(400);
      assertThat((Boolean) summary.evaluate("(e) => e.parentElement.open")).isNotEqualTo(before);
    }

    // What is linked to cannot be dropped; a linked one can be made a copy, which follows no more.
    Bench.open(page, api, home, "fill", "asked");
    button(page, "Keep on the site").click();
    assertThat(page.locator("dialog[open]")).containsText("Another page");
    button(page, "Keep it no longer").click();
    assertThat(page.locator("dialog[open] .text-error")).containsText("Another page");
    Bench.open(page, api, other, "fill", linked);
    button(page, "Make it a copy").click();
    // What it becomes is asked for first.
    assertThat(page.locator(".linked")).hasCount(0);
    bench.saved();
    assertThat(api.document(other).pieces()).filteredOn(Linking::linked).hasSize(1);
    Piece copy = api.document(other).piece(linked);
    assertThat(copy.items()).isNotEmpty();
    assertThat(
            Resolution.value(
                api.document(other),
                copy,
                AccordionSettings.GAP,
                api.document(other).bands().lead()))
        .as("what departed stays")
        .isEqualTo(Length.px(31));
  }

  private static final String UNIQUE =
      "() => { const ids = [...document.querySelectorAll('[id]')].map((e) => e.id); return new Set(ids).size === ids.length; }";
}
