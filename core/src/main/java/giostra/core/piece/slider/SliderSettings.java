package giostra.core.piece.slider;

import giostra.core.page.DriveSettings;
import giostra.core.page.ItemSettings;
import giostra.core.page.PieceSettings;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.value.Aspect;
import giostra.core.value.Height;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Place;
import giostra.core.value.Setting;
import giostra.core.value.SizeKind;
import giostra.core.value.TallKind;
import giostra.core.value.ToggleKind;
import java.util.List;

/** What can be set on a slider, beside {@link TrackSettings} and {@link PieceSettings}. */
public final class SliderSettings {
  /** What a slide's picture is to its text. */
  public enum PictureUse {
    /** What the text stands on. */
    GROUND,
    /** It stands beside the text. */
    BESIDE,
    NONE
  }

  /** On which side of the text the picture stands. */
  public enum PictureSide {
    START,
    END,
    /** One slide on this side, the next on that. */
    ALTERNATE,
    /** Above the text. */
    ABOVE
  }

  /** How a whole slide is a link. */
  public enum WholeLink {
    NONE,
    /** Under its buttons, which lead where they lead. */
    BELOW,
    /** Over everything on it. */
    ABOVE
  }

  /** Of the picture that stands above the text of a slide. */
  public static final Aspect PICTURE_ABOVE = new Aspect(16, 10);

  public static final Setting<PictureUse> PICTURE_USE =
      Setting.byBand("pictureUse", "Picture", new PickKind<>(PictureUse.class), PictureUse.GROUND);
  public static final Setting<PictureSide> PICTURE_SIDE =
      Setting.byBand(
          "pictureSide", "Picture’s side", new PickKind<>(PictureSide.class), PictureSide.START);
  public static final Setting<Length> PICTURE_SHARE =
      Setting.byBand("pictureShare", "Picture’s width", new SizeKind(40, 1600), Length.percent(50));
  public static final Setting<Height> HEIGHT =
      Setting.byBand("height", "Height", new TallKind(120, 1600), new Height.Fixed(Length.px(520)));
  public static final Setting<Length> WORDS_MEASURE =
      Setting.byBand("wordsMeasure", "Words’ measure", new SizeKind(120, 2560), Length.px(520));
  public static final Setting<Place> PLACE =
      Setting.byBand("place", "Content stands", new PickKind<>(Place.class), Place.START);
  public static final Setting<WholeLink> WHOLE_LINK =
      Setting.once(
          "wholeLink", "Whole slide is a link", new PickKind<>(WholeLink.class), WholeLink.NONE);
  public static final Setting<Boolean> NEIGHBOURS =
      Setting.once("neighbours", "Arrows show thumbnails", new ToggleKind(), false);
  public static final Setting<Arrows> ARROWS =
      Setting.byBand("arrows", "Arrows", new PickKind<>(Arrows.class), Arrows.OVER);

  static final List<Setting<?>> ALL =
      PieceSettings.with(
          ItemSettings.joined(
              DriveSettings.TRACK,
              DriveSettings.WORDS,
              List.of(
                  WHOLE_LINK,
                  NEIGHBOURS,
                  PieceSettings.ICON,
                  TrackSettings.FORM,
                  HEIGHT,
                  PICTURE_USE,
                  PICTURE_SIDE,
                  PICTURE_SHARE,
                  WORDS_MEASURE,
                  PLACE,
                  TrackSettings.GAP,
                  TrackSettings.ENDLESS,
                  TrackSettings.AXIS,
                  ARROWS,
                  TrackSettings.ARROW_DISTANCE,
                  TrackSettings.BACK_ICON,
                  TrackSettings.ON_ICON,
                  TrackSettings.MARKS,
                  TrackSettings.MARK_DISTANCE)));

  private SliderSettings() {}
}
