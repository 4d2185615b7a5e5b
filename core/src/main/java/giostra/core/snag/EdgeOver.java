package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.layout.SectionEdge;
import giostra.core.layout.SectionEdge.Side;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Section;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;

/**
 * Edges of sections that reach further over a neighbour than that keeps free: they cover what is in
 * it. A share is taken of the band's narrowest width, where it is least.
 */
final class EdgeOver {
  private EdgeOver() {}

  static List<Snag> check(Looked at) {
    var found = new ArrayList<Snag>();
    if (at.node() instanceof Section section) {
      for (Side side : Side.values()) {
        SectionEdge.neighbour(at.document(), section, side)
            .ifPresent(other -> {
              for (Band band : at.document().bands().all()) {
                of(at.document(), section, side, other, band, found);
              }
            });
      }
    }
    return found;
  }

  private static void of(
      Document document, Section section, Side side, Section other, Band band, List<Snag> found) {
    SectionEdge edge = SectionEdge.of(document, section, side, band);
    double reaches = edge.straight() ? 0 : edge.height().constantPx();
    double free = Resolution.value(document, other, side.free(), band).in(Extent.first(band));
    if (reaches <= free) {
      return;
    }
    String message =
        Said.of(
            side == Side.ABOVE ? "edge-over-before" : "edge-over-after",
            "reaches",
            Math.ceil(reaches),
            "free",
            Math.floor(free),
            "from",
            Extent.first(band),
            "to",
            Extent.last(band));
    found.add(
        Snag.of(Rule.EDGE_OVER, section.id(), Extent.of(band), message)
            .about(side.height().id(), "")
            .measured(reaches, free, Measure.Unit.PX)
            .withFixes(
                List.of(
                    fix("edge-lower", section, side.height(), band, Math.floor(free)),
                    fix("edge-room", other, side.free(), band, Math.ceil(reaches)))));
  }

  private static Snag.Fix fix(
      String label, Section section, Setting<Length> setting, Band band, double px) {
    String value = Length.px(px).css();
    return Snag.Fix.of(
        Said.of(label, "px", px), new Edit.SetValue(section.id(), setting.id(), band.id(), value));
  }
}
