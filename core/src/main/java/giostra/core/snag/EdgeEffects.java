package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.layout.SectionEdge;
import giostra.core.layout.SectionEdge.Side;
import giostra.core.page.Document;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.value.ToneColour;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Edges of sections whose shape nobody sees, band by band. */
final class EdgeEffects {
  private EdgeEffects() {}

  static List<Snag> of(Document document, Section section) {
    var found = new ArrayList<Snag>();
    for (Side side : Side.values()) {
      for (Band band : document.bands().all()) {
        if (!SectionEdge.of(document, section, side, band).straight()) {
          idle(document, section, side, band)
              .ifPresent(message ->
                  found.add(
                      Snag.of(Rule.NO_EFFECT, section.id(), Extent.of(band), message)
                          .about(side.shape().id(), SectionSettings.TONE.id())));
        }
      }
    }
    return found;
  }

  private static Optional<String> idle(Document document, Section section, Side side, Band band) {
    Optional<Section> other = SectionEdge.neighbour(document, section, side);
    if (other.isEmpty()) {
      return Optional.of(Said.of(side == Side.ABOVE ? "idle-edge-first" : "idle-edge-last"));
    }
    boolean plain = !pictured(section) && !pictured(other.get());
    return plain && ground(document, section, band).equals(ground(document, other.get(), band))
        ? Optional.of(Said.of(side == Side.ABOVE ? "idle-edge-before" : "idle-edge-after"))
        : Optional.empty();
  }

  private static boolean pictured(Section section) {
    return !section.values().get(SectionSettings.GROUND).isEmpty();
  }

  private static Object ground(Document document, Section section, Band band) {
    return Resolution.tone(document, section, band).colour(ToneColour.GROUND);
  }
}
