package giostra.core.testing;

import giostra.core.tempo.Score;
import giostra.core.tempo.Score.AfterHand;
import giostra.core.tempo.Score.Reason;
import giostra.core.tempo.Score.Round;
import giostra.core.tempo.Score.Turns;
import giostra.core.tempo.Visit;
import giostra.core.tempo.Visit.Act;
import giostra.core.tempo.Visit.Deed;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;

/** Scores and visits drawn at random. The same seed draws the same. */
public final class Scores {
  private Scores() {}

  /** Draws a score of 1 to 7 stops. */
  public static Score score(long seed) {
    var random = new Random(seed);
    int stops = 1 + random.nextInt(7);
    return new Score(
        IntStream.range(0, stops).mapToObj(_ -> 1000L + 100L * random.nextInt(60)).toList(),
        IntStream.range(0, stops).mapToObj(_ -> turns(random)).toList(),
        Round.values()[random.nextInt(3)],
        stops > 1 && random.nextInt(3) == 0,
        random.nextInt(3) == 0 ? 100L * random.nextInt(30) : 0,
        AfterHand.values()[random.nextInt(3)],
        random.nextInt(4) == 0 ? Set.of() : Set.of(Reason.POINTER, Reason.UNSEEN, Reason.CLIP));
  }

  private static Turns turns(Random random) {
    int ways = 1 + random.nextInt(3);
    return new Turns(
        IntStream.range(0, ways).mapToObj(_ -> 100L * random.nextInt(12)).toList(),
        IntStream.range(0, ways).boxed().toList());
  }

  /** Draws a visit of up to a dozen acts. */
  public static Visit visit(long seed, int stops, Deed... deeds) {
    var random = new Random(seed);
    Deed[] some = deeds.length == 0 ? Deed.values() : deeds;
    var acts = new ArrayList<Act>();
    long at = 0;
    for (int i = random.nextInt(12); i > 0; i--) {
      // To the ms, so that little falls due at the very moment of an act.
      at += 1 + random.nextInt(4000);
      acts.add(new Act(at, some[random.nextInt(some.length)], random.nextInt(stops)));
    }
    return new Visit(List.copyOf(acts));
  }
}
