package giostra.core.page;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import java.util.List;

/** What all pages of a site share: its bands and its widths. Each document carries it. */
public record Site(Bands bands, Values values) implements Node {
  /** The id of every site node. */
  public static final String ID = "site";

  @Override
  public String id() {
    return ID;
  }

  @Override
  public List<Node> children() {
    return List.of();
  }

  @Override
  public NodeType type() {
    return NodeType.SITE;
  }

  @Override
  public Site with(Values values) {
    return new Site(bands, values);
  }

  /** The same site with other bands. */
  public Site with(Bands bands) {
    return new Site(bands, values);
  }

  @Override
  public Site holding(List<? extends Node> children) {
    return NodeType.leaf(this, children);
  }
}
