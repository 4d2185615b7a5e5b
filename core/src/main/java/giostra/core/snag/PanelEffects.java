package giostra.core.snag;

import giostra.core.page.AccordionSettings;
import giostra.core.page.AccordionSettings.Rows;
import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import giostra.core.page.Piece;
import giostra.core.page.TabsSettings;
import giostra.core.page.TabsSettings.Form;
import giostra.core.page.TabsSettings.HeadsRow;
import giostra.core.page.TabsSettings.HeadsSide;
import java.util.List;

/** What of the settings of tabs and accordions cannot take effect. */
final class PanelEffects {
  private PanelEffects() {}

  /** Those of an accordion. */
  static void find(Asked asked) {
    panel(asked);
    if (asked.piece().values().get(AccordionSettings.ROWS) == Rows.JOINED) {
      asked.sayOf(
          List.of(AccordionSettings.GAP), AccordionSettings.ROWS, Said.of("idle-joined-rows-have"));
    }
  }

  /** Those of tabs. */
  static void find(Asked asked, Piece.Tabs tabs) {
    panel(asked);
    if (asked.value(TabsSettings.FORM) == Form.ACCORDION) {
      asked.sayOf(
          List.of(
              TabsSettings.HEADS_SIDE,
              TabsSettings.HEADS_ROW,
              TabsSettings.COLUMNS,
              TabsSettings.OVERFLOW,
              TabsSettings.HEADS_GAP,
              TabsSettings.HEADS_WIDTH,
              TabsSettings.DIVIDERS,
              TabsSettings.DIVIDER_INSET),
          TabsSettings.FORM,
          Said.of("idle-they-accordion-which"));
      return;
    }
    if (tabs.values().get(TabsSettings.HEADS_HIDDEN)) {
      asked.sayOf(
          List.of(TabsSettings.HEADS_SIDE, TabsSettings.HEADS_ROW, TabsSettings.HEADS_GAP),
          TabsSettings.HEADS_HIDDEN,
          Said.of("idle-headings-hidden"));
    }
    HeadsSide side = asked.value(TabsSettings.HEADS_SIDE);
    if (side == HeadsSide.START || side == HeadsSide.END) {
      asked.sayOf(
          List.of(TabsSettings.HEADS_ROW, TabsSettings.COLUMNS, TabsSettings.OVERFLOW),
          TabsSettings.HEADS_SIDE,
          Said.of("idle-headings-at-side"));
      return;
    }
    asked.sayOf(
        List.of(TabsSettings.HEADS_WIDTH),
        TabsSettings.HEADS_SIDE,
        Said.of("idle-headings-above-or"));
    if (asked.value(TabsSettings.HEADS_ROW) != HeadsRow.GRID) {
      asked.sayOf(
          List.of(TabsSettings.COLUMNS),
          TabsSettings.HEADS_ROW,
          Said.of("idle-headings-stand-row"));
    } else {
      asked.sayOf(
          List.of(TabsSettings.OVERFLOW),
          TabsSettings.HEADS_ROW,
          Said.of("idle-grid-headings-wraps"));
    }
    if (!asked.value(TabsSettings.DIVIDERS)) {
      asked.sayOf(
          List.of(TabsSettings.DIVIDER_INSET), TabsSettings.DIVIDERS, Said.of("idle-no-dividers"));
    }
  }

  private static void panel(Asked asked) {
    if (asked.value(PanelSettings.PANEL_HEIGHT) != PanelHeight.FIXED) {
      asked.sayOf(
          List.of(PanelSettings.PANEL_FIXED),
          PanelSettings.PANEL_HEIGHT,
          Said.of("idle-panel-height-not"));
    }
  }
}
