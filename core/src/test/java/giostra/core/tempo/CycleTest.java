package giostra.core.tempo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import giostra.core.tempo.Cycle.Moment;
import giostra.core.tempo.Cycle.Phase;
import giostra.core.tempo.Score.AfterHand;
import giostra.core.tempo.Score.Round;
import giostra.core.tempo.Score.Turns;
import giostra.core.testing.Scores;
import giostra.core.value.Refused;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CycleTest {
  private static Score score(int stops, long rest, long change, Round round) {
    return new Score(
        Collections.nCopies(stops, rest),
        Collections.nCopies(stops, Turns.always(change)),
        round,
        true,
        0,
        AfterHand.AGAIN,
        Set.of());
  }

  /** Source: docs/engine.md 5, worked by hand: 3 (4200 + 600) = 14 400, rests at 0, 4800, 9600. */
  @ParameterizedTest
  @CsvSource({
    "0, RESTS, 0, 0", "4199, RESTS, 0, 0", "4200, CHANGES, 0, 1", "4799, CHANGES, 0, 1",
    "4800, RESTS, 1, 1", "9600, RESTS, 2, 2", "13800, CHANGES, 2, 0", "14400, RESTS, 0, 0",
    "144000000, RESTS, 0, 0"
  })
  void aRoundIsTheSumOfItsRestsAndChanges(long ms, Phase phase, int stop, int next) {
    Cycle cycle = Cycle.of(score(3, 4200, 600, Round.ROUND));
    assertThat(cycle.round()).isEqualTo(14_400);
    Moment at = cycle.at(ms);
    assertThat(at.phase()).isEqualTo(phase);
    assertThat(at.stop()).isEqualTo(stop);
    assertThat(at.next()).isEqualTo(next);
  }

  @Test
  void onceEndsAtTheLastAndBackTurnsThere() {
    Cycle once = Cycle.of(score(3, 1000, 500, Round.ONCE));
    assertThat(once.at(3_999).phase()).isEqualTo(Phase.RESTS);
    assertThat(once.at(4_000)).isEqualTo(new Moment(Phase.OVER, 2, 2, 0, false, 1));
    Cycle back = Cycle.of(score(3, 1000, 500, Round.BACK));
    assertThat(List.of(0L, 1500L, 3000L, 4500L, 6000L, 7500L))
        .extracting(ms -> back.at(ms).stop())
        .containsExactly(0, 1, 2, 1, 0, 1);
    assertThat(back.at(4_200).back()).isTrue();
    assertThat(back.at(7_200).back()).isFalse();
  }

  @Test
  void waysAreTakenInTheirTurn() {
    var ways = new Turns(List.of(100L, 300L), List.of(0, 1));
    var score =
        new Score(
            List.of(1000L, 1000L),
            List.of(ways, Turns.always(200)),
            Round.ROUND,
            false,
            0,
            AfterHand.AGAIN,
            Set.of());
    Cycle cycle = Cycle.of(score);
    // 1000 + 200 + 1000, then the first comes in by its first way; a round later by its second.
    assertThat(cycle.at(2_250).way()).isZero();
    assertThat(cycle.at(2_300).phase()).isEqualTo(Phase.RESTS);
    assertThat(cycle.at(4_550).way()).isEqualTo(1);
    assertThat(cycle.at(4_799).phase()).isEqualTo(Phase.CHANGES);
    assertThat(cycle.at(4_800).stop()).isZero();
  }

  @Test
  void aRestOfTwoTenthsAndATimeBeforeTheFirstAreRefused() {
    assertThatThrownBy(() -> score(2, 200, 0, Round.ROUND))
        .isInstanceOf(Refused.class)
        .hasMessage("Rest (ms) is 200; it must be 1000 to 60000");
    assertThatThrownBy(() -> Cycle.of(score(2, 1000, 0, Round.ROUND)).at(-1))
        .isInstanceOf(Refused.class);
  }

  /** The cycle is looked up, the trace is gone through: two ways to the same. */
  @Property(tries = 400)
  void withNobodyThereATraceIsTheCycle(
      @ForAll long seed, @ForAll @LongRange(min = 0, max = 90_000) long ms) {
    Score score = Scores.score(seed);
    Moment at = Cycle.of(score).at(ms);
    Trace.Stretch of =
        Trace.of(score, Visit.none(), ms + 1).stream()
            .filter(each -> each.from() <= ms && ms < each.to())
            .findFirst()
            .orElseThrow();
    assertThat(of.phase().name()).isEqualTo(at.phase().name());
    assertThat(of.stop()).isEqualTo(at.stop());
    assertThat(of.next()).isEqualTo(at.next());
    assertThat(of.way()).isEqualTo(at.way());
    if (at.phase() == Phase.CHANGES) {
      assertThat(of.back()).isEqualTo(at.back());
      long takes = score.turns().get(at.next()).takes().get(at.way());
      assertThat((double) (ms - of.from()) / takes).isCloseTo(at.share(), within(1e-9));
    }
  }
}
