package giostra.core.snag;

import giostra.core.band.Bands;
import giostra.core.band.Refused;
import giostra.core.band.Require;
import giostra.core.band.Setting;
import giostra.core.layout.CarouselBand;
import giostra.core.layout.CarouselLayout;
import giostra.core.page.CarouselSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.List;

/**
 * Viewport widths at which items are narrower than is comfortable, and could be wider: a single
 * item in view without a peek is as wide as it can be, and no snag.
 *
 * @param piece id of the piece
 * @param from first width, in px
 * @param to last width, in px
 * @param band id of the band it lies in
 * @param message what is wrong, with the range
 * @param fixes ways out, the gentlest first
 */
public record Narrow(String piece, int from, int to, String band, String message, List<Fix> fixes) {

  /**
   * A way out.
   *
   * @param label what it does, in the words of a button
   * @param edits the edits that do it
   */
  public record Fix(String label, List<Edit> edits) {}

  public Narrow {
    fixes = List.copyOf(fixes);
  }

  /** All such ranges of a carousel from 280 to 2560 px, narrowest first. */
  public static List<Narrow> of(Document document, Piece.Carousel piece, double scrollbar) {
    double least = piece.values().get(CarouselSettings.COMFORT_FROM).constantPx();
    var found = new ArrayList<Narrow>();
    for (CarouselBand band : CarouselLayout.of(document, piece, scrollbar).bands()) {
      if (band.view() == 1 && band.sides() == 0) {
        continue;
      }
      for (int[] range : band.itemWidth().ranges(width -> width < least - 1e-6)) {
        found.add(
            new Narrow(
                piece.id(),
                range[0],
                range[1],
                band.band().id(),
                "narrower than %s from %d to %d"
                    .formatted(Require.number(least), range[0], range[1]),
                fixes(document, piece, band, range, least)));
      }
    }
    return found;
  }

  private static List<Fix> fixes(
      Document document, Piece.Carousel piece, CarouselBand band, int[] range, double least) {
    var fixes = new ArrayList<Fix>();
    boolean atStart = range[0] == Math.ceil(band.band().from());
    boolean roomAfter = range[1] + 1 < Math.min(band.band().below(), Bands.WIDEST);
    if (atStart && roomAfter && band.band().from() > 0) {
      Edit move = new Edit.MoveBreakpoint(band.band().id(), range[1] + 1);
      addIfPossible(document, fixes, new Fix("move post to " + (range[1] + 1), List.of(move)));
    }
    int fewer = CarouselLayout.suggested(band, least, 12);
    if (fewer < band.view()) {
      Edit set =
          new Edit.SetValue(
              piece.id(), CarouselSettings.IN_VIEW.id(), band.band().id(), (double) fewer);
      addIfPossible(document, fixes, new Fix("show " + fewer, List.of(set)));
    }
    if (band.sides() > 0) {
      addIfPossible(
          document, fixes, new Fix("no peek", List.of(set(piece, band, CarouselSettings.PEEK, 0))));
    }
    return fixes;
  }

  private static Edit set(Piece piece, CarouselBand band, Setting<?> setting, double value) {
    return new Edit.SetValue(piece.id(), setting.id(), band.band().id(), value);
  }

  private static void addIfPossible(Document document, List<Fix> fixes, Fix fix) {
    try {
      Edits.apply(document, fix.edits());
      fixes.add(fix);
    } catch (Refused impossible) {
      // A neighbouring breakpoint stands in the way: this way out is none.
    }
  }
}
