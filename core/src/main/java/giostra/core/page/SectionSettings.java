package giostra.core.page;

import giostra.core.value.EdgeShape;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.PictureKind;
import giostra.core.value.Setting;
import giostra.core.value.SizeKind;
import giostra.core.value.Step;
import giostra.core.value.ToggleKind;
import giostra.core.value.WholeKind;
import giostra.core.value.WordsKind;
import java.util.List;

/** What can be set on a section. */
public final class SectionSettings {
  /** How far a section or a piece reaches. */
  public enum Extent {
    /** The content width of the page. */
    MEASURE,
    /** The full width of the screen. */
    EDGE
  }

  /** The ground a section stands on, with the ink that can be read on it. */
  public enum Tone {
    PAPER,
    LEAF,
    DUSK,
    OWN_1,
    OWN_2,
    OWN_3,
    OWN_4,
    OWN_5,
    OWN_6
  }

  public static final Setting<String> NAME =
      Setting.once("name", "Name", new WordsKind(120, false), "");
  public static final Setting<Tone> TONE =
      Setting.once("tone", "Tone", new PickKind<>(Tone.class), Tone.PAPER);
  public static final Setting<String> GROUND =
      Setting.once("ground", "Ground picture", new PictureKind(), "");
  public static final Setting<Extent> EXTENT =
      Setting.byBand("extent", "Reaches", new PickKind<>(Extent.class), Extent.MEASURE);

  /** Initially what the site says. */
  public static final Setting<Length> PADDING =
      Setting.byBand("padding", "Side padding", new SizeKind(0, 400), Length.px(40));

  public static final Setting<Length> SPACE_ABOVE =
      Setting.byBand("spaceAbove", "Space above", new SizeKind(0, 600), Length.px(72));
  public static final Setting<Length> SPACE_BELOW =
      Setting.byBand("spaceBelow", "Space below", new SizeKind(0, 600), Length.px(72));

  /** Its ground reaches over its neighbour's in this shape. */
  public static final Setting<EdgeShape> EDGE_ABOVE = edge("edgeAbove", "Edge above");

  public static final Setting<Length> EDGE_ABOVE_HEIGHT =
      edgeHeight("edgeAboveHeight", "Edge height above");
  public static final Setting<Boolean> EDGE_ABOVE_MIRRORED =
      edgeMirrored("edgeAboveMirrored", "Edge above mirrored");
  public static final Setting<EdgeShape> EDGE_BELOW = edge("edgeBelow", "Edge below");
  public static final Setting<Length> EDGE_BELOW_HEIGHT =
      edgeHeight("edgeBelowHeight", "Edge height below");
  public static final Setting<Boolean> EDGE_BELOW_MIRRORED =
      edgeMirrored("edgeBelowMirrored", "Edge below mirrored");

  /** By how much more slowly than the page the picture under it moves, when that is scrolled. */
  public static final Setting<Integer> DEPTH =
      Setting.byBand("depth", "Ground slower than the page, %", new WholeKind(0, 60), 0)
          .in(Step.DRIVE);

  static final List<Setting<?>> ALL =
      List.of(
          NAME,
          TONE,
          GROUND,
          DEPTH,
          Linking.LINKED_TO,
          EXTENT,
          PADDING,
          SPACE_ABOVE,
          SPACE_BELOW,
          EDGE_ABOVE,
          EDGE_ABOVE_HEIGHT,
          EDGE_ABOVE_MIRRORED,
          EDGE_BELOW,
          EDGE_BELOW_HEIGHT,
          EDGE_BELOW_MIRRORED,
          ProofSettings.OWN_CSS,
          ProofSettings.LEFT);

  private static Setting<EdgeShape> edge(String id, String label) {
    return Setting.byBand(id, label, new PickKind<>(EdgeShape.class), EdgeShape.NONE);
  }

  private static Setting<Length> edgeHeight(String id, String label) {
    return Setting.byBand(id, label, new SizeKind(0, 400, false), Length.px(48));
  }

  private static Setting<Boolean> edgeMirrored(String id, String label) {
    return Setting.byBand(id, label, new ToggleKind(), false);
  }

  private SectionSettings() {}
}
