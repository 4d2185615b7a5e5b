package giostra.core.piece.accordion;

import giostra.core.page.Fields;
import giostra.core.page.Fields.Field;
import giostra.core.page.ItemSettings;
import java.util.List;

/** The fields of questions. */
final class AccordionFields {
  static final List<Field> ALL =
      Fields.list(
          ItemSettings.HEADING,
          ItemSettings.TEXT,
          ItemSettings.CATEGORY,
          ItemSettings.OPEN,
          ItemSettings.ICON,
          ItemSettings.ICON_COLOURS,
          ItemSettings.ICON_NUDGE,
          ItemSettings.PICTURE,
          ItemSettings.ALT,
          ItemSettings.FOCUS,
          ItemSettings.BUTTON,
          ItemSettings.BUTTON_LINK,
          ItemSettings.BUTTON_ICON,
          ItemSettings.BUTTON_ICON_SIDE);

  private AccordionFields() {}
}
