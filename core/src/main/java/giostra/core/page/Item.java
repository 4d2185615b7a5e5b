package giostra.core.page;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import java.util.List;

/**
 * One slide, card, tab, question, box, figure or clip of a piece; its fields are its values.
 *
 * @param blocks what its panel holds, where it has one, and what is pinned to it; kept where its
 *     piece has neither
 */
public record Item(String id, Values values, List<Block> blocks) implements Node {
  public Item {
    blocks = List.copyOf(blocks);
  }

  /** An item without blocks. */
  public Item(String id, Values values) {
    this(id, values, List.of());
  }

  /** What lies in its panel, one under the other. */
  public List<Block> panel() {
    return blocks.stream().filter(block -> !(block instanceof Block.Pin)).toList();
  }

  /** What stands on it, the last on top. */
  public List<Block.Pin> pins() {
    return blocks.stream().filter(Block.Pin.class::isInstance).map(Block.Pin.class::cast).toList();
  }

  @Override
  public List<Block> children() {
    return blocks;
  }

  @Override
  public NodeType type() {
    return NodeType.ITEM;
  }

  @Override
  public Item with(Values values) {
    return new Item(id, values, blocks);
  }

  @Override
  public Item holding(List<? extends Node> children) {
    return new Item(id, values, NodeType.checked(this, children, Block.class));
  }

  /** Whether visitors see it in some band. */
  public boolean onShow() {
    return !values.get(ItemSettings.HIDDEN);
  }

  /** Whether visitors see it in a band. */
  public boolean onShow(Bands bands, Band band) {
    return onShow() && values.at(ItemSettings.SHOWN, bands, band);
  }
}
