package giostra.core.layout;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.output.Compiler;
import giostra.core.output.Shipped;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.PanelSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.tabs.Tabs;
import giostra.core.piece.tabs.TabsSettings;
import giostra.core.testing.Demo;
import java.util.List;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;

/** Levels of headings. Source: WCAG 2.2, technique G141: none is skipped on the way down. */
class OutlineTest {
  private static Document page(Block... blocks) {
    var section = new Section("section", Values.NONE, List.of(blocks));
    Values values = Values.NONE.with(PageSettings.TITLE, Values.ALL, "Levels");
    return new Document(
        new Site(Bands.INITIAL, Values.NONE), new Page("page", values, List.of(section)));
  }

  private static Block.Heading heading(String id, int level) {
    return new Block.Heading(
        id,
        Values.NONE
            .with(BlockSettings.LEVEL, Values.ALL, level)
            .with(BlockSettings.HEADING_TEXT, Values.ALL, id));
  }

  private static Values titled(String title) {
    return Values.NONE.with(PieceSettings.TITLE, Values.ALL, title);
  }

  private static Item item(String id, Block... blocks) {
    return new Item(id, Values.NONE.with(ItemSettings.HEADING, Values.ALL, id), List.of(blocks));
  }

  private static String levels(Document document, String piece) {
    Outline outline = Outline.of(document);
    Piece found = document.piece(piece);
    return outline.title(found) + "/" + outline.items(found);
  }

  @Test
  void itemsStandBelowTheTitleAndTheTitleBelowTheLastHeading() {
    var inner = new Carousel("inner", titled("In it"), List.of(item("card")));
    Document page =
        page(
            heading("first", 1),
            new Carousel("plain", Values.NONE, List.of(item("a"))),
            new Carousel("titled", titled("Over it"), List.of(item("b"))),
            heading("third", 3),
            new Accordion("asked", titled("Asked"), List.of(item("c", inner))));
    assertThat(levels(page, "plain")).isEqualTo("2/2");
    assertThat(levels(page, "titled")).isEqualTo("2/3");
    assertThat(levels(page, "asked")).isEqualTo("4/5");
    assertThat(levels(page, "inner")).as("deepest").isEqualTo("6/6");
  }

  /** Headings of tabs are buttons of a list, not headings, until the tabs fold. */
  @Test
  void aPanelOfTabsCountsFromTheTabsOwnLevel() {
    var inner = new Carousel("inner", titled("In it"), List.of(item("card")));
    var tabs = new Tabs("tabs", Values.NONE, List.of(item("one", inner)));
    assertThat(levels(page(heading("h", 1), tabs), "inner")).isEqualTo("2/3");
    Values folded =
        Values.NONE.with(TabsSettings.FORM, Bands.INITIAL.lead().id(), TabsSettings.Form.ACCORDION);
    var all = new Tabs("tabs", folded, List.of(item("one", inner)));
    assertThat(levels(page(heading("h", 1), all), "inner")).isEqualTo("3/4");
  }

  @Test
  void aLevelThatIsAskedForHolds() {
    Values values = Values.NONE.with(PanelSettings.LEVEL, Values.ALL, 5);
    var asked = new Accordion("asked", values, List.of(item("c")));
    assertThat(levels(page(heading("h", 1), asked), "asked")).isEqualTo("2/5");
  }

  /** What is written is what is said: the demo goes down one level at a time. */
  @Test
  void theCompiledDemoSkipsNoLevel() {
    var html = Jsoup.parse(Compiler.compile(Demo.document(), Shipped.scriptsOnly()).html());
    int last = 0;
    for (var heading : html.select("h1, h2, h3, h4, h5, h6")) {
      if (heading.closest(".g-tab") != null && heading.hasClass("g-fold-head")) {
        continue;
      }
      int level = heading.tagName().charAt(1) - '0';
      assertThat(level).as(heading.text()).isLessThanOrEqualTo(last + 1);
      last = level;
    }
    assertThat(last).isPositive();
  }
}
