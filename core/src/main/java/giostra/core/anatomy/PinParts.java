package giostra.core.anatomy;

import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.edged;
import static giostra.core.anatomy.Initially.framed;
import static giostra.core.anatomy.Initially.gap;
import static giostra.core.anatomy.Initially.ground;
import static giostra.core.anatomy.Initially.grounded;
import static giostra.core.anatomy.Initially.layered;
import static giostra.core.anatomy.Initially.lively;
import static giostra.core.anatomy.Initially.none;
import static giostra.core.anatomy.Initially.padded;
import static giostra.core.anatomy.Initially.plain;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.words;

import giostra.core.look.Part;
import giostra.core.look.State;
import giostra.core.value.Family;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeStyle;
import java.util.List;

/** Parts of what is pinned to a slide: its box, and what may stand in it. */
public final class PinParts {
  /** Around all of it: bare, so that a cut-out is nothing but its picture. */
  public static final Part PIN =
      layered(
          lively(
              edged(
                  corners(
                      ground(
                          padded(
                              gap(Part.of("pin.box", "Pin", State.HOVER), rem(0.35)),
                              px(0),
                              px(0),
                              px(0)),
                          none()),
                      px(0)))));

  public static final Part PIN_PICTURE =
      corners(
          framed(Initially.size(Part.of("pin.picture", "Pin’s picture"), px(120), 12, 800)), px(0));

  public static final Part PIN_ICON =
      Initially.drawn(
          grounded(
              Initially.around(Initially.size(Part.of("pin.icon", "Pin’s icon"), 32, 8, 200))));

  /** Its words have a ground of their own: whatever lies under them, they are read. */
  public static final Part PIN_WORDS =
      edged(
          corners(
              ground(
                  padded(
                      words(
                          Part.of("pin.words", "Pin’s words"),
                          TypeStyle.TEXT,
                          Family.TEXT,
                          650,
                          rem(0.95),
                          1.25,
                          ToneColour.GROUND),
                      rem(0.4),
                      rem(0.75),
                      rem(0.4)),
                  plain(ToneColour.ACCENT)),
              px(6)));

  public static final List<Part> ALL = List.of(PIN, PIN_PICTURE, PIN_ICON, PIN_WORDS);

  private PinParts() {}
}
