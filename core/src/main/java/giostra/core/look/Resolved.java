package giostra.core.look;

import java.util.List;

/**
 * The answer to "what holds here, and why".
 *
 * @param value what holds
 * @param origin where it was found
 * @param losers what would hold next if this one were taken away, in that order
 */
public record Resolved<T>(T value, Origin origin, List<Candidate<T>> losers) {
  /** A value that was asked and did not hold. */
  public record Candidate<T>(Origin origin, T value) {}

  public Resolved {
    losers = List.copyOf(losers);
  }
}
