package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.layout.Resolution;
import giostra.core.look.Values;
import giostra.core.output.Compiler;
import giostra.core.output.Shipped;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.accordion.AccordionSettings;
import giostra.core.piece.accordion.Categories;
import giostra.core.piece.carousel.Carousel;
import giostra.core.testing.Demo;
import giostra.core.value.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;

/** What is kept once and put in several times. */
class LinkingTest {
  private final Document demo = Demo.document();
  private final Linking.Stock stock =
      id ->
          switch (id) {
            case "questions" -> Optional.of(demo.node("questions"));
            case "walks" -> Optional.of(demo.node("houses"));
            case "all-houses" -> Optional.of(demo.node("tabs-section"));
            case "round" -> Optional.of(new Carousel("self", linked("round"), List.of()));
            default -> Optional.empty();
          };

  private static Values linked(String to) {
    return Values.NONE.with(Linking.LINKED_TO, Values.ALL, to);
  }

  private Document with(Section... sections) {
    var all = new ArrayList<Section>(demo.page().sections());
    all.addAll(List.of(sections));
    return new Document(demo.site(), new Page(demo.page().id(), demo.page().values(), all));
  }

  private static Section holding(String id, Block... blocks) {
    return new Section(id, Values.NONE, List.of(blocks));
  }

  @Test
  void theSameThingTwiceHasIdsOfItsOwn() {
    Document page =
        with(
            holding("s1", new Accordion("again", linked("questions"), List.of())),
            holding("s2", new Accordion("once-more", linked("questions"), List.of())),
            new Section("s3", linked("all-houses"), List.of()));
    Document whole = Linking.expanded(page, stock);
    int questions = demo.piece("questions").items().size();
    assertThat(whole.piece("again").items()).hasSize(questions);
    assertThat(whole.piece("again").items().getFirst().id()).isEqualTo("again-question-booking");
    assertThat(whole.piece("once-more").items()).hasSize(questions);
    assertThat(whole.find("s3-desert-care")).as("three levels deep").isPresent();
    String html = Compiler.compile(whole, Shipped.scriptsOnly()).html();
    List<String> ids = Jsoup.parse(html).select("[id]").eachAttr("id");
    assertThat(ids).doesNotHaveDuplicates();
    assertThat(Linking.expanded(page, stock)).as("stable").isEqualTo(whole);
  }

  @Test
  void aLinkedOneFollowsItsSourceWithDepartures() {
    Values own =
        linked("walks")
            .with(TrackSettings.IN_VIEW, "tablet", 2)
            .with(TrackSettings.GAP, "desktop", Length.px(50))
            .with(PieceSettings.NAME, Values.ALL, "Walks again");
    Document whole =
        Linking.expanded(with(holding("s1", new Carousel("walks-again", own, List.of()))), stock);
    Piece piece = whole.piece("walks-again");
    assertThat(piece.values().get(PieceSettings.NAME)).isEqualTo("Walks again");
    assertThat(inView(whole, piece)).as("phone, tablet, desktop").containsExactly(2, 2, 3);
    // What is set on the lead band here speaks for the narrower ones too, as in any layer.
    assertThat(gaps(whole, piece)).containsExactly("50px", "50px", "50px");
    assertThat(gaps(demo, demo.piece("houses"))).containsExactly("12px", "16px", "24px");
  }

  private static List<Integer> inView(Document document, Piece piece) {
    return document.bands().all().stream()
        .map(band -> Resolution.value(document, piece, TrackSettings.IN_VIEW, band))
        .toList();
  }

  private static List<String> gaps(Document document, Piece piece) {
    return document.bands().all().stream()
        .map(band -> Resolution.value(document, piece, TrackSettings.GAP, band).css())
        .toList();
  }

  @Test
  void ownCategoriesOfTheSameQuestions() {
    Values tickets = linked("questions").with(AccordionSettings.ONLY, Values.ALL, "Tickets");
    Document whole =
        Linking.expanded(
            with(holding("s1", new Accordion("about-tickets", tickets, List.of()))), stock);
    assertThat(Categories.of((Accordion) whole.piece("about-tickets"))).containsExactly("Tickets");
    assertThat(Categories.of((Accordion) whole.piece("questions")).size()).isGreaterThan(1);
  }

  @Test
  void madeACopyItShowsWhatItShowedAndFollowsNoMore() {
    Values own =
        linked("walks")
            .with(TrackSettings.IN_VIEW, "tablet", 2)
            .with(TrackSettings.GAP, "desktop", Length.px(50));
    Document page =
        with(
            holding("s1", new Carousel("walks-again", own, List.of())),
            new Section("s2", linked("all-houses"), List.of()));
    for (String id : List.of("walks-again", "s2")) {
      Edits.Applied there = Edits.apply(page, Linking.separated(page, id, stock));
      assertThat(Linking.linked(there.document().node(id))).isFalse();
      assertThat(html(Linking.expanded(there.document(), stock)))
          .isEqualTo(html(Linking.expanded(page, stock)));
      assertThat(Edits.apply(there.document(), there.inverse()).document()).isEqualTo(page);
    }
  }

  private static String html(Document document) {
    return Compiler.compile(document, Shipped.scriptsOnly()).html();
  }

  @Test
  void onlyWhatIsLinkedToSomethingThereCanBeMadeACopy() {
    Document page = with(holding("s1", new Carousel("lost", linked("nothing"), List.of())));
    assertThatThrownBy(() -> Linking.separated(page, "lost", stock))
        .hasMessageContaining("is nothing; it must be something kept");
    assertThatThrownBy(() -> Linking.separated(page, "houses", stock))
        .hasMessageContaining("linked to something");
  }

  @Test
  void whatIsGoneOrGoesRoundLeavesAnEmptyPlace() {
    Document page =
        with(
            holding("s1", new Carousel("lost", linked("nothing"), List.of())),
            holding("s2", new Carousel("wheel", linked("round"), List.of())),
            new Section("s3", linked("walks"), List.of()));
    Document whole = Linking.expanded(page, stock);
    assertThat(Stream.of("lost", "wheel").map(whole::piece).map(Piece::items))
        .allMatch(List::isEmpty);
    assertThat(whole.node("s3").children()).as("a section is no carousel").isEmpty();
    assertThat(Linking.used(page)).containsExactly("nothing", "round", "walks");
  }
}
