package giostra.core.piece.video;

import giostra.core.layout.PictureSizes;
import giostra.core.page.ClipSettings;
import giostra.core.page.Item;
import giostra.core.value.Aspect;
import java.util.Optional;

/** The shape of the place of a clip: what is asked for, or that of the clip, if it is known. */
public final class ClipShape {
  private ClipShape() {}

  /**
   * The shape for an item.
   *
   * @param sizes of pictures and clips
   */
  public static Aspect of(Item item, VideoSettings.Ratio ratio, PictureSizes sizes) {
    boolean own = item.values().get(ClipSettings.FROM) == ClipSettings.From.OWN;
    return ratio
        .aspect()
        .or(() ->
            own
                ? sizes.find(item.values().get(ClipSettings.CLIP)).map(PictureSizes.Size::aspect)
                : Optional.empty())
        .orElse(VideoSettings.USUAL);
  }
}
