package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.layout.ItemWidths;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Piece;
import giostra.core.piece.carousel.Carousel;
import giostra.core.testing.Demo;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The demo's snags on purpose, and values without effect; widths are worked out by hand. */
class SnagTest {
  private final Document demo = Demo.document();

  private Carousel carousel(Document document, String id) {
    return (Carousel) document.piece(id);
  }

  private static List<Snag> found(Rule rule, Document document, Piece piece) {
    return Snags.of(rule, document, piece, 0);
  }

  private Document with(String node, String setting, String band, Object value) {
    return Edits.apply(demo, List.of(new Edit.SetValue(node, setting, band, value))).document();
  }

  @Test
  void threeWalksOnATabletAreTooNarrowFrom768To811() {
    // (width - 2 x 30 - 2 x 16) / 3 reaches 240 at 812.
    Snag found =
        found(Rule.NARROW, demo, carousel(demo, "houses")).stream()
            .filter(each -> each.band().equals("tablet"))
            .findFirst()
            .orElseThrow();
    assertThat(found.message()).isEqualTo("narrower than 240 from 768 to 811");
    assertThat(found.fixes().stream().map(Snag.Fix::label))
        .containsExactly("move post to 812", "show 2");
  }

  @Test
  void theDemoHasTwoNarrowRangesOnPurpose() {
    long all =
        demo.pieces().stream().mapToLong(piece -> found(Rule.NARROW, demo, piece).size()).sum();
    assertThat(all).isEqualTo(2);
  }

  @Test
  void everyFixMendsItsOwnRange() {
    for (Piece piece : demo.pieces()) {
      for (Snag snag : found(Rule.NARROW, demo, piece)) {
        for (Snag.Fix fix : snag.fixes()) {
          Document mended = Edits.apply(demo, fix.edits()).document();
          assertThat(found(Rule.NARROW, mended, mended.piece(piece.id())))
              .as(snag.message() + ": " + fix.label())
              .noneMatch(left -> left.from() <= snag.to() && left.to() >= snag.from());
        }
      }
    }
  }

  @Test
  void aPeekWithEverythingInViewHasNoEffectAndSaysWhy() {
    Document all = with("houses", "inView", "desktop", 6.0);
    Document peeking =
        Edits.apply(all, List.of(new Edit.SetValue("houses", "peek", "desktop", "20px")))
            .document();
    assertThat(found(Rule.NO_EFFECT, peeking, carousel(peeking, "houses")))
        .anySatisfy(note -> {
          assertThat(note.place().value()).isEqualTo("peek");
          assertThat(note.band()).isEqualTo("desktop");
          assertThat(note.message()).isEqualTo("All 6 items are in view (6), so nothing moves.");
          assertThat(note.place().cause()).isEqualTo("inView");
        });
  }

  @Test
  void aStrideLargerThanTheViewSaysSo() {
    Document wide = with("words", "stride", "desktop", 5.0);
    assertThat(found(Rule.NO_EFFECT, wide, carousel(wide, "words")))
        .anyMatch(note ->
            note.place().value().equals("stride")
                && note.message().equals("One move advances 3: no more than are in view."));
  }

  @Test
  void anEndlessTrackThatWouldShowAnItemTwiceSaysSo() {
    // Four in view of five, with a peek on both sides: a sixth would be needed.
    Document five =
        Edits.apply(
                demo,
                List.of(
                    new Edit.RemoveNode("house-6"),
                    new Edit.SetValue("houses", "inView", "desktop", 4.0),
                    new Edit.SetValue("houses", "peek", "desktop", "60px"),
                    new Edit.SetValue("houses", "peekSides", "desktop", "both")))
            .document();
    assertThat(found(Rule.NO_EFFECT, five, carousel(five, "houses")))
        .anyMatch(note -> note.place().value().equals("endless") && note.band().equals("desktop"));
  }

  @Test
  void suggestedCountsKeepCardsComfortable() {
    for (Piece piece : demo.pieces()) {
      ItemWidths.of(demo, piece, 0)
          .ifPresent(widths -> {
            for (var in : widths.bands()) {
              int count = widths.suggested(in, 12);
              double inner = in.room().least();
              double gap = in.gap().in(inner);
              assertThat(
                      !in.counted()
                          || count == 1
                          || (inner - (count - 1) * gap) / count >= widths.comfortFrom())
                  .isTrue();
            }
          });
    }
  }

  @Test
  void moreThanThreeQuotationsOnADesktopAndMoreThanOneOnAPhoneAreHints() {
    assertThat(found(Rule.CROWDED, demo, carousel(demo, "words"))).isEmpty();
    Document four = with("words", "inView", "desktop", 4.0);
    assertThat(found(Rule.CROWDED, four, carousel(four, "words")))
        .extracting(Snag::message)
        .containsExactly("Desktop: 4 quotations in view are hard to read; 3 at the most is usual");
    Document two = with("words", "inView", "phone", 2.0);
    assertThat(found(Rule.CROWDED, two, carousel(two, "words")))
        .extracting(Snag::band)
        .containsExactly("phone");
    Document cards = with("houses", "inView", "desktop", 6.0);
    assertThat(found(Rule.CROWDED, cards, carousel(cards, "houses")))
        .as("cards of pictures")
        .isEmpty();
  }
}
