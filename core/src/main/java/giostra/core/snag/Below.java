package giostra.core.snag;

import giostra.core.anatomy.Tone;
import giostra.core.value.Colour;
import giostra.core.value.Ink;
import java.util.List;
import java.util.stream.Stream;

/**
 * Something that letters may stand on.
 *
 * @param colour solid, as it is where nothing is seen through all of it
 * @param faded what it and its letters are seen through to, the innermost first
 */
record Below(Colour colour, List<Faded> faded) {
  /** Less than that of something is not seen. */
  private static final double GONE = 0.005;

  /**
   * A box and all in it, seen through to what is behind it. Source: Compositing and Blending 1,
   * "group opacity": as if its colours, drawn on what is behind it, lay over that once more.
   */
  private record Faded(Colour behind, double opacity) {
    Colour of(Colour solid) {
      return solid.over(behind, opacity);
    }
  }

  /** The ground of a section, through which nothing is seen. */
  static Below of(Colour solid) {
    return new Below(solid, List.of());
  }

  /** It with a colour over it. */
  Below with(Ink ink, Tone tone) {
    return with(tone.colour(ink).over(colour));
  }

  /** Another solid colour in its place. */
  Below with(Colour solid) {
    return new Below(solid, faded);
  }

  /** A box that lies on another and is seen through to it. */
  Below on(Below behind, double opacity) {
    return new Below(
        colour,
        Stream.concat(Stream.of(new Faded(behind.colour, opacity)), faded.stream()).toList());
  }

  /** With letters on it. Source: WCAG 2.2, "contrast ratio". */
  double contrast(Colour ink) {
    return Colour.contrast(seen(ink.over(colour)), seen(colour));
  }

  private Colour seen(Colour of) {
    Colour seen = of;
    for (Faded each : faded) {
      seen = each.of(seen);
    }
    return seen;
  }

  /** Whether nothing is seen of it. */
  boolean isGone() {
    return faded.stream().anyMatch(each -> each.opacity < GONE);
  }
}
