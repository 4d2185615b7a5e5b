package giostra.core.piece.tabs;

import giostra.core.page.Fields;
import giostra.core.page.Fields.Field;
import giostra.core.page.ItemSettings;
import java.util.List;

/** The fields of tabs. */
final class TabsFields {
  static final List<Field> ALL =
      Fields.list(
          ItemSettings.HEADING,
          ItemSettings.OPEN,
          ItemSettings.ICON,
          ItemSettings.ICON_COLOURS,
          ItemSettings.ICON_NUDGE,
          ItemSettings.THUMBNAIL,
          ItemSettings.TEXT,
          ItemSettings.KICKER,
          ItemSettings.SUBHEADING,
          ItemSettings.PICTURE,
          ItemSettings.ALT,
          ItemSettings.FOCUS,
          ItemSettings.BUTTON,
          ItemSettings.BUTTON_LINK,
          ItemSettings.BUTTON_ICON,
          ItemSettings.BUTTON_ICON_SIDE);

  private TabsFields() {}
}
