package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.Edits;
import giostra.core.page.Page;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.testing.Demo;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Columns that change places. Source: WCAG 2.2, 1.3.2 and 2.4.3: what is seen in a sequence that
 * matters is read in it; a picture beside a text has no sequence with it.
 */
class ReorderedTest {
  /** Columns of pictures (p), texts (t) and buttons (b), in this order on a phone. */
  private static Document page(String holding, String order) {
    var columns = new ArrayList<Column>();
    for (int i = 0; i < holding.length(); i++) {
      String id = "in-" + i;
      Block block =
          switch (holding.charAt(i)) {
            case 'p' -> new Block.Picture(id, Values.NONE);
            case 't' -> new Block.Text(id, Values.NONE);
            default -> new Block.Button(id, Values.NONE);
          };
      columns.add(new Column("column-" + i, Values.NONE, List.of(block)));
    }
    Values values = Values.NONE.with(BlockSettings.ORDER, "phone", order);
    var block = new Block.Columns("columns", values, columns);
    var section = new Section("section", Values.NONE, List.of(block));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE), new Page("page", Values.NONE, List.of(section)));
  }

  @ParameterizedTest(name = "{0} shown as {1}")
  @CsvSource({
    "tp, 2 1, false",
    "pt, 2 1, false",
    "tt, 2 1, true",
    "tb, 2 1, true",
    "tt, 1 2, false",
    "tpt, 2 1 3, false",
    "tpt, 3 2 1, true",
    "tpt, 1 3 2, false",
    "ttt, 1 3 2, true",
    "tt, 1, false"
  })
  void onlyWordsAndControlsHaveASequence(String holding, String order, boolean found) {
    Document document = page(holding, order);
    List<Snag> snags = found(document);
    assertThat(!snags.isEmpty()).isEqualTo(found);
    if (found) {
      assertThat(snags)
          .singleElement()
          .satisfies(snag -> {
            assertThat(snag.piece()).isEqualTo("columns");
            assertThat(List.of(snag.from(), snag.to())).containsExactly(280, 767);
            Document mended = Edits.apply(document, snag.fixes().getFirst().edits()).document();
            assertThat(found(mended)).isEmpty();
          });
    }
  }

  private static List<Snag> found(Document document) {
    return Snags.of(Rule.ORDER, document, document.find("columns").orElseThrow(), 0);
  }

  /** Order of seats as CSS has it: columns that are not named stay where they are. */
  @Test
  void columnsThatAreNotNamedKeepTheirPlaces() {
    assertThat(BlockSettings.seen("", 3)).containsExactly(0, 1, 2);
    assertThat(BlockSettings.seen("2 1", 3)).containsExactly(1, 0, 2);
    assertThat(BlockSettings.seen("3 1 2", 3)).containsExactly(2, 0, 1);
  }

  @Test
  void theDemoPutsPicturesFirstAndNothingElse() {
    assertThat(Demo.document().nodes().filter(Block.Columns.class::isInstance))
        .as("there are some that change places")
        .anyMatch(node -> node.values().set().containsKey(BlockSettings.ORDER.id()));
    assertThat(Snags.of(Demo.document(), _ -> Optional.empty(), 0))
        .extracting(Snag::rule)
        .doesNotContain(Rule.ORDER);
  }
}
