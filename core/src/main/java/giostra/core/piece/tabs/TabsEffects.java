package giostra.core.piece.tabs;

import giostra.core.piece.tabs.TabsSettings.Form;
import giostra.core.piece.tabs.TabsSettings.HeadsRow;
import giostra.core.piece.tabs.TabsSettings.HeadsSide;
import giostra.core.snag.Asked;
import giostra.core.snag.PanelEffects;
import giostra.core.snag.Said;
import java.util.List;

/** What of the settings of tabs cannot take effect. */
final class TabsEffects {
  private TabsEffects() {}

  static void find(Asked asked, Tabs tabs) {
    PanelEffects.find(asked);
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
}
