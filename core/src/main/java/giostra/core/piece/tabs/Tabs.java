package giostra.core.piece.tabs;

import giostra.core.look.Values;
import giostra.core.page.Item;
import giostra.core.page.NodeType;
import giostra.core.page.Piece;
import java.util.List;

/** Panels of which one shows, with a heading each. */
public record Tabs(String id, Values values, List<Item> items) implements Piece {
  public Tabs {
    items = List.copyOf(items);
  }

  @Override
  public NodeType type() {
    return NodeType.TABS;
  }
}
