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
import giostra.core.value.TypeSize;
import java.util.ArrayList;

/** Figures as they flow in one band. */
final class FigureFlow {
  /** Numbers are measured once at this size, and widths scaled to it. */
  private static final double MEASURED = 16;

  private final BlockFlows blocks;
  private final ItemFlows items;

  FigureFlow(BlockFlows blocks) {
    this.blocks = blocks;
    this.items = blocks.items();
  }

  /** The number, which never breaks; it may stand over the padding of its box. */
  private Flow number(Counters piece, Item item, double padding) {
    PartBox box = blocks.part(item, CounterParts.NUMBER);
    Face face = box.face();
    double leading = box.of(Property.LEADING);
    TypeSize letters = box.of(Property.TEXT_SIZE);
    double[] needs = {-1};
    return (width, screen) -> {
      double size = letters.px(screen.lesser());
      if (screen.hearsOfTight()) {
        if (needs[0] < 0) {
          needs[0] = face.figures(Counting.widest(piece, item, blocks.locale()), MEASURED);
        }
        screen.fits(needs[0] * size / MEASURED, width + padding);
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
    PartBox box = blocks.part(item, CounterParts.FIGURE);
    parts.add(number(piece, item, box.sides()));
    items
        .placed(item, CounterParts.TITLE, Fields.shown(piece, item, ItemSettings.HEADING))
        .ifPresent(parts::add);
    return ItemFlows.within(Flow.stack(parts, box.px(Property.GAP)), box)
        .atLeast(Flow.fixed(box.px(Property.LEAST_HIGH)));
  }
}
