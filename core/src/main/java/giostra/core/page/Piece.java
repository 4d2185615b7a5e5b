package giostra.core.page;

import giostra.core.look.Values;
import java.util.List;

/**
 * One of the kinds of moving or folding parts. Each holds items. Nobody switches over the kinds:
 * what one of them does is asked of its room ({@link PieceRoom}).
 */
public non-sealed interface Piece extends Block {
  /** The items, hidden ones too, in reading order. */
  List<Item> items();

  /** The items that visitors see in some band. */
  default List<Item> onShow() {
    return items().stream().filter(Item::onShow).toList();
  }

  /** The same in the order in which they stand on the page. */
  default List<Item> inOrder() {
    return onShow();
  }

  @Override
  default List<Item> children() {
    return items();
  }

  @Override
  default Piece with(Values values) {
    return type().piece(id(), values, items());
  }

  @Override
  default Piece holding(List<? extends Node> children) {
    return type().piece(id(), values(), NodeType.checked(this, children, Item.class));
  }
}
