package giostra.core.snag;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.TrackParts;
import giostra.core.band.Band;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.look.Part;
import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.TrackSettings.Marks;
import giostra.core.page.Tracked;
import giostra.core.value.RichText;
import giostra.core.value.Setting;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/** Which parts of a piece there are as it is filled and laid out: what nobody sees is not read. */
final class Present {
  private static final Map<Part, Setting<String>> WORDS =
      Map.of(
          PageParts.KICKER,
          ItemSettings.KICKER,
          PageParts.SUBHEADING,
          ItemSettings.SUBHEADING,
          PageParts.ITEM_TEXT,
          ItemSettings.TEXT);

  /** What must be in a text, as a selector, so that a part of it is there. */
  static final Map<Part, String> IN_COPY =
      Map.of(
          PageParts.COPY_HEADING,
          "h1,h2,h3,h4,h5,h6",
          PageParts.EMPHASIS,
          "strong",
          PageParts.LINK,
          "a");

  /** When there is something of a part where a track moves. */
  private static final Map<Part, Predicate<TrackBand>> ON_TRACKS =
      Map.of(
          TrackParts.ARROW,
          band -> band.arrows() != Arrows.NONE,
          // Dots that do not fit become a tally.
          TrackParts.TALLY,
          band -> band.marks() == Marks.TALLY || band.marks() == Marks.DOTS,
          TrackParts.BAR,
          band -> band.marks() == Marks.BAR,
          TrackParts.THUMBNAIL,
          band -> band.marks() == Marks.THUMBNAILS,
          TrackParts.NAME,
          band -> band.marks() == Marks.NAMES);

  private Present() {}

  /** Whether some of the items of a piece have what a part is of. */
  static boolean in(Piece piece, List<Item> items, Part part) {
    if (part.equals(PageParts.BUTTON) || part.equals(PageParts.SECOND_BUTTON)) {
      boolean second = part.equals(PageParts.SECOND_BUTTON);
      boolean titled = !second && !piece.values().get(PieceSettings.TITLE_BUTTON).isEmpty();
      return titled
          || items.stream()
              .flatMap(item -> Fields.buttons(piece, item).stream())
              .anyMatch(button -> button.second() == second);
    }
    String needed = IN_COPY.getOrDefault(part, "");
    Setting<String> words = needed.isEmpty() ? WORDS.get(part) : ItemSettings.TEXT;
    return words == null
        || items.stream()
            .map(item -> Fields.shown(piece, item, words))
            .anyMatch(said -> needed.isEmpty() ? !said.isEmpty() : RichText.has(said, needed));
  }

  /** Bands in which there is nothing of a part, whatever the piece is filled with. */
  static Set<Band> gone(Document document, Piece piece, Part part, double scrollbar) {
    Predicate<TrackBand> there = ON_TRACKS.get(part);
    if (there == null) {
      return Set.of();
    }
    var gone = new HashSet<>(document.bands().all());
    if (piece instanceof Tracked track) {
      TrackLayout.of(document, track, scrollbar).bands().stream()
          .filter(band -> band.moves() && there.test(band))
          .forEach(band -> gone.remove(band.band()));
    }
    return gone;
  }
}
