package giostra.core.dress;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Piece;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.testing.Demo;
import giostra.core.value.Nudge;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Ready moves, over what a look says of the same part. */
class ReadyMoveTest {
  private static final Part CARD = CarouselParts.CARD;

  /** The quotations wear a look whose cards rise under a pointer. */
  private static Document after(Document document, ReadyMove move) {
    Piece words = document.piece("words");
    return Edits.apply(document, move.edits(document, words, CARD)).document();
  }

  private static <T> List<T> hovered(Document document, Property<T> property, State state) {
    Scope scope = Resolution.scope(document, document.piece("words"));
    return document.bands().all().stream()
        .map(band -> Cascade.value(CARD, property, state, scope, band))
        .toList();
  }

  @Test
  void oneTakesThePlaceOfWhatALookSays() {
    Document demo = Demo.document();
    assertThat(hovered(demo, Property.MOVES, State.HOVER)).doesNotContain(Nudge.NONE);
    Document swells = after(demo, ReadyMove.SWELL);
    assertThat(hovered(swells, Property.GROWS, State.HOVER)).containsOnly(1.05);
    assertThat(hovered(swells, Property.MOVES, State.HOVER)).containsOnly(Nudge.NONE);
    Document still = after(swells, ReadyMove.STILL);
    for (Property<?> property :
        List.of(Property.MOVES, Property.GROWS, Property.TURNS, Property.TILTS, Property.SHADOW)) {
      assertThat(hovered(still, property, State.HOVER))
          .as(property.id())
          .isEqualTo(hovered(still, property, State.REST));
    }
  }

  @Test
  void whatANarrowerBandSaidInsteadGoes() {
    Document demo = Demo.document();
    Band phone = demo.bands().all().getFirst();
    Document own =
        Edits.apply(
                demo,
                List.of(
                    new Edit.SetStyle(
                        "words", CARD.key(Property.GROWS, State.HOVER), phone.id(), 1.5)))
            .document();
    assertThat(hovered(after(own, ReadyMove.SWELL), Property.GROWS, State.HOVER))
        .containsOnly(1.05);
  }

  /** All that it says is accepted, of each part that fits, by whoever may say it. */
  @Test
  void eachIsTakenByEachPartThatFits() {
    Document demo = Demo.document();
    int taken = 0;
    for (Piece piece : demo.pieces()) {
      for (Part part : piece.type().parts()) {
        for (ReadyMove move : ReadyMove.fit(part) ? ReadyMove.values() : new ReadyMove[0]) {
          Edits.apply(demo, move.edits(demo, piece, part));
          taken++;
        }
      }
    }
    assertThat(taken).isGreaterThan(100);
  }
}
