package giostra.core.piece.counters;

import giostra.core.page.GridSettings;
import giostra.core.page.ItemSettings;
import giostra.core.page.PieceSettings;
import giostra.core.value.DecimalKind;
import giostra.core.value.Easing;
import giostra.core.value.Easings;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.Step;
import giostra.core.value.TimeKind;
import giostra.core.value.ToggleKind;
import giostra.core.value.WholeKind;
import java.time.Duration;
import java.util.List;

/** What can be set on counters, beside {@link GridSettings} and {@link PieceSettings}. */
public final class CounterSettings {
  /** What paces the count. */
  public enum Pace {
    /** A duration. */
    TIME,
    /** A step at each beat. */
    STEP
  }

  /** How a count speeds up and slows down. Source of the curves: CSS Easing Functions. */
  public enum Curve {
    LINEAR,
    EASE,
    EASE_IN,
    EASE_OUT,
    EASE_IN_OUT,
    /** Runs a little past its end and comes back. */
    OVERSHOOT;

    /** The easing function. */
    public Easing easing() {
      return switch (this) {
        case LINEAR -> Easings.LINEAR;
        case EASE -> Easings.EASE;
        case EASE_IN -> Easings.EASE_IN;
        case EASE_OUT -> Easings.EASE_OUT;
        case EASE_IN_OUT -> Easings.EASE_IN_OUT;
        case OVERSHOOT -> Easings.OVERSHOOT;
      };
    }
  }

  /** The order of icon, number and title. */
  public enum Order {
    ICON_NUMBER_TITLE,
    ICON_TITLE_NUMBER,
    NUMBER_TITLE_ICON,
    TITLE_NUMBER_ICON,
    NUMBER_ICON_TITLE,
    TITLE_ICON_NUMBER
  }

  /** How often a count runs. */
  public enum Repeat {
    ONCE,
    EVERY_TIME
  }

  public static final Setting<Pace> PACE =
      Setting.once("pace", "Paced by", new PickKind<>(Pace.class), Pace.TIME).in(Step.DRIVE);
  public static final Setting<Duration> DURATION =
      Setting.once("duration", "Duration", TimeKind.ms(100, 30_000), Duration.ofMillis(1600))
          .in(Step.DRIVE);
  public static final Setting<Curve> CURVE =
      Setting.once("curve", "Curve", new PickKind<>(Curve.class), Curve.EASE_OUT).in(Step.DRIVE);
  public static final Setting<Double> STEP =
      Setting.once("step", "Step", new DecimalKind(1e-6, 1e9), 1.0).in(Step.DRIVE);
  public static final Setting<Duration> BEAT =
      Setting.once("beat", "Beat", TimeKind.ms(16, 5000), Duration.ofMillis(50)).in(Step.DRIVE);
  public static final Setting<Duration> DELAY =
      Setting.once("delay", "Starts after", TimeKind.ms(0, 10_000), Duration.ZERO).in(Step.DRIVE);

  /** From the start of one count to the start of the next; 0 starts all at once. */
  public static final Setting<Duration> SEQUENCE =
      Setting.once("sequence", "One after another by", TimeKind.ms(0, 10_000), Duration.ZERO)
          .in(Step.DRIVE);

  public static final Setting<Boolean> GROUPING =
      Setting.once("grouping", "Group digits", new ToggleKind(), true);
  public static final Setting<Boolean> COMPACT =
      Setting.once("compact", "Compact notation", new ToggleKind(), false);
  public static final Setting<Integer> STARTS_AT =
      Setting.once("startsAt", "Starts when in view, %", new WholeKind(0, 100), 40).in(Step.DRIVE);
  public static final Setting<Repeat> REPEAT =
      Setting.once("repeat", "Runs", new PickKind<>(Repeat.class), Repeat.ONCE).in(Step.DRIVE);
  public static final Setting<Length> COMFORT_FROM =
      PieceSettings.comfort("comfortFrom", "Comfortable from", 140);
  public static final Setting<Length> COMFORT_TO =
      PieceSettings.comfort("comfortTo", "Comfortable to", 360);
  public static final Setting<Order> ORDER =
      Setting.byBand("order", "Order", new PickKind<>(Order.class), Order.ICON_NUMBER_TITLE);

  static final List<Setting<?>> ALL =
      PieceSettings.with(
          ItemSettings.joined(
              List.of(
                  PieceSettings.ICON,
                  PACE,
                  DURATION,
                  CURVE,
                  STEP,
                  BEAT,
                  DELAY,
                  SEQUENCE,
                  GROUPING,
                  COMPACT,
                  STARTS_AT,
                  REPEAT,
                  COMFORT_FROM,
                  COMFORT_TO,
                  ORDER),
              GridSettings.ALL));

  private CounterSettings() {}
}
