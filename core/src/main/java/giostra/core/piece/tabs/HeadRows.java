package giostra.core.piece.tabs;

import giostra.core.band.Bands;
import giostra.core.fit.Flow;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.Resolution;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.value.Length;
import java.util.ArrayList;
import java.util.List;

/**
 * How headings of natural width wrap, over a range of widths of their row.
 *
 * @param from least width of the row, px
 * @param below where it wraps otherwise, px
 * @param ends places, among the headings that show, of the last of each row
 */
public record HeadRows(double from, double below, List<Integer> ends) {
  private static final int NARROWEST = 120;

  public HeadRows {
    ends = List.copyOf(ends);
  }

  /** How the headings of tabs wrap in a band, for rows from 120 px on, narrowest first. */
  public static List<HeadRows> of(
      Document document, Tabs piece, TabsBand in, PictureSizes pictures) {
    var flows = new BlockFlows(document, in.band(), pictures, 0);
    var screen = new Screen(Bands.WIDEST, Bands.WIDEST);
    List<Item> items = flows.shown(piece);
    var widths = new ArrayList<Double>();
    for (Item item : items) {
      widths.add(new TabsFlow(flows).tab(piece, item).natural(screen));
    }
    Length gap = Resolution.value(document, piece, TabsSettings.HEADS_GAP, in.band());
    var all = new ArrayList<HeadRows>();
    double from = NARROWEST;
    List<Integer> here = ends(widths, gap, from);
    for (int width = NARROWEST + 1; width <= Bands.WIDEST; width++) {
      List<Integer> next = ends(widths, gap, width);
      if (!next.equals(here)) {
        double at = change(widths, gap, width - 1, width);
        all.add(new HeadRows(from, at, here));
        from = at;
        here = next;
      }
    }
    all.add(new HeadRows(from, Double.POSITIVE_INFINITY, here));
    return all;
  }

  /** Where between two widths it begins to wrap as in the second, to a hair. */
  private static double change(List<Double> widths, Length gap, double low, double high) {
    List<Integer> after = ends(widths, gap, high);
    double below = low;
    double from = high;
    while (from - below > 1 / 128.0) {
      double middle = (below + from) / 2;
      if (ends(widths, gap, middle).equals(after)) {
        from = middle;
      } else {
        below = middle;
      }
    }
    return Math.round(from * 64) / 64.0;
  }

  private static List<Integer> ends(List<Double> widths, Length gap, double room) {
    List<Double> each = widths.stream().map(width -> Math.min(width, room)).toList();
    return Flow.rowEnds(each, gap.in(room), room).stream().map(below -> below - 1).toList();
  }
}
