package giostra.core.piece.slider;

import giostra.core.look.Values;
import giostra.core.page.Item;
import giostra.core.page.NodeType;
import giostra.core.page.Tracked;
import java.util.List;

/** One slide at a time. */
public record Slider(String id, Values values, List<Item> items) implements Tracked {
  public Slider {
    items = List.copyOf(items);
  }

  @Override
  public NodeType type() {
    return NodeType.SLIDER;
  }

  @Override
  public boolean oneByOne() {
    return true;
  }
}
