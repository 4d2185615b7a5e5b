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
          Fields.WORDED,
          ItemSettings.LINK,
          ItemSettings.NAME,
          ItemSettings.THUMBNAIL,
          ItemSettings.ICON,
          ItemSettings.ICON_COLOURS,
          ItemSettings.ICON_NUDGE,
          ItemSettings.GROUND,
          ItemSettings.BESIDE,
          ItemSettings.FOCUS,
          ItemSettings.FIT);

  private SliderFields() {}
}
