package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** The worked examples of docs/engine.md, "Tracks". */
class StopsTest {
  @Test
  void sevenItemsThreeInViewStrideThreeStopAt034() {
    assertThat(Stops.ending(7, 3, 3).starts()).containsExactly(0, 3, 4);
  }

  @Test
  void strideOneStopsAtEachStartUpToTheLastFullView() {
    assertThat(Stops.ending(7, 3, 1).starts()).containsExactly(0, 1, 2, 3, 4);
  }

  @Test
  void endlessTheLastStopWraps() {
    Stops stops = Stops.endless(7, 3, 3);
    assertThat(stops.starts()).containsExactly(0, 3, 6);
    assertThat(stops.shown(2)).containsExactly(6, 0, 1);
  }

  @Test
  void anAnchorSurvivesTheWayToTheDesktopAndBack() {
    assertThat(Stops.ending(7, 3, 1).keeping(6)).isEqualTo(4);
    assertThat(Stops.ending(7, 1, 1).keeping(6)).isEqualTo(6);
  }
}
