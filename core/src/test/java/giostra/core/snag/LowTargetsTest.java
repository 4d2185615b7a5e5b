package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.anatomy.PageParts;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.testing.Demo;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Buttons that are too low to be pressed; TargetsJourney measures them in Chromium. */
class LowTargetsTest {
  private static Edit set(String node, Property<?> property, Object value) {
    return new Edit.SetStyle(node, PageParts.BUTTON.key(property, State.REST), "desktop", value);
  }

  /** Letters of 12 px, lines of 1.5. */
  private static Document with(String node, String size, double above) {
    return Edits.apply(
            Demo.document(),
            List.of(
                set(node, Property.TEXT_SIZE, size),
                set(node, Property.LEADING, 1.5),
                set(node, Property.PADDING_ABOVE, above + "px"),
                set(node, Property.PADDING_BELOW, "0px")))
        .document();
  }

  private static List<Snag> found(Document document) {
    return Snags.of(document, PictureSizes.NONE, 0).stream()
        .filter(each -> each.rule() == Rule.LOW_TARGET)
        .toList();
  }

  private static String buttoned() {
    return Demo.document().pieces().stream()
        .filter(piece -> piece.items().stream().anyMatch(item -> pressed(piece, item)))
        .map(Piece::id)
        .findFirst()
        .orElseThrow();
  }

  private static boolean pressed(Piece piece, Item item) {
    return Fields.buttons(piece, item).stream().anyMatch(each -> !each.second());
  }

  @ParameterizedTest
  @CsvSource({"5.5, true", "6, false", "6.5, false", "0, true"})
  void twentyFourAreEnough(double above, boolean told) {
    List<Snag> found = found(with(buttoned(), "12px", above));
    assertThat(found).hasSize(told ? 3 : 0);
    for (Snag snag : found) {
      assertThat(snag.measure().orElseThrow().found()).isEqualTo(18 + above);
      assertThat(snag.fixes()).extracting(each -> each.edits().size()).containsExactly(2, 2);
    }
  }

  /** 12 px and 1 % of the lesser side: 16 px, and so 24 in a line, where that is 400. */
  @Test
  void lettersThatGrowAreSmallAtOneEnd() {
    List<Snag> found = found(with(buttoned(), "clamp(10px, 12px + 1vmin, 30px)", 0));
    assertThat(found).hasSize(1);
    Extent.Widths widths = found.getFirst().extent().widths();
    assertThat(List.of(widths.from(), widths.to())).containsExactly(280, 399);
  }

  @Test
  void whatDoesNotShowIsNotTold() {
    String piece = buttoned();
    Document low = with(piece, "12px", 0);
    List<Edit> hidden =
        ((Piece) low.node(piece))
            .items().stream()
                .<Edit>map(item -> new Edit.SetValue(item.id(), "hidden", "", true))
                .toList();
    assertThat(found(Edits.apply(low, hidden).document())).isEmpty();
  }

  @Test
  void theDemosAreHighEnough() {
    assertThat(found(Demo.document())).isEmpty();
  }

  /** One that a section has by itself is told of itself. */
  @Test
  void aButtonByItselfIsTold() {
    String alone =
        Demo.document()
            .nodes()
            .filter(each -> each instanceof Block.Button)
            .map(Node::id)
            .findFirst()
            .orElseThrow();
    assertThat(found(with(alone, "12px", 0)).stream().map(each -> each.place().node()))
        .containsExactlyElementsOf(Stream.generate(() -> alone).limit(3).toList());
  }
}
