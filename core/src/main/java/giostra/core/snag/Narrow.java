package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.fit.Piecewise;
import giostra.core.layout.ItemWidths;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Piece;
import giostra.core.page.TrackSettings;
import giostra.core.value.Refused;
import giostra.core.value.Require;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Viewport widths at which items are narrower than is comfortable, and could be wider: a single
 * item in view without a peek is as wide as it can be, and no snag.
 */
public final class Narrow {
  private Narrow() {}

  /**
   * All such ranges of a piece from 280 to 2560 px, narrowest first; none where no width counts.
   */
  public static List<Snag> of(Document document, Piece piece, double scrollbar) {
    return ItemWidths.of(document, piece, scrollbar)
        .map(widths -> of(document, widths))
        .orElse(List.of());
  }

  private static List<Snag> of(Document document, ItemWidths widths) {
    double least = widths.comfortFrom();
    var found = new ArrayList<Snag>();
    for (ItemWidths.InBand in : widths.bands()) {
      if (in.count() == 1 && in.sides() == 0) {
        continue;
      }
      Piecewise item = in.width();
      for (int[] range : item.ranges(width -> width < least - 1e-6)) {
        found.add(
            new Snag(
                Snag.Rule.NARROW,
                widths.piece().id(),
                "",
                range[0],
                range[1],
                in.band().id(),
                String.format(
                    Locale.ROOT,
                    "narrower than %s from %d to %d",
                    Require.number(least),
                    range[0],
                    range[1]),
                fixes(document, widths, in, range)));
      }
    }
    return found;
  }

  private static List<Snag.Fix> fixes(
      Document document, ItemWidths widths, ItemWidths.InBand in, int[] range) {
    var fixes = new ArrayList<Snag.Fix>();
    Band band = in.band();
    boolean atStart = range[0] == Math.ceil(band.from());
    boolean roomAfter = range[1] + 1 < Math.min(band.below(), Bands.WIDEST);
    if (atStart && roomAfter && band.from() > 0) {
      Edit move = new Edit.MoveBreakpoint(band.id(), range[1] + 1);
      addIfPossible(document, fixes, new Snag.Fix("move post to " + (range[1] + 1), List.of(move)));
    }
    int fewer = widths.suggested(in, 12);
    if (in.counted() && fewer < in.count()) {
      addIfPossible(
          document,
          fixes,
          new Snag.Fix("show " + fewer, List.of(set(widths, in, in.setting(), fewer))));
    }
    if (in.sides() > 0) {
      addIfPossible(
          document,
          fixes,
          new Snag.Fix("no peek", List.of(set(widths, in, TrackSettings.PEEK, 0))));
    }
    return fixes;
  }

  private static Edit set(
      ItemWidths widths, ItemWidths.InBand in, Setting<?> setting, double value) {
    return new Edit.SetValue(widths.piece().id(), setting.id(), in.band().id(), value);
  }

  private static void addIfPossible(Document document, List<Snag.Fix> fixes, Snag.Fix fix) {
    try {
      Edits.apply(document, fix.edits());
      fixes.add(fix);
    } catch (Refused impossible) {
      // A neighbouring breakpoint stands in the way: this way out is none.
    }
  }
}
