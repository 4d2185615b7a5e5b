package giostra.core.piece.accordion;

import giostra.core.page.DriveSettings;
import giostra.core.page.ItemSettings;
import giostra.core.page.PanelSettings;
import giostra.core.page.PieceSettings;
import giostra.core.value.IconKind;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import giostra.core.value.SizeKind;
import giostra.core.value.ToggleKind;
import giostra.core.value.WordsKind;
import java.util.List;

/** What can be set on an accordion, beside {@link PanelSettings} and {@link PieceSettings}. */
public final class AccordionSettings {
  /** What is open when the page is opened. */
  public enum OpenFirst {
    NONE,
    FIRST,
    CHOSEN,
    ALL
  }

  /** What shows whether a question is open. */
  public enum Marker {
    PLUS,
    CHEVRON,
    OWN,
    NONE
  }

  /** At which end of a heading the marker stands. */
  public enum MarkerPlace {
    START,
    END
  }

  /** How the questions hang together. */
  public enum Rows {
    BOXES,
    JOINED
  }

  public static final Setting<Boolean> SEVERAL =
      Setting.once("several", "Several open at once", new ToggleKind(), false);
  public static final Setting<OpenFirst> OPEN_FIRST =
      Setting.once("openFirst", "Open at first", new PickKind<>(OpenFirst.class), OpenFirst.NONE);
  public static final Setting<Boolean> MAY_CLOSE =
      Setting.once("mayClose", "All may be closed", new ToggleKind(), true);
  public static final Setting<Marker> MARKER =
      Setting.once("marker", "Marker", new PickKind<>(Marker.class), Marker.PLUS);
  public static final Setting<String> MARKER_ICON =
      Setting.once("markerIcon", "Own marker", new IconKind(), "");
  public static final Setting<MarkerPlace> MARKER_PLACE =
      Setting.once(
          "markerPlace", "Marker stands", new PickKind<>(MarkerPlace.class), MarkerPlace.END);
  public static final Setting<Rows> ROWS =
      Setting.once("rows", "Questions stand as", new PickKind<>(Rows.class), Rows.BOXES);

  /** Categories in their order, parted by commas; empty takes them as they come. */
  public static final Setting<String> CATEGORIES =
      Setting.once("categories", "Categories", new WordsKind(600, false), "");

  /** Only questions of these show here: a page may show some of a list that several share. */
  public static final Setting<String> ONLY =
      Setting.once("only", "Only of categories", new WordsKind(600, false), "");

  public static final Setting<Boolean> FILTER =
      Setting.once("filter", "Visitors choose a category", new ToggleKind(), false);
  public static final Setting<Boolean> SEARCH =
      Setting.once("search", "Search box", new ToggleKind(), false);
  public static final Setting<Boolean> SHARE =
      Setting.once(
          "share", "Each question’s link can be copied and shared", new ToggleKind(), false);
  public static final Setting<Boolean> FAQ =
      Setting.once("faq", "Tell search engines (FAQPage)", new ToggleKind(), false);
  public static final Setting<Length> GAP =
      Setting.byBand("gap", "Gap", new SizeKind(0, 120, false), Length.px(12));
  public static final Setting<Boolean> ALWAYS_OPEN =
      Setting.byBand("alwaysOpen", "Always open", new ToggleKind(), false);
  public static final Setting<Length> INNER =
      Setting.byBand("inner", "Inner measure", new SizeKind(120, 2560), Length.percent(100));

  static final List<Setting<?>> ALL =
      PieceSettings.with(
          ItemSettings.joined(
              List.of(
                  SEVERAL,
                  OPEN_FIRST,
                  MAY_CLOSE,
                  PanelSettings.TRIGGER,
                  DriveSettings.INTENT,
                  MARKER,
                  MARKER_ICON,
                  MARKER_PLACE,
                  PieceSettings.ICON,
                  ROWS,
                  PanelSettings.LEVEL,
                  CATEGORIES,
                  ONLY,
                  FILTER,
                  SEARCH,
                  SHARE,
                  FAQ,
                  GAP,
                  ALWAYS_OPEN,
                  INNER),
              PanelSettings.BY_BAND));

  private AccordionSettings() {}
}
