package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Columns that are seen in another order than they are read and reached by keyboard in. A picture
 * may stand anywhere; two columns that both have words or controls may not change places. Source:
 * WCAG 2.2, success criteria 1.3.2 "Meaningful Sequence" and 2.4.3 "Focus Order".
 */
final class Reordered {
  private Reordered() {}

  /** The bands in which columns change places. */
  static List<Snag> check(Looked at) {
    return at.node() instanceof Block.Columns columns ? of(at.document(), columns) : List.of();
  }

  private static List<Snag> of(Document document, Block.Columns columns) {
    var found = new ArrayList<Snag>();
    List<Integer> told =
        IntStream.range(0, columns.columns().size())
            .filter(i -> tells(columns.columns().get(i)))
            .boxed()
            .toList();
    for (Band band : document.bands().all()) {
      String order = Resolution.value(document, columns, BlockSettings.ORDER, band);
      List<Integer> seen =
          BlockSettings.seen(order, columns.columns().size()).stream()
              .filter(told::contains)
              .toList();
      if (seen.equals(told)) {
        continue;
      }
      Extent.Widths widths = Extent.of(band).widths();
      found.add(
          Snag.of(
                  Rule.ORDER,
                  columns.id(),
                  Extent.of(band),
                  Said.of("order", "from", widths.from(), "to", widths.to()))
              .about(BlockSettings.ORDER.id(), BlockSettings.ORDER.id())
              .withFixes(List.of(asRead(columns, band))));
    }
    return found;
  }

  private static Snag.Fix asRead(Block.Columns columns, Band band) {
    String places =
        String.join(
            " ",
            IntStream.rangeClosed(1, columns.columns().size())
                .mapToObj(Integer::toString)
                .toList());
    return Snag.Fix.of(
        Said.of("as-read"),
        new Edit.SetValue(columns.id(), BlockSettings.ORDER.id(), band.id(), places));
  }

  /** Whether it has words or controls: everything but pictures has. */
  private static boolean tells(Column column) {
    return Document.walk(column).anyMatch(Reordered::tells);
  }

  private static boolean tells(Node node) {
    return node instanceof Block
        && !(node instanceof Block.Picture)
        && !(node instanceof Block.Columns);
  }
}
