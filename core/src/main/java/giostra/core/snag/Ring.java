package giostra.core.snag;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.page.Edit;
import giostra.core.page.Section;
import giostra.core.value.Around;
import giostra.core.value.Colour;
import giostra.core.value.Ink;
import giostra.core.value.ToneColour;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A focus ring that is not there, or can hardly be told from what it lies on: who comes with the
 * keyboard does not see where they are. Sources: WCAG 2.2, 2.4.7 "Focus Visible", failure F78
 * "styling element outlines and borders in a way that removes or renders non-visible the visual
 * focus indicator"; 1.4.11 "Non-text Contrast". It is asked of the ground of its section, not of
 * pictures.
 */
final class Ring {
  private static final Part PART = PageParts.FOCUS;
  private static final double ASKED = 3;

  /** Less than that a screen of one px to a px of CSS may leave out. */
  private static final double LEAST = 1;

  /** As wide as it is at first. */
  private static final Around USUAL =
      Objects.requireNonNull(PART.initially(Property.BORDER, State.REST));

  private Ring() {}

  static List<Snag> check(Looked at) {
    if (!(at.node() instanceof Section section)) {
      return List.of();
    }
    Scope scope = Resolution.scope(at.document(), section);
    var found = new ArrayList<Snag>();
    for (Band band : at.document().bands().all()) {
      gone(section, band, scope)
          .or(() -> faint(section, band, scope, Resolution.tone(at.document(), section, band)))
          .ifPresent(found::add);
    }
    return found;
  }

  private static <T> T of(Property<T> property, Scope scope, Band band) {
    return Cascade.value(PART, property, State.REST, scope, band);
  }

  private static Optional<Snag> gone(Section section, Band band, Scope scope) {
    double px = of(Property.BORDER, scope, band).first().constantPx();
    return px >= LEAST
        ? Optional.empty()
        : Optional.of(
            snag(section, band, Property.BORDER, Said.of("ring-gone", "px", px))
                .measured(px, LEAST, Measure.Unit.PX)
                .withFixes(
                    List.of(
                        Snag.Fix.of(
                            Said.of("ring-there", "px", USUAL.first().constantPx()),
                            set(section, band, Property.BORDER, USUAL.css())))));
  }

  private static Optional<Snag> faint(Section section, Band band, Scope scope, Tone tone) {
    Colour ground = tone.colour(ToneColour.GROUND).over(new Colour(255, 255, 255, 255));
    double contrast =
        Colour.contrast(tone.colour(of(Property.BORDER_INK, scope, band)).over(ground), ground);
    return contrast >= ASKED
        ? Optional.empty()
        : Optional.of(
            snag(
                    section,
                    band,
                    Property.BORDER_INK,
                    Said.of(
                        "ring-faint", "found", Math.floor(contrast * 100) / 100, "asked", ASKED))
                .measured(contrast, ASKED, Measure.Unit.CONTRAST)
                .withFixes(
                    List.of(
                        Snag.Fix.of(
                            Said.of("ring-of-words"),
                            set(
                                section,
                                band,
                                Property.BORDER_INK,
                                Ink.of(ToneColour.INK).written())))));
  }

  private static Snag snag(Section section, Band band, Property<?> property, String said) {
    String key = PART.key(property, State.REST).written();
    return Snag.of(Rule.RING, section.id(), Extent.of(band).in(State.FOCUS), said)
        .of(PART)
        .about(key, key);
  }

  private static Edit set(Section section, Band band, Property<?> property, String value) {
    return new Edit.SetStyle(section.id(), PART.key(property, State.REST), band.id(), value);
  }
}
