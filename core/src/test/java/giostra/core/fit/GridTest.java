package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Dividers and rows as the trade draws them; common practice, no source. */
class GridTest {
  @Test
  void fiveInFiveColumnsHaveFourDividers() {
    assertThat(new Grid(5, 5).dividers()).containsExactly(0, 1, 2, 3);
  }

  @Test
  void fourInTwoColumnsHaveOneInEachRow() {
    assertThat(new Grid(4, 2).dividers()).containsExactly(0, 2);
    assertThat(new Grid(4, 2).across()).containsExactly(2, 3);
  }

  @Test
  void fiveInThreeColumnsEndWithTwo() {
    var grid = new Grid(5, 3);
    assertThat(grid.rows()).isEqualTo(2);
    assertThat(grid.inLastRow()).isEqualTo(2);
    assertThat(grid.dividers()).containsExactly(0, 1, 3);
  }

  @Test
  void threeColumnsIn1200WithGapsOf24Are384() {
    assertThat(new Grid(6, 3).column(new Line(0, 24)).at(1200)).isEqualTo(384);
  }

  @Property
  void noDividerStandsAtTheEndOfARow(
      @ForAll @IntRange(max = 40) int items, @ForAll @IntRange(min = 1, max = 12) int columns) {
    var grid = new Grid(items, columns);
    assertThat(grid.dividers()).allMatch(i -> (i + 1) % columns != 0 && i + 1 < items);
    // As many as there are neighbours in a row.
    assertThat(grid.dividers()).hasSize(Math.max(0, items - grid.rows()));
  }
}
