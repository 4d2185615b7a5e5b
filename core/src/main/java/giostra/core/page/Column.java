package giostra.core.page;

import giostra.core.look.Values;
import java.util.List;

/** One of the columns of a block. */
public record Column(String id, Values values, List<Block> blocks) implements Node {
  public Column {
    blocks = List.copyOf(blocks);
  }

  @Override
  public List<Block> children() {
    return blocks;
  }

  @Override
  public NodeType type() {
    return NodeType.COLUMN;
  }

  @Override
  public Column with(Values values) {
    return new Column(id, values, blocks);
  }

  @Override
  public Column holding(List<? extends Node> children) {
    return new Column(id, values, NodeType.checked(this, children, Block.class));
  }
}
