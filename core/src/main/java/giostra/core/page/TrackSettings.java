package giostra.core.page;

import giostra.core.page.BlockSettings.Side;
import giostra.core.value.AdvanceKind;
import giostra.core.value.IconKind;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.SizeKind;
import giostra.core.value.Stride;
import giostra.core.value.ToggleKind;
import giostra.core.value.WholeKind;

/** What can be set on a track, that of a carousel or that of a slider. */
public final class TrackSettings {
  /** The axis that a track runs along. */
  public enum Axis {
    ACROSS,
    DOWN
  }

  /** On which sides a neighbour shows. */
  public enum Sides {
    END,
    BOTH
  }

  /** Where the arrows stand. */
  public enum Arrows {
    BESIDE,
    BELOW,
    OVER,
    NONE
  }

  /** What shows where one is. */
  public enum Marks {
    DOTS,
    TALLY,
    BAR,
    THUMBNAILS,
    NAMES,
    NONE
  }

  /** What a carousel or slider is in a band. */
  public enum Form {
    /** Items on a track that moves. */
    TRACK,
    /** All items at once: a carousel's in rows, a slider's one under the other. */
    ALL
  }

  /** What decides how high items are: the tallest of all, or each for itself. */
  public enum Heights {
    ALL,
    OWN
  }

  public static final Setting<Form> FORM =
      Setting.byBand("form", "Form", new PickKind<>(Form.class), Form.TRACK);
  public static final Setting<Integer> IN_VIEW =
      Setting.byBand("inView", "In view", new WholeKind(1, 12), 3);
  public static final Setting<Length> GAP =
      Setting.byBand("gap", "Gap", new SizeKind(0, 400), Length.px(24));
  public static final Setting<Length> PEEK =
      Setting.byBand("peek", "Peek", new SizeKind(0, 400), Length.px(0));
  public static final Setting<Sides> PEEK_SIDES =
      Setting.byBand("peekSides", "Peek shows", new PickKind<>(Sides.class), Sides.END);
  public static final Setting<Stride> STRIDE =
      Setting.byBand("stride", "Stride", new AdvanceKind(), new Stride(1));
  public static final Setting<Boolean> ENDLESS =
      Setting.byBand("endless", "Endless", new ToggleKind(), false);
  public static final Setting<Axis> AXIS =
      Setting.byBand("axis", "Runs", new PickKind<>(Axis.class), Axis.ACROSS);
  public static final Setting<Length> TRACK_HEIGHT =
      Setting.byBand("trackHeight", "Track height", new SizeKind(80, 1600, false), Length.px(480));
  public static final Setting<Side> FEW =
      Setting.byBand("few", "Few items stand", new PickKind<>(Side.class), Side.START);
  public static final Setting<Boolean> STRETCH_FEW =
      Setting.byBand("stretchFew", "Stretch few items", new ToggleKind(), false);
  public static final Setting<Heights> HEIGHTS =
      Setting.byBand("heights", "Heights", new PickKind<>(Heights.class), Heights.ALL);
  public static final Setting<Arrows> ARROWS =
      Setting.byBand("arrows", "Arrows", new PickKind<>(Arrows.class), Arrows.BELOW);
  public static final Setting<Length> ARROW_DISTANCE =
      Setting.byBand("arrowDistance", "Arrow distance", new SizeKind(0, 200), Length.px(16));

  /** What stands in the arrows instead of the signs that ship; turned with the track, mirrored. */
  public static final Setting<String> BACK_ICON =
      Setting.once("arrowBackIcon", "Own arrow back", new IconKind(), "");

  public static final Setting<String> ON_ICON =
      Setting.once("arrowOnIcon", "Own arrow on", new IconKind(), "");
  public static final Setting<Marks> MARKS =
      Setting.byBand("marks", "Place marks", new PickKind<>(Marks.class), Marks.DOTS);
  public static final Setting<Length> MARK_DISTANCE =
      Setting.byBand("markDistance", "Mark distance", new SizeKind(0, 200), Length.px(20));

  private TrackSettings() {}
}
