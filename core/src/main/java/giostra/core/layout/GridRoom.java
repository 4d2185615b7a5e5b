package giostra.core.layout;

import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.layout.Heights.Measured;
import giostra.core.page.Document;
import giostra.core.page.GridSettings;
import giostra.core.page.Gridded;
import giostra.core.page.Item;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How a kind is laid out whose items stand in rows.
 *
 * @param <P> the kind
 */
public interface GridRoom<P extends Gridded> extends LaidOut<P> {
  /** A whole item in one band. */
  Flow item(P piece, Item item, BlockFlows blocks);

  /** What of an item is high, each for itself. */
  Map<Heights.Part, Flow> parts(P piece, Item item, BlockFlows blocks);

  /** What the widths of its items are called, as it begins a sentence. */
  String widthsAre();

  /** The width that an item should not fall below, and the one that is more than it needs. */
  List<Setting<Length>> comfort();

  @Override
  default Flow flow(P piece, BlockFlows blocks) {
    return blocks.grid(
        piece, blocks.shown(piece).stream().map(item -> item(piece, item, blocks)).toList());
  }

  @Override
  default List<Measured> measured(P piece, BlockFlows blocks, Piecewise outer) {
    GridBand in = GridBand.in(blocks.document(), piece, blocks.band(), blocks.scrollbar());
    boolean equal = blocks.value(piece, GridSettings.HEIGHTS) == GridSettings.Heights.ALL;
    List<Item> items = blocks.shown(piece);
    var all = new ArrayList<Measured>();
    for (int i = 0; i < items.size(); i++) {
      Item item = items.get(i);
      Piecewise room = in.item(i, equal);
      parts(piece, item, blocks)
          .forEach((part, flow) -> all.add(new Measured(item, part, flow, room)));
    }
    return all;
  }

  @Override
  default Optional<ItemWidths> widths(Document document, P piece, double scrollbar) {
    return Optional.of(
        ItemWidths.of(
            piece,
            widthsAre(),
            comfort(),
            GridBand.of(document, piece, scrollbar).stream()
                .map(b ->
                    new ItemWidths.InBand(
                        b.band(),
                        b.grid().columns(),
                        true,
                        GridSettings.COLUMNS,
                        b.gap(),
                        Length.px(0),
                        0,
                        b.outer(),
                        b.item()))
                .toList()));
  }

  @Override
  default Piecewise words(P piece, PictureWidths widths) {
    return GridBand.in(widths.document(), piece, widths.band(), 0).item();
  }
}
