package giostra.core.snag;

import giostra.core.layout.SectionEdge;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.SiteSettings;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * What a rule looks at besides the node itself and what is in it. Where nothing of it has changed,
 * and the node has not, the rule finds what it found before.
 */
public enum Reads {
  /** The posts between bands. */
  BANDS(at -> at.document().bands()),
  /** What the site says to all its pages, its looks among it. */
  SITE(at -> List.of(at.document().site().values(), at.document().site().looks())),
  /** Where the clocks of seasons stand. */
  ZONE(at -> at.document().site().values().get(SiteSettings.ZONE)),
  /** The language of the page. */
  LANGUAGE(at -> at.document().page().values().get(PageSettings.LANGUAGE)),
  /** What the node stands in: page, section, columns, panel, and its place there. */
  AROUND(Reads::around),
  /** What the sections before and after a section say. */
  NEIGHBOURS(Reads::neighbours),
  /** The levels of headings, which follow from what stands before. */
  HEADINGS(Reads::headings),
  /** What on the page can be led to by its name. */
  ANCHORS(at -> at.anchors().key(at.node())),
  /** What the buttons of the page are called, and where they lead. */
  BUTTONS(at -> at.node() instanceof Piece piece ? at.buttons().key(piece) : List.of()),
  /** How large pictures are. */
  PICTURES(Looked::pictures),
  /** How wide the scrollbar is. */
  SCROLLBAR(Looked::scrollbar);

  private final Function<Looked, Object> key;

  Reads(Function<Looked, Object> key) {
    this.key = key;
  }

  /** A value that is equal where what is read is the same. */
  Object of(Looked at) {
    return key.apply(at);
  }

  private static Object headings(Looked at) {
    return switch (at.node()) {
      case Piece piece ->
          Document.walk(piece)
              .map(node ->
                  node instanceof Piece each
                      ? at.outline().title(each)
                      : at.outline().skips(node.id()).orElse(0))
              .toList();
      case Section section ->
          Document.walk(section)
              .map(node ->
                  node instanceof Piece piece
                      ? at.outline().title(piece)
                      : at.outline().skips(node.id()).orElse(0))
              .toList();
      default -> 0;
    };
  }

  private static List<Object> neighbours(Looked at) {
    return at.node() instanceof Section section
        ? Stream.of(SectionEdge.Side.values())
            .<Object>map(side ->
                SectionEdge.neighbour(at.document(), section, side)
                    .map(each -> List.of(each.id(), each.values())))
            .toList()
        : List.of();
  }

  private static List<Object> around(Looked at) {
    var all = new ArrayList<Object>();
    List<Node> path = at.document().path(at.node().id());
    for (int i = 0; i + 1 < path.size(); i++) {
      all.add(path.get(i).values());
      all.add(path.get(i).children().size());
      all.add(Document.placeIn(path.get(i), path.get(i + 1)));
    }
    return all;
  }
}
