package giostra.core.page;

import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.SizeKind;
import giostra.core.value.ToggleKind;
import giostra.core.value.WholeKind;
import java.util.List;

/** What can be set on items that stand in rows: flip boxes and counters. */
public final class GridSettings {
  /** Where the items of a last row that is not full stand. */
  public enum LastRow {
    START,
    CENTER,
    STRETCH
  }

  /** What decides how high items are. */
  public enum Heights {
    ROW,
    ALL,
    OWN
  }

  public static final Setting<Integer> COLUMNS =
      Setting.byBand("columns", "Columns", new WholeKind(1, 12), 3);
  public static final Setting<Length> GAP =
      Setting.byBand("gap", "Gap", new SizeKind(0, 400), Length.px(24));
  public static final Setting<LastRow> LAST_ROW =
      Setting.byBand("lastRow", "Last row", new PickKind<>(LastRow.class), LastRow.START);
  public static final Setting<Heights> HEIGHTS =
      Setting.byBand("heights", "Heights", new PickKind<>(Heights.class), Heights.ROW);
  public static final Setting<Boolean> DIVIDERS =
      Setting.byBand("dividers", "Dividers", new ToggleKind(), false);
  public static final Setting<Boolean> ROW_DIVIDERS =
      Setting.byBand("rowDividers", "Dividers between rows", new ToggleKind(), false);
  public static final Setting<Length> DIVIDER_INSET =
      Setting.byBand("dividerInset", "Divider inset", new SizeKind(0, 60, false), Length.px(8));

  public static final List<Setting<?>> ALL =
      List.of(COLUMNS, GAP, LAST_ROW, HEIGHTS, DIVIDERS, ROW_DIVIDERS, DIVIDER_INSET);

  private GridSettings() {}
}
