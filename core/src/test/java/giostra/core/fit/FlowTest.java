package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.fit.Flow.Box;
import giostra.core.fit.Flow.Spaced;
import giostra.core.value.Aspect;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** Content as it flows, worked out by hand; the browser's answer is in the journeys. */
class FlowTest {
  private static final Screen SCREEN = new Screen(1280, 800);
  private static final Offset<Double> HAIR = Offset.offset(1e-9);

  private static double height(Flow flow, double width) {
    return flow.height(width, SCREEN);
  }

  @Test
  void aStackHasDistancesBetweenItsPartsAndNoneBeforeTheFirst() {
    Flow stack =
        Flow.stack(
            List.of(
                new Spaced(50, Flow.fixed(10)),
                new Spaced(8, Flow.ratio(new Aspect(2, 1))),
                new Spaced(0, Flow.fixed(5))));
    assertThat(height(stack, 100)).isEqualTo(10 + 8 + 50 + 5);
    assertThat(height(Flow.stack(List.of(), 20), 100)).isZero();
    assertThat(height(Flow.stack(List.of(Flow.fixed(3), Flow.fixed(4)), 20), 100)).isEqualTo(27);
  }

  @Test
  void paddingTakesFromTheWidthAndAddsToTheHeight() {
    // 200 less 2 x 20 leaves 160, at 16:9 90 high, and 2 x 20 around it.
    assertThat(height(Flow.ratio(new Aspect(16, 9)).padded(20), 200)).isEqualTo(130);
    assertThat(height(Flow.ratio(Aspect.SQUARE).padded(80), 100)).as("no room").isEqualTo(160);
    assertThat(height(Flow.ratio(Aspect.SQUARE).narrowed(new Line(0, 60)), 100)).isEqualTo(60);
    assertThat(height(Flow.ratio(Aspect.SQUARE).narrowed(new Line(0.5, 0)), 100)).isEqualTo(50);
    assertThat(height(Flow.fixed(20).atLeast(Flow.ratio(Aspect.SQUARE)), 100)).isEqualTo(100);
  }

  @Test
  void theHighestCounts() {
    Flow two =
        Flow.beside(
            List.of(Flow.ratio(Aspect.SQUARE), Flow.fixed(70)),
            List.of(new Line(.25, 0), new Line(.75, 0)));
    assertThat(height(two, 200)).isEqualTo(70);
    assertThat(height(two, 400)).isEqualTo(100);
    assertThat(height(Flow.tallest(List.of(Flow.fixed(3), Flow.fixed(9), Flow.fixed(5))), 10))
        .isEqualTo(9);
  }

  @Test
  void rowsOfEqualColumns() {
    List<Flow> five = List.of(10.0, 30.0, 20.0, 40.0, 5.0).stream().map(Flow::fixed).toList();
    Line gap = new Line(0, 12);
    assertThat(height(Flow.rows(five, 2, gap, false), 300)).isEqualTo(30 + 12 + 40 + 12 + 5);
    assertThat(height(Flow.rows(five, 2, gap, true), 300)).isEqualTo(3 * 40 + 2 * 12);
    // Three columns of (300 - 2 x 12) / 3 = 92.
    Flow squares =
        Flow.rows(List.of(Flow.ratio(Aspect.SQUARE), Flow.ratio(Aspect.SQUARE)), 3, gap, false);
    assertThat(height(squares, 300)).isCloseTo(92, HAIR);
  }

  @Test
  void aRowWrapsWhereTheNextDoesNotFit() {
    List<Box> boxes = List.of(new Box(60, 20), new Box(50, 30), new Box(40, 10), new Box(200, 15));
    assertThat(Flow.rowEnds(List.of(60.0, 50.0, 40.0, 200.0), 10, 120)).containsExactly(2, 3, 4);
    assertThat(height(Flow.wrapping(boxes, 10, 4), 120)).isEqualTo(30 + 4 + 10 + 4 + 15);
    assertThat(height(Flow.wrapping(boxes, 10, 4), 119)).isEqualTo(20 + 4 + 30 + 4 + 15);
    assertThat(height(Flow.wrapping(boxes, 10, 4), 1000)).isEqualTo(30);
    assertThat(Flow.rowEnds(List.of(), 10, 100)).isEmpty();
  }

  /** Each row fits, and would not with the first of the next. Source: CSS Flexbox 1, 9.3. */
  @Property
  void rowsAreAsLongAsTheyCanBe(
      @ForAll @Size(min = 1, max = 20) List<@DoubleRange(min = 1, max = 200) Double> widths,
      @ForAll @IntRange(max = 40) int gap,
      @ForAll @IntRange(min = 50, max = 800) int room) {
    int from = 0;
    List<Integer> ends = Flow.rowEnds(widths, gap, room);
    assertThat(ends.getLast()).isEqualTo(widths.size());
    for (int below : ends) {
      assertThat(below).isGreaterThan(from);
      double taken = widths.subList(from, below).stream().mapToDouble(w -> w + gap).sum() - gap;
      assertThat(below == from + 1 || taken <= room + 1 / 64.0 + 1e-9).isTrue();
      if (below < widths.size()) {
        assertThat(taken + gap + widths.get(below)).isGreaterThan(room);
      }
      from = below;
    }
  }
}
