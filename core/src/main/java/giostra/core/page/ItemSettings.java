package giostra.core.page;

import giostra.core.value.ClipKind;
import giostra.core.value.DecimalKind;
import giostra.core.value.Focus;
import giostra.core.value.IconKind;
import giostra.core.value.MovedKind;
import giostra.core.value.Nudge;
import giostra.core.value.PickKind;
import giostra.core.value.PictureKind;
import giostra.core.value.PointKind;
import giostra.core.value.RichKind;
import giostra.core.value.Setting;
import giostra.core.value.ToggleKind;
import giostra.core.value.WholeKind;
import giostra.core.value.WordsKind;
import java.util.List;
import java.util.stream.Stream;

/** The fields of items: one vocabulary for all kinds; {@link Fields} says which a piece uses. */
public final class ItemSettings {
  /** On which side of the words of a button its icon stands. */
  public enum IconSide {
    AFTER,
    BEFORE
  }

  /**
   * The way a flip box turns, or a slide's picture stands, where an item departs from its piece.
   */
  public enum Turn {
    AS_PIECE,
    LEFT,
    RIGHT,
    UP,
    DOWN
  }

  /** On which side of its text a slide's picture stands. */
  public enum Beside {
    AS_PIECE,
    START,
    END
  }

  /** The ground of a slide that has no picture for one. */
  public enum Ground {
    NONE,
    CARD,
    PAPER,
    LEAF,
    DUSK
  }

  /** How the picture of an item takes to its box. */
  public enum Fits {
    /** It fills the box, and is cut where it is of another shape. */
    FILLS,
    /** All of it shows, with room beside it where it is of another shape. */
    WHOLE
  }

  /** What happens on the page when an item becomes the current one. */
  public enum Action {
    NONE,
    MESSAGE,
    OPEN,
    GO
  }

  public static final Setting<String> KICKER = words("kicker", "Kicker", 120);
  public static final Setting<String> ICON = Setting.once("icon", "Icon", new IconKind(), "");
  public static final Setting<Boolean> ICON_COLOURS =
      Setting.once("iconColours", "Icon in its own colours", new ToggleKind(), false);
  public static final Setting<Nudge> ICON_NUDGE =
      Setting.once("iconNudge", "Icon nudged", new MovedKind(), Nudge.NONE);
  public static final Setting<String> PICTURE =
      Setting.once("picture", "Picture", new PictureKind(), "");

  /** A clip that plays over the picture of a slide, without sound and without end. */
  public static final Setting<String> GROUND_CLIP =
      Setting.once("groundClip", "Moving ground", new ClipKind(), "");

  public static final Setting<String> GROUND_CLIP_2 =
      Setting.once("groundClip2", "Moving ground, second format", new ClipKind(), "");
  public static final Setting<String> ALT = words("alt", "Text alternative", 400);
  public static final Setting<Focus> FOCUS =
      Setting.once("focus", "Focal point", new PointKind(), Focus.CENTER);
  public static final Setting<Fits> FIT =
      Setting.once("fit", "Picture in its box", new PickKind<>(Fits.class), Fits.FILLS);
  public static final Setting<String> HEADING = words("heading", "Heading", 300);
  public static final Setting<String> SUBHEADING = words("subheading", "Subheading", 300);
  public static final Setting<String> TEXT = Setting.once("text", "Text", new RichKind(20_000), "");
  public static final Setting<String> NAME = words("name", "Name", 120);
  public static final Setting<String> ROLE = words("role", "Role", 120);
  public static final Setting<String> BUTTON = words("button", "Button", 120);
  public static final LinkSettings BUTTON_LINK = LinkSettings.of("buttonLink", "Button’s link");
  public static final Setting<String> BUTTON_2 = words("button2", "Second button", 120);
  public static final LinkSettings BUTTON_2_LINK =
      LinkSettings.of("button2Link", "Second button’s link");
  public static final Setting<String> BUTTON_ICON =
      Setting.once("buttonIcon", "Button’s icon", new IconKind(), "");
  public static final Setting<String> BUTTON_2_ICON =
      Setting.once("button2Icon", "Second button’s icon", new IconKind(), "");

  /** Where icons stand to the words of buttons. */
  public static final Setting<IconSide> BUTTON_ICON_SIDE =
      Setting.once(
          "buttonIconSide", "Icon of a button", new PickKind<>(IconSide.class), IconSide.AFTER);

