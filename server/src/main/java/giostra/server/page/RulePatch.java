package giostra.server.page;

import giostra.core.output.Sheet;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One change of a style sheet, as {@link Sheet.Patch} has it.
 *
 * @param group index of the grouping rule ({@code @media}) that it lies in, or null for the sheet
 *     itself
 * @param at index of the first rule that goes, among its siblings
 * @param remove how many go
 * @param insert rules that come in their place, in order
 */
record RulePatch(@Nullable Integer group, int at, int remove, List<String> insert) {
  /** Beyond so many patches a whole sheet is quicker. */
  private static final int MOST = 40;

  /** From one sheet to another; null when a whole sheet is the better answer. */
  static @Nullable List<RulePatch> between(Sheet before, Sheet after) {
    if (!before.comparable(after)) {
      return null;
    }
    List<RulePatch> patches =
        before.patchesTo(after).stream()
            .map(patch ->
                new RulePatch(
                    patch.group() < 0 ? null : patch.group(),
                    patch.at(),
                    patch.remove(),
                    patch.insert()))
            .toList();
    return patches.size() > MOST ? null : patches;
  }
}
