package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.TrackParts;
import giostra.core.band.Bands;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Page;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.page.TrackSettings;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.accordion.AccordionParts;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.piece.carousel.CarouselSettings;
import giostra.core.piece.tabs.Tabs;
import giostra.core.piece.tabs.TabsParts;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/**
 * Blocks that are hard to read on what they lie on: the ground of a section, a panel. Source of the
 * ratios: WCAG 2.2, "contrast ratio"; 1 of like colours.
 */
class FaintBlocksTest {
  private static Block.Text text(String id, String words) {
    return new Block.Text(id, Values.NONE.with(BlockSettings.PARAGRAPHS, Values.ALL, words));
  }

  private static Document document(Values section, Block... nodes) {
    var page =
        new Page("page", Values.NONE, List.of(new Section("section", section, List.of(nodes))));
    return new Document(new Site(Bands.INITIAL, Values.NONE), page);
  }

  private static Document with(Document document, Edit... edits) {
    return Edits.apply(document, List.of(edits)).document();
  }

  private static Edit style(String node, String key, String value) {
    return new Edit.SetStyle(node, StyleKey.parse(key), "desktop", value);
  }

  private static List<Snag> faint(Document document) {
    return Snags.of(document, PictureSizes.NONE, 0).stream()
        .filter(each -> each.rule() == Rule.CONTRAST)
        .toList();
  }

  private static final String INK = PageParts.TEXT.key(Property.INK, State.REST).written();

  @Test
  void wordsOfASectionAreReadOnItsGround() {
    Document page = document(Values.NONE, text("one", "Some words"), text("two", "Others"));
    assertThat(faint(page)).isEmpty();
    Document pale = with(page, style("one", INK, "#eeeeee"));
    assertThat(faint(pale))
        .singleElement()
        .satisfies(snag -> {
          assertThat(snag.place().node()).isEqualTo("one");
          assertThat(snag.fixes()).isNotEmpty();
          assertThat(faint(Edits.apply(pale, snag.fixes().getFirst().edits()).document()))
              .isEmpty();
        });
  }

  /** What all of them have from the section is told once, and mended in all. */
  @Test
  void whatIsAlikeIsToldOnce() {
    Document pale =
        with(
            document(Values.NONE, text("one", "Some words"), text("two", "Others")),
            style("section", INK, "#eeeeee"));
    assertThat(faint(pale))
        .singleElement()
        .satisfies(snag ->
            assertThat(faint(Edits.apply(pale, snag.fixes().getFirst().edits()).document()))
                .isEmpty());
  }

  @Test
  void whatATextDoesNotHaveIsNotRead() {
    String link = PageParts.LINK.key(Property.INK, State.REST).written();
    Document plain =
        with(document(Values.NONE, text("one", "No link")), style("one", link, "#eee"));
    assertThat(faint(plain)).isEmpty();
    Document linked =
        with(
            document(Values.NONE, text("one", "<p>A <a href=\"#x\">link</a></p>")),
            style("one", link, "#eee"));
    assertThat(faint(linked)).isNotEmpty();
    assertThat(faint(document(Values.NONE, text("one", "")))).isEmpty();
  }

  private static Document panelled(Block... blocks) {
    Values values = Values.NONE.with(ItemSettings.HEADING, Values.ALL, "A heading");
    return document(
        Values.NONE,
        new Tabs("tabs", Values.NONE, List.of(new Item("tab", values, List.of(blocks)))));
  }

  @Test
  void wordsInAPanelAreReadOnIt() {
    String ground = TabsParts.PANEL.key(Property.GROUND, State.REST).written();
    Document dark = with(panelled(text("in", "Words")), style("tabs", ground, "#1c2b27"));
    assertThat(faint(dark))
        .anySatisfy(snag -> {
          assertThat(snag.place().node()).isEqualTo("in");
          assertThat(snag.message()).contains("contrast of 2.34");
        });
    assertThat(faint(panelled(text("in", "Words")))).isEmpty();
  }

  /** An open row has the ground of that state. */
  @Test
  void wordsInARowAreReadOnItOpen() {
    Values values = Values.NONE.with(ItemSettings.HEADING, Values.ALL, "A heading");
    Document rows =
        document(
            Values.NONE,
            new Accordion(
                "rows",
                Values.NONE,
                List.of(new Item("row", values, List.of(text("in", "Words"))))));
    String open = AccordionParts.ROW.key(Property.GROUND, State.CURRENT).written();
    assertThat(faint(rows)).isEmpty();
    assertThat(faint(with(rows, style("rows", open, "#1c2b27"))))
        .anySatisfy(snag -> assertThat(snag.place().node()).isEqualTo("in"));
  }

