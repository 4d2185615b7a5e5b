package giostra.core.page;

import giostra.core.page.BlockSettings.Side;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.value.IconKind;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.SeveralKind;
import giostra.core.value.SizeKind;
import giostra.core.value.ToggleKind;
import giostra.core.value.WholeKind;
import giostra.core.value.WordsKind;
import java.util.List;

/** What can be set on a piece of any kind. */
public final class PieceSettings {
  public static final Setting<String> NAME =
      Setting.once("name", "Name", new WordsKind(120, false), "");

  /** Fields of the items that the piece does not show, whatever they hold. */
  public static final Setting<List<String>> FIELDS_OFF =
      Setting.once(
          "fieldsOff",
          "Fields switched off",
          new SeveralKind(
              List.of(
                  "kicker",
                  "icon",
                  "picture",
                  "heading",
                  "subheading",
                  "text",
                  "name",
                  "role",
                  "button",
                  "button2",
                  "link",
                  "thumbnail")),
          List.of());

  /** Words of a text that are shown; 0 shows all. */
  public static final Setting<Integer> SHORTEN =
      Setting.once("shorten", "Shorten texts to words", new WholeKind(0, 400), 0);

  /** Shown by every item that has none of its own. */
  public static final Setting<String> ICON =
      Setting.once("icon", "Icon of all items", new IconKind(), "");

  public static final Setting<String> TITLE =
      Setting.once("title", "Heading over it", new WordsKind(300, false), "");
  public static final Setting<String> TITLE_BUTTON =
      Setting.once("titleButton", "Button over it", new WordsKind(120, false), "");
  public static final LinkSettings TITLE_LINK = LinkSettings.of("titleLink", "Link over it");
  public static final Setting<Boolean> HIDDEN =
      Setting.once("hidden", "Hidden", new ToggleKind(), false);
  public static final Setting<Boolean> DISABLED =
      Setting.once("disabled", "Disabled", new ToggleKind(), false);
  public static final Setting<String> TOOLTIP =
      Setting.once("tooltip", "Tooltip", new WordsKind(200, false), "");
  public static final Setting<Boolean> SHOWN =
      Setting.byBand("shown", "Shown", new ToggleKind(), true);
  public static final Setting<Extent> EXTENT =
      Setting.byBand("extent", "Reaches", new PickKind<>(Extent.class), Extent.MEASURE);
  public static final Setting<Length> WIDTH =
      Setting.byBand("width", "Width", new SizeKind(80, 2560), Length.percent(100));
  public static final Setting<Side> ALIGN =
      Setting.byBand("align", "Stands", new PickKind<>(Side.class), Side.CENTER);
  public static final Setting<Length> SPACE_ABOVE =
      Setting.byBand("spaceAbove", "Space above", new SizeKind(0, 600), Length.px(0));
  public static final Setting<Length> SPACE_BELOW =
      Setting.byBand("spaceBelow", "Space below", new SizeKind(0, 600), Length.px(0));
  public static final Setting<Side> TEXT_ALIGN =
      Setting.byBand("textAlign", "Text alignment", new PickKind<>(Side.class), Side.START);

  /** Said once, before what the kind itself asks. */
  static final List<Setting<?>> FIRST = List.of(NAME);

  /** Said once, after what the kind itself asks. */
  static final List<Setting<?>> ONCE =
      ItemSettings.joined(
          List.of(FIELDS_OFF, SHORTEN, TITLE, TITLE_BUTTON),
          TITLE_LINK.all(),
          List.of(HIDDEN, DISABLED, TOOLTIP, LookSettings.WORN),
          DriveSettings.ENTERS,
          MarkSettings.ALL,
          ConditionSettings.ALL,
          List.of(ProofSettings.OWN_CSS, ProofSettings.LEFT, Linking.LINKED_TO),
          Feed.ALL);

  /** By band, after what the kind itself asks. */
  static final List<Setting<?>> BY_BAND =
      List.of(EXTENT, WIDTH, ALIGN, SPACE_ABOVE, SPACE_BELOW, TEXT_ALIGN, SHOWN);

  /** All that a kind has: its own between what all have. */
  public static List<Setting<?>> with(List<Setting<?>> own) {
    return ItemSettings.joined(FIRST, own, ONCE, BY_BAND);
  }

  /** Widths between which an item is comfortable: a guide of the bench, never published. */
  public static Setting<Length> comfort(String id, String label, double px) {
    return Setting.once(id, label, new SizeKind(40, 2560, false), Length.px(px));
  }

  private PieceSettings() {}
}
