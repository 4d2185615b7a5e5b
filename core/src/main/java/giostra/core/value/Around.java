package giostra.core.value;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Four lengths around a box, clockwise where one reads from the left. Of its sides: above, at the
 * end, below, at the start. Of its corners: above the start, above the end, below the end, below
 * the start. Start and end are those of the page's reading, so that a page from right to left has
 * the mirrored box. Source: CSS Logical Properties and Values 1.
 */
public record Around(Length first, Length second, Length third, Length fourth) {
  /** Characters at the most. */
  private static final int LONGEST = 80;

  private static final Pattern EACH =
      Pattern.compile(
          "\\G\\s*([+-]?(?:\\d{1,6}(?:[.,]\\d{0,6})?|[.,]\\d{1,6})(?:\\s*(?:px|%|rem|em))?)");

  /** The same all around. */
  public static Around all(Length length) {
    return new Around(length, length, length, length);
  }

  /**
   * Reads one to four lengths as CSS does: the second and fourth, and the first and third, are
   * alike where fewer are written. Source: CSS Box Model 4, "padding"; CSS Backgrounds 3,
   * "border-radius".
   *
   * @param each reads one of them
   * @throws Refused when it is none of that
   */
  public static Around parse(String text, Function<String, Length> each) {
    List<Length> all = lengths(text, 4, each);
    Length first = all.getFirst();
    Length second = all.size() > 1 ? all.get(1) : first;
    Length third = all.size() > 2 ? all.get(2) : first;
    return new Around(first, second, third, all.size() > 3 ? all.get(3) : second);
  }

  /** Reads lengths that stand one after the other, at least one. */
  static List<Length> lengths(String text, int most, Function<String, Length> each) {
    var all = new ArrayList<Length>();
    int end = 0;
    String low = text.strip();
    var match = EACH.matcher(low);
    while (low.length() <= LONGEST && match.find()) {
      // Two lengths stand apart: "1020" is one, and "10px20px" is none.
      boolean apart = end == 0 || Character.isWhitespace(low.charAt(end));
      end = apart ? match.end() : -1;
      if (end < 0) {
        break;
      }
      all.add(each.apply(match.group(1)));
    }
    if (all.isEmpty() || all.size() > most || end != low.length()) {
      throw new Refused("lengths", low, "1 to " + most + " lengths");
    }
    return all;
  }

  /** Whether all four are the same. */
  public boolean alike() {
    return Stream.of(second, third, fourth).allMatch(first::equals);
  }

  /** Whether there is nothing all around. */
  public boolean isZero() {
    return Stream.of(first, second, third, fourth).allMatch(Length::isZero);
  }

  /** What sides above and below take, px. */
  public double down() {
    return first.constantPx() + third.constantPx();
  }

  /** What sides at the start and at the end take, px. */
  public double across() {
    return second.constantPx() + fourth.constantPx();
  }

  /** Each changed. */
  public Around map(UnaryOperator<Length> change) {
    return new Around(
        change.apply(first), change.apply(second), change.apply(third), change.apply(fourth));
  }

  /** As sides that CSS names by top, right, bottom, left. */
  public Around sides(boolean rightToLeft) {
    return rightToLeft ? new Around(first, fourth, third, second) : this;
  }

  /** As corners that CSS names by top left, top right, bottom right, bottom left. */
  public Around corners(boolean rightToLeft) {
    return rightToLeft ? new Around(second, first, fourth, third) : this;
  }

  /** In as few words as CSS has for it; {@link #parse} reads it back. */
  public String css() {
    List<Length> all =
        alike()
            ? List.of(first)
            : !second.equals(fourth)
                ? List.of(first, second, third, fourth)
                : first.equals(third) ? List.of(first, second) : List.of(first, second, third);
    return all.stream().map(Length::css).collect(Collectors.joining(" "));
  }
}
