package giostra.core.band;

import giostra.core.value.Refused;
import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;

/**
 * The bands of a site, narrowest first: 1 to 6, meeting without gap or overlap, from 0 to infinity.
 *
 * <p>A value set in one band holds in narrower bands until they set their own: the widest band has
 * the lead value.
 */
public record Bands(List<Band> all) {
  /** The narrowest and the widest viewport that the bench looks at, in px. */
  public static final int NARROWEST = 280;

  public static final int WIDEST = 2560;

  /** So many at the most: more are not told apart. Our own; no source. */
  public static final int MOST = 6;

  /** Phone below 768, tablet below 1024, desktop from there. Common practice, no source. */
  public static final Bands INITIAL =
      new Bands(
          List.of(
              new Band("phone", "Phone", 0, 768),
              new Band("tablet", "Tablet", 768, 1024),
              new Band("desktop", "Desktop", 1024, Double.POSITIVE_INFINITY)));

  public Bands {
    all = List.copyOf(all);
    Require.within(1, MOST, "number of bands", all.size());
    double from = 0;
    var ids = new HashSet<String>();
    for (Band band : all) {
      if (band.from() != from) {
        throw new Refused(
            "band " + band.id(),
            "from " + Require.number(band.from()),
            "from " + Require.number(from));
      }
      if (!ids.add(band.id()) || !band.id().matches("[a-z][a-z0-9-]{0,30}")) {
        throw new Refused(
            "band id", band.id(), "unique, of lower-case letters, digits and hyphens");
      }
      from = band.below();
    }
    if (!Double.isInfinite(from)) {
      throw new Refused("widest band", "below " + Require.number(from), "open at its wide end");
    }
  }

  /** The band of a viewport width in px. */
  public Band at(double viewportPx) {
    Require.atLeast(0, "viewport width (px)", viewportPx);
    return all.stream().filter(band -> band.holds(viewportPx)).findFirst().orElseThrow();
  }

  /**
   * The band with that id.
   *
   * @throws Refused naming the bands there are
   */
  public Band band(String id) {
    return all.get(index(id));
  }

  /** The widest band, which has the lead values. */
  public Band lead() {
    return all.getLast();
  }

  /** A band, then the wider ones, nearest first: the order in which a value is looked for. */
  public List<Band> fromThenWider(Band band) {
    return all.subList(all.indexOf(band), all.size());
  }

  /** The bands widest first, as values are inherited. */
  public List<Band> widestFirst() {
    return all.reversed();
  }

  /**
   * The bands with one breakpoint elsewhere: the band and its narrower neighbour meet at {@code
   * fromPx}. Values stay with their bands.
   *
   * @param fromPx between the neighbours' breakpoints, at least 1 px from each
   * @throws Refused for the narrowest band, which has no breakpoint, and outside that range
   */
  public Bands moved(String id, double fromPx) {
    int at = index(id);
    if (at == 0) {
      throw new Refused(
          "breakpoint of " + id, Require.number(fromPx), "0: it is the narrowest band");
    }
    double low = all.get(at - 1).from() + 1;
    double high = Math.min(all.get(at).below() - 1, WIDEST);
    if (!(fromPx >= low && fromPx <= high)) {
      throw new Refused(
          "Breakpoint of " + all.get(at).name(),
          Require.number(fromPx) + " px",
          String.format(Locale.ROOT, "%s to %s px", Require.number(low), Require.number(high)));
    }
    var copy = new ArrayList<>(all);
    Band lower = all.get(at - 1);
    Band upper = all.get(at);
    copy.set(at - 1, new Band(lower.id(), lower.name(), lower.from(), fromPx));
    copy.set(at, new Band(upper.id(), upper.name(), fromPx, upper.below()));
    return new Bands(copy);
  }

  /**
   * The bands with one more, which takes the upper part of the band that holds its breakpoint.
   *
   * @throws Refused when there is a breakpoint already, or no more room
   */
  public Bands plus(String id, String name, double fromPx) {
    Require.within(1, WIDEST, "Breakpoint (px)", fromPx);
    Band split = at(fromPx);
    if (split.from() == fromPx) {
      throw new Refused("Breakpoint", Require.number(fromPx) + " px", "where none stands yet");
    }
    var copy = new ArrayList<>(all);
    int at = all.indexOf(split);
    copy.set(at, new Band(split.id(), split.name(), split.from(), fromPx));
    copy.add(at + 1, new Band(id, name, fromPx, split.below()));
    return new Bands(copy);
  }

  /**
   * The bands without one; its widths go to the narrower neighbour, or to the wider one when it is
   * the narrowest.
   *
   * @throws Refused when it is the only one
   */
  public Bands minus(String id) {
    int at = index(id);
    if (all.size() == 1) {
      throw new Refused("Bands", "1", "2 or more before one can be removed");
    }
    var copy = new ArrayList<>(all);
    Band gone = copy.remove(at);
    int heir = Math.max(0, at - 1);
    Band band = copy.get(heir);
    copy.set(
        heir,
        at == 0
            ? new Band(band.id(), band.name(), 0, band.below())
            : new Band(band.id(), band.name(), band.from(), gone.below()));
    return new Bands(copy);
  }

  private int index(String id) {
    for (int at = 0; at < all.size(); at++) {
      if (all.get(at).id().equals(id)) {
        return at;
      }
    }
    throw new Refused(
        "band", id, "one of " + String.join(", ", all.stream().map(Band::id).toList()));
  }
}
