package giostra.core.anatomy;

import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.em;
import static giostra.core.anatomy.Initially.ink;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.room;
import static giostra.core.anatomy.Initially.size;

import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.value.ToneColour;
import java.util.List;

/** Parts of whatever has panels. */
public final class PanelParts {

  // --- both ------------------------------------------------------------------------------------

  /** An icon or a thumbnail by a heading. */
  public static final Part SIGN =
      corners(size(Part.of("panel.heading-icon", "Heading’s icon"), em(1.5), 8, 120), px(4));

  public static final Part MARKER =
      ink(size(Part.of("panel.marker", "Marker"), 20, 8, 80), ToneColour.ACCENT);

  /** Between two things in a panel. */
  public static final Part INNER =
      room(Part.of("panel.content", "Panel’s content"), Property.ABOVE, rem(1));

  public static final Part PICTURE = corners(Part.of("panel.picture", "Panel’s picture"), px(12));

  public static final List<Part> ALL = List.of(SIGN, MARKER, INNER, PICTURE);

  private PanelParts() {}
}
