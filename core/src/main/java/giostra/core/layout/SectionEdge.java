package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.page.Document;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.value.EdgeShape;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Optional;

/**
 * One edge of a section in a band: its ground reaches over its neighbour's so high, in a shape. It
 * takes no room: sections stand where they would stand without it.
 *
 * @param profile from left to right; empty for an edge that is straight
 * @param height of the shape
 */
public record SectionEdge(List<EdgeShape.Point> profile, Length height) {

  /** Which edge: over the section or under it. */
  public enum Side {
    ABOVE(
        SectionSettings.EDGE_ABOVE,
        SectionSettings.EDGE_ABOVE_HEIGHT,
        SectionSettings.EDGE_ABOVE_MIRRORED,
        SectionSettings.SPACE_BELOW),
    BELOW(
        SectionSettings.EDGE_BELOW,
        SectionSettings.EDGE_BELOW_HEIGHT,
        SectionSettings.EDGE_BELOW_MIRRORED,
        SectionSettings.SPACE_ABOVE);

    private final Setting<EdgeShape> shape;
    private final Setting<Length> height;
    private final Setting<Boolean> mirrored;
    private final Setting<Length> free;

    Side(
        Setting<EdgeShape> shape,
        Setting<Length> height,
        Setting<Boolean> mirrored,
        Setting<Length> free) {
      this.shape = shape;
      this.height = height;
      this.mirrored = mirrored;
      this.free = free;
    }

    /** In which shape it is. */
    public Setting<EdgeShape> shape() {
      return shape;
    }

    /** How high it is. */
    public Setting<Length> height() {
      return height;
    }

    /** What the neighbour there keeps free of its own content. */
    public Setting<Length> free() {
      return free;
    }
  }

  /** The edge on one side, whether there is a neighbour to reach over or not. */
  public static SectionEdge of(Document document, Section section, Side side, Band band) {
    Length height = Resolution.value(document, section, side.height, band);
    if (height.constantPx() == 0) {
      return new SectionEdge(List.of(), height);
    }
    EdgeShape shape = Resolution.value(document, section, side.shape, band);
    boolean mirrored = Resolution.value(document, section, side.mirrored, band);
    boolean fromRight = document.mirrored();
    // It begins where lines begin.
    return new SectionEdge(mirrored != fromRight ? shape.mirrored() : shape.profile(), height);
  }

  /** Whether it is straight. */
  public boolean straight() {
    return profile.isEmpty();
  }

  /** The section that it reaches over; the first has none above, the last none below. */
  public static Optional<Section> neighbour(Document document, Section section, Side side) {
    List<Section> all = document.page().sections();
    int at = indexOf(all, section.id()) + (side == Side.ABOVE ? -1 : 1);
    return at < 0 || at >= all.size() ? Optional.empty() : Optional.of(all.get(at));
  }

  private static int indexOf(List<Section> all, String id) {
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).id().equals(id)) {
        return i;
      }
    }
    throw new IllegalArgumentException("no section " + id);
  }
}
