package giostra.core.snag;

import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import java.util.List;

/** What of the settings of panels cannot take effect. */
public final class PanelEffects {
  private PanelEffects() {}

  /** Says it of a piece that has panels. */
  public static void find(Asked asked) {
    if (asked.value(PanelSettings.PANEL_HEIGHT) != PanelHeight.FIXED) {
      asked.sayOf(
          List.of(PanelSettings.PANEL_FIXED),
          PanelSettings.PANEL_HEIGHT,
          Said.of("idle-panel-height-not"));
    }
  }
}
