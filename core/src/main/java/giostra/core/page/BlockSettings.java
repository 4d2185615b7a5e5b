package giostra.core.page;

import giostra.core.value.Aspect;
import giostra.core.value.Focus;
import giostra.core.value.Length;
import giostra.core.value.MarkupKind;
import giostra.core.value.PickKind;
import giostra.core.value.PictureKind;
import giostra.core.value.PointKind;
import giostra.core.value.RatioKind;
import giostra.core.value.RichKind;
import giostra.core.value.Setting;
import giostra.core.value.Shares;
import giostra.core.value.SizeKind;
import giostra.core.value.TokenKind;
import giostra.core.value.WholeKind;
import giostra.core.value.WordsKind;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

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
    TALL;

    /** None where it is that of the picture itself. */
    public Optional<Aspect> aspect() {
      return switch (this) {
        case AS_IS -> Optional.empty();
        case WIDE -> Optional.of(new Aspect(16, 9));
        case SQUARE -> Optional.of(Aspect.SQUARE);
        case TALL -> Optional.of(new Aspect(4, 5));
      };
    }
  }

  public static final Setting<String> HEADING_TEXT =
      Setting.once("text", "Heading", new WordsKind(300, false), "");
  public static final Setting<Integer> LEVEL =
      Setting.once("level", "Level", new WholeKind(1, 6), 2);
  public static final Setting<Side> ALIGN =
      Setting.byBand("align", "Alignment", new PickKind<>(Side.class), Side.START);
  public static final Setting<String> PARAGRAPHS =
      Setting.once("text", "Text", new RichKind(40_000), "");

  /** Lines longer than about 75 characters are tiring; common practice, no source. */
  public static final Setting<Length> LINE_MEASURE =
      Setting.byBand("measure", "Line measure", new SizeKind(120, 2560), Length.px(640));

  public static final Setting<String> SOURCE =
      Setting.once("picture", "Picture", new PictureKind(), "");
  public static final Setting<String> ALT =
      Setting.once("alt", "Text alternative", new WordsKind(400, false), "");
  public static final Setting<Shape> SHAPE =
      Setting.byBand("shape", "Shape", new PickKind<>(Shape.class), Shape.AS_IS);
  public static final Setting<String> LABEL =
      Setting.once("label", "Label", new WordsKind(120, false), "");
  public static final LinkSettings LINK = LinkSettings.of("link", "Link");
  public static final Setting<String> MARKUP =
      Setting.once("markup", "HTML", new MarkupKind(40_000), "");
  public static final Setting<Focus> FOCUS =
      Setting.once("focus", "Focal point", new PointKind(), Focus.CENTER);
  public static final Setting<Shares> RATIO =
      Setting.byBand("ratio", "Columns", new RatioKind(), new Shares(List.of(1, 1)));
  public static final Setting<Length> GAP =
      Setting.byBand("gap", "Gap", new SizeKind(0, 400), Length.px(32));

  /** Places of the columns in a band, from 1: {@code 2 1} puts the second first. */
  public static final Setting<String> ORDER =
      Setting.byBand(
          "order",
          "Order",
          new TokenKind("[1-6]( [1-6]){0,5}", "places of the columns such as 2 1, or empty"),
          "");

  /**
   * Columns in the order in which they are seen.
   *
   * @param order as {@link #ORDER} has it; columns that it does not name keep their places
   * @return places of the columns in the document, from 0
   */
  public static List<Integer> seen(String order, int count) {
    List<String> named = List.of(order.split(" "));
    return IntStream.range(0, count)
        .boxed()
        .sorted(Comparator.comparingInt(i -> rank(named, i)))
        .toList();
  }

  private static int rank(List<String> named, int column) {
    int found = named.indexOf(Integer.toString(column + 1));
    return found < 0 ? column : found;
  }

  static final List<Setting<?>> HEADING = List.of(HEADING_TEXT, LEVEL, ALIGN);
  static final List<Setting<?>> TEXT = List.of(PARAGRAPHS, ALIGN, LINE_MEASURE);
  static final List<Setting<?>> PICTURE = List.of(SOURCE, ALT, FOCUS, SHAPE);
  static final List<Setting<?>> BUTTON =
      ItemSettings.joined(
          List.of(LABEL),
          LINK.all(),
          List.of(ItemSettings.BUTTON_ICON, ItemSettings.BUTTON_ICON_SIDE, ALIGN));
  static final List<Setting<?>> OWN_HTML = List.of(MARKUP);
  static final List<Setting<?>> COLUMNS = List.of(RATIO, GAP, ORDER, ProofSettings.LEFT);

  private BlockSettings() {}
}
