package giostra.core.page;

import giostra.core.band.Values;
import java.util.List;

/** One slide, card, tab, question, box, figure or clip of a piece; its fields are its values. */
public record Item(String id, Values values) implements Node {
  @Override
  public List<Node> children() {
    return List.of();
  }

  @Override
  public NodeType type() {
    return NodeType.ITEM;
  }

  @Override
  public Item with(Values values) {
    return new Item(id, values);
  }

  @Override
  public Item holding(List<? extends Node> children) {
    return NodeType.leaf(this, children);
  }

  /** Whether visitors see it. */
  public boolean onShow() {
    return !values.get(ItemSettings.HIDDEN);
  }
}
