package giostra.core.page;

import giostra.core.band.Values;
import java.util.List;

/** One of the kinds of moving or folding parts. Each holds items. */
public sealed interface Piece extends Block permits Piece.Carousel {
  /** The items, hidden ones too, in reading order. */
  List<Item> items();

  /** The items that visitors see. */
  default List<Item> onShow() {
    return items().stream().filter(Item::onShow).toList();
  }

  /** Cards on a track, several in view. */
  record Carousel(String id, Values values, List<Item> items) implements Piece {
    public Carousel {
      items = List.copyOf(items);
    }

    @Override
    public List<Item> children() {
      return items;
    }

    @Override
    public NodeType type() {
      return NodeType.CAROUSEL;
    }

    @Override
    public Carousel with(Values values) {
      return new Carousel(id, values, items);
    }

    @Override
    public Carousel holding(List<? extends Node> children) {
      return new Carousel(id, values, NodeType.checked(this, children, Item.class));
    }
  }
}
