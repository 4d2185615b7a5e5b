package giostra.core.piece.accordion;

import giostra.core.look.Values;
import giostra.core.page.Item;
import giostra.core.page.NodeType;
import giostra.core.page.Piece;
import java.util.List;

/** Panels that fold under their headings. */
public record Accordion(String id, Values values, List<Item> items) implements Piece {
  public Accordion {
    items = List.copyOf(items);
  }

  @Override
  public NodeType type() {
    return NodeType.ACCORDION;
  }

  @Override
  public List<Item> inOrder() {
    return Categories.shown(this);
  }
}
