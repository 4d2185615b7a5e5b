package giostra.core.page;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.PageParts;
import giostra.core.look.Part;
import java.util.List;
import java.util.Set;

/**
 * The parts that a node can show as it is set. What it has beside them keeps how it looks, and
 * shows it when the node is set otherwise.
 */
public final class PartsShown {
  private PartsShown() {}

  /** The parts of a kind of piece that each of its items can have for itself. */
  public static List<Part> ofItems(NodeType kind) {
    return Anatomy.ITEM.stream().filter(kind.parts()::contains).toList();
  }

  /** The parts that an item of a piece can show. */
  public static List<Part> ofItem(Piece piece) {
    List<Part> its = of(piece);
    return ofItems(piece.type()).stream().filter(its::contains).toList();
  }

  /** Those parts, in the order of the node's type. */
  public static List<Part> of(Node node) {
    return switch (node) {
      case Look look -> look.parts();
      case Piece piece -> without(piece, piece.type().room().hidden(piece));
      case Block.Heading heading ->
          List.of(PageParts.heading(heading.values().get(BlockSettings.LEVEL)));
      default -> node.type().parts();
    };
  }

  private static List<Part> without(Node node, Set<Part> hidden) {
    return node.type().parts().stream().filter(part -> !hidden.contains(part)).toList();
  }
}
