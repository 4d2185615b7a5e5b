package giostra.core.piece.carousel;

import giostra.core.page.BlockSettings.Side;
import giostra.core.page.DriveSettings;
import giostra.core.page.ItemSettings;
import giostra.core.page.PieceSettings;
import giostra.core.page.TrackSettings;
import giostra.core.value.Aspect;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.SizeKind;
import java.util.List;
import java.util.Optional;

/** What can be set on a carousel, beside {@link TrackSettings} and {@link PieceSettings}. */
public final class CarouselSettings {
  /** What a card is made of. */
  public enum Card {
    QUOTATION,
    PICTURE
  }

  /** What is drawn around a card. */
  public enum Frame {
    NONE,
    BOX,
    /** A box with a tail towards the portrait, which stands outside of it. */
    TAIL
  }

  /** On which side of a quotation the portrait stands. */
  public enum Portrait {
    ABOVE,
    BELOW,
    START,
    END
  }

  /** Beside what the name's line stands. */
  public enum NameLine {
    PORTRAIT,
    TEXT
  }

  /** The shape that a card's picture is cut to. */
  public enum PictureShape {
    LANDSCAPE,
    WIDE,
    SQUARE,
    TALL,
    ROUND,
    AS_IS;

    /** That of a card's picture; none where it is that of the picture itself. */
    public Optional<Aspect> aspect() {
      return switch (this) {
        case LANDSCAPE -> Optional.of(new Aspect(4, 3));
        case WIDE -> Optional.of(new Aspect(16, 9));
        case SQUARE, ROUND -> Optional.of(Aspect.SQUARE);
        case TALL -> Optional.of(new Aspect(4, 5));
        case AS_IS -> Optional.empty();
      };
    }

    /** That of a portrait, which is square unless it is asked to be something else. */
    public Aspect portrait() {
      return switch (this) {
        case LANDSCAPE, AS_IS, SQUARE, ROUND -> Aspect.SQUARE;
        case WIDE, TALL -> aspect().orElseThrow();
      };
    }
  }

  /** What of a card with a picture is the link of its item. */
  public enum LinkOn {
    HEADING,
    PICTURE,
    /** All of it, under its buttons and the links in its text. */
    CARD
  }

  public static final Setting<LinkOn> LINK_ON =
      Setting.once("linkOn", "A card’s link is on", new PickKind<>(LinkOn.class), LinkOn.HEADING);
  public static final Setting<Card> CARD =
      Setting.once("card", "Cards", new PickKind<>(Card.class), Card.PICTURE);
  public static final Setting<Frame> FRAME =
      Setting.once("frame", "Frame", new PickKind<>(Frame.class), Frame.BOX);
  public static final Setting<NameLine> NAME_LINE =
      Setting.once(
          "nameLine", "Name stands with", new PickKind<>(NameLine.class), NameLine.PORTRAIT);
  public static final Setting<Length> COMFORT_FROM =
      PieceSettings.comfort("comfortFrom", "Comfortable from", 300);
  public static final Setting<Length> COMFORT_TO =
      PieceSettings.comfort("comfortTo", "Comfortable to", 480);
  public static final Setting<Portrait> PORTRAIT =
      Setting.byBand("portrait", "Portrait stands", new PickKind<>(Portrait.class), Portrait.BELOW);
  public static final Setting<PictureShape> PICTURE_SHAPE =
      Setting.byBand(
          "pictureShape",
          "Picture shape",
          new PickKind<>(PictureShape.class),
          PictureShape.LANDSCAPE);
  public static final Setting<Length> PICTURE_WIDTH =
      Setting.byBand("pictureWidth", "Picture width", new SizeKind(24, 1200), Length.percent(100));
  public static final Setting<Side> PICTURE_PLACE =
      Setting.byBand("picturePlace", "Picture stands", new PickKind<>(Side.class), Side.START);

  /** Whether a portrait stands at a side of the quotation, not above or below. */
  public static boolean beside(Portrait side) {
    return side == Portrait.START || side == Portrait.END;
  }

  /** How wide a portrait is: nobody has the whole card filled with one who said nothing. */
  public static Length portraitWidth(Length pictureWidth) {
    return pictureWidth.equals(PICTURE_WIDTH.initial()) ? Length.px(56) : pictureWidth;
  }

  static final List<Setting<?>> ALL =
      PieceSettings.with(
          ItemSettings.joined(
              DriveSettings.TRACK,
              List.of(
                  CARD,
                  FRAME,
                  NAME_LINE,
                  LINK_ON,
                  PieceSettings.ICON,
                  COMFORT_FROM,
                  COMFORT_TO,
                  TrackSettings.FORM,
                  TrackSettings.IN_VIEW,
                  TrackSettings.GAP,
                  TrackSettings.PEEK,
                  TrackSettings.PEEK_SIDES,
                  TrackSettings.STRIDE,
                  TrackSettings.ENDLESS,
                  TrackSettings.HEIGHTS,
                  PORTRAIT,
                  PICTURE_SHAPE,
                  PICTURE_WIDTH,
                  PICTURE_PLACE,
                  TrackSettings.ARROWS,
                  TrackSettings.ARROW_DISTANCE,
                  TrackSettings.BACK_ICON,
                  TrackSettings.ON_ICON,
                  TrackSettings.MARKS,
                  TrackSettings.MARK_DISTANCE,
                  TrackSettings.FEW,
                  TrackSettings.STRETCH_FEW,
                  TrackSettings.AXIS,
                  TrackSettings.TRACK_HEIGHT)));

  private CarouselSettings() {}
}
