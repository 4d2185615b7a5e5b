package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Feed;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.piece.accordion.Accordion;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Items from files and into files, and a piece that follows one. */
@ExtendWith({Giostra.class, Chromium.class})
class ContentJourney {
  private static final String CSV =
      """
      Question;Answer;Topic;Open at first;Image
      When do the lamps come on?;At dusk, <b>every evening</b>.;Tickets;no;Lamp-Walk.jpg
      May I bring a dog?;Only guide dogs.;Access;perhaps;
      Is there a tram?;Line 4 stops at the gate.;Getting here;no;
      """;

  private static FilePayload file(String name, String text) {
    return new FilePayload(name, "text/csv", text.getBytes(StandardCharsets.UTF_8));
  }

  private static String page(Api api) {
    Values titled = Values.NONE.with(PageSettings.TITLE, Values.ALL, "Asked");
    Piece empty = new Accordion("asked", Values.NONE, List.of());
    return api.newPage(
        "velluta",
        new Document(
            api.document(Api.DEMO).site(),
            new giostra.core.page.Page(
                "page", titled, List.of(new Section("one", Values.NONE, List.of(empty))))));
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static List<String> headings(Api api, String page) {
    return api.document(page).piece("asked").items().stream()
        .map(item -> item.values().get(ItemSettings.HEADING))
        .toList();
  }

  private static void choose(Page page, String name, String text) {
    page.locator("dialog[open] input[type=file]").setInputFiles(file(name, text));
  }

  @InTurn(17)
  @Test
  void aFileIsMappedMendedAndPutIn(Api api, Page page) throws IOException {
    String id = page(api);
    Bench bench = Bench.open(page, api, id, "fill", "asked");
    button(page, "From a file").click();
    choose(page, "questions.csv", CSV);

    // The mapping is proposed by the names of the columns.
    assertThat(page.getByLabel("Where Question goes")).hasValue("heading");
    assertThat(page.getByLabel("Where Topic goes")).hasValue("category");
    assertThat(page.getByLabel("Where Image goes")).hasValue("picture");
    Locator faulty = page.locator(".to-mend li");
    assertThat(faulty).hasCount(1);
    assertThat(faulty).containsText("Row 3");
    assertThat(faulty).containsText("Open at first is perhaps; it must be on or off");
    // The piece itself shows the rows that can be read.
    FrameLocator preview = page.frameLocator(".mapping-preview iframe");
    assertThat(preview.locator("#g-asked summary")).hasCount(2);

    page.getByLabel("Where Topic goes").selectOption("");
    assertThat(page.getByLabel("Where Topic goes")).hasValue("");

    // A reload in the middle loses nothing.
    page.reload();
    button(page, "From a file").click();
    assertThat(page.getByLabel("Where Topic goes")).hasValue("");
    page.locator(".to-mend input").fill("off");
    page.locator(".to-mend input").press("Enter");
    assertThat(page.locator(".to-mend")).hasCount(0);
    button(page, "Put in 3 items").click();
    assertThat(page.getByText("3 items are in.")).isVisible();
    button(page, "Done").click();
    bench.saved();
    assertThat(headings(api, id))
        .containsExactly("When do the lamps come on?", "May I bring a dog?", "Is there a tram?");
    Item first = api.document(id).piece("asked").items().getFirst();
    assertThat(first.values().get(ItemSettings.PICTURE)).isEqualTo("lamp-walk");
    assertThat(first.values().get(ItemSettings.CATEGORY)).isEmpty();
    assertThat(first.values().get(ItemSettings.TEXT)).contains("<strong>every evening</strong>");

    // Out again as a file, and in one step back.
    button(page, "From a file").click();
    Download csv =
        page.waitForDownload(() -> page.locator("dialog[open] a[href*='content.csv']").click());
    String written = Files.readString(csv.path());
    assertThat(written).startsWith("heading,text,open,picture\r\n");
    assertThat(written).contains("Is there a tram?,Line 4 stops at the gate.,false,\r\n");
    page.keyboard().press("Escape");
    button(page, "Undo").click();
    bench.saved();
    assertThat(headings(api, id)).isEmpty();
  }

  @InTurn(21)
  @Test
  void rowsThatAreNotMendedWaitAndAreTakenLater(Api api, Page page) {
    String id = page(api);
    Bench.open(page, api, id, "fill", "asked");
    button(page, "From a file").click();
    choose(page, "questions.csv", CSV);
    button(page, "Put in 2 items").click();
    assertThat(page.getByText("2 items are in. 1 row waits for mending.")).isVisible();
    assertThat(page.locator(".to-mend li")).hasCount(1);
    page.locator(".to-mend input").fill("on");
    page.locator(".to-mend input").press("Enter");
    button(page, "Put in 1 item").click();
    assertThat(page.getByText("1 item is in.")).isVisible();
    assertThat(headings(api, id)).hasSize(3);
  }

  @InTurn(16)
  @Test
  void questionsAreFoundInPastedMarkup(Api api, Page page) {
    String id = page(api);
    Bench.open(page, api, id, "fill", "asked");
    button(page, "From a file").click();
    page.locator("dialog[open] textarea")
        .fill(
            "<dl><dt>Where is the gate?</dt><dd>By the <i>canal</i>.</dd>"
                + "<dt>May I run?</dt><dd>Please do not<script>alert(1)</script>.</dd></dl>");
    button(page, "Read what is pasted").click();
    assertThat(page.locator("dialog[open]")).containsText("questions with their answers");
    button(page, "Put in 2 items").click();
    assertThat(page.getByText("2 items are in.")).isVisible();
    assertThat(headings(api, id)).containsExactly("Where is the gate?", "May I run?");
    assertThat(api.document(id).piece("asked").items().getLast().values().get(ItemSettings.TEXT))
        .contains("Please do not")
        .doesNotContain("alert");
  }

  @InTurn(14)
  @Test
  void whatIsNoTableIsRefusedWithTheReasonAndThePastedTextStays(Api api, Page page) {
    String id = page(api);
    Bench.open(page, api, id, "fill", "asked");
    button(page, "From a file").click();
    page.locator("dialog[open] textarea").fill("{\"a\": 1");
    button(page, "Read what is pasted").click();
    assertThat(page.locator("dialog[open] [role=alert]")).containsText("JSON");
    assertThat(page.locator("dialog[open] textarea")).hasValue("{\"a\": 1");
  }

  @InTurn(3)
  @Test
  void aPieceFollowsItsFile(Api api, Page page) {
    String id = page(api);
    Bench bench = Bench.open(page, api, id, "fill", "asked");
    button(page, "From a file").click();
    choose(page, "v1.csv", "Id,Question,Answer\na,Lamps?,At dusk\nb,Dogs?,No\nc,Tram?,Line 4\n");
    page.getByLabel("Follow this file").check();
    page.getByLabel("rows are told apart by").selectOption("Id");
    button(page, "Put in 3 items").click();
    assertThat(page.getByText("3 items are in.")).isVisible();
    button(page, "Done").click();
    Piece piece = api.document(id).piece("asked");
    assertThat(Feed.of(piece).orElseThrow().key()).isEqualTo("Id");
    // The designer says something in words of their own.
    bench.set(piece.items().get(1).id(), "heading", "", "Are dogs welcome?");
    bench.saved();

    button(page, "Follows a file").click();
    assertThat(page.locator("dialog[open]")).containsText("It was filled from v1.csv");
    choose(
        page,
        "v2.csv",
        "Id,Question,Answer\na,Lamps?,At nightfall\nd,Cats?,Yes\nb,Dogs at all?,No\n");
    Locator said = page.locator(".refill");
    assertThat(said).containsText("New: 1");
    assertThat(said).containsText("With new words: 1");
    assertThat(said).containsText("Are dogs welcome?: Heading");
    assertThat(page.getByLabel("Keep Tram?")).not().isChecked();
    button(page, "Fill it again").click();
    assertThat(page.locator("dialog[open]")).hasCount(0);
    assertThat(headings(api, id)).containsExactly("Lamps?", "Cats?", "Are dogs welcome?");
    button(page, "Undo").click();
    bench.saved();
    assertThat(headings(api, id)).containsExactly("Lamps?", "Are dogs welcome?", "Tram?");

    button(page, "Follows a file").click();
    button(page, "Stop following").click();
    assertThat(page.getByText("Items from a file")).isVisible();
    bench.saved();
    assertThat(Feed.of(api.document(id).piece("asked"))).isEmpty();
  }

  @InTurn(13)
  @Test
  void fiveThousandRowsComeInWithProgressAndSurviveAReload(Api api, Page page) {
    String id = page(api);
    var rows = new StringBuilder("Question,Answer\r\n");
    for (int i = 1; i <= 5000; i++) {
      rows.append("Question %d?,\"Yes, answer %d\"\r\n".formatted(i, i));
    }
    Bench.open(page, api, id, "fill", "asked");
    button(page, "From a file").click();
    choose(page, "many.csv", rows.toString());
    var long30 = new LocatorAssertions.IsVisibleOptions().setTimeout(30_000);
    assertThat(button(page, "Put in 5,000 items")).isVisible(long30);
    button(page, "Put in 5,000 items").click();
    assertThat(page.getByRole(AriaRole.PROGRESSBAR)).isVisible(long30);
    page.reload();
    assertThat(button(page, "From a file")).isVisible(long30);
    page.waitForCondition(
        () -> api.document(id).piece("asked").items().size() == 5000,
        new Page.WaitForConditionOptions().setTimeout(60_000));
    List<String> headings = headings(api, id);
    assertThat(headings.getFirst()).isEqualTo("Question 1?");
    assertThat(headings.getLast()).isEqualTo("Question 5000?");
    assertThat(headings).doesNotHaveDuplicates();

    // Of so many only those in sight are drawn, and all can be reached.
    page.reload();
    Locator grid = page.getByRole(AriaRole.GRID).first();
    assertThat(cell(grid, "Question 1?")).isVisible(long30);
    assertThat(grid).hasAttribute("aria-rowcount", "5001");
    assertThat(grid.getByRole(AriaRole.ROW).count()).isLessThan(80);
    cell(grid, "Question 2?").click();
    page.keyboard().press("Escape");
    page.keyboard().press("Control+End");
    assertThat(cell(grid, "Question 5000?")).isVisible(long30);
    assertThat(cell(grid, "Question 5000?")).isInViewport();
    page.keyboard().press("ArrowUp");
    assertThat(page.locator("[role=row]:has(:focus)")).hasAttribute("aria-rowindex", "5000");
    // Scrolled out of sight the current cell keeps the focus, and goes on from there.
    grid.hover();
    page.mouse().wheel(0, -4000);
    assertThat(cell(grid, "Question 4999?")).not().isInViewport();
    assertThat(page.locator("[role=row]:has(:focus)")).hasAttribute("aria-rowindex", "5000");
    page.keyboard().press("Alt+ArrowUp");
    page.waitForCondition(
        () -> headings(api, id).get(4997).equals("Question 4999?"),
        new Page.WaitForConditionOptions().setTimeout(30_000));
    page.keyboard().press("Control+Home");
    assertThat(cell(grid, "Question 1?")).isInViewport();
  }

  private static Locator cell(Locator grid, String words) {
    return grid.getByText(words, new Locator.GetByTextOptions().setExact(true)).first();
  }
}
