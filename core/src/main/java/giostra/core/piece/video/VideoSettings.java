package giostra.core.piece.video;

import giostra.core.page.GridSettings;
import giostra.core.page.PieceSettings;
import giostra.core.value.Aspect;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.SeveralKind;
import giostra.core.value.ToggleKind;
import giostra.core.value.WholeKind;
import java.util.List;
import java.util.Optional;

/** What can be set on a video piece, beside {@link PieceSettings}. */
public final class VideoSettings {
  /** The shape of the place of a clip. */
  public enum Ratio {
    AS_CLIP,
    WIDE,
    CINEMA,
    CLASSIC,
    SQUARE,
    TALL;

    /** None where it is that of the clip itself. */
    public Optional<Aspect> aspect() {
      return switch (this) {
        case AS_CLIP -> Optional.empty();
        case WIDE -> Optional.of(USUAL);
        case CINEMA -> Optional.of(new Aspect(21, 9));
        case CLASSIC -> Optional.of(new Aspect(4, 3));
        case SQUARE -> Optional.of(Aspect.SQUARE);
        case TALL -> Optional.of(new Aspect(9, 16));
      };
    }
  }

  /** The shape that is reserved for a clip whose own is not known. Common practice, no source. */
  public static final Aspect USUAL = new Aspect(16, 9);

  public static final String PLAY = "play";
  public static final String SCRUB = "scrub";
  public static final String TIME = "time";
  public static final String VOLUME = "volume";
  public static final String CAPTIONS = "captions";
  public static final String SPEED = "speed";
  public static final String WINDOW = "picture-in-picture";
  public static final String SCREEN = "full-screen";

  /** The controls, in the order in which they stand. */
  public static final List<String> ALL_CONTROLS =
      List.of(PLAY, SCRUB, TIME, VOLUME, CAPTIONS, SPEED, WINDOW, SCREEN);

  public static final Setting<Boolean> START_BUTTON =
      Setting.once("startButton", "Start button", new ToggleKind(), true);
  public static final Setting<List<String>> CONTROLS =
      Setting.once("controls", "Control bar", new SeveralKind(ALL_CONTROLS), ALL_CONTROLS);
  public static final Setting<Integer> DARKEN =
      Setting.once("darken", "Poster darkens on hover, %", new WholeKind(0, 90), 25);
  public static final Setting<Boolean> AUTOPLAY =
      Setting.once("autoplay", "Starts by itself", new ToggleKind(), false);
  public static final Setting<Boolean> MUTED =
      Setting.once("muted", "Without sound", new ToggleKind(), false);
  public static final Setting<Boolean> LOOP =
      Setting.once("loop", "Over and over", new ToggleKind(), false);
  public static final Setting<Length> COMFORT_FROM =
      PieceSettings.comfort("comfortFrom", "Comfortable from", 280);
  public static final Setting<Length> COMFORT_TO =
      PieceSettings.comfort("comfortTo", "Comfortable to", 1280);
  public static final Setting<Ratio> RATIO =
      Setting.byBand("ratio", "Shape", new PickKind<>(Ratio.class), Ratio.AS_CLIP);

  static final List<Setting<?>> ALL =
      PieceSettings.with(
          List.of(
              START_BUTTON,
              CONTROLS,
              DARKEN,
              AUTOPLAY,
              MUTED,
              LOOP,
              COMFORT_FROM,
              COMFORT_TO,
              RATIO,
              GridSettings.COLUMNS,
              GridSettings.GAP,
              GridSettings.LAST_ROW));

  private VideoSettings() {}
}
