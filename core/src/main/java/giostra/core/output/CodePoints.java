package giostra.core.output;

import java.util.BitSet;
import java.util.Locale;
import java.util.StringJoiner;

/** Sets of characters as sheets have them. Source: CSS Fonts 4, "unicode-range". */
final class CodePoints {
  private CodePoints() {}

  /** Those of some that a written range has. */
  static BitSet within(String range, BitSet some) {
    var all = new BitSet();
    for (String each : range.split(",")) {
      String[] ends = each.strip().substring(2).split("-");
      int from = Integer.parseInt(ends[0], 16);
      int to = ends.length > 1 ? Integer.parseInt(ends[1], 16) : from;
      for (int c = some.nextSetBit(from); c >= 0 && c <= to; c = some.nextSetBit(c + 1)) {
        all.set(c);
      }
    }
    return all;
  }

  /** {@code U+3042,U+3044-3046}; empty for none. */
  static String written(BitSet some) {
    var ranges = new StringJoiner(",");
    for (int from = some.nextSetBit(0); from >= 0; ) {
      int to = some.nextClearBit(from) - 1;
      ranges.add(
          from == to
              ? String.format(Locale.ROOT, "U+%x", from)
              : String.format(Locale.ROOT, "U+%x-%x", from, to));
      from = some.nextSetBit(to + 1);
    }
    return ranges.toString();
  }
}
