package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.NodeType;
import giostra.core.page.Page;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.testing.Demo;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Findings that come of what is there and of how much, not of widths. */
class ContentSnagTest {
  private final Document demo = Demo.document();

  private static Document with(Document document, String node, String setting, Object value) {
    return Edits.apply(document, List.of(new Edit.SetValue(node, setting, "", value))).document();
  }

  private static Document inEveryBand(
      Document document, String node, String setting, Object value) {
    return Edits.apply(
            document,
            document.bands().all().stream()
                .<Edit>map(band -> new Edit.SetValue(node, setting, band.id(), value))
                .toList())
        .document();
  }

  private static List<Snag> found(Rule rule, Document document, String piece) {
    return Snags.of(rule, document, document.piece(piece), 0);
  }

  /** Each way out, tried on the whole page, mends and brings nothing. */
  private static void outs(Document document, Snag snag, String... labels) {
    List<Snag> all = Snags.of(document, PictureSizes.NONE, 0);
    List<WayOut> outs = WayOut.of(document, snag, all, PictureSizes.NONE, 0);
    assertThat(outs).extracting(out -> out.fix().label()).containsExactly(labels);
    assertThat(outs).allMatch(WayOut::mends);
  }

  @Test
  void theDemoHasNoneOfThem() {
    for (Piece piece : demo.pieces()) {
      for (Rule rule : List.of(Rule.EMPTY, Rule.SAME_WORDS, Rule.LONE_LAST, Rule.UNEVEN)) {
        assertThat(found(rule, demo, piece.id())).as(piece.id()).isEmpty();
      }
    }
  }

  /** Items of five kinds, emptied of all that each of them has. */
  @ParameterizedTest
  @CsvSource({
    "houses, house-1, nothing shows in it",
    "openings, opening-autumn, nothing shows in it",
    "questions, question-clothes, there is nothing under its heading",
  })
  void anItemWithNothingInItIsFound(String piece, String id, String message) {
    Document bare = demo;
    for (String setting : bare.node(id).values().set().keySet()) {
      if (!setting.equals("heading") || !message.contains("heading")) {
        bare = Edits.apply(bare, cleared(bare, id, setting)).document();
      }
    }
    for (var child : ((Item) bare.node(id)).children()) {
      bare = Edits.apply(bare, new Edit.RemoveNode(child.id())).document();
    }
    List<Snag> found = found(Rule.EMPTY, bare, piece);
    assertThat(found).hasSize(1);
    assertThat(found.getFirst().message()).isEqualTo(message);
    assertThat(found.getFirst().item()).isEqualTo(id);
    outs(bare, found.getFirst(), "hide it");
    assertThat(found(Rule.EMPTY, with(bare, id, "picture", "lamp-walk"), piece)).isEmpty();
    assertThat(found(Rule.EMPTY, with(bare, id, "hidden", true), piece)).isEmpty();
  }

  /**
   * A box of which the back alone says something says something; a slide that has a name does not.
   */
  @ParameterizedTest
  @CsvSource({
    "FLIP_BOXES, backText, 0",
    "FLIP_BOXES, text, 0",
    "FLIP_BOXES, role, 1",
    "SLIDER, name, 1",
    "SLIDER, button, 1",
    "SLIDER, picture, 0",
    "TABS, heading, 1",
    "TABS, text, 0",
    "CAROUSEL, icon, 0",
    "COUNTERS, note, 0"
  })
  void whatShowsOfAnItemIsThatOfItsKind(NodeType kind, String setting, int found) {
    var item = new Item("one", Values.NONE.withRaw(setting, Values.ALL, "words"));
    var section =
        new Section("s", Values.NONE, List.of((Block) kind.make("p", Values.NONE, List.of(item))));
    var document =
        new Document(
            new Site(Bands.INITIAL, Values.NONE), new Page("page", Values.NONE, List.of(section)));
    assertThat(found(Rule.EMPTY, document, "p")).hasSize(found);
  }

  private static List<Edit> cleared(Document document, String id, String setting) {
    return document.node(id).values().set().getOrDefault(setting, Map.of()).keySet().stream()
        .<Edit>map(band -> new Edit.SetValue(id, setting, band, null))
        .toList();
  }

  /** Source: WCAG 2.2, 2.4.9; F84 names "read more" that leads to several places. */
  @Test
  void buttonsThatSayTheSameAndLeadElsewhereAreFound() {
    Document two =
        with(with(demo, "house-1", "button", "See more"), "house-2", "button", "see more ");
    assertThat(found(Rule.SAME_WORDS, two, "houses")).as("to one place").isEmpty();
    Document apart = with(two, "house-2", "link", "#elsewhere");
    List<Snag> found = found(Rule.SAME_WORDS, apart, "houses");
    assertThat(found).hasSize(1);
    assertThat(found.getFirst().message()).startsWith("“See more” leads to 2 different places");
    outs(apart, found.getFirst(), "add the heading to what each is called");
    Document named = Edits.apply(apart, found.getFirst().fixes().getFirst().edits()).document();
    assertThat(named.node("house-1").values().own(giostra.core.page.ItemSettings.LINK.label(), ""))
        .asString()
        .startsWith("See more: ");
    // A name that somebody has said already tells them apart as well.
    assertThat(
            found(Rule.SAME_WORDS, with(apart, "house-2", "linkLabel", "To the ferns"), "houses"))
        .isEmpty();
    // One that is hidden is not heard.
    assertThat(found(Rule.SAME_WORDS, with(apart, "house-2", "hidden", true), "houses")).isEmpty();
  }

