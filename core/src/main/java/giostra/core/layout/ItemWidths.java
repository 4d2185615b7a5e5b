package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Suggestion;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Optional;

/**
 * How wide what stands side by side in a piece is, against the viewport's width: the cards of a
 * carousel, the headings of tabs, boxes and figures; of a slider, how high its slides are. The one
 * plot that Arrange shows for all of them, and what the counts that it suggests come from.
 *
 * @param what what is measured, as it begins a sentence
 * @param comfortFrom px that an item should not fall below
 * @param comfortTo px beyond which it is wider than needed
 * @param bands narrowest first
 */
public record ItemWidths(
    Piece piece, String what, double comfortFrom, double comfortTo, List<InBand> bands) {
  public ItemWidths {
    bands = List.copyOf(bands);
  }

  /**
   * One band.
   *
   * @param count how many stand side by side
   * @param counted whether {@code setting} says how many
   * @param room width of all of them together as a function of the viewport's, in px
   * @param sides on how many sides a neighbour shows
   */
  public record InBand(
      Band band,
      int count,
      boolean counted,
      Setting<Integer> setting,
      Length gap,
      Length peek,
      int sides,
      Piecewise room,
      Piecewise width) {}

  /** Those of a piece; none where nothing stands side by side. */
  public static Optional<ItemWidths> of(Document document, Piece piece, double scrollbar) {
    return LaidOut.of(piece).widths(document, piece, scrollbar);
  }

  /**
   * Those of a piece.
   *
   * @param comfort the settings that say how wide an item should be: from and to; none for none
   */
  public static ItemWidths of(
      Piece piece, String what, List<Setting<Length>> comfort, List<InBand> bands) {
    List<Double> px =
        comfort.stream().map(setting -> piece.values().get(setting).constantPx()).toList();
    return px.isEmpty()
        ? new ItemWidths(piece, what, 0, 0, bands)
        : new ItemWidths(piece, what, px.getFirst(), px.getLast(), bands);
  }

  /**
   * How many stay comfortable where a band is narrowest; as many as there are where nobody counts.
   *
   * @param most the most that may be suggested
   */
  public int suggested(InBand in, int most) {
    if (!in.counted()) {
      return in.count();
    }
    double inner = Math.max(1, in.room().least());
    // The peek as it is set: with fewer in view there will be something to peek at.
    int sides = in.peek().isZero() ? 0 : Math.max(1, in.sides());
    return Suggestion.count(
        inner, comfortFrom, in.gap().in(inner), in.peek().in(inner), sides, most);
  }
}
