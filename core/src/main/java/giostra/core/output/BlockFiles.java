package giostra.core.output;

import giostra.core.layout.Outline;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import java.util.List;
import java.util.stream.Stream;

/**
 * What is written of one block of a section, with all that is in it. It depends on nothing but what
 * its {@link Given} says and on what ships with the page, so it is written again only when that
 * changes: of a section with many pieces an edit touches one.
 *
 * @param html its markup
 * @param gathered what goes with it
 */
record BlockFiles(Given given, String html, Gathered gathered) {
  /**
   * All that a block's files depend on, besides what ships with the page.
   *
   * @param block told by itself, not by what is in it: nodes that nobody changed stay the same
   * @param section the id of the section that it stands in
   * @param around what that section says of itself
   * @param page what every block of the page depends on
   * @param levels of the headings of its pieces, in the order in which these stand
   */
  record Given(Block block, String section, Values around, PageGiven page, List<Integer> levels) {

    static Given of(Block block, Section section, PageGiven page, Outline outline) {
      List<Integer> levels =
          Document.walk(block)
              .filter(Piece.class::isInstance)
              .map(Piece.class::cast)
              .flatMap(piece -> Stream.of(outline.title(piece), outline.items(piece)))
              .toList();
      return new Given(block, section.id(), section.values(), page, levels);
    }

    /** Whether what was written for the other holds for this. */
    boolean same(Given other) {
      return block == other.block
          && section.equals(other.section)
          && levels.equals(other.levels)
          && (around == other.around || around.equals(other.around))
          && page.same(other.page);
    }
  }
}
