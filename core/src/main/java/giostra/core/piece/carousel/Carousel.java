package giostra.core.piece.carousel;

import giostra.core.look.Values;
import giostra.core.page.Item;
import giostra.core.page.NodeType;
import giostra.core.page.Tracked;
import java.util.List;

/** Cards on a track, several in view. */
public record Carousel(String id, Values values, List<Item> items) implements Tracked {
  public Carousel {
    items = List.copyOf(items);
  }

  @Override
  public NodeType type() {
    return NodeType.CAROUSEL;
  }
}
