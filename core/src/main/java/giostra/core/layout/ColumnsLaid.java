package giostra.core.layout;

import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.value.Length;
import giostra.core.value.Shares;
import java.util.ArrayList;
import java.util.List;

/**
 * Columns as they lie in one band: beside one another, each in the middle of the highest, or one
 * under the other.
 */
final class ColumnsLaid {
  /**
   * Where a column lies in all of them.
   *
   * @param at its place in the document, from 0
   * @param x px from where reading begins
   * @param y px from above
   * @param width px
   */
  record Lies(int at, double x, double y, double width) {}

  private final List<Flow> inside;
  private final boolean stacked;
  private final Length gap;

  /** Columns in the order in which they are seen. */
  private final List<Integer> seen;

  /** What each column of the document has of the width. */
  private final List<Line> shares = new ArrayList<>();

  ColumnsLaid(BlockFlows blocks, Block.Columns columns) {
    this.inside = columns.columns().stream().map(each -> blocks.blocks(each.blocks())).toList();
    Shares ratio = blocks.value(columns, BlockSettings.RATIO);
    this.stacked = ratio.stacked();
    this.gap = blocks.value(columns, BlockSettings.GAP);
    int count = inside.size();
    this.seen = BlockSettings.seen(blocks.value(columns, BlockSettings.ORDER), count);
    Line free = Line.SAME.minus(Line.of(gap).times(count - 1));
    // Shares are those of places as they are seen.
    for (int i = 0; i < count && !stacked; i++) {
      shares.add(free.times((double) ratio.of(seen.indexOf(i)) / ratio.sum(count)));
    }
  }

  Flow flow() {
    return stacked ? Flow.stack(inside, gap.constantPx()) : Flow.beside(inside, shares);
  }

  /** Where they lie in a room of px. */
  List<Lies> in(double room, Screen screen) {
    var all = new ArrayList<Lies>();
    if (stacked) {
      double y = 0;
      for (int at : seen) {
        all.add(new Lies(at, 0, y, room));
        y += inside.get(at).height(room, screen) + gap.constantPx();
      }
      return all;
    }
    double high = flow().height(room, screen);
    double x = 0;
    for (int at : seen) {
      double wide = Math.max(0, shares.get(at).at(room));
      all.add(new Lies(at, x, (high - inside.get(at).height(wide, screen)) / 2, wide));
      x += wide + gap.in(room);
    }
    return all;
  }
}
