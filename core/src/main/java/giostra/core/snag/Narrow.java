package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.fit.Piecewise;
import giostra.core.layout.ItemWidths;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.TrackSettings;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;

/**
 * Viewport widths at which items are narrower than is comfortable, and could be wider: a single
 * item in view without a peek is as wide as it can be, and no snag.
 */
final class Narrow {
  private Narrow() {}

  /** All such ranges of a piece, narrowest first; none where no width counts. */
  static List<Snag> check(Looked at) {
    return at.piece()
        .flatMap(piece -> ItemWidths.of(at.document(), piece, at.scrollbar()))
        .map(widths -> of(at.document(), widths))
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
            Snag.of(
                    Rule.NARROW,
                    widths.piece().id(),
                    Extent.of(range[0], range[1], in.band()),
                    Said.of("narrow", "least", least, "from", range[0], "to", range[1]))
                .measured(Math.min(item.at(range[0]), item.at(range[1])), least, Measure.Unit.PX)
                .withFixes(fixes(document, widths, in, range)));
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
      fixes.add(Snag.Fix.of(Said.of("move-post", "to", range[1] + 1), move));
    }
    int fewer = widths.suggested(in, 12);
    if (in.counted() && fewer < in.count()) {
      fixes.add(Snag.Fix.of(Said.of("show", "n", fewer), set(widths, in, in.setting(), fewer)));
    }
    if (in.sides() > 0) {
      fixes.add(Snag.Fix.of(Said.of("no-peek"), set(widths, in, TrackSettings.PEEK, 0)));
    }
    return fixes.stream().filter(fix -> fix.possible(document)).toList();
  }

  private static Edit set(
      ItemWidths widths, ItemWidths.InBand in, Setting<?> setting, double value) {
    return new Edit.SetValue(widths.piece().id(), setting.id(), in.band().id(), value);
  }
}
