package giostra.core.tempo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.tempo.Score.AfterHand;
import giostra.core.tempo.Score.Reason;
import giostra.core.tempo.Score.Round;
import giostra.core.tempo.Score.Turns;
import giostra.core.tempo.Trace.Phase;
import giostra.core.tempo.Trace.Stretch;
import giostra.core.tempo.Visit.Act;
import giostra.core.tempo.Visit.Deed;
import giostra.core.testing.Scores;
import giostra.core.value.Refused;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/**
 * What somebody who is there makes of it. Source: WCAG 2.2, 2.2.2 Pause, Stop, Hide; ARIA Authoring
 * Practices, "Carousel": rotation stops when the keyboard comes in and does not go on by itself,
 * and while the pointer is over it. Figures worked by hand.
 */
class TraceTest {
  /** Three stops, 5 s each, 500 ms between. */
  private static Score score(AfterHand after, Round round) {
    return new Score(
        List.of(5000L, 5000L, 5000L),
        Collections.nCopies(3, Turns.always(500)),
        round,
        false,
        0,
        after,
        Set.of(Reason.POINTER, Reason.UNSEEN));
  }

  private static final Score PLAIN = score(AfterHand.AGAIN, Round.ROUND);

  private static Act act(long at, Deed deed) {
    return new Act(at, deed, 0);
  }

  /** As "phase stop from-to", one after the other. */
  private static Stream<String> said(Score score, long until, Act... acts) {
    return Trace.of(score, new Visit(List.of(acts)), until).stream()
        .map(each -> each.phase() + " " + each.stop() + " " + each.from() + "-" + each.to());
  }

  @Test
  void thePointerFreezesWhatIsLeftOfARest() {
    assertThat(said(PLAIN, 9_000, act(2_000, Deed.POINTS), act(4_500, Deed.LEAVES)))
        .containsExactly(
            "RESTS 0 0-2000",
            "HELD 0 2000-4500",
            "RESTS 0 4500-7500",
            "CHANGES 0 7500-8000",
            "RESTS 1 8000-9000");
  }

  @Test
  void aRestGoesOnWithASecondAtTheLeast() {
    assertThat(said(PLAIN, 8_000, act(4_800, Deed.POINTS), act(6_000, Deed.LEAVES)))
        .containsExactly(
            "RESTS 0 0-4800",
            "HELD 0 4800-6000",
            "RESTS 0 6000-7000",
            "CHANGES 0 7000-7500",
            "RESTS 1 7500-8000");
  }

  @Test
  void aChangeIsNotHeldButTheRestAfterItIs() {
    assertThat(said(PLAIN, 12_000, act(5_200, Deed.POINTS), act(7_000, Deed.LEAVES)))
        .containsExactly(
            "RESTS 0 0-5000", "CHANGES 0 5000-5500", "HELD 1 5500-7000", "RESTS 1 7000-12000");
  }

  @Test
  void reasonsAddUp() {
    assertThat(
            said(
                PLAIN,
                10_000,
                act(1_000, Deed.POINTS),
                act(2_000, Deed.GOES_AWAY),
                act(3_000, Deed.LEAVES),
                act(4_000, Deed.COMES_BACK)))
        .containsExactly(
            "RESTS 0 0-1000",
            "HELD 0 1000-2000",
            "HELD 0 2000-3000",
            "HELD 0 3000-4000",
            "RESTS 0 4000-8000",
            "CHANGES 0 8000-8500",
            "RESTS 1 8500-10000");
  }

  @Test
  void theKeyboardStopsItUntilItIsStarted() {
    assertThat(said(PLAIN, 12_000, act(1_000, Deed.TABS_IN), act(9_000, Deed.PRESSES_PAUSE)))
        .containsExactly("RESTS 0 0-1000", "STOPPED 0 1000-9000", "RESTS 0 9000-12000");
    // Whoever started it is not stopped again by going on within it.
    assertThat(
            said(
                PLAIN,
                8_000,
                act(1_000, Deed.TABS_IN),
                act(2_000, Deed.PRESSES_PAUSE),
                act(3_000, Deed.TABS_IN)))
        .contains("RESTS 0 3000-6000", "CHANGES 0 6000-6500");
  }

  @Test
  void theButtonStopsAndStartsAndThePointerOverItHoldsNoMore() {
    assertThat(
            said(
                PLAIN,
                9_000,
                act(1_000, Deed.POINTS),
                act(1_500, Deed.PRESSES_PAUSE),
                act(3_000, Deed.PRESSES_PAUSE)))
        .containsExactly(
            "RESTS 0 0-1000",
            "HELD 0 1000-1500",
            "STOPPED 0 1500-3000",
            "RESTS 0 3000-7000",
            "CHANGES 0 7000-7500",
            "RESTS 1 7500-9000");
  }

