package giostra.core.piece.flipboxes;

import giostra.core.look.Values;
import giostra.core.page.Gridded;
import giostra.core.page.Item;
import giostra.core.page.NodeType;
import java.util.List;

/** Boxes with two faces. */
public record FlipBoxes(String id, Values values, List<Item> items) implements Gridded {
  public FlipBoxes {
    items = List.copyOf(items);
  }

  @Override
  public NodeType type() {
    return NodeType.FLIP_BOXES;
  }
}
