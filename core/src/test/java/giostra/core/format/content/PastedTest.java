package giostra.core.format.content;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.look.Values;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.piece.carousel.Carousel;
import giostra.core.value.Refused;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Cells as spreadsheets put them on the clipboard: text with tabs, common practice, no source. */
class PastedTest {
  private static final Carousel PIECE =
      new Carousel("cards", Values.NONE, List.of(item("one"), item("two")));

  private static Item item(String id) {
    return new Item(id, Values.NONE.with(ItemSettings.HEADING, Values.ALL, "Of " + id));
  }

  private static Pasted pasted(String text, int row, int column) {
    return Pasted.of(
        text,
        PIECE,
        List.of("heading", "text", "picture"),
        row,
        column,
        named -> named.equals("fern.jpg") ? Optional.of("fern") : Optional.empty(),
        () -> "new");
  }

  @Test
  void cellsGoRightAndDownFromWhereTheyArePut() {
    Pasted found = pasted("A\tB\r\nC\tD\r\n", 0, 0);
    assertThat(found.edits())
        .containsExactlyInAnyOrder(
            new Edit.SetValue("one", "heading", Values.ALL, "A"),
            new Edit.SetValue("one", "text", Values.ALL, "B"),
            new Edit.SetValue("two", "heading", Values.ALL, "C"),
            new Edit.SetValue("two", "text", Values.ALL, "D"));
    assertThat(found.rows()).isEqualTo(2);
    assertThat(found.left()).isEmpty();
  }

  @Test
  void aFirstRowOfNamesSaysWhereTheOthersGoAndItemsAreAddedAtTheEnd() {
    Pasted found = pasted("text\tHEADING\nThe text\tThe heading", 2, 2);
    assertThat(found.rows()).isZero();
    assertThat(found.edits())
        .singleElement()
        .isInstanceOfSatisfying(
            Edit.AddNode.class,
            add -> {
              assertThat(add.index()).isEqualTo(2);
              assertThat(add.node().values().get(ItemSettings.HEADING)).isEqualTo("The heading");
              assertThat(add.node().values().get(ItemSettings.TEXT)).isEqualTo("The text");
            });
  }

  @Test
  void picturesAreFoundByTheirFilesAndWhatFitsNowhereIsTold() {
    Pasted found = pasted("fern.jpg\tover\nnone.png", 0, 2);
    assertThat(found.edits())
        .containsExactly(new Edit.SetValue("one", "picture", Values.ALL, "fern"));
    assertThat(found.left())
        .hasSize(2)
        .anySatisfy(each -> assertThat(each).contains("“over”", "no column"))
        .anySatisfy(each -> assertThat(each).contains("none.png", "file name of media"));
  }

  @Test
  void quotedCellsKeepTheirLinesAndLooseMarksAreNoQuotes() {
    assertThat(pasted("A\t\"Two\nlines\"", 0, 0).edits())
        .contains(new Edit.SetValue("one", "text", Values.ALL, "Two\nlines"));
    assertThat(pasted("\"Odd\" one\tB\nC\tD", 0, 0).edits())
        .contains(new Edit.SetValue("two", "text", Values.ALL, "D"));
  }

  @Test
  void anEmptyCellEmptiesAndAnEmptyRowKeepsItsPlace() {
    assertThat(pasted("\nB", 0, 0).edits())
        .containsExactly(
            new Edit.SetValue("one", "heading", Values.ALL, ""),
            new Edit.SetValue("two", "heading", Values.ALL, "B"));
  }

  @Test
  void whatIsNoPlaceIsRefused() {
    assertThatThrownBy(() -> pasted("A", 3, 0)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> pasted("A\n".repeat(Pasted.MOST_ROWS + 1), 0, 0))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("at most");
  }
}
