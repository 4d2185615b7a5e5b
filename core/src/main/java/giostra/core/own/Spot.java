package giostra.core.own;

import java.util.Set;

/**
 * An element of a page, at which something can be put.
 *
 * @param number in the order in which elements begin, from 0
 * @param depth how many elements it stands in
 * @param called what people read: its tag with its id or its classes, and how its text begins
 * @param sides where something can be put; none where nothing can
 * @param from the byte at which it begins
 * @param inside the byte at which what it holds begins
 * @param until the byte at which what it holds ends
 * @param below the byte at which it ends, counted like {@code until} from the page's first
 */
public record Spot(
    int number,
    int depth,
    String called,
    Set<Side> sides,
    int from,
    int inside,
    int until,
    int below) {
  public Spot {
    sides = Set.copyOf(sides);
  }

  /** The bytes that make room on one of its sides: where they begin, and where they end. */
  int[] room(Side side) {
    return switch (side) {
      case BEFORE -> new int[] {from, from};
      case FIRST -> new int[] {inside, inside};
      case LAST -> new int[] {until, until};
      case AFTER -> new int[] {below, below};
      case INSTEAD -> new int[] {from, below};
    };
  }
}
