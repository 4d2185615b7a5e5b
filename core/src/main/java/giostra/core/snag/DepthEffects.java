package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.layout.SectionDepth;
import giostra.core.page.Document;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import java.util.ArrayList;
import java.util.List;

/** Grounds of sections that are to move more slowly than the page and cannot, band by band. */
final class DepthEffects {
  private DepthEffects() {}

  static List<Snag> of(Document document, Section section) {
    boolean pictured = !section.values().get(SectionSettings.GROUND).isEmpty();
    var found = new ArrayList<Snag>();
    for (Band band : document.bands().all()) {
      if (Resolution.value(document, section, SectionSettings.DEPTH, band) > 0
          && SectionDepth.of(document, section, band).flat()) {
        found.add(
            Snag.of(
                    Rule.NO_EFFECT,
                    section.id(),
                    Extent.of(band),
                    Said.of(pictured ? "idle-depth-edge" : "idle-depth-no-picture"))
                .about(
                    SectionSettings.DEPTH.id(),
                    (pictured ? SectionSettings.EDGE_ABOVE : SectionSettings.GROUND).id()));
      }
    }
    return found;
  }
}
