package giostra.core.snag;

import giostra.core.fit.Screen;
import giostra.core.layout.Heights;
import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The whole sweep: everything that the rules find, over every whole viewport width. */
public final class Snags {
  private Snags() {}

  /** What is found on a page, piece by piece, then of what stands between them. */
  public static List<Snag> of(Document document, PictureSizes pictures, double scrollbar) {
    return Stream.concat(
            document.pieces().stream()
                .flatMap(piece -> of(document, piece, pictures, scrollbar).stream()),
            Reordered.of(document).stream())
        .toList();
  }

  /** What is found of one piece. */
  public static List<Snag> of(
      Document document, Piece piece, PictureSizes pictures, double scrollbar) {
    var found = new ArrayList<Snag>(Narrow.of(document, piece, scrollbar));
    Heights heights = Heights.of(document, piece, pictures, scrollbar, Screen.USUAL_HEIGHT);
    found.addAll(TextSnags.of(document, piece, heights, scrollbar));
    found.addAll(Enlarged.of(document, piece, pictures));
    found.addAll(Seasons.of(document, piece));
    if (piece instanceof Piece.Tracked track) {
      found.addAll(Hasty.of(document, track));
    }
    if (piece instanceof Piece.Slider slider) {
      found.addAll(ClipSnags.of(document, slider));
    }
    if (piece instanceof Piece.Video video) {
      found.addAll(ClipSnags.of(document, video));
      found.addAll(PlayerContrast.snags(document, video));
    }
    found.addAll(PartContrast.snags(document, piece));
    return found;
  }
}
