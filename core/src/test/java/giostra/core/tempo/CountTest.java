package giostra.core.tempo;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.value.Easings;
import java.time.Duration;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** The worked examples of docs/engine.md, "Counters"; common practice, no source. */
class CountTest {
  @Test
  void halfWayThroughALinearCountIsHalfOfIt() {
    Count count = Count.timed(1200, 48_000, Duration.ofSeconds(3), Easings.LINEAR);
    assertThat(count.at(1500)).isEqualTo(24_600);
    assertThat(count.at(3000)).isEqualTo(48_000);
    assertThat(count.at(99_000)).isEqualTo(48_000);
  }

  @Test
  void ahundredByThreesTakesThirtyFourBeats() {
    var count = new Count.Stepped(0, 100, 3, Duration.ofMillis(50));
    assertThat(count.beats()).isEqualTo(34);
    assertThat(count.length()).isEqualTo(Duration.ofMillis(1700));
    assertThat(count.at(1650)).isEqualTo(99);
    assertThat(count.at(1700)).isEqualTo(100);
  }

  @Test
  void threeTenthsByTenthsAreThreeBeats() {
    assertThat(new Count.Stepped(0, .3, .1, Duration.ofMillis(20)).beats()).isEqualTo(3);
  }

  @Test
  void itCountsDownAsWell() {
    Count count = Count.stepped(10, -5, 4, Duration.ofMillis(100));
    assertThat(count.at(100)).isEqualTo(6);
    assertThat(count.at(300)).isEqualTo(-2);
    assertThat(count.at(400)).isEqualTo(-5);
  }

  @Property
  void noValueOnTheWayLeavesTheRangeThatIsReserved(
      @ForAll @DoubleRange(min = -1e6, max = 1e6) double from,
      @ForAll @DoubleRange(min = -1e6, max = 1e6) double to,
      @ForAll @LongRange(min = 0, max = 2000) long ms) {
    Count count = Count.timed(from, to, Duration.ofMillis(2000), Easings.OVERSHOOT);
    double[] range = count.range();
    double hair = Math.abs(to - from) * 1e-3 + 1e-9;
    assertThat(count.at(ms)).isBetween(range[0] - hair, range[1] + hair);
  }
}
