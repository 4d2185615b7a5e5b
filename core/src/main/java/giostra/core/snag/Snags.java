package giostra.core.snag;

import giostra.core.layout.PictureSizes;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/** The whole sweep: everything that the rules find, over every whole viewport width. */
public final class Snags {
  private Snags() {}

  /** What is found on a page, node by node as they are read. */
  public static List<Snag> of(Document document, PictureSizes pictures, double scrollbar) {
    var on = new Looked.On(document, pictures, scrollbar);
    return swept(document).flatMap(node -> of(new Looked(on, node))).toList();
  }

  /** What is found of one node; nothing where no rule looks at such. */
  public static List<Snag> of(
      Document document, Node node, PictureSizes pictures, double scrollbar) {
    return of(new Looked(new Looked.On(document, pictures, scrollbar), node)).toList();
  }

  /** What one rule finds of a node. Where it reads pictures, none is known. */
  public static List<Snag> of(Rule rule, Document document, Node node, double scrollbar) {
    return rule.check(new Looked(new Looked.On(document, PictureSizes.NONE, scrollbar), node));
  }

  private static Stream<Snag> of(Looked at) {
    return Arrays.stream(Rule.values()).flatMap(rule -> rule.check(at).stream());
  }

  /** The nodes that rules look at, as they are read; what holds of all of them goes before. */
  public static Stream<Node> swept(Document document) {
    Stream<Node> whole =
        Stream.<Node>of(document.site(), document.page())
            .filter(
                node -> Unproved.of(node).findAny().isPresent() || NoFamily.said(document, node));
    Stream<Node> parts =
        document
            .nodes()
            .filter(node ->
                node instanceof Section || node instanceof Piece || node instanceof Block.Columns);
    return Stream.concat(whole, parts);
  }
}
