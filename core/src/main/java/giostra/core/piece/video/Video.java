package giostra.core.piece.video;

import giostra.core.look.Values;
import giostra.core.page.Gridded;
import giostra.core.page.Item;
import giostra.core.page.NodeType;
import java.util.List;

/** Clips with a player of our own. */
public record Video(String id, Values values, List<Item> items) implements Gridded {
  public Video {
    items = List.copyOf(items);
  }

  @Override
  public NodeType type() {
    return NodeType.VIDEO;
  }

  @Override
  public boolean fillsColumns() {
    return true;
  }
}
