package giostra.core.layout;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.PanelParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PanelSettings;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.List;

/** What stands in panels of any kind, as it flows in one band. */
public final class PanelFlows {
  private final BlockFlows blocks;

  /** In the band of some blocks. */
  public PanelFlows(BlockFlows blocks) {
    this.blocks = blocks;
  }

  /** The distance between two things in the panel of an item, px. */
  public double between(Item item) {
    return blocks.part(item, PanelParts.INNER).px(Property.ABOVE);
  }

  /** The picture, the text, the blocks and the buttons of an item, those that there are. */
  public List<Spaced> content(Piece piece, Item item) {
    ItemFlows items = blocks.items();
    double between = between(item);
    var parts = new ArrayList<Spaced>();
    items
        .picture(piece, item.values().get(ItemSettings.PICTURE))
        .ifPresent(_ ->
            parts.add(
                new Spaced(
                    between,
                    items
                        .around(item, PanelParts.PICTURE)
                        .around(Flow.ratio(PanelSettings.PICTURE)))));
    String text = Fields.shown(piece, item, ItemSettings.TEXT);
    if (!text.isBlank()) {
      parts.add(new Spaced(between, items.copy(PageParts.ITEM_TEXT, piece, item, text)));
    }
    if (!item.panel().isEmpty()) {
      parts.add(new Spaced(between, blocks.blocks(item.panel())));
    }
    items.buttons(piece, item).ifPresent(buttons -> parts.add(new Spaced(between, buttons)));
    return parts;
  }

  /**
   * What is in a panel with the panel's padding around it.
   *
   * @param panel the part that panels are
   */
  public Flow padded(Piece piece, Item item, Part panel, Flow inner) {
    PartBox box = blocks.part(item, panel);
    double gutter = Containers.gutter(blocks.document(), piece, blocks.band(), blocks.scrollbar());
    return inner
        .within(
            new Line(1, -box.sides() - gutter),
            box.px(Property.PADDING_ABOVE) + box.px(Property.PADDING_BELOW))
        .atLeast(Flow.fixed(box.px(Property.LEAST_HIGH)));
  }

  /** A panel of a height that the piece says, unless the panel itself is to be higher. */
  public Flow fixed(Piece piece, Item item, Part panel) {
    return Flow.fixed(
        Math.max(
            blocks.value(piece, PanelSettings.PANEL_FIXED).constantPx(),
            blocks.part(item, panel).px(Property.LEAST_HIGH)));
  }

  /** How many icons show by the heading of an item: one or none. */
  public int icons(Piece piece, Item item) {
    return Fields.icon(piece, item).isEmpty() ? 0 : 1;
  }
}
