package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import giostra.core.value.Colour;
import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** The contrast of a part in a state and a band, with the least that it should be. */
sealed interface Contrasted permits PartContrast, PlayerContrast {
  Part part();

  State state();

  Band band();

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
    /**
     * The edits that give the words a colour in all of it: the widest band says it for the rest.
     */
    List<Edit> inked(Document document, Node node, Colour colour) {
      StyleKey key = widest.part().key(Property.INK, widest.state());
      var edits = new ArrayList<Edit>();
      for (Band each : document.bands().all()) {
        boolean within = each.from() >= narrowest.from() && each.from() < widest.band().from();
        if (within && node.values().styles().own(key, each.id()) != null) {
          edits.add(new Edit.SetStyle(node.id(), key, each.id(), null));
        }
      }
      edits.add(new Edit.SetStyle(node.id(), key, widest.band().id(), colour.css()));
      return edits;
    }

    /** The finding of it, on an item or on the whole piece. */
    Snag snag(String piece, String item, List<Snag.Fix> fixes) {
      Part part = widest.part();
      boolean words = part.has(Property.FAMILY) || widest.asked() >= ToneContrast.ASKED;
      return new Snag(
          Snag.Rule.CONTRAST,
          piece,
          item,
          (int) Math.max(Bands.NARROWEST, narrowest.from()),
          widest.band().widest() ? Bands.WIDEST : (int) Math.ceil(widest.band().below()) - 1,
          widest.band().id(),
          String.format(
              Locale.ROOT,
              "%s%s has a contrast of %s at worst; it needs %s (WCAG 2.2, %s)",
              part.label().toLowerCase(Locale.ROOT),
              widest.state() == State.REST
                  ? ""
                  : " (" + widest.state().name().toLowerCase(Locale.ROOT) + ")",
              Require.number(Math.floor(widest.found() * 100) / 100),
              Require.number(widest.asked()),
              words ? "1.4.3" : "1.4.11"),
          fixes);
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
