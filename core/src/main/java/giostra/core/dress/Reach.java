package giostra.core.dress;

import giostra.core.look.PartId;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.Look;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.Section;
import giostra.core.page.Site;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** How much changes with what is said in one place. */
public final class Reach {
  private Reach() {}

  /** How many pieces and blocks of a page have a part as a node says it; an item counts as one. */
  public static int of(Document document, Node node, PartId part) {
    Stream<? extends Node> reached =
        switch (node) {
          case Site _, Page _ -> Document.walk(document.page());
          case Look look ->
              document.pieces().stream()
                  .filter(piece -> document.site().wornBy(piece).equals(Optional.of(look)));
          case Section section -> Document.walk(section);
          default -> Stream.of(node);
        };
    return (int)
        reached
            .filter(each -> each instanceof Block || (each instanceof Item && each == node))
            .filter(each -> each.type().parts().stream().anyMatch(its -> its.id().equals(part)))
            .count();
  }

  /** How many pieces of a page wear each look, by its id. */
  public static Map<String, Integer> wearers(Document document) {
    var all = new HashMap<String, Integer>();
    for (var piece : document.pieces()) {
      document.site().wornBy(piece).ifPresent(look -> all.merge(look.id(), 1, Integer::sum));
    }
    return all;
  }
}
