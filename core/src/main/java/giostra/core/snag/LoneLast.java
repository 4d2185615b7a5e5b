package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.GridBand;
import giostra.core.layout.Resolution;
import giostra.core.page.Edit;
import giostra.core.page.GridSettings;
import giostra.core.page.GridSettings.Heights;
import giostra.core.page.Gridded;
import giostra.core.page.Piece;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * One item by itself in the last row of several: it looks as if the others were missing. Common
 * practice, no source.
 */
final class LoneLast {
  /** More in a row than that are no way out. */
  private static final int MOST = 6;

  private LoneLast() {}

  /** All such bands of boxes, figures or clips, narrowest first. */
  static List<Snag> check(Looked at) {
    return at.node() instanceof Gridded piece ? of(at, piece) : List.of();
  }

  private static List<Snag> of(Looked at, Gridded piece) {
    return GridBand.of(at.document(), piece, at.scrollbar()).stream()
        // Stretched, it fills its row, as somebody wanted it.
        .filter(in -> !in.stretches(equal(at, piece, in.band())))
        .filter(in -> lone(in.on().size(), in.grid().columns()))
        .map(in -> found(piece, in))
        .toList();
  }

  private static boolean equal(Looked at, Gridded piece, Band band) {
    return Resolution.value(at.document(), piece, GridSettings.HEIGHTS, band) == Heights.ALL;
  }

  private static boolean lone(int items, int columns) {
    return columns > 1 && items > columns && items % columns == 1;
  }

  private static Snag found(Piece piece, GridBand in) {
    int items = in.on().size();
    int columns = in.grid().columns();
    String setting = GridSettings.COLUMNS.id();
    List<Snag.Fix> fixes =
        IntStream.rangeClosed(1, Math.min(MOST, items))
            .boxed()
            .filter(other -> other != columns && !lone(items, other))
            .sorted(Comparator.comparingInt(other -> Math.abs(other - columns)))
            .limit(2)
            .map(other ->
                Snag.Fix.of(
                    Said.of("in-a-row", "n", other),
                    new Edit.SetValue(piece.id(), setting, in.band().id(), (double) other)))
            .toList();
    return Snag.of(
            Rule.LONE_LAST,
            piece.id(),
            Extent.of(in.band()),
            Said.of("lone-last", "band", in.band().name(), "n", items, "columns", columns))
        .about(setting, setting)
        .withFixes(fixes);
  }
}
