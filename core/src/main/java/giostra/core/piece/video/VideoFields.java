package giostra.core.piece.video;

import giostra.core.page.ClipSettings;
import giostra.core.page.Fields;
import giostra.core.page.Fields.Field;
import giostra.core.page.ItemSettings;
import java.util.List;
import java.util.Map;

/** The fields of clips. */
final class VideoFields {
  static final List<Field> ALL =
      Fields.renamed(
          Fields.list(
              ItemSettings.PICTURE,
              ClipSettings.FROM,
              ClipSettings.CLIP,
              ClipSettings.CLIP_2,
              ClipSettings.ADDRESS,
              ClipSettings.ADDRESS_2,
              ItemSettings.HEADING,
              ItemSettings.TEXT,
              ItemSettings.FOCUS,
              ClipSettings.START,
              ClipSettings.END,
              ClipSettings.CAPTIONS.get(0).file(),
              ClipSettings.CAPTIONS.get(0).language(),
              ClipSettings.CAPTIONS.get(1).file(),
              ClipSettings.CAPTIONS.get(1).language(),
              ClipSettings.CAPTIONS.get(2).file(),
              ClipSettings.CAPTIONS.get(2).language()),
          Map.of(ItemSettings.PICTURE, "Poster"));

  private VideoFields() {}
}
