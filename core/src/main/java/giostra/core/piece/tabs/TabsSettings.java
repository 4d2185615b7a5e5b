package giostra.core.piece.tabs;

import giostra.core.page.BlockSettings.Side;
import giostra.core.page.DriveSettings;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PanelSettings;
import giostra.core.page.PieceSettings;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.SizeKind;
import giostra.core.value.ToggleKind;
import giostra.core.value.WholeKind;
import java.util.List;

/** What can be set on tabs, beside {@link PanelSettings} and {@link PieceSettings}. */
public final class TabsSettings {
  /** What the piece is in a band. */
  public enum Form {
    TABS,
    ACCORDION
  }

  /** On which side of the panels the headings stand. */
  public enum HeadsSide {
    ABOVE,
    BELOW,
    START,
    END
  }

  /** How wide the headings of a row are. */
  public enum HeadsRow {
    NATURAL,
    FILL,
    GRID
  }

  /** What headings do that do not fit in one row. */
  public enum Overflow {
    WRAP,
    SCROLL
  }

  /** What shows the current one. */
  public enum Mark {
    NONE,
    LINE_BELOW,
    LINE_ABOVE,
    LINE_START,
    LINE_END,
    POINTER,
    FILL
  }

  /** Where an icon stands to its heading. */
  public enum IconPlace {
    BEFORE,
    ABOVE,
    AFTER
  }

  public static final Setting<Mark> MARK =
      Setting.once("mark", "Mark of the current", new PickKind<>(Mark.class), Mark.LINE_BELOW);
  public static final Setting<Boolean> HEADS_HIDDEN =
      Setting.once("headsHidden", "Hide the headings", new ToggleKind(), false);
  public static final Setting<Length> COMFORT_FROM =
      PieceSettings.comfort("comfortFrom", "Comfortable from", 120);
  public static final Setting<Length> COMFORT_TO =
      PieceSettings.comfort("comfortTo", "Comfortable to", 320);
  public static final Setting<Form> FORM =
      Setting.byBand("form", "Form", new PickKind<>(Form.class), Form.TABS);
  public static final Setting<HeadsSide> HEADS_SIDE =
      Setting.byBand(
          "headsSide", "Headings stand", new PickKind<>(HeadsSide.class), HeadsSide.ABOVE);
  public static final Setting<HeadsRow> HEADS_ROW =
      Setting.byBand(
          "headsRow", "Headings’ widths", new PickKind<>(HeadsRow.class), HeadsRow.NATURAL);
  public static final Setting<Integer> COLUMNS =
      Setting.byBand("columns", "Columns", new WholeKind(1, 12), 4);
  public static final Setting<Overflow> OVERFLOW =
      Setting.byBand(
          "overflow", "Where they do not fit", new PickKind<>(Overflow.class), Overflow.WRAP);
  public static final Setting<Length> HEADS_GAP =
      Setting.byBand("headsGap", "Gap of headings", new SizeKind(0, 120, false), Length.px(8));
  public static final Setting<Side> HEADS_ALIGN =
      Setting.byBand("headsAlign", "Headings align", new PickKind<>(Side.class), Side.START);
  public static final Setting<Length> HEADS_WIDTH =
      Setting.byBand(
          "headsWidth", "Headings’ width at a side", new SizeKind(80, 800), Length.px(240));
  public static final Setting<Length> HEADS_DISTANCE =
      Setting.byBand(
          "headsDistance", "Distance to the panel", new SizeKind(0, 120, false), Length.px(24));
  public static final Setting<IconPlace> ICON_PLACE =
      Setting.byBand("iconPlace", "Icon stands", new PickKind<>(IconPlace.class), IconPlace.BEFORE);
  public static final Setting<Boolean> DIVIDERS =
      Setting.byBand("dividers", "Dividers", new ToggleKind(), false);
  public static final Setting<Length> DIVIDER_INSET =
      Setting.byBand("dividerInset", "Divider inset", new SizeKind(0, 60, false), Length.px(8));

  static final List<Setting<?>> ALL =
      PieceSettings.with(
          ItemSettings.joined(
              List.of(
                  PieceSettings.ICON,
                  PanelSettings.TRIGGER,
                  DriveSettings.INTENT,
                  MARK,
                  HEADS_HIDDEN,
                  PanelSettings.LEVEL,
                  COMFORT_FROM,
                  COMFORT_TO,
                  FORM,
                  HEADS_SIDE,
                  HEADS_ROW,
                  COLUMNS,
                  OVERFLOW,
                  HEADS_GAP,
                  HEADS_ALIGN,
                  HEADS_WIDTH,
                  HEADS_DISTANCE,
                  ICON_PLACE,
                  DIVIDERS,
                  DIVIDER_INSET),
              PanelSettings.BY_BAND));

  private TabsSettings() {}

  /** Which of some tabs is open at first: the first that is marked so, or else the first. */
  public static int opens(List<Item> tabs) {
    for (int i = 0; i < tabs.size(); i++) {
      if (tabs.get(i).values().get(ItemSettings.OPEN)) {
        return i;
      }
    }
    return 0;
  }
}
