package giostra.core.value;

import java.util.List;
import java.util.function.Function;

/**
 * Two lengths, at the start and at the end of a line. Source: CSS Logical Properties and Values 1,
 * "padding-inline".
 */
public record Ends(Length start, Length end) {
  /** The same at both. */
  public static Ends both(Length length) {
    return new Ends(length, length);
  }

  /**
   * Reads one length for both ends, or two.
   *
   * @param each reads one of them
   * @throws Refused when it is none of that
   */
  public static Ends parse(String text, Function<String, Length> each) {
    List<Length> all = Around.lengths(text, 2, each);
    return new Ends(all.getFirst(), all.getLast());
  }

  /** As CSS writes it; {@link #parse} reads it back. */
  public String css() {
    return start.equals(end) ? start.css() : start.css() + " " + end.css();
  }
}
