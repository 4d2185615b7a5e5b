package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.layout.SectionEdge;
import giostra.core.layout.SectionEdge.Side;
import giostra.core.page.Document;
import giostra.core.page.Section;
import giostra.core.value.EdgeShape;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Edges of a section that are cut in a shape. Its ground reaches over its neighbours' and takes no
 * room: a colour by a layer of its own at each such edge, a picture by being so much higher itself.
 * Shapes are polygons, in shares of their box: as wide as the page is, whatever that is. Source:
 * CSS Shapes 1, "polygon()"; CSS Masking 1, "clip-path".
 */
final class SectionEdges {
  private final Document document;
  private final Section section;
  private final List<Side> sides;
  private final int after;

  /**
   * Those of a section.
   *
   * @param first whether nothing stands above it, so that no edge does
   * @param after how many sections come after it; the last one has no edge below
   */
  SectionEdges(Document document, Section section, boolean first, int after) {
    this.document = document;
    this.section = section;
    this.after = after;
    this.sides =
        Stream.of(Side.values()).filter(side -> side == Side.ABOVE ? !first : after > 0).toList();
  }

  private SectionEdge at(Side side, Band band) {
    return SectionEdge.of(document, section, side, band);
  }

  /** Whether it is cut in some band. */
  boolean cut(Side side) {
    return sides.contains(side)
        && document.bands().all().stream().anyMatch(band -> !at(side, band).straight());
  }

  /** The layers that reach over the neighbours. */
  void html(Html out) {
    for (Side side : Side.values()) {
      if (cut(side)) {
        out.open("div", "class", "g-edge " + name(side), "aria-hidden", "true").close("div");
      }
    }
  }

  private static String name(Side side) {
    return side == Side.ABOVE ? "g-edge-above" : "g-edge-below";
  }

  /** Rules of the layers. */
  void layered(BandCss css) {
    String id = "#g-" + section.id();
    for (Side side : Side.values()) {
      if (cut(side)) {
        String layer = id + ">." + name(side);
        String inset = side == Side.ABOVE ? "inset-block-start" : "inset-block-end";
        // One px of it lies under its section: no line is seen between them.
        css.put(layer, inset, band -> "calc(1px - " + at(side, band).height().css() + ")");
        css.put(layer, "block-size", band -> at(side, band).height().css());
        css.put(layer, "clip-path", band -> polygon(side, at(side, band)));
      }
    }
    over(css);
  }

  /** Rules of a picture, and of what lies over it, that have the shape themselves. */
  void pictured(BandCss css) {
    if (cut(Side.ABOVE) || cut(Side.BELOW)) {
      for (String layer : List.of(">.g-ground", "::after")) {
        String selector = "#g-" + section.id() + layer;
        css.put(
            selector, "inset-block", band -> out(Side.ABOVE, band) + " " + out(Side.BELOW, band));
        // A replaced element has a height of its own.
        css.put(
            selector,
            "block-size",
            band -> "calc(100% - " + out(Side.ABOVE, band) + " - " + out(Side.BELOW, band) + ")");
        css.put(selector, "clip-path", this::whole);
      }
    }
    over(css);
  }

  /** What comes after it would lie over its edge below, which lies over theirs. */
  private void over(BandCss css) {
    if (cut(Side.BELOW)) {
      css.put(
          "#g-" + section.id(),
          "z-index",
          band -> at(Side.BELOW, band).straight() ? "auto" : Integer.toString(after));
    }
  }

  /** How far it reaches out, as an inset. */
  private String out(Side side, Band band) {
    return sides.contains(side) && !at(side, band).straight()
        ? "calc(-1*" + at(side, band).height().css() + ")"
        : "0px";
  }

  private static String polygon(Side side, SectionEdge edge) {
    if (edge.straight()) {
      return "polygon(0 0)";
    }
    boolean above = side == Side.ABOVE;
    return points(
        Stream.of(
            Stream.of(above ? "0 100%" : "0 0"),
            edge.profile().stream()
                .map(p -> share(p.along()) + " " + share(above ? 1 - p.high() : p.high())),
            Stream.of(above ? "100% 100%" : "100% 0")));
  }

  /** Both edges of one box. */
  private String whole(Band band) {
    return points(
        Stream.of(
            side(Side.ABOVE, band, p -> "calc(" + cutOff(Side.ABOVE, band, p) + ")"),
            side(Side.BELOW, band, p -> "calc(100% - " + cutOff(Side.BELOW, band, p) + ")")));
  }

  private Stream<String> side(Side side, Band band, Function<EdgeShape.Point, String> down) {
    List<EdgeShape.Point> profile =
        sides.contains(side) && !at(side, band).straight()
            ? at(side, band).profile()
            : List.of(new EdgeShape.Point(0, 1), new EdgeShape.Point(1, 1));
    // From left to right above, and back below.
    return (side == Side.ABOVE ? profile : profile.reversed())
        .stream().map(p -> share(p.along()) + " " + down.apply(p));
  }

  private String cutOff(Side side, Band band, EdgeShape.Point point) {
    return number(1 - point.high())
        + "*"
        + (sides.contains(side) ? at(side, band).height().css() : "0px");
  }

  private static String points(Stream<Stream<String>> parts) {
    return parts.flatMap(Function.identity()).collect(Collectors.joining(",", "polygon(", ")"));
  }

  private static String share(double share) {
    return number(100 * share) + "%";
  }

  private static String number(double value) {
    String text = String.format(Locale.ROOT, "%.2f", value);
    return text.replaceAll("0+$", "").replaceAll("\\.$", "").replaceAll("^-0$", "0");
  }
}