  /** A piece in a panel stands on that panel where it has no ground of its own. */
  @Test
  void aPieceInAPanelIsReadOnIt() {
    var card = new Item("card", Values.NONE.with(ItemSettings.HEADING, Values.ALL, "On the panel"));
    var bare =
        new Carousel(
            "cards",
            Values.NONE.with(CarouselSettings.FRAME, Values.ALL, CarouselSettings.Frame.NONE),
            List.of(card));
    String ground = TabsParts.PANEL.key(Property.GROUND, State.REST).written();
    assertThat(faint(panelled(bare))).isEmpty();
    Document dark = with(panelled(bare), style("tabs", ground, "#1c2b27"));
    assertThat(faint(dark))
        .anySatisfy(snag -> {
          assertThat(snag.place().node()).isEqualTo("cards");
          assertThat(snag.place().part()).isEqualTo(CarouselParts.CARD_HEADING.id().id());
        });
  }

  /** Over a picture all has the colours of that tone, raised grounds too. */
  @Test
  void cardsOverAPictureHaveTheToneOfPictures() {
    Values pictured = Values.NONE.with(SectionSettings.GROUND, Values.ALL, "a".repeat(64));
    var card = new Item("card", Values.NONE.with(ItemSettings.HEADING, Values.ALL, "A card"));
    Document page = document(pictured, new Carousel("cards", Values.NONE, List.of(card)));
    assertThat(faint(page)).isEmpty();
    String raised = "tone.picture/rest/tone-raised";
    assertThat(faint(with(page, style("site", raised, "#fff8e8"))))
        .anySatisfy(snag ->
            assertThat(snag.place().part()).isEqualTo(CarouselParts.CARD_HEADING.id().id()));
  }

  /** What marks there are in a band, and arrows, is read there and nowhere else. */
  @Test
  void onlyTheMarksThatThereAreAreRead() {
    List<Item> cards =
        IntStream.range(0, 6)
            .mapToObj(n ->
                new Item(
                    "card-" + n, Values.NONE.with(ItemSettings.HEADING, Values.ALL, "Card " + n)))
            .toList();
    Document track = document(Values.NONE, new Carousel("cards", Values.NONE, cards));
    String name = TrackParts.NAME.key(Property.INK, State.REST).written();
    String arrow = TrackParts.ARROW.key(Property.INK, State.REST).written();
    Document pale = with(track, style("cards", name, "#fbf7ec"), style("cards", arrow, "#fbf7ec"));
    assertThat(faint(pale)).extracting(snag -> snag.place().part()).containsOnly("track.arrow");
    Document other =
        with(
            pale,
            new Edit.SetValue("cards", TrackSettings.MARKS.id(), "desktop", "names"),
            new Edit.SetValue("cards", TrackSettings.ARROWS.id(), "desktop", "none"));
    assertThat(faint(other)).extracting(snag -> snag.place().part()).containsOnly("track.name");
  }

  /** What no band shows is read in none; what one shows is read there. */
  @Test
  void whatIsNotShownIsNotRead() {
    var card = new Item("card", Values.NONE.with(ItemSettings.HEADING, Values.ALL, "A card"));
    String ink = CarouselParts.CARD_HEADING.key(Property.INK, State.REST).written();
    Document pale =
        with(
            document(Values.NONE, new Carousel("cards", Values.NONE, List.of(card))),
            style("cards", ink, "#fbf7ec"));
    assertThat(faint(pale)).isNotEmpty();
    Document gone =
        with(pale, new Edit.SetValue("cards", PieceSettings.SHOWN.id(), "desktop", false));
    assertThat(faint(gone)).isEmpty();
    assertThat(
            faint(with(gone, new Edit.SetValue("cards", PieceSettings.SHOWN.id(), "phone", true))))
        .isNotEmpty();
    Document panel = with(panelled(text("in", "Words")), style("in", INK, "#fbf7ec"));
    assertThat(faint(panel)).isNotEmpty();
    assertThat(
            faint(
                with(panel, new Edit.SetValue("tabs", PieceSettings.SHOWN.id(), "desktop", false))))
        .isEmpty();
  }

  /** Where there is no room for cards the rule on arrows takes no other down. */
  @Test
  void cardsWithoutRoomTakeNoFindingsDown() {
    List<Item> cards =
        IntStream.range(0, 6)
            .mapToObj(n ->
                new Item(
                    "card-" + n, Values.NONE.with(ItemSettings.HEADING, Values.ALL, "Card " + n)))
            .toList();
    Document tight =
        with(
            document(
                Values.NONE, text("one", "Some words"), new Carousel("cards", Values.NONE, cards)),
            style("one", INK, "#fbf7ec"),
            new Edit.SetValue("cards", TrackSettings.ARROWS.id(), "desktop", "over"),
            new Edit.SetValue("cards", TrackSettings.IN_VIEW.id(), "desktop", 5),
            new Edit.SetValue("cards", TrackSettings.GAP.id(), "desktop", "200px"));
    assertThat(Snags.of(tight, PictureSizes.NONE, 0))
        .extracting(Snag::rule)
        .contains(Rule.CONTRAST, Rule.NARROW);
  }
}
