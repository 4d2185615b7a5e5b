package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import giostra.core.value.Refused;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** The worked examples of docs/engine.md, "Tracks", and what holds for every track. */
class TrackTest {
  private static final double EXACT = 1e-9;

  private static Track track(
      double inner, int items, int view, double gap, double peek, int sides) {
    return new Track(inner, items, view, gap, peek, sides, 1, false);
  }

  @Test
  void threeItemsInTwelveHundredAre384() {
    assertThat(track(1200, 7, 3, 24, 0, 1).item()).isCloseTo(384, within(EXACT));
  }

  @Test
  void aPeekOfFortyOnBothSidesLeavesAThirdOf1024() {
    assertThat(track(1200, 7, 3, 24, 40, 2).item()).isCloseTo(1024 / 3.0, within(EXACT));
  }

  @Test
  void theLastOffsetLeavesNoBlankEnd() {
    Track track = track(360, 5, 1, 12, 32, 1);
    assertThat(track.item()).isCloseTo(316, within(EXACT));
    assertThat(track.length()).isCloseTo(1628, within(EXACT));
    assertThat(track.offset(4)).isCloseTo(1268, within(EXACT));
  }

  @Test
  void noRoomForItemsIsRefused() {
    assertThatThrownBy(() -> track(100, 5, 3, 60, 0, 1))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("room for items is -6.6667 px; it must be above 0 px");
  }

  @Test
  void aStrideLargerThanTheViewCountsAsTheView() {
    assertThat(new Track(900, 7, 3, 0, 0, 1, 9, false).stops().starts()).containsExactly(0, 3, 4);
  }

  @Test
  void whereAllIsInViewNothingMovesAndNothingPeeks() {
    Track track = track(1200, 3, 3, 24, 40, 2);
    assertThat(track.moves()).isFalse();
    assertThat(track.item()).isCloseTo(384, within(EXACT));
  }

  @Test
  void aTrackThatWouldShowAnItemTwiceHasAnEnd() {
    assertThat(new Track(1000, 4, 3, 20, 0, 1, 1, true).loops()).isTrue();
    assertThat(new Track(1000, 4, 3, 20, 60, 2, 1, true).loops()).isFalse();
  }

  @Property
  void everyStopIsFullAndTheLastItemIsReached(
      @ForAll @DoubleRange(min = 200, max = 2500) double inner,
      @ForAll @IntRange(min = 1, max = 40) int items,
      @ForAll @IntRange(min = 1, max = 5) int view,
      @ForAll @DoubleRange(min = 0, max = 24) double gap,
      @ForAll @DoubleRange(min = 0, max = 20) double peek,
      @ForAll @IntRange(min = 1, max = 2) int sides,
      @ForAll @IntRange(min = 1, max = 12) int stride) {
    Track track = new Track(inner, items, view, gap, peek, sides, stride, false);
    assertThat(track.pitch()).isGreaterThanOrEqualTo(track.item());
    Stops stops = track.stops();
    assertThat(stops.starts()).isSorted().doesNotHaveDuplicates().startsWith(0);
    assertThat(IntStream.range(0, stops.count()).boxed().flatMap(s -> stops.shown(s).stream()))
        .contains(0, items - 1);
    for (int stop = 0; stop < stops.count(); stop++) {
      double offset = track.offset(stop);
      assertThat(offset).isBetween(0.0, Math.max(0, track.length() - inner) + 1e-6);
      double first = stops.starts().get(stop) * track.pitch() - offset;
      assertThat(first).isGreaterThanOrEqualTo(-1e-6);
    }
  }
}
