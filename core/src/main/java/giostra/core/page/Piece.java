package giostra.core.page;

import giostra.core.look.Values;
import java.util.List;

/** One of the kinds of moving or folding parts. Each holds items. */
public sealed interface Piece extends Block
    permits Piece.Tracked,
        Piece.Tabs,
        Piece.Accordion,
        Piece.FlipBoxes,
        Piece.Counters,
        Piece.Video {
  /** The items, hidden ones too, in reading order. */
  List<Item> items();

  /** The items that visitors see in some band. */
  default List<Item> onShow() {
    return items().stream().filter(Item::onShow).toList();
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

  /** A piece whose items stand on a track. */
  sealed interface Tracked extends Piece permits Slider, Carousel {}

  /** One slide at a time. */
  record Slider(String id, Values values, List<Item> items) implements Tracked {
    public Slider {
      items = List.copyOf(items);
    }

    @Override
    public NodeType type() {
      return NodeType.SLIDER;
    }
  }

  /** Cards on a track, several in view. */
  record Carousel(String id, Values values, List<Item> items) implements Tracked {
    public Carousel {
      items = List.copyOf(items);
    }

    @Override
    public NodeType type() {
      return NodeType.CAROUSEL;
    }
  }

  /** Panels of which one shows, with a heading each. */
  record Tabs(String id, Values values, List<Item> items) implements Piece {
    public Tabs {
      items = List.copyOf(items);
    }

    @Override
    public NodeType type() {
      return NodeType.TABS;
    }
  }

  /** Panels that fold under their headings. */
  record Accordion(String id, Values values, List<Item> items) implements Piece {
    public Accordion {
      items = List.copyOf(items);
    }

    @Override
    public NodeType type() {
      return NodeType.ACCORDION;
    }
  }

  /** Boxes with two faces. */
  record FlipBoxes(String id, Values values, List<Item> items) implements Piece {
    public FlipBoxes {
      items = List.copyOf(items);
    }

    @Override
    public NodeType type() {
      return NodeType.FLIP_BOXES;
    }
  }

  /** Clips with a player of our own. */
  record Video(String id, Values values, List<Item> items) implements Piece {
    public Video {
      items = List.copyOf(items);
    }

    @Override
    public NodeType type() {
      return NodeType.VIDEO;
    }
  }

  /** Figures that count. */
  record Counters(String id, Values values, List<Item> items) implements Piece {
    public Counters {
      items = List.copyOf(items);
    }

    @Override
    public NodeType type() {
      return NodeType.COUNTERS;
    }
  }
}
