package giostra.core.anatomy;

import static giostra.core.anatomy.Initially.ground;
import static giostra.core.anatomy.Initially.plain;
import static giostra.core.anatomy.Initially.ruled;
import static giostra.core.anatomy.Initially.size;

import giostra.core.look.Part;
import giostra.core.value.ToneColour;

/** Parts of whatever stands in rows. */
public final class GridParts {
  public static final Part DIVIDER =
      ruled(ground(size(Part.of("grid.divider", "Divider"), 1, 1, 12), plain(ToneColour.LINE)));

  private GridParts() {}
}