  public static final LinkSettings LINK = LinkSettings.of("link", "Link");
  public static final Setting<String> THUMBNAIL =
      Setting.once("thumbnail", "Thumbnail", new PictureKind(), "");
  public static final Setting<String> NOTE = words("note", "Note for the team", 1000);
  public static final Setting<String> CATEGORY = words("category", "Category", 80);
  public static final Setting<Boolean> OPEN =
      Setting.once("open", "Open at first", new ToggleKind(), false);
  public static final Setting<Beside> BESIDE =
      Setting.once("beside", "Picture’s side", new PickKind<>(Beside.class), Beside.AS_PIECE);
  public static final Setting<Ground> GROUND =
      Setting.once("ground", "Ground", new PickKind<>(Ground.class), Ground.CARD);

  public static final Setting<String> BACK_ICON =
      Setting.once("backIcon", "Icon on the back", new IconKind(), "");
  public static final Setting<String> BACK_PICTURE =
      Setting.once("backPicture", "Picture on the back", new PictureKind(), "");
  public static final Setting<String> BACK_HEADING =
      words("backHeading", "Heading on the back", 300);
  public static final Setting<String> BACK_TEXT =
      Setting.once("backText", "Text on the back", new RichKind(4000), "");
  public static final Setting<Turn> TURN =
      Setting.once("turn", "Turns", new PickKind<>(Turn.class), Turn.AS_PIECE);

  public static final Setting<Double> FROM =
      Setting.once("from", "From", new DecimalKind(-1e12, 1e12), 0.0);
  public static final Setting<Double> TO =
      Setting.once("to", "To", new DecimalKind(-1e12, 1e12), 100.0);
  public static final Setting<Integer> DECIMALS =
      Setting.once("decimals", "Decimals", new WholeKind(0, 6), 0);
  public static final Setting<String> PREFIX = words("prefix", "Before the number", 20);
  public static final Setting<String> SUFFIX = words("suffix", "After the number", 20);

  public static final Setting<Boolean> HIDDEN =
      Setting.once("hidden", "Hidden", new ToggleKind(), false);
  public static final Setting<Boolean> SHOWN =
      Setting.byBand("shown", "Shown", new ToggleKind(), true);
  public static final Setting<Boolean> DISABLED =
      Setting.once("disabled", "Disabled", new ToggleKind(), false);
  public static final Setting<String> TOOLTIP = words("tooltip", "Tooltip", 200);
  public static final Setting<Action> ACTION =
      Setting.once("action", "On change", new PickKind<>(Action.class), Action.NONE);
  public static final Setting<String> ACTION_ON =
      Setting.once("actionOn", "Message, item or address", new WordsKind(400, false), "");

  /** Words that are seen of an item, as they are read; of a box those on its front. */
  public static final List<Setting<String>> READ =
      List.of(KICKER, HEADING, SUBHEADING, TEXT, NAME, ROLE, BUTTON, BUTTON_2);

  /** What every kind asks of every item, beside what it shows. */
  public static final List<Setting<?>> ALWAYS =
      joined(
          List.of(NOTE, HIDDEN, DISABLED, TOOLTIP, ACTION, ACTION_ON),
          MarkSettings.ALL,
          ConditionSettings.ALL);

  static final List<Setting<?>> ALL =
      joined(
          List.of(
              KICKER,
              ICON,
              ICON_COLOURS,
              ICON_NUDGE,
              PICTURE,
              GROUND_CLIP,
              GROUND_CLIP_2,
              ALT,
              FOCUS,
              FIT,
              HEADING,
              SUBHEADING,
              TEXT,
              NAME,
              ROLE,
              BUTTON),
          BUTTON_LINK.all(),
          List.of(BUTTON_ICON, BUTTON_2),
          BUTTON_2_LINK.all(),
          List.of(BUTTON_2_ICON, BUTTON_ICON_SIDE),
          LINK.all(),
          List.of(
              THUMBNAIL,
              CATEGORY,
              OPEN,
              BESIDE,
              GROUND,
              BACK_ICON,
              BACK_PICTURE,
              BACK_HEADING,
              BACK_TEXT,
              TURN,
              FROM,
              TO,
              DECIMALS,
              PREFIX,
              SUFFIX,
              SHOWN,
              DriveSettings.OWN_REST,
              DriveSettings.FRAMING,
              DriveSettings.OWN_CHANGES),
          ClipSettings.ALL,
          ALWAYS,
          List.of(Feed.ROW));

  private ItemSettings() {}

  private static Setting<String> words(String id, String label, int most) {
    return Setting.once(id, label, new WordsKind(most, false), "");
  }

  /** All of some lists in their order. */
  @SafeVarargs
  public static List<Setting<?>> joined(List<Setting<?>>... lists) {
    return Stream.of(lists).<Setting<?>>flatMap(List::stream).toList();
  }
}
