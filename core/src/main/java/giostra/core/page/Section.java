package giostra.core.page;

import giostra.core.look.Values;
import java.util.List;

/** A stretch of a page from edge to edge of the screen, with blocks one under the other. */
public record Section(String id, Values values, List<Block> blocks) implements Node {
  public Section {
    blocks = List.copyOf(blocks);
  }

  @Override
  public List<Block> children() {
    return blocks;
  }

  @Override
  public NodeType type() {
    return NodeType.SECTION;
  }

  @Override
  public Section with(Values values) {
    return new Section(id, values, blocks);
  }

  @Override
  public Section holding(List<? extends Node> children) {
    return new Section(id, values, NodeType.checked(this, children, Block.class));
  }
}
