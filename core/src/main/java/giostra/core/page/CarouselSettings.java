package giostra.core.page;

import giostra.core.band.Kind;
import giostra.core.band.Length;
import giostra.core.band.Setting;
import giostra.core.band.Stride;
import giostra.core.page.BlockSettings.Side;
import giostra.core.page.SectionSettings.Extent;
import java.util.List;

/** What can be set on a carousel. */
public final class CarouselSettings {
  /** What a card is made of. */
  public enum Card {
    QUOTATION(
        List.of(ItemSettings.PICTURE, ItemSettings.TEXT, ItemSettings.NAME, ItemSettings.ROLE)),
    PICTURE(
        List.of(
            ItemSettings.PICTURE,
            ItemSettings.ALT,
            ItemSettings.HEADING,
            ItemSettings.TEXT,
            ItemSettings.BUTTON,
            ItemSettings.LINK));

    private final List<Setting<String>> fields;

    Card(List<Setting<String>> fields) {
      this.fields = fields;
    }

    /** The fields of an item that it uses, in reading order. */
    public List<Setting<String>> fields() {
      return fields;
    }

    /** What a field is called on such a card. */
    public String label(Setting<?> field) {
      if (this == QUOTATION && field == ItemSettings.PICTURE) {
        return "Portrait";
      }
      return this == QUOTATION && field == ItemSettings.TEXT ? "Quotation" : field.label();
    }
  }

  /** The axis that a track runs along. */
  public enum Axis {
    ACROSS,
    DOWN
  }

  /** On which sides a neighbour shows. */
  public enum Sides {
    END,
    BOTH
  }

  /** Where the arrows stand. */
  public enum Arrows {
    BESIDE,
    BELOW,
    NONE
  }

  /** What shows where one is. */
  public enum Marks {
    DOTS,
    TALLY,
    BAR,
    NONE
  }

  public static final Setting<String> NAME =
      Setting.once("name", "Name", new Kind.Words(120, false), "");
  public static final Setting<Card> CARD =
      Setting.once("card", "Cards", new Kind.Pick<>(Card.class), Card.PICTURE);

  /** The widths between which a card is comfortable: a guide of the bench, never published. */
  public static final Setting<Length> COMFORT_FROM =
      Setting.once(
          "comfortFrom", "Comfortable from", new Kind.Size(40, 2560, false), Length.px(300));

  public static final Setting<Length> COMFORT_TO =
      Setting.once("comfortTo", "Comfortable to", new Kind.Size(40, 2560, false), Length.px(480));

  public static final Setting<Integer> IN_VIEW =
      Setting.byBand("inView", "In view", new Kind.Whole(1, 12), 3);
  public static final Setting<Length> GAP =
      Setting.byBand("gap", "Gap", new Kind.Size(0, 400), Length.px(24));
  public static final Setting<Length> PEEK =
      Setting.byBand("peek", "Peek", new Kind.Size(0, 400), Length.px(0));
  public static final Setting<Sides> PEEK_SIDES =
      Setting.byBand("peekSides", "Peek shows", new Kind.Pick<>(Sides.class), Sides.END);
  public static final Setting<Stride> STRIDE =
      Setting.byBand("stride", "Stride", new Kind.Advance(), new Stride(1));
  public static final Setting<Boolean> ENDLESS =
      Setting.byBand("endless", "Endless", new Kind.Toggle(), false);
  public static final Setting<Axis> AXIS =
      Setting.byBand("axis", "Runs", new Kind.Pick<>(Axis.class), Axis.ACROSS);
  public static final Setting<Length> TRACK_HEIGHT =
      Setting.byBand("trackHeight", "Track height", new Kind.Size(80, 1600, false), Length.px(480));
  public static final Setting<Side> FEW =
      Setting.byBand("few", "Few items stand", new Kind.Pick<>(Side.class), Side.START);
  public static final Setting<Boolean> STRETCH_FEW =
      Setting.byBand("stretchFew", "Stretch few items", new Kind.Toggle(), false);
  public static final Setting<Boolean> EQUAL_HEIGHTS =
      Setting.byBand("equalHeights", "Equal heights", new Kind.Toggle(), true);
  public static final Setting<Extent> EXTENT =
      Setting.byBand("extent", "Reaches", new Kind.Pick<>(Extent.class), Extent.MEASURE);
  public static final Setting<Length> WIDTH =
      Setting.byBand("width", "Width", new Kind.Size(80, 2560), Length.percent(100));
  public static final Setting<Side> ALIGN =
      Setting.byBand("align", "Stands", new Kind.Pick<>(Side.class), Side.CENTER);
  public static final Setting<Length> SPACE_ABOVE =
      Setting.byBand("spaceAbove", "Space above", new Kind.Size(0, 600), Length.px(0));
  public static final Setting<Length> SPACE_BELOW =
      Setting.byBand("spaceBelow", "Space below", new Kind.Size(0, 600), Length.px(0));
  public static final Setting<Arrows> ARROWS =
      Setting.byBand("arrows", "Arrows", new Kind.Pick<>(Arrows.class), Arrows.BELOW);
  public static final Setting<Length> ARROW_DISTANCE =
      Setting.byBand("arrowDistance", "Arrow distance", new Kind.Size(0, 200), Length.px(16));
  public static final Setting<Marks> MARKS =
      Setting.byBand("marks", "Place marks", new Kind.Pick<>(Marks.class), Marks.DOTS);
  public static final Setting<Length> MARK_DISTANCE =
      Setting.byBand("markDistance", "Mark distance", new Kind.Size(0, 200), Length.px(20));

  static final List<Setting<?>> ALL =
      List.of(
          NAME,
          CARD,
          COMFORT_FROM,
          COMFORT_TO,
          IN_VIEW,
          GAP,
          PEEK,
          PEEK_SIDES,
          STRIDE,
          ENDLESS,
          EQUAL_HEIGHTS,
          ARROWS,
          ARROW_DISTANCE,
          MARKS,
          MARK_DISTANCE,
          EXTENT,
          WIDTH,
          ALIGN,
          SPACE_ABOVE,
          SPACE_BELOW,
          FEW,
          STRETCH_FEW,
          AXIS,
          TRACK_HEIGHT);

  private CarouselSettings() {}
}
