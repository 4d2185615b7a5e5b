package giostra.core.page;

import giostra.core.look.Values;
import java.util.List;

/** A page: its head in its values, its sections in reading order. */
public record Page(String id, Values values, List<Section> sections) implements Node {
  public Page {
    sections = List.copyOf(sections);
  }

  @Override
  public List<Section> children() {
    return sections;
  }

  @Override
  public NodeType type() {
    return NodeType.PAGE;
  }

  @Override
  public Page with(Values values) {
    return new Page(id, values, sections);
  }

  @Override
  public Page holding(List<? extends Node> children) {
    return new Page(id, values, NodeType.checked(this, children, Section.class));
  }
}
