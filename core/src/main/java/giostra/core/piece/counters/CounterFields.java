package giostra.core.piece.counters;

import giostra.core.page.Fields;
import giostra.core.page.Fields.Field;
import giostra.core.page.ItemSettings;
import java.util.List;

/** The fields of counters. */
final class CounterFields {
  static final List<Field> ALL =
      Fields.list(
          ItemSettings.HEADING,
          ItemSettings.FROM,
          ItemSettings.TO,
          ItemSettings.DECIMALS,
          ItemSettings.PREFIX,
          ItemSettings.SUFFIX,
          ItemSettings.ICON,
          ItemSettings.ICON_COLOURS,
          ItemSettings.ICON_NUDGE,
          ItemSettings.PICTURE,
          ItemSettings.ALT,
          ItemSettings.LINK);

  private CounterFields() {}
}
