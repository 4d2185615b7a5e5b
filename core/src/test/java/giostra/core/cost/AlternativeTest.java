package giostra.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.band.Band;
import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Edits;
import giostra.core.page.Piece;
import giostra.core.testing.Demo;
import giostra.core.testing.RandomDocuments;
import giostra.core.testing.Runs;
import giostra.core.value.Refused;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Other ways of showing the same; that they are so high is CostJourney's, by Chromium. */
class AlternativeTest {
  private static List<String> ids(Document document, String piece) {
    return Alternative.of(document, document.piece(piece)).stream().map(Alternative::id).toList();
  }

  @Test
  void aCarouselHasArrowsFormsCountsAndKinds() {
    Document demo = Demo.document();
    assertThat(ids(demo, "houses"))
        .startsWith("")
        .doesNotHaveDuplicates()
        .contains("form=all", "arrows=over", "kind=flip-boxes", "kind=accordion")
        .doesNotContain("kind=carousel", "kind=video", "form=track");
    assertThat(ids(demo, "four-houses")).contains("headsSide=start", "form=accordion");
    assertThat(Alternative.of(demo, demo.piece("houses")).stream().map(Alternative::label).toList())
        .contains("all at once", "no arrows", "as an accordion", "as flip boxes", "as tabs");
    assertThat(ids(demo, "plants")).contains("kind=carousel+form=all", "columns=2");
  }

  /** Each can be made of its page and taken back, and leaves the piece its id and its items. */
  @Test
  void eachIsPossibleAndIsTakenBack() {
    int all = 0;
    for (long seed = 0; seed < Runs.of(12, 120); seed++) {
      Document document = RandomDocuments.document(seed);
      for (Piece piece : document.pieces()) {
        for (Alternative each : Alternative.of(document, piece)) {
          all++;
          if (each.edits().isEmpty()) {
            assertThat(each.id()).isEqualTo(Alternative.AS_IT_IS);
            continue;
          }
          Edits.Applied applied = Edits.apply(document, each.edits());
          Piece then = applied.document().piece(piece.id());
          assertThat(then.items()).as(each.label()).isEqualTo(piece.items());
          assertThat(then).as(each.label()).isNotEqualTo(piece);
          assertThat(Edits.apply(applied.document(), applied.inverse()).document())
              .as(each.label())
              .isEqualTo(document);
        }
      }
    }
    assertThat(all).isGreaterThan(100);
  }

  /**
   * What stands in rows is higher than what moves by as many rows; both have the same page else.
   */
  @Test
  void heightsTellWhatAWayTakes() {
    Document demo = Demo.document();
    Band desktop = demo.bands().band("desktop");
    Alternative rows = Alternative.named(demo, demo.piece("houses"), "form=all");
    Cost now = Cost.of(demo, "houses", desktop, PictureSizes.NONE);
    Cost then = Cost.of(rows.on(demo), "houses", desktop, PictureSizes.NONE);
    assertThat(then.piece()).isNotEqualTo(now.piece());
    assertThat(then.page() - now.page())
        .isCloseTo(then.piece() - now.piece(), org.assertj.core.data.Offset.offset(0.5));
  }

  @Test
  void aWayThatIsNoneSaysWhichThereAre() {
    Document demo = Demo.document();
    assertThatThrownBy(() -> Alternative.named(demo, demo.piece("houses"), "form=none"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("form=none")
        .hasMessageContaining("kind=accordion");
  }
}
