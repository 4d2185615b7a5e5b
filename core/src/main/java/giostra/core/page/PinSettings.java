package giostra.core.page;

import giostra.core.page.DriveSettings.Entrance;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Place;
import giostra.core.value.Setting;
import giostra.core.value.SizeKind;
import giostra.core.value.Step;
import giostra.core.value.TimeKind;
import giostra.core.value.WordsKind;
import java.time.Duration;
import java.util.List;

/** What can be set on a pin: what it shows, where it stands on its slide, and how it comes in. */
public final class PinSettings {
  /** Px from the place that a pin stands at, at most, either way. */
  public static final double FARTHEST = 600;

  public static final Setting<String> WORDS =
      Setting.once("words", "Words", new WordsKind(120, false), "");

  /** In the box that the room around the words of a slide leaves. */
  public static final Setting<Place> PLACE =
      Setting.byBand("place", "Stands", new PickKind<>(Place.class), Place.TOP_END);

  /** From an edge inwards; from the middle along the way one reads. */
  public static final Setting<Length> ACROSS =
      Setting.byBand("across", "Inwards, across", offset(), Length.px(0));

  /** From an edge inwards; from the middle down. */
  public static final Setting<Length> DOWN =
      Setting.byBand("down", "Inwards, down", offset(), Length.px(0));

  public static final Setting<Entrance> COMES =
      Setting.once("comes", "Comes in", new PickKind<>(Entrance.class), Entrance.NONE)
          .in(Step.DRIVE);
  public static final Setting<Duration> COMES_AFTER =
      Setting.once(
              "comesAfter", "After its slide, by", TimeKind.ms(0, 5000), Duration.ofMillis(400))
          .in(Step.DRIVE);
  public static final Setting<Duration> COMES_TAKES =
      Setting.once("comesTakes", "Takes", TimeKind.ms(100, 3000), Duration.ofMillis(600))
          .in(Step.DRIVE);

  static final List<Setting<?>> ALL =
      List.of(
          WORDS,
          ItemSettings.ICON,
          ItemSettings.ICON_COLOURS,
          BlockSettings.SOURCE,
          BlockSettings.ALT,
          PLACE,
          ACROSS,
          DOWN,
          ItemSettings.SHOWN,
          COMES,
          COMES_AFTER,
          COMES_TAKES);

  private PinSettings() {}

  private static SizeKind offset() {
    return new SizeKind(-FARTHEST, FARTHEST, false);
  }
}
