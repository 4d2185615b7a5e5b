package giostra.core.piece.flipboxes;

import giostra.core.page.Fields;
import giostra.core.page.Fields.Field;
import giostra.core.page.ItemSettings;
import java.util.List;

/** The fields of flip boxes. */
final class FlipFields {
  static final List<Field> ALL =
      Fields.list(
          ItemSettings.PICTURE,
          ItemSettings.ALT,
          ItemSettings.FOCUS,
          ItemSettings.ICON,
          ItemSettings.ICON_COLOURS,
          ItemSettings.ICON_NUDGE,
          ItemSettings.HEADING,
          ItemSettings.TEXT,
          ItemSettings.BACK_ICON,
          ItemSettings.BACK_PICTURE,
          ItemSettings.BACK_HEADING,
          ItemSettings.BACK_TEXT,
          ItemSettings.BUTTON,
          ItemSettings.BUTTON_LINK,
          ItemSettings.BUTTON_ICON,
          ItemSettings.BUTTON_ICON_SIDE,
          ItemSettings.TURN);

  private FlipFields() {}
}
