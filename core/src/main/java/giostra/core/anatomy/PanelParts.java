package giostra.core.anatomy;

import static giostra.core.anatomy.Initially.around;
import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.em;
import static giostra.core.anatomy.Initially.framed;
import static giostra.core.anatomy.Initially.ground;
import static giostra.core.anatomy.Initially.ink;
import static giostra.core.anatomy.Initially.none;
import static giostra.core.anatomy.Initially.opacity;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.room;
import static giostra.core.anatomy.Initially.size;

import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.ToneColour;
import java.util.List;

/** Parts of whatever has panels. */
public final class PanelParts {

  // --- both ------------------------------------------------------------------------------------

  /** An icon or a thumbnail by a heading. */
  public static final Part SIGN =
      Initially.drawn(
          opacity(
              corners(
                  around(
                      size(
                          Part.of(
                              "panel.heading-icon", "Heading’s icon", State.CURRENT, State.HOVER),
                          em(1.5),
                          8,
                          120)),
                  px(4)),
              1));

  public static final Part MARKER =
      corners(
          ground(
              ink(
                  size(Part.of("panel.marker", "Marker", State.CURRENT, State.HOVER), 20, 8, 80),
                  ToneColour.ACCENT),
              none()),
          px(0));

  /** Between two things in a panel. */
  public static final Part INNER =
      room(Part.of("panel.content", "Panel’s content"), Property.ABOVE, rem(1));

  public static final Part PICTURE =
      Initially.placed(framed(corners(Part.of("panel.picture", "Panel’s picture"), px(12))));

  public static final List<Part> ALL = List.of(SIGN, MARKER, INNER, PICTURE);

  private PanelParts() {}
}
