package giostra.core.anatomy;

import static giostra.core.anatomy.Initially.border;
import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.ground;
import static giostra.core.anatomy.Initially.ink;
import static giostra.core.anatomy.Initially.lively;
import static giostra.core.anatomy.Initially.none;
import static giostra.core.anatomy.Initially.opacity;
import static giostra.core.anatomy.Initially.own;
import static giostra.core.anatomy.Initially.padded;
import static giostra.core.anatomy.Initially.plain;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.ring;
import static giostra.core.anatomy.Initially.size;
import static giostra.core.anatomy.Initially.words;

import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.Around;
import giostra.core.value.Family;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.LineStyle;
import giostra.core.value.PaintKind;
import giostra.core.value.PickKind;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeStyle;
import java.util.List;

/** Parts of sliders and carousels: what moves them, their slides, their cards. */
public final class TrackParts {
  public static final Part ARROW =
      lively(
              opacity(
                  corners(
                      border(
                          ground(
                              ink(
                                  size(
                                      Part.of(
                                          "track.arrow",
                                          "Arrow",
                                          State.FOCUS,
                                          State.HOVER,
                                          State.PRESSED,
                                          State.DISABLED),
                                      44,
                                      24,
                                      120),
                                  ToneColour.ACCENT),
                              none()),
                          1,
                          Ink.of(ToneColour.ACCENT)),
                      Length.percent(50)),
                  1))
          .in(State.HOVER, Property.GROUND, plain(ToneColour.ACCENT))
          .in(State.HOVER, Property.INK, Ink.of(ToneColour.GROUND))
          .in(State.DISABLED, Property.OPACITY, 0.38);

  /** The sign in an arrow. */
  public static final Part ARROW_ICON =
      Initially.drawn(size(Part.of("track.arrow-icon", "Arrow’s icon"), 22, 8, 100));

  /** A dot among the marks of the stops. */
  public static final Part MARK =
      ground(
              corners(
                  border(
                      size(Part.of("track.mark", "Mark", State.CURRENT, State.HOVER), 10, 4, 24),
                      2,
                      Ink.of(ToneColour.ACCENT)),
                  Length.percent(50)),
              none())
          .in(State.CURRENT, Property.GROUND, plain(ToneColour.ACCENT));

  public static final Part TALLY =
      words(
          Part.of("track.tally", "Tally"),
          TypeStyle.SMALL,
          Family.TEXT,
          400,
          rem(1),
          1.5,
          ToneColour.QUIET);

  /** The bar that tells how far a track has moved: its ink is what has passed. */
  public static final Part BAR =
      corners(
          ground(
              ink(size(Part.of("track.bar", "Progress bar"), 4, 1, 24), ToneColour.ACCENT),
              plain(ToneColour.LINE)),
          px(2));

  public static final Part THUMBNAIL =
      opacity(
              corners(
                  ground(
                      ink(Part.of("track.thumbnail", "Thumbnail", State.CURRENT), ToneColour.INK),
                      plain(ToneColour.LINE)),
                  px(8)),
              0.62)
          .in(State.CURRENT, Property.OPACITY, 1.0);

  public static final Part NAME =
      padded(
              words(
                  Part.of("track.name", "Name of a stop", State.CURRENT, State.HOVER),
                  TypeStyle.SMALL,
                  Family.TEXT,
                  400,
                  rem(0.9375),
                  1.6,
                  ToneColour.QUIET),
              rem(0.3),
              rem(0.6),
              rem(0.3))
          .with(Property.BORDER, "Line below", Initially.ONE_LINE, Around.all(px(2)))
          .with(
              Property.BORDER_STYLE,
              "Line’s style",
              new PickKind<>(LineStyle.class),
              LineStyle.SOLID)
          .with(Property.BORDER_INK, "Line’s colour", new PaintKind(), own("#00000000"))
          .in(State.CURRENT, Property.INK, Ink.of(ToneColour.INK))
          .in(State.CURRENT, Property.BORDER_INK, Ink.of(ToneColour.ACCENT));

  /** The neighbour's picture by an arrow. */
  public static final Part NEIGHBOUR =
      corners(
          ground(Part.of("track.neighbour", "Neighbour’s picture"), plain(ToneColour.RAISED)),
          px(10));

  // --- slides ----------------------------------------------------------------------------------

  /** Holds what moves by itself: the track, and what moves behind a slide. */
  public static final Part HOLD =
      ring(
              ground(
                  corners(
                      size(
                              Part.of("slider.hold", "Pause button", State.FOCUS, State.HOVER),
                              44,
                              24,
                              96)
                          .with(Property.INK, new PaintKind(), own("#fffdf6")),
                      Length.percent(50)),
                  plain(own("#11201db8"))),
              1,
              own("#fffdf680"))
          .in(State.HOVER, Property.GROUND, plain(own("#11201d")));

  public static final List<Part> MOVING =
      List.of(ARROW, ARROW_ICON, MARK, TALLY, BAR, THUMBNAIL, NAME, NEIGHBOUR, HOLD);

  private TrackParts() {}
}
