package giostra.core.piece.counters;

import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.piece.counters.CounterSettings.Pace;
import giostra.core.tempo.Count;
import giostra.core.tempo.NumberStyle;
import java.util.Locale;

/** How the items of counters count, and how their numbers are written. */
public final class Counting {
  private Counting() {}

  /** How an item counts. */
  public static Count count(Piece piece, Item item) {
    double from = item.values().get(ItemSettings.FROM);
    double to = item.values().get(ItemSettings.TO);
    return piece.values().get(CounterSettings.PACE) == Pace.TIME
        ? Count.timed(
            from,
            to,
            piece.values().get(CounterSettings.DURATION),
            piece.values().get(CounterSettings.CURVE).easing())
        : Count.stepped(
            from,
            to,
            piece.values().get(CounterSettings.STEP),
            piece.values().get(CounterSettings.BEAT));
  }

  /** How its numbers are written in the language of the page. */
  public static NumberStyle style(Piece piece, Item item, Locale locale) {
    return new NumberStyle(
        locale,
        item.values().get(ItemSettings.DECIMALS),
        piece.values().get(CounterSettings.GROUPING),
        piece.values().get(CounterSettings.COMPACT));
  }

  /** Of all numbers on the way the one that takes most room, with what stands before and after. */
  public static String widest(Piece piece, Item item, Locale locale) {
    return item.values().get(ItemSettings.PREFIX)
        + style(piece, item, locale).widest(count(piece, item))
        + item.values().get(ItemSettings.SUFFIX);
  }
}
