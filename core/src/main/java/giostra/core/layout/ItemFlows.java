package giostra.core.layout;

import giostra.core.fit.Flow;
import giostra.core.layout.TextStyle.Text;
import giostra.core.page.CounterSettings;
import giostra.core.page.Fields;
import giostra.core.page.FlipSettings;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.VideoSettings;
import giostra.core.value.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What items of all kinds hold, as it flows in one band, and the kinds that hold no more: faces and
 * figures. The distances are those of the sheets that the compiler ships; a journey holds the sum
 * of them against the browser.
 */
final class ItemFlows {
  private static final double REM = Length.ROOT_FONT_PX;

  /** Between the parts of a card, a face and the like. */
  static final double PARTS = 0.6 * REM;

  /** The least that shows of the picture of a face, px. */
  static final double FACE_PICTURE = 120;

  static final double ICON = 24;
  static final double BORDER = 2;

  private final BlockFlows blocks;
  private final Locale locale;
  private final PictureSizes pictures;

  ItemFlows(BlockFlows blocks, Locale locale, PictureSizes pictures) {
    this.blocks = blocks;
    this.locale = locale;
    this.pictures = pictures;
  }

  PictureSizes pictures() {
    return pictures;
  }

  Flow copy(TextStyle style, Piece piece, String text) {
    return new CopyFlow(style, locale, pictures)
        .of(text, piece.values().get(PieceSettings.SHORTEN));
  }

  Optional<PictureSizes.Size> picture(Piece piece, String id) {
    return Fields.off(piece, "picture") ? Optional.empty() : pictures.find(id);
  }

  boolean icon(Piece piece, String name) {
    return !name.isEmpty() && !Fields.off(piece, "icon");
  }

  /** Kicker, heading, subheading and text, those that there are. */
  List<Flow> words(Piece piece, Item item, TextStyle heading) {
    var parts = new ArrayList<Flow>();
    line(TextStyle.KICKER, Fields.shown(piece, item, ItemSettings.KICKER)).ifPresent(parts::add);
    line(heading, Fields.shown(piece, item, ItemSettings.HEADING)).ifPresent(parts::add);
    line(TextStyle.SUB, Fields.shown(piece, item, ItemSettings.SUBHEADING)).ifPresent(parts::add);
    String text = Fields.shown(piece, item, ItemSettings.TEXT);
    if (!text.isBlank()) {
      parts.add(copy(TextStyle.BODY, piece, text));
    }
    return parts;
  }

  Optional<Text> line(TextStyle style, String text) {
    return text.isBlank() ? Optional.empty() : Optional.of(style.of(text, locale));
  }

  Optional<Flow> buttons(Piece piece, Item item) {
    List<Text> all =
        Fields.buttons(piece, item).stream()
            .map(button -> TextStyle.BUTTON.of(button.words(), locale))
            .toList();
    return all.isEmpty() ? Optional.empty() : Optional.of(buttons(all));
  }

  /** Buttons in a row that wraps; one that is wider than the row breaks its words. */
  static Flow buttons(List<Text> all) {
    double across = 2 * 1.4 * REM;
    double down = 2 * 0.7 * REM;
    return (width, screen) ->
        Flow.wrapping(
                all.stream()
                    .map(text ->
                        new Flow.Box(
                            Math.min(width, text.natural(screen) + across),
                            text.height(Math.max(1, width - across), screen) + down))
                    .toList(),
                0.6 * REM,
                0.6 * REM)
            .height(width, screen);
  }

  // --- faces and figures -----------------------------------------------------------------------

  Flow front(Piece.FlipBoxes piece, Item item) {
    return face(
        piece,
        item.values().get(ItemSettings.PICTURE),
        !Fields.off(piece, "picture"),
        item.values().get(ItemSettings.ICON),
        item.values().get(ItemSettings.HEADING),
        item.values().get(ItemSettings.TEXT),
        Optional.empty());
  }

  Flow back(Piece.FlipBoxes piece, Item item) {
    return face(
        piece,
        item.values().get(ItemSettings.BACK_PICTURE),
        true,
        item.values().get(ItemSettings.BACK_ICON),
        item.values().get(ItemSettings.BACK_HEADING),
        item.values().get(ItemSettings.BACK_TEXT),
        buttons(piece, item));
  }

  private Flow face(
      Piece.FlipBoxes piece,
      String picture,
      boolean pictured,
      String icon,
      String heading,
      String text,
      Optional<Flow> buttons) {
    var parts = new ArrayList<Flow>();
    if (icon(piece, icon)) {
      parts.add(Flow.fixed(36));
    }
    if (!Fields.off(piece, "heading")) {
      line(TextStyle.FACE_HEADING, heading).ifPresent(parts::add);
    }
    if (!text.isBlank() && !Fields.off(piece, "text")) {
      parts.add(copy(TextStyle.BODY, piece, text));
    }
    buttons.ifPresent(parts::add);
    Flow body =
        Flow.stack(parts, PARTS).padded(blocks.value(piece, FlipSettings.PADDING).constantPx());
    return pictured && pictures.find(picture).isPresent()
        ? Flow.stack(List.of(Flow.fixed(FACE_PICTURE), body), 0)
        : body;
  }

  /** A whole box: as high as its higher face, and no lower than is asked. */
  Flow box(Piece.FlipBoxes piece, Item item) {
    double least = blocks.value(piece, FlipSettings.LEAST_HEIGHT).constantPx();
    return Flow.tallest(List.of(front(piece, item), back(piece, item))).atLeast(Flow.fixed(least));
  }

  /** A clip with its words below. */
  Flow clip(Piece.Video piece, Item item) {
    Flow frame = Flow.ratio(ClipShape.of(item, blocks.value(piece, VideoSettings.RATIO), pictures));
    List<Flow> words = words(piece, item, TextStyle.heading(4));
    return words.isEmpty()
        ? frame
        : Flow.stack(List.of(frame, Flow.stack(words, PARTS)), 0.75 * REM);
  }

  Flow figure(Piece.Counters piece, Item item) {
    var parts = new ArrayList<Flow>();
    var sign = new ArrayList<Flow>();
    if (icon(piece, item.values().get(ItemSettings.ICON))) {
      sign.add(Flow.fixed(32));
    }
    if (picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent()) {
      sign.add(Flow.fixed(72));
    }
    if (!sign.isEmpty()) {
      parts.add(Flow.stack(sign, 0));
    }
    parts.add(Flow.fixed(blocks.value(piece, CounterSettings.NUMBER_SIZE).constantPx() * 1.1));
    line(TextStyle.TITLE, Fields.shown(piece, item, ItemSettings.HEADING)).ifPresent(parts::add);
    return Flow.stack(parts, 0.35 * REM).padded(0.75 * REM);
  }
}
