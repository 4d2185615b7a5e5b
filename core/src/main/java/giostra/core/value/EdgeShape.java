package giostra.core.value;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The shape in which one ground ends and another begins: how high it stands along its edge. Each
 * begins at its lowest and is as high as the edge at its highest, unless it is none.
 */
public enum EdgeShape {
  /** Straight across, where the box ends. */
  NONE(List.of()),
  SLOPE(List.of(new Point(0, 0), new Point(1, 1))),
  /** One wave and a half: a trough, a crest, a trough. */
  WAVE(curved(t -> (1 - Math.cos(3 * Math.PI * t)) / 2, 36)),
  /** Half an ellipse. */
  ARCH(curved(t -> Math.sqrt(Math.max(0, 1 - (2 * t - 1) * (2 * t - 1))), 32)),
  STEPS(stairs(5)),
  TORN(torn());

  private final List<Point> profile;

  EdgeShape(List<Point> profile) {
    this.profile = profile;
  }

  /**
   * A point of a profile.
   *
   * @param along 0 at the start of the edge, 1 at its end
   * @param high 0 where the box ends, 1 at the edge's full height
   */
  public record Point(double along, double high) {}

  /** Where the ground stands, from start to end; empty for none. */
  public List<Point> profile() {
    return profile;
  }

  /** The same, the other way round. */
  public List<Point> mirrored() {
    return profile.reversed().stream().map(p -> new Point(1 - p.along, p.high)).toList();
  }

  private static List<Point> curved(DoubleUnaryOperator high, int parts) {
    return IntStream.rangeClosed(0, parts)
        // Closer together at both ends, where an arch is steep.
        .mapToDouble(i -> (1 - Math.cos(Math.PI * i / parts)) / 2)
        .mapToObj(t -> new Point(t, high.applyAsDouble(t)))
        .toList();
  }

  private static List<Point> stairs(int steps) {
    return IntStream.range(0, steps)
        .boxed()
        .flatMap(i -> {
          double high = (double) i / (steps - 1);
          return Stream.of(new Point((double) i / steps, high), new Point((i + 1.0) / steps, high));
        })
        .toList();
  }

  /** How high it is torn, in sevenths, from one tear to the next: uneven, and always the same. */
  private static List<Point> torn() {
    String high = "02135143264175236405162735614203521643";
    int[] tears = high.chars().map(Character::getNumericValue).toArray();
    return IntStream.range(0, tears.length)
        .mapToObj(i -> new Point((double) i / (tears.length - 1), tears[i] / 7.0))
        .toList();
  }
}
