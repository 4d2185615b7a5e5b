package giostra.core.piece.counters;

import giostra.core.look.Values;
import giostra.core.page.Gridded;
import giostra.core.page.Item;
import giostra.core.page.NodeType;
import java.util.List;

/** Figures that count. */
public record Counters(String id, Values values, List<Item> items) implements Gridded {
  public Counters {
    items = List.copyOf(items);
  }

  @Override
  public NodeType type() {
    return NodeType.COUNTERS;
  }
}
