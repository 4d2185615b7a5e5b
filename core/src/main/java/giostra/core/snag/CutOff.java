package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Heights;
import giostra.core.layout.LaidOut;
import giostra.core.layout.PanelRoom;
import giostra.core.layout.PartBox;
import giostra.core.layout.Resolution;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import giostra.core.page.Piece;
import giostra.core.page.Tracked;
import giostra.core.value.PickKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Panels of a fixed height that hold more, which scroll within; items that are higher than their
 * share of a track that runs down; and what only some kinds cut.
 */
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
        .map(piece -> {
          if (piece.type().hasPanels()) {
            return new CutOff(at, piece).found();
          }
          var all = new ArrayList<>(Judged.of(piece).found(Rule.CUT_OFF, piece, at));
          if (piece instanceof Tracked tracked) {
            all.addAll(CutItems.check(at, tracked));
          }
          return all;
        })
        .orElse(List.of());
  }

  private List<Snag> found() {
    var found = new ArrayList<Snag>();
    for (Band band : at.document().bands().all()) {
      if (Resolution.value(at.document(), piece, PanelSettings.PANEL_HEIGHT, band)
          == PanelHeight.FIXED) {
        var here = new Here(band);
        for (int[] range : Runs.of(band, width -> !here.above(width).isEmpty())) {
          found.add(snag(here, range));
        }
      }
    }
    return found;
  }

  private Snag snag(Here here, int[] range) {
    double fixed = here.fixed;
    Band band = here.band;
    Set<String> items = new LinkedHashSet<>();
    double highest = 0;
    for (int width = range[0]; width <= range[1]; width++) {
      for (Heights.Reading each : here.above(width)) {
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

  /** In one band. */
  private final class Here {
    private final Band band;
    private final double fixed;

    /** How high panels of items are at the least, where that is more, px. */
    private final Map<String, Double> least = new HashMap<>();

    Here(Band band) {
      this.band = band;
      this.fixed =
          Resolution.value(at.document(), piece, PanelSettings.PANEL_FIXED, band).constantPx();
      Part panel = ((PanelRoom<?>) LaidOut.of(piece)).panelPart();
      for (Item item : piece.items()) {
        var box = new PartBox(panel, Resolution.scope(at.document(), item), band);
        least.put(item.id(), box.px(Property.LEAST_HIGH));
      }
    }

    /** Panels that ask for more than they have at a viewport width. */
    List<Heights.Reading> above(double viewportPx) {
      return heights.at(viewportPx).stream()
          .filter(each -> each.part() == Heights.Part.PANEL && each.height() > has(each) + 1)
          .toList();
    }

    private double has(Heights.Reading panel) {
      return Math.max(fixed, least.getOrDefault(panel.item(), 0.0));
    }
  }
}
