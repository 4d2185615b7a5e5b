package giostra.core.snag;

import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.MarkSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Two places on a page that are called the same: links lead to the first, scripts find one of them.
 * Source: HTML, 3.2.6 "Global attributes", "The id attribute".
 */
final class SameAnchor {
  private SameAnchor() {}

  /** All that are called as something before them is. */
  static List<Snag> check(Looked at) {
    if (!(at.node() instanceof Piece) && !(at.node() instanceof Section)) {
      return List.of();
    }
    return Leading.of(at.node())
        .filter(each -> !Anchors.own(each).isEmpty())
        .filter(each -> at.anchors().called(Anchors.own(each)).indexOf(each) > 0)
        .map(each -> found(at, each))
        .toList();
  }

  private static Snag found(Looked at, Node node) {
    String name = Anchors.own(node);
    String free =
        IntStream.iterate(2, n -> n + 1)
            .mapToObj(n -> name + "-" + n)
            .filter(each -> at.anchors().called(each).isEmpty())
            .findFirst()
            .orElseThrow();
    Snag snag =
        Snag.of(
            Rule.SAME_ANCHOR,
            at.node().id(),
            Extent.always(at.document()),
            Said.of(
                "same-anchor",
                "name",
                name,
                "other",
                Fields.called(at.anchors().called(name).getFirst())));
    return (node == at.node() ? snag : snag.of(node.id()))
        .about(MarkSettings.ANCHOR.id(), MarkSettings.ANCHOR.id())
        .withFixes(
            List.of(
                Snag.Fix.of(
                    Said.of("other-anchor", "name", free),
                    new Edit.SetValue(node.id(), MarkSettings.ANCHOR.id(), "", free))));
  }
}
