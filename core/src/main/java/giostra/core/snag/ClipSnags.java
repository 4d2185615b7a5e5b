package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.page.ClipSettings;
import giostra.core.page.ClipSettings.From;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.List;

/**
 * Clips that lack something, at every width. Sources: WCAG 2.2, 1.2.2 "Captions (Prerecorded)";
 * that phones show nothing before a clip starts, and that two formats play everywhere, is common
 * practice, no source.
 */
final class ClipSnags {
  private ClipSnags() {}

  static List<Snag> of(Document document, Piece.Video video) {
    var found = new ArrayList<Snag>();
    for (Item item : video.onShow()) {
      From from = item.values().get(ClipSettings.FROM);
      boolean own = from == From.OWN;
      boolean clip = !item.values().get(own ? ClipSettings.CLIP : ClipSettings.ADDRESS).isEmpty();
      if (!clip) {
        found.add(snag(document, video, item, "there is no clip"));
        continue;
      }
      if (item.values().get(ItemSettings.PICTURE).isEmpty()) {
        found.add(
            snag(document, video, item, "the clip has no poster; phones show an empty place"));
      }
      if (own && item.values().get(ClipSettings.CLIP_2).isEmpty()) {
        found.add(
            snag(document, video, item, "the clip has one format; mp4 and webm play everywhere"));
      }
      boolean captions =
          ClipSettings.CAPTIONS.stream()
              .anyMatch(each -> !item.values().get(each.file()).isEmpty());
      if (from != From.HOST && !captions) {
        found.add(snag(document, video, item, "the clip has no captions (WCAG 2.2, 1.2.2)"));
      }
    }
    return found;
  }

  /** Clips under the words of slides. */
  static List<Snag> of(Document document, Piece.Slider slider) {
    var found = new ArrayList<Snag>();
    for (Item item : slider.onShow()) {
      if (item.values().get(ItemSettings.GROUND_CLIP).isEmpty()) {
        continue;
      }
      if (item.values().get(ItemSettings.PICTURE).isEmpty()) {
        found.add(
            snag(
                document,
                slider,
                item,
                "the moving ground has no picture: it shows until the clip plays, and without"
                    + " one the clip is left out"));
      } else if (item.values().get(ItemSettings.GROUND_CLIP_2).isEmpty()) {
        found.add(
            snag(
                document,
                slider,
                item,
                "the moving ground has one format; mp4 and webm play everywhere"));
      }
    }
    return found;
  }

  private static Snag snag(Document document, Piece video, Item item, String message) {
    Band widest = document.bands().lead();
    return new Snag(
        Snag.Rule.CLIP,
        video.id(),
        item.id(),
        Bands.NARROWEST,
        Bands.WIDEST,
        widest.id(),
        message,
        List.of());
  }
}
