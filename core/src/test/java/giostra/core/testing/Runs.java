package giostra.core.testing;

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

  /** How many of something. */
  public static int of(int plain, int deep) {
    return deep() ? deep : plain;
  }

  /** How many of something, with the most where there is time. */
  public static int of(int plain, int deep, int soak) {
    return soak() ? soak : of(plain, deep);
  }
}
