package giostra.core.snag;

import giostra.core.page.Block;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Words and signs that are hard to tell from what they stand on. */
final class Faint {
  private Faint() {}

  static List<Snag> check(Looked at) {
    var found = new ArrayList<Snag>();
    switch (at.node()) {
      case Section section -> found.addAll(of(section.children(), at));
      case Piece piece -> {
        found.addAll(Judged.of(piece).found(Rule.CONTRAST, piece, at));
        found.addAll(PartContrast.snags(at.document(), piece, at.pictures(), at.scrollbar()));
        if (piece.type().hasPanels()) {
          piece.onShow().forEach(item -> found.addAll(of(item.panel(), at)));
        }
      }
      default -> {}
    }
    return found;
  }

  /** What is found of blocks; pieces among them are looked at by themselves. */
  private static List<Snag> of(List<? extends Node> children, Looked at) {
    return PartContrast.snags(
        at.document(), children.stream().flatMap(Faint::blocks), at.pictures());
  }

  private static Stream<Block> blocks(Node node) {
    return switch (node) {
      case Piece _ -> Stream.of();
      case Block.Columns columns -> columns.children().stream().flatMap(Faint::blocks);
      case Block block -> Stream.of(block);
      default -> node.children().stream().flatMap(Faint::blocks);
    };
  }
}
