package giostra.core.piece.flipboxes;

import giostra.core.anatomy.PageParts;
import giostra.core.fit.Flow;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.ItemFlows;
import giostra.core.layout.PartBox;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Flip boxes and their faces as they flow in one band. */
final class FlipFlow {
  /** The least that shows of the picture of a face, px. */
  static final double FACE_PICTURE = 120;

  private final BlockFlows blocks;
  private final ItemFlows items;

  FlipFlow(BlockFlows blocks) {
    this.blocks = blocks;
    this.items = blocks.items();
  }

  Flow front(FlipBoxes piece, Item item) {
    return face(
        piece,
        item,
        FlipParts.ICON,
        FlipParts.HEADING,
        item.values().get(ItemSettings.PICTURE),
        !Fields.off(piece, "picture"),
        Fields.icon(piece, item),
        item.values().get(ItemSettings.HEADING),
        PageParts.ITEM_TEXT,
        item.values().get(ItemSettings.TEXT),
        Optional.empty());
  }

  Flow back(FlipBoxes piece, Item item) {
    return face(
        piece,
        item,
        FlipParts.BACK_ICON,
        FlipParts.BACK_HEADING,
        item.values().get(ItemSettings.BACK_PICTURE),
        true,
        item.values().get(ItemSettings.BACK_ICON),
        item.values().get(ItemSettings.BACK_HEADING),
        FlipParts.BACK_TEXT,
        item.values().get(ItemSettings.BACK_TEXT),
        items.buttons(piece, item));
  }

  private Flow face(
      FlipBoxes piece,
      Item item,
      Part iconPart,
      Part headingPart,
      String picture,
      boolean pictured,
      String icon,
      String heading,
      Part textPart,
      String text,
      Optional<Flow> buttons) {
    var parts = new ArrayList<Flow>();
    if (!icon.isEmpty() && !Fields.off(piece, "icon")) {
      parts.add(items.sign(item, iconPart));
    }
    if (!Fields.off(piece, "heading")) {
      items.placed(item, headingPart, heading).ifPresent(parts::add);
    }
    if (!text.isBlank() && !Fields.off(piece, "text")) {
      parts.add(items.copy(textPart, piece, item, text));
    }
    buttons.ifPresent(parts::add);
    PartBox words = blocks.part(item, FlipParts.WORDS);
    Flow body = ItemFlows.within(Flow.stack(parts, words.px(Property.GAP)), words);
    return pictured && items.pictures().find(picture).isPresent()
        ? Flow.stack(List.of(Flow.fixed(FACE_PICTURE), body), 0)
        : body;
  }

  /** A whole box: as high as its higher face, and no lower than is asked. */
  Flow box(FlipBoxes piece, Item item) {
    double least = blocks.value(piece, FlipSettings.LEAST_HEIGHT).constantPx();
    return Flow.tallest(List.of(front(piece, item), back(piece, item))).atLeast(Flow.fixed(least));
  }
}
