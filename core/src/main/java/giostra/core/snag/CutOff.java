package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Heights;
import giostra.core.layout.Resolution;
import giostra.core.page.Edit;
import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import giostra.core.page.Piece;
import giostra.core.value.PickKind;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Panels of a fixed height that hold more: they scroll within. */
final class CutOff {
  private final Looked at;
  private final Piece piece;
  private final Heights heights;

  private CutOff(Looked at, Piece piece) {
    this.at = at;
    this.piece = piece;
    this.heights = at.heights(piece);
  }

  static List<Snag> check(Looked at) {
    return at.piece()
        .filter(piece -> piece.type().hasPanels())
        .map(piece -> new CutOff(at, piece).found())
        .orElse(List.of());
  }

  private List<Snag> found() {
    var found = new ArrayList<Snag>();
    for (Band band : at.document().bands().all()) {
      if (Resolution.value(at.document(), piece, PanelSettings.PANEL_HEIGHT, band)
          == PanelHeight.FIXED) {
        double fixed =
            Resolution.value(at.document(), piece, PanelSettings.PANEL_FIXED, band).constantPx();
        for (int[] range : Runs.of(band, width -> !above(fixed, width).isEmpty())) {
          found.add(snag(band, fixed, range));
        }
      }
    }
    return found;
  }

  private Snag snag(Band band, double fixed, int[] range) {
    Set<String> items = new LinkedHashSet<>();
    double highest = 0;
    for (int width = range[0]; width <= range[1]; width++) {
      for (Heights.Reading each : above(fixed, width)) {
        items.add(each.item());
        highest = Math.max(highest, each.height());
      }
    }
    String message =
        Said.of(
            items.size() == 1 ? "cut-off" : "cut-off-many",
            "n",
            items.size(),
            "px",
            Math.round(fixed),
            "from",
            range[0],
            "to",
            range[1]);
    return Snag.of(Rule.CUT_OFF, piece.id(), Extent.of(range[0], range[1], band), message)
        .of(items.size() == 1 ? items.iterator().next() : "")
        .measured(highest, fixed, Measure.Unit.PX)
        .about(PanelSettings.PANEL_FIXED.id(), PanelSettings.PANEL_HEIGHT.id())
        .withFixes(
            List.of(
                Snag.Fix.of(
                    Said.of("own-height"),
                    new Edit.SetValue(
                        piece.id(),
                        PanelSettings.PANEL_HEIGHT.id(),
                        band.id(),
                        PickKind.word(PanelHeight.OWN)))));
  }

  /** Panels that ask for more than that at a viewport width. */
  private List<Heights.Reading> above(double px, double viewportPx) {
    return heights.at(viewportPx).stream()
        .filter(each -> each.part() == Heights.Part.PANEL && each.height() > px + 1)
        .toList();
  }
}