  /** 4 figures in 3 columns leave one: worked out by hand. */
  @ParameterizedTest
  @CsvSource({"1, false", "2, false", "3, true", "4, false"})
  void oneByItselfInTheLastRowIsFound(int columns, boolean lone) {
    Document laid = inEveryBand(demo, "figures", "columns", (double) columns);
    int items = laid.piece("figures").onShow().size();
    assertThat(items).isEqualTo(4);
    List<Snag> found = found(Rule.LONE_LAST, laid, "figures");
    assertThat(found).hasSize(lone ? 3 : 0);
    for (Snag snag : found) {
      assertThat(snag.message())
          .endsWith("one of 4 stands by itself in the last row, 3 in the others");
      outs(laid, snag, "2 in a row", "4 in a row");
    }
    laid = inEveryBand(laid, "figures", "lastRow", "stretch");
    assertThat(found(Rule.LONE_LAST, laid, "figures")).isEmpty();
  }

  /** Pictures of one size, of which one has no words. */
  private static PictureSizes without(String words) {
    return new PictureSizes() {
      @Override
      public Optional<Size> find(String id) {
        return Optional.of(new Size(1200, 800));
      }

      @Override
      public boolean untold(String id) {
        return id.equals(words);
      }
    };
  }

  private static List<Snag> untold(Document document, String words) {
    return Snags.of(document, without(words), 0).stream()
        .filter(snag -> snag.rule() == Rule.UNTOLD)
        .toList();
  }

  /** Source: WCAG 2.2, 1.1.1; F65 and F38. */
  @Test
  void aPictureWithoutWordsIsFoundWhereverItShows() {
    Document shown =
        with(
            with(with(demo, "house-1", "picture", "bare"), "plant-fern", "backPicture", "bare"),
            "idea-picture",
            "picture",
            "bare");
    assertThat(untold(shown, "bare"))
        .extracting(Snag::item)
        .containsExactly("idea-picture", "house-1", "plant-fern");
    Document said =
        with(with(shown, "house-1", "alt", "Lamps"), "idea-picture", "alt", "A long walk");
    // What is said of a box is said of its front.
    assertThat(untold(with(said, "plant-fern", "alt", "A fern"), "bare"))
        .extracting(Snag::item)
        .containsExactly("plant-fern");
    assertThat(untold(with(shown, "houses", "fieldsOff", "picture"), "bare")).hasSize(2);
    assertThat(untold(with(shown, "house-1", "hidden", true), "bare")).hasSize(2);
    assertThat(untold(demo, "bare")).isEmpty();
    // A portrait stands by the name of who speaks.
    String speaks = demo.piece("words").items().getFirst().id();
    assertThat(untold(with(demo, speaks, "picture", "bare"), "bare")).isEmpty();
    String among = "<p>Before.</p><p><img data-picture=\"bare\"%s></p>";
    for (String id : List.of("opening-text", "question-rain")) {
      assertThat(untold(with(demo, id, "text", among.formatted("")), "bare"))
          .extracting(Snag::item)
          .containsExactly(id);
      assertThat(untold(with(demo, id, "text", among.formatted(" alt=\"\"")), "bare")).isEmpty();
    }
  }

  /** Cards of which one has forty words more than the others: a line of 24 px and more. */
  @Test
  void whatIsNotEquallyHighIsFoundWhereItStandsSideBySide() {
    Document own = inEveryBand(demo, "houses", "heights", "own");
    own = with(own, "house-1", "text", "The doors are open from dusk. ".repeat(9));
    List<Snag> found = found(Rule.UNEVEN, own, "houses");
    // On a phone one card is in view by itself.
    assertThat(found)
        .extracting(snag -> snag.extent().widths().band())
        .containsExactly("tablet", "desktop");
    outs(own, found.getLast(), "make them equally high");
    // Where all stand in rows, one row is not held against another.
    Document rows = inEveryBand(inEveryBand(own, "houses", "form", "all"), "houses", "inView", 1.0);
    assertThat(found(Rule.UNEVEN, rows, "houses")).isEmpty();
    assertThat(found(Rule.UNEVEN, demo, "houses")).isEmpty();
    Document figures =
        inEveryBand(inEveryBand(demo, "figures", "heights", "own"), "figures", "columns", 2.0);
    figures = with(figures, "figure-lamps", "heading", "Lamps of all sizes ".repeat(12).strip());
    found = found(Rule.UNEVEN, figures, "figures");
    assertThat(found).hasSize(3);
    outs(figures, found.getFirst(), "make them equally high");
    Document one = inEveryBand(figures, "figures", "columns", 1.0);
    assertThat(found(Rule.UNEVEN, one, "figures")).isEmpty();
  }
}
