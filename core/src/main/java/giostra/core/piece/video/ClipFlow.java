package giostra.core.piece.video;

import giostra.core.fit.Flow;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.ItemFlows;
import giostra.core.look.Property;
import giostra.core.page.Item;
import java.util.List;

/** Clips with their words as they flow in one band. */
final class ClipFlow {
  private final BlockFlows blocks;
  private final ItemFlows items;

  ClipFlow(BlockFlows blocks) {
    this.blocks = blocks;
    this.items = blocks.items();
  }

  /** A clip with its words below. */
  Flow clip(Video piece, Item item) {
    Flow frame =
        Flow.ratio(ClipShape.of(item, blocks.value(piece, VideoSettings.RATIO), items.pictures()));
    List<Flow> words = items.words(piece, item, VideoParts.HEADING);
    return words.isEmpty()
        ? frame
        : Flow.stack(
            List.of(frame, Flow.stack(words, blocks.part(item, VideoParts.WORDS).px(Property.GAP))),
            blocks.part(item, VideoParts.FIGURE).px(Property.GAP));
  }
}
