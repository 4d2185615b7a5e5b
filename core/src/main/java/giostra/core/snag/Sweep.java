package giostra.core.snag;

import giostra.core.layout.Outline;
import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/**
 * The whole sweep, with a memory: after an edit only the pieces are gone through again that it
 * touches, or that stand in something it touches. Not for several threads at once.
 */
public final class Sweep {
  /** What the findings of a piece depend on besides the piece. */
  private record Known(List<Object> around, List<Snag> found) {}

  private Map<Piece, Known> known = new IdentityHashMap<>();

  /** What is found on a page, piece by piece. */
  public List<Snag> of(Document document, PictureSizes pictures, double scrollbar) {
    var next = new IdentityHashMap<Piece, Known>();
    var all = new ArrayList<Snag>();
    Outline outline = Outline.of(document);
    for (Piece piece : document.pieces()) {
      List<Object> around = around(document, piece, pictures, scrollbar, outline);
      Known before = known.get(piece);
      List<Snag> found =
          before != null && before.around().equals(around)
              ? before.found()
              : Snags.of(document, piece, pictures, scrollbar);
      next.put(piece, new Known(around, found));
      all.addAll(found);
    }
    all.addAll(Reordered.of(document));
    known = next;
    return all;
  }

  /** How many pieces it remembers. */
  public int pieces() {
    return known.size();
  }

  private static List<Object> around(
      Document document, Piece piece, PictureSizes pictures, double scrollbar, Outline outline) {
    var all = new ArrayList<Object>();
    all.add(document.bands());
    all.add(document.site().values());
    all.add(document.page().values().get(PageSettings.LANGUAGE));
    all.add(pictures);
    all.add(scrollbar);
    all.add(outline.title(piece));
    List<Node> path = document.path(piece.id());
    for (int i = 0; i + 1 < path.size(); i++) {
      all.add(path.get(i).values());
      all.add(path.get(i).children().size());
      all.add(Document.placeIn(path.get(i), path.get(i + 1)));
    }
    return all;
  }
}
