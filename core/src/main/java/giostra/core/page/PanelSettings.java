package giostra.core.page;

import giostra.core.value.Aspect;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.SizeKind;
import giostra.core.value.Step;
import giostra.core.value.WholeKind;
import java.util.List;

/** What tabs and accordions say of their panels and of how these open. */
public final class PanelSettings {
  /** What decides how high panels are. */
  public enum PanelHeight {
    OWN,
    TALLEST,
    FIXED
  }

  /** What opens a panel, beside tap and keyboard, which always do. */
  public enum Trigger {
    CLICK,
    HOVER,
    /** Where the keyboard comes to it. */
    FOCUS
  }

  /** Of the picture that stands over the text of a panel. */
  public static final Aspect PICTURE = new Aspect(16, 9);

  public static final Setting<Trigger> TRIGGER =
      Setting.once("trigger", "Opens on", new PickKind<>(Trigger.class), Trigger.CLICK)
          .in(Step.DRIVE);
  public static final Setting<PanelHeight> PANEL_HEIGHT =
      Setting.byBand(
          "panelHeight", "Panel height", new PickKind<>(PanelHeight.class), PanelHeight.OWN);
  public static final Setting<Length> PANEL_FIXED =
      Setting.byBand("panelFixed", "Fixed height", new SizeKind(80, 1600, false), Length.px(320));

  /** 0 takes the level below the last heading. */
  public static final Setting<Integer> LEVEL =
      Setting.once("level", "Heading level (0 is automatic)", new WholeKind(0, 6), 0);

  public static final List<Setting<?>> BY_BAND = List.of(PANEL_HEIGHT, PANEL_FIXED);

  private PanelSettings() {}
}
