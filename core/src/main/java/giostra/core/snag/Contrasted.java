package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import giostra.core.value.Colour;
import giostra.core.value.PickKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** The contrast of a part in a state and a band, with the least that it should be. */
public interface Contrasted {
  Part part();

  State state();

  Band band();

  /** The state in which something can be said of it: its own, or at rest while what it is on is. */
  default State said() {
    return part().states().contains(state()) ? state() : State.REST;
  }

  /** At worst. */
  double found();

  double asked();

  /** Whether it is less than it should be. */
  default boolean low() {
    return found() < asked();
  }

  private boolean isSameAs(Contrasted other) {
    return part() == other.part() && state() == other.state() && found() == other.found();
  }

  /**
   * Bands next to each other in which it is the same.
   *
   * @param widest what was found in the widest of them
   */
  record Range<C extends Contrasted>(C widest, Band narrowest) {
    /** Whether it is so in a band. */
    boolean holds(Band band) {
      return band.from() >= narrowest.from() && band.from() <= widest.band().from();
    }

    /** The edits that set a style in all of it: the widest band says it for the rest. */
    List<Edit> set(Document document, Node node, StyleKey key, Object value) {
      var edits = new ArrayList<Edit>();
      for (Band each : document.bands().all()) {
        boolean within = holds(each) && !each.equals(widest.band());
        if (within && node.values().styles().own(key, each.id()) != null) {
          edits.add(new Edit.SetStyle(node.id(), key, each.id(), null));
        }
      }
      edits.add(new Edit.SetStyle(node.id(), key, widest.band().id(), value));
      return edits;
    }

    /** The finding of it, on a node or one of its items. */
    public Snag snag(String node, String item, List<Snag.Fix> fixes) {
      Part part = widest.part();
      boolean words = part.has(Property.FAMILY) || widest.asked() >= ToneContrast.ASKED;
      Extent extent =
          Extent.of(Extent.first(narrowest), Extent.last(widest.band()), widest.band())
              .in(widest.state());
      String message =
          Said.of(
              words ? "faint-words" : "faint-sign",
              "part",
              part.label().toLowerCase(Locale.ROOT),
              "state",
              widest.state() == State.REST
                  ? ""
                  : Said.of("in-state", "state", PickKind.word(widest.state())),
              "found",
              Math.floor(widest.found() * 100) / 100,
              "asked",
              widest.asked());
      String ink = part.key(Property.INK, widest.said()).written();
      return Snag.of(Rule.CONTRAST, node, extent, message)
          .of(item)
          .of(part)
          .about(ink, ink)
          .measured(widest.found(), widest.asked(), Measure.Unit.CONTRAST)
          .withFixes(fixes);
    }

    /** The way out that gives the words a colour in all of it. */
    public Snag.Fix fix(Document document, Node node, Colour colour) {
      StyleKey ink = widest.part().key(Property.INK, widest.said());
      return new Snag.Fix(
          Said.of("set-colour", "colour", colour.css()), set(document, node, ink, colour.css()));
    }
  }

  /** The ranges in which it is too low, from a list that has bands narrowest first. */
  static <C extends Contrasted> List<Range<C>> low(List<C> all) {
    var found = new ArrayList<Range<C>>();
    for (int i = all.size() - 1; i >= 0; i--) {
      C widest = all.get(i);
      C narrowest = widest;
      while (i > 0 && ((Contrasted) all.get(i - 1)).isSameAs(widest)) {
        narrowest = all.get(--i);
      }
      if (widest.low()) {
        found.add(new Range<>(widest, narrowest.band()));
      }
    }
    return found.reversed();
  }
}
