package giostra.core.piece.counters;

import giostra.core.fit.Face;
import giostra.core.fit.Flow;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.ItemFlows;
import giostra.core.layout.PartBox;
import giostra.core.look.Property;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import java.util.ArrayList;

/** Figures as they flow in one band. */
final class FigureFlow {
  private final BlockFlows blocks;
  private final ItemFlows items;

  FigureFlow(BlockFlows blocks) {
    this.blocks = blocks;
    this.items = blocks.items();
  }

  /** The number, which never breaks; it may stand over the padding of its box. */
  private Flow number(Counters piece, Item item, double leading, double padding) {
    double size = blocks.value(piece, CounterSettings.NUMBER_SIZE).constantPx();
    Face face = blocks.part(item, CounterParts.NUMBER).face();
    double[] needs = {-1};
    return (width, screen) -> {
      if (screen.hearsOfTight()) {
        if (needs[0] < 0) {
          needs[0] = face.figures(Counting.widest(piece, item, blocks.locale()), size);
        }
        screen.fits(needs[0], width + padding);
      }
      return size * leading;
    };
  }

  Flow figure(Counters piece, Item item) {
    var parts = new ArrayList<Flow>();
    var sign = new ArrayList<Flow>();
    items.icon(piece, item, CounterParts.COUNTER_ICON).ifPresent(sign::add);
    if (items.picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent()) {
      sign.add(items.sign(item, CounterParts.COUNTER_PICTURE));
    }
    if (!sign.isEmpty()) {
      parts.add(Flow.stack(sign, 0));
    }
    double leading = blocks.part(item, CounterParts.NUMBER).of(Property.LEADING);
    PartBox box = blocks.part(item, CounterParts.FIGURE);
    parts.add(number(piece, item, leading, box.sides()));
    items
        .line(item, CounterParts.TITLE, Fields.shown(piece, item, ItemSettings.HEADING))
        .ifPresent(parts::add);
    return ItemFlows.within(Flow.stack(parts, box.px(Property.GAP)), box);
  }
}
