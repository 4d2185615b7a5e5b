package giostra.core.snag;

import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import java.util.List;

/**
 * A heading two levels or more below the one before it: who goes from heading to heading looks for
 * what is between. Source: WCAG 2.2, technique G141, "Organizing a page using headings".
 */
final class SkippedLevel {
  private SkippedLevel() {}

  static List<Snag> check(Looked at) {
    if (!(at.node() instanceof Piece) && !(at.node() instanceof Section)) {
      return List.of();
    }
    return Leading.of(at.node())
        .filter(Block.Heading.class::isInstance)
        .flatMap(each -> at.outline().skips(each.id()).stream().map(most -> found(at, each, most)))
        .toList();
  }

  private static Snag found(Looked at, Node heading, int most) {
    int level = heading.values().get(BlockSettings.LEVEL);
    String setting = BlockSettings.LEVEL.id();
    return Snag.of(
            Rule.SKIPPED_LEVEL,
            at.node().id(),
            Extent.always(at.document()),
            Said.of(
                "skipped-level",
                "words",
                heading.values().get(BlockSettings.HEADING_TEXT),
                "level",
                level,
                "most",
                most))
        .of(heading.id())
        .about(setting, setting)
        .withFixes(
            List.of(
                Snag.Fix.of(
                    Said.of("level", "level", most),
                    new Edit.SetValue(heading.id(), setting, "", (double) most))));
  }
}
