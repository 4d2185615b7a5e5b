package giostra.core.testing;

import java.util.List;
import java.util.stream.IntStream;

/**
 * How much a run of the tests looks at: on each push what finds most in a few minutes, with {@code
 * ./giostra test --deep} all of it, with {@code --soak} what takes its time.
 */
public final class Runs {
  private Runs() {}

  /** Whether everything is looked at. */
  public static boolean deep() {
    return Boolean.getBoolean("giostra.deep");
  }

  /** Whether there is time: for loads, fuzzing, and what shows after an hour only. */
  public static boolean soak() {
    return Boolean.getBoolean("giostra.soak");
  }

  /**
   * So many turns there are: what takes long and finds little is looked at in one of them. Which
   * one it is goes by the revision, so that a run says the same each time; alone and in a deep run
   * it is all.
   */
  public static final int TURNS = 24;

  /** Whether something is looked at whose turn this is, counted from 0. */
  public static boolean turn(int of) {
    return deep() || Integer.getInteger("giostra.turn", of) % TURNS == of % TURNS;
  }

  /** Those of a list whose turn it is; of one that is shorter than the turns, one at a time. */
  public static <T> List<T> inTurn(List<T> all) {
    List<T> some = IntStream.range(0, all.size()).filter(Runs::turn).mapToObj(all::get).toList();
    return some.isEmpty() && !all.isEmpty()
        ? List.of(all.get(Integer.getInteger("giostra.turn", 0) % all.size()))
        : some;
  }

  /** How many of something. */
  public static int of(int plain, int deep) {
    return deep() ? deep : plain;
  }

  /** How many of something, with the most where there is time. */
  public static int of(int plain, int deep, int soak) {
    return soak() ? soak : of(plain, deep);
  }
}
