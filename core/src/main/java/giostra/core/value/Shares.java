package giostra.core.value;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * How columns divide a width: whole shares, or none at all when they stand one under the other.
 *
 * @param parts 1 to 12 each, at most 6 of them; empty for a stack
 */
public record Shares(List<Integer> parts) {
  /** One under the other. */
  public static final Shares STACK = new Shares(List.of());

  public Shares {
    parts = List.copyOf(parts);
    if (parts.size() > 6) {
      throw new Refused("columns", Integer.toString(parts.size()), "at most 6");
    }
    parts.forEach(part -> Require.within(1, 12, "share", part));
  }

  /**
   * Reads {@code stack} or {@code 2:1}.
   *
   * @throws Refused when it is neither
   */
  public static Shares parse(String text) {
    String word = text.strip().toLowerCase(java.util.Locale.ROOT);
    if (word.equals("stack")) {
      return STACK;
    }
    var parts = new ArrayList<Integer>();
    for (String part : word.split("\\s*:\\s*", -1)) {
      if (!part.matches("\\d{1,2}")) {
        throw new Refused("shares", text, "such as 2:1");
      }
      parts.add(Integer.valueOf(part));
    }
    return new Shares(parts);
  }

  /** Whether the columns stand one under the other. */
  public boolean stacked() {
    return parts.isEmpty();
  }

  /** The share of a column; columns beyond the written ones count 1. */
  public int of(int column) {
    return column < parts.size() ? parts.get(column) : 1;
  }

  /** The sum of the shares of so many columns. */
  public int sum(int columns) {
    int sum = 0;
    for (int column = 0; column < columns; column++) {
      sum += of(column);
    }
    return sum;
  }

  /** As {@link #parse} reads it. */
  public String written() {
    return stacked()
        ? "stack"
        : parts.stream().map(String::valueOf).collect(Collectors.joining(":"));
  }
}
