package giostra.core.page;

import giostra.core.band.Kind;
import giostra.core.band.Length;
import giostra.core.band.Setting;
import giostra.core.band.Shares;
import java.util.List;

/** What can be set on plain blocks. */
public final class BlockSettings {
  /** Where something stands or a line starts. */
  public enum Side {
    START,
    CENTER,
    END
  }

  /** The shape a picture is cut to. */
  public enum Shape {
    AS_IS,
    WIDE,
    SQUARE,
    TALL
  }

  public static final Setting<String> HEADING_TEXT =
      Setting.once("text", "Heading", new Kind.Words(300, false), "");
  public static final Setting<Integer> LEVEL =
      Setting.once("level", "Level", new Kind.Whole(1, 6), 2);
  public static final Setting<Side> ALIGN =
      Setting.byBand("align", "Alignment", new Kind.Pick<>(Side.class), Side.START);
  public static final Setting<String> PARAGRAPHS =
      Setting.once("text", "Text", new Kind.Words(20_000, true), "");

  /** Lines longer than about 75 characters are tiring; common practice, no source. */
  public static final Setting<Length> LINE_MEASURE =
      Setting.byBand("measure", "Line measure", new Kind.Size(120, 2560), Length.px(640));

  public static final Setting<String> SOURCE =
      Setting.once("picture", "Picture", new Kind.Picture(), "");
  public static final Setting<String> ALT =
      Setting.once("alt", "Text alternative", new Kind.Words(400, false), "");
  public static final Setting<Shape> SHAPE =
      Setting.byBand("shape", "Shape", new Kind.Pick<>(Shape.class), Shape.AS_IS);
  public static final Setting<String> LABEL =
      Setting.once("label", "Label", new Kind.Words(120, false), "");
  public static final Setting<String> LINK = Setting.once("link", "Link", new Kind.Address(), "");
  public static final Setting<Shares> RATIO =
      Setting.byBand("ratio", "Columns", new Kind.Ratio(), new Shares(List.of(1, 1)));
  public static final Setting<Length> GAP =
      Setting.byBand("gap", "Gap", new Kind.Size(0, 400), Length.px(32));

  static final List<Setting<?>> HEADING = List.of(HEADING_TEXT, LEVEL, ALIGN);
  static final List<Setting<?>> TEXT = List.of(PARAGRAPHS, ALIGN, LINE_MEASURE);
  static final List<Setting<?>> PICTURE = List.of(SOURCE, ALT, SHAPE);
  static final List<Setting<?>> BUTTON = List.of(LABEL, LINK, ALIGN);
  static final List<Setting<?>> COLUMNS = List.of(RATIO, GAP);

  private BlockSettings() {}
}
