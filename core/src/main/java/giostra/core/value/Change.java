package giostra.core.value;

import java.time.Duration;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * How what was shown gives way to what comes.
 *
 * @param from where what comes in comes from, on the way forward; on the way back from the other
 *     side
 * @param time how long it takes; 0 for a cut alone
 * @param easing of its progress over the time
 */
public record Change(Manner manner, From from, Duration time, Easing easing) {
  /** How the two are drawn. */
  public enum Manner {
    /** The track itself moves on. */
    MOVE,
    /** At once. */
    CUT,
    /** One over into the other. */
    FADE,
    /** What comes slips in over what goes, which dims. */
    SLIDE,
    /** What comes pushes out what goes. */
    PUSH,
    /** What comes lays itself over what goes. */
    COVER,
    /** What goes leaves what comes free. */
    UNCOVER,
    /** What comes grows into place, what goes grows away. */
    ZOOM,
    /** An edge passes over. */
    WIPE,
    /** One blurs away, the other clears up. */
    BLUR,
    /** One turns away about its middle, the other turns in. */
    TURN;

    /** Whether it has a side that it comes from. */
    public boolean sided() {
      return switch (this) {
        case SLIDE, PUSH, COVER, UNCOVER, WIPE, TURN -> true;
        case MOVE, CUT, FADE, ZOOM, BLUR -> false;
      };
    }
  }

  /** A side; start and end as one reads. */
  public enum From {
    START,
    END,
    TOP,
    BOTTOM
  }

  /** Shortest and longest that one may take, in ms. */
  public static final int LEAST_MS = 100;

  public static final int MOST_MS = 5000;

  /** What is allowed, in words that complete "it must be". */
  static final String ALLOWED =
      "ways such as fade, or push from start 0.8s ease-out; fade, of "
          + Arrays.stream(Manner.values()).map(Change::word).collect(Collectors.joining(" "))
          + "; from start, end, top or bottom; 0.1s to 5s; then a curve of CSS or spring(0.5)";

  /** The track moves on, without haste. */
  public static final Change MOVE = of(Manner.MOVE);

  public Change {
    boolean cut = manner == Manner.CUT;
    Require.within(cut ? 0 : LEAST_MS, cut ? 0 : MOST_MS, "Time (ms)", time.toMillis());
  }

  /** One with what we give where nobody says more. */
  public static Change of(Manner manner) {
    return new Change(
        manner, From.END, Duration.ofMillis(manner == Manner.CUT ? 0 : 700), Easings.CALM);
  }

  static String word(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT);
  }

  /**
   * Reads {@code push from start 0.8s ease-out}, all but the first word left out at will.
   *
   * @throws Refused naming {@code what}
   */
  static Change parse(String what, String text) {
    String rest = text.strip().toLowerCase(Locale.ROOT);
    String first = rest.split("\\s", 2)[0];
    Change made =
        Arrays.stream(Manner.values())
            .filter(manner -> word(manner).equals(first))
            .findFirst()
            .map(Change::of)
            .orElseThrow(() -> new Refused(what, text, ALLOWED));
    From from = made.from;
    Duration time = made.time;
    Easing easing = made.easing;
    rest = rest.substring(first.length()).strip();
    if (rest.startsWith("from ")) {
      String[] side = rest.substring(5).strip().split("\\s+", 2);
      from =
          Arrays.stream(From.values())
              .filter(each -> word(each).equals(side[0]) && made.manner.sided())
              .findFirst()
              .orElseThrow(() -> new Refused(what, text, ALLOWED));
      rest = side.length > 1 ? side[1] : "";
    }
    String[] timed = rest.split("\\s+", 2);
    if (!timed[0].isEmpty() && Character.isDigit(timed[0].charAt(0)) && made.manner != Manner.CUT) {
      time = TimeKind.ms(LEAST_MS, MOST_MS).read(what, timed[0]);
      rest = timed.length > 1 ? timed[1] : "";
    }
    if (!rest.isBlank()) {
      if (made.manner == Manner.CUT) {
        throw new Refused(what, text, ALLOWED);
      }
      easing = Easing.parse(what, rest);
    }
    return new Change(made.manner, from, time, easing);
  }

  /** As it is written; {@link #parse} reads it. */
  public String written() {
    Change usual = of(manner);
    return word(manner)
        + (from == usual.from ? "" : " from " + word(from))
        + (time.equals(usual.time) ? "" : " " + TimeKind.seconds(time))
        + (easing.equals(usual.easing) ? "" : " " + easing.written());
  }
}