  @Test
  void afterAHandItRestsAnewOrLongerOrStays() {
    Act on = act(3_000, Deed.NEXT);
    assertThat(said(PLAIN, 9_000, on))
        .containsExactly(
            "RESTS 0 0-3000", "CHANGES 0 3000-3500", "RESTS 1 3500-8500", "CHANGES 1 8500-9000");
    assertThat(said(score(AfterHand.LATER, Round.ROUND), 14_000, on))
        .containsExactly(
            "RESTS 0 0-3000", "CHANGES 0 3000-3500", "RESTS 1 3500-13500", "CHANGES 1 13500-14000");
    assertThat(said(score(AfterHand.STOPS, Round.ROUND), 60_000, on))
        .containsExactly("RESTS 0 0-3000", "CHANGES 0 3000-3500", "STOPPED 1 3500-60000");
  }

  @Test
  void whatIsPressedQuicklyAddsUpAndNothingGoesBeyondAnEnd() {
    assertThat(
            said(PLAIN, 4_000, act(1_000, Deed.NEXT), act(1_200, Deed.NEXT), act(1_300, Deed.NEXT)))
        .containsExactly(
            "RESTS 0 0-1000", "CHANGES 0 1000-1200", "CHANGES 1 1200-1700", "RESTS 2 1700-4000");
  }

  @Test
  void whatIsOverBeginsAgainAtAPress() {
    assertThat(said(score(AfterHand.AGAIN, Round.ONCE), 21_000, act(20_000, Deed.PRESSES_PAUSE)))
        .endsWith(
            "RESTS 2 11000-16000",
            "OVER 2 16000-20000",
            "CHANGES 2 20000-20500",
            "RESTS 0 20500-21000");
  }

  /** What a mouse has put the focus on is not taken from it, whatever is set to hold. */
  @Test
  void theFocusOfAMouseHoldsIt() {
    assertThat(said(PLAIN, 9_000, act(1_000, Deed.CLICKS_IN), act(4_000, Deed.CLICKS_OUT)))
        .containsExactly(
            "RESTS 0 0-1000",
            "HELD 0 1000-4000",
            "RESTS 0 4000-8000",
            "CHANGES 0 8000-8500",
            "RESTS 1 8500-9000");
  }

  /** How long a stop has been there leaves out what it was held, and begins when it comes in. */
  @Test
  void whatAStopWasHeldIsNoTimeOfIts() {
    assertThat(
            Trace.of(
                    PLAIN,
                    new Visit(List.of(act(2_000, Deed.POINTS), act(4_500, Deed.LEAVES))),
                    9_000)
                .stream()
                .map(each -> each.phase() + " " + each.from() + " " + each.passed()))
        .containsExactly(
            "RESTS 0 0",
            "HELD 2000 2000",
            "RESTS 4500 2000",
            "CHANGES 7500 5000",
            "RESTS 8000 500");
  }

  @Test
  void actsOutOfOrderAndTooManyAreRefused() {
    assertThatThrownBy(() -> new Visit(List.of(act(2_000, Deed.POINTS), act(1_999, Deed.LEAVES))))
        .isInstanceOf(Refused.class)
        .hasMessage(
            "time (ms) of act 2 is 1999; it must be no earlier than that of the one before it,"
                + " 2000");
    assertThatThrownBy(() -> new Visit(Collections.nCopies(101, act(0, Deed.POINTS))))
        .isInstanceOf(Refused.class);
  }

  /** Whatever somebody does: time has no gaps, nothing is skipped, rests are whole. */
  @Property(tries = 600)
  void aTraceHoldsTogether(@ForAll long seed) {
    Score score = Scores.score(seed);
    Visit visit = Scores.visit(seed + 1, score.stops());
    List<Long> acts = visit.acts().stream().map(Act::at).toList();
    List<Stretch> all = Trace.of(score, visit, 60_000);
    long at = 0;
    int stop = 0;
    for (Stretch each : all) {
      assertThat(each.from()).isEqualTo(at);
      assertThat(each.to()).isGreaterThan(at);
      if (each.stop() != stop) {
        // It got there in no time: by a way that takes none, or cut short the moment it began.
        boolean none = score.turns().get(each.stop()).takes().contains(0L);
        assertThat(none || acts.contains(each.from())).as(each.toString()).isTrue();
      }
      if (each.phase() == Phase.HELD) {
        assertThat(each.reasons()).isNotEmpty();
      }
      if (each.phase() == Phase.RESTS) {
        assertThat(each.reasons()).isEmpty();
        assertThat(each.latches()).isEmpty();
        assertThat(each.left() + each.to() - each.from())
            .isLessThanOrEqualTo(score.rests().get(each.stop()) * Score.LATER);
      }
      if (each.phase() == Phase.CHANGES) {
        assertThat(each.to() - each.from())
            .isLessThanOrEqualTo(score.turns().get(each.next()).takes().get(each.way()));
      }
      at = each.to();
      stop = each.phase() == Phase.CHANGES ? each.next() : each.stop();
    }
    assertThat(at).isEqualTo(60_000);
  }
}
