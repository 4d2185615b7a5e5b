package giostra.core.value;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Ways in which something gives way to something else, one after the other.
 *
 * @param ways none stands for those of the piece, where an item asks
 */
public record Changes(List<Change> ways) {
  /** Most ways in a list. */
  public static final int MOST = 6;

  /** Most characters of a list that is read. */
  public static final int MOST_WRITTEN = MOST * (Easing.MOST_WRITTEN + 40);

  /** What people say for a comma. */
  private static final String THEN = " then ";

  /** None of one's own. */
  public static final Changes NONE = new Changes(List.of());

  public Changes {
    ways = List.copyOf(ways);
  }

  /** One way alone. */
  public static Changes of(Change way) {
    return new Changes(List.of(way));
  }

  /**
   * Reads a list with commas between, or the word for it; those within brackets are of a curve.
   *
   * @throws Refused naming {@code what}
   */
  static Changes parse(String what, String text, boolean none) {
    if (text.length() > MOST_WRITTEN) {
      throw new Refused(what, text.length() + " characters long", Change.ALLOWED);
    }
    if (text.isBlank() && none) {
      return NONE;
    }
    if (text.contains(THEN)) {
      return parse(what, text.replace(THEN, ","), none);
    }
    var ways = new ArrayList<Change>();
    int depth = 0;
    int from = 0;
    for (int i = 0; i <= text.length(); i++) {
      char at = i < text.length() ? text.charAt(i) : ',';
      depth += at == '(' ? 1 : at == ')' ? -1 : 0;
      if (i == text.length() || (at == ',' && depth <= 0)) {
        ways.add(Change.parse(what, text.substring(from, i)));
        from = i + 1;
        if (ways.size() > MOST) {
          throw new Refused(what, "more than " + MOST + " ways", "up to " + MOST + " of them");
        }
      }
    }
    return new Changes(ways);
  }

  /** As it is written; reading takes it back. */
  public String written() {
    return ways.stream().map(Change::written).collect(Collectors.joining(", "));
  }
}
