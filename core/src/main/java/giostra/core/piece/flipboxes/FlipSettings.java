package giostra.core.piece.flipboxes;

import giostra.core.page.DriveSettings;
import giostra.core.page.GridSettings;
import giostra.core.page.ItemSettings;
import giostra.core.page.PanelSettings;
import giostra.core.page.PieceSettings;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.SizeKind;
import giostra.core.value.Step;
import giostra.core.value.TimeKind;
import java.time.Duration;
import java.util.List;

/** What can be set on flip boxes, beside {@link GridSettings} and {@link PieceSettings}. */
public final class FlipSettings {
  /** The way a box turns. */
  public enum Turn {
    LEFT,
    RIGHT,
    UP,
    DOWN
  }

  /** How far a box turns. */
  public enum Manner {
    /** Half a turn about its middle. */
    HALF,
    /** A quarter about an edge, like a door. */
    SWING
  }

  public static final Setting<Turn> TURN =
      Setting.once("turn", "Turns", new PickKind<>(Turn.class), Turn.LEFT).in(Step.DRIVE);
  public static final Setting<Manner> MANNER =
      Setting.once("manner", "Manner", new PickKind<>(Manner.class), Manner.HALF).in(Step.DRIVE);
  public static final Setting<Duration> DURATION =
      Setting.once("duration", "Duration", TimeKind.ms(0, 3000), Duration.ofMillis(600))
          .in(Step.DRIVE);
  public static final Setting<PanelSettings.Trigger> TRIGGER =
      Setting.once(
              "trigger",
              "Turns on",
              new PickKind<>(PanelSettings.Trigger.class),
              PanelSettings.Trigger.HOVER)
          .in(Step.DRIVE);
  public static final Setting<Length> COMFORT_FROM =
      PieceSettings.comfort("comfortFrom", "Comfortable from", 220);
  public static final Setting<Length> COMFORT_TO =
      PieceSettings.comfort("comfortTo", "Comfortable to", 420);
  public static final Setting<Length> LEAST_HEIGHT =
      Setting.byBand("leastHeight", "Least height", new SizeKind(80, 1200, false), Length.px(260));

  static final List<Setting<?>> ALL =
      PieceSettings.with(
          ItemSettings.joined(
              List.of(
                  PieceSettings.ICON,
                  TURN,
                  MANNER,
                  DURATION,
                  TRIGGER,
                  DriveSettings.INTENT,
                  COMFORT_FROM,
                  COMFORT_TO),
              GridSettings.ALL,
              List.of(LEAST_HEIGHT)));

  private FlipSettings() {}
}
