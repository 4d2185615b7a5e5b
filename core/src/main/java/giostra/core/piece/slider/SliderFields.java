package giostra.core.piece.slider;

import giostra.core.page.Fields;
import giostra.core.page.Fields.Field;
import giostra.core.page.ItemSettings;
import java.util.List;

/** The fields of slides. */
final class SliderFields {
  static final List<Field> ALL =
      Fields.list(
          ItemSettings.PICTURE,
          ItemSettings.GROUND_CLIP,
          ItemSettings.GROUND_CLIP_2,
          ItemSettings.ALT,
          ItemSettings.KICKER,
          ItemSettings.HEADING,
          ItemSettings.SUBHEADING,
          ItemSettings.TEXT,
          ItemSettings.BUTTON,
          ItemSettings.BUTTON_LINK,
          ItemSettings.BUTTON_ICON,
          ItemSettings.BUTTON_2,
          ItemSettings.BUTTON_2_LINK,
          ItemSettings.BUTTON_2_ICON,
          ItemSettings.BUTTON_ICON_SIDE,
          ItemSettings.LINK,
          ItemSettings.NAME,
          ItemSettings.THUMBNAIL,
          ItemSettings.GROUND,
          ItemSettings.BESIDE,
          ItemSettings.FOCUS);

  private SliderFields() {}
}
