package giostra.core.layout;

import giostra.core.anatomy.GridParts;
import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.VideoParts;
import giostra.core.fit.Face;
import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.layout.TextStyle.Text;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.page.CounterSettings;
import giostra.core.page.Counting;
import giostra.core.page.Fields;
import giostra.core.page.FlipSettings;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.VideoSettings;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What items of all kinds hold, as it flows in one band, and the kinds that hold no more: faces and
 * figures. Distances are those of their parts, as the sheets have them; a journey holds the sum of
 * them against the browser.
 */
final class ItemFlows {
  /** The least that shows of the picture of a face, px. */
  static final double FACE_PICTURE = 120;

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

  /** A text of an item. */
  Flow copy(Part part, Piece piece, Item item, String text) {
    return blocks.copy(item, part).of(text, piece.values().get(PieceSettings.SHORTEN));
  }

  /** The room that a sign takes, px. */
  Flow sign(Item item, Part part) {
    return Flow.fixed(blocks.part(item, part).px(Property.SIZE));
  }

  Optional<PictureSizes.Size> picture(Piece piece, String id) {
    return Fields.off(piece, "picture") ? Optional.empty() : pictures.find(id);
  }

  boolean icon(Piece piece, String name) {
    return !name.isEmpty() && !Fields.off(piece, "icon");
  }

  /** Kicker, heading, subheading and text, those that there are. */
  List<Flow> words(Piece piece, Item item, Part heading) {
    var parts = new ArrayList<Flow>();
    line(item, PageParts.KICKER, Fields.shown(piece, item, ItemSettings.KICKER))
        .ifPresent(parts::add);
    line(item, heading, Fields.shown(piece, item, ItemSettings.HEADING)).ifPresent(parts::add);
    line(item, PageParts.SUBHEADING, Fields.shown(piece, item, ItemSettings.SUBHEADING))
        .ifPresent(parts::add);
    String text = Fields.shown(piece, item, ItemSettings.TEXT);
    if (!text.isBlank()) {
      parts.add(copy(PageParts.ITEM_TEXT, piece, item, text));
    }
    return parts;
  }

  Optional<Text> line(Item item, Part part, String text) {
    return text.isBlank()
        ? Optional.empty()
        : Optional.of(blocks.words(item, part).of(text, locale));
  }

  Optional<Flow> buttons(Piece piece, Item item) {
    List<Button> all =
        Fields.buttons(piece, item).stream()
            .map(each ->
                button(
                    item,
                    each.second() ? PageParts.SECOND_BUTTON : PageParts.BUTTON,
                    each.words(),
                    !each.icon().isEmpty()))
            .toList();
    return all.isEmpty() ? Optional.empty() : Optional.of(buttons(item, all));
  }

  /**
   * A button with its words.
   *
   * @param icon what it has beside them
   */
  record Button(PartBox box, Text text, Optional<PartBox> icon) {
    /** It in a row of a width; one that is wider breaks its words. */
    Flow.Box in(double width, Screen screen) {
      double letters = box.of(Property.TEXT_SIZE).px(screen.lesser());
      double size = icon.map(sign -> sign.em(Property.SIZE, letters)).orElse(0.0);
      double beside = icon.isPresent() ? size + box.em(Property.GAP, letters) : 0;
      double across = box.across(screen) + beside;
      screen.fits(across, width);
      return new Flow.Box(
          Math.min(width, text.natural(screen) + across),
          Math.max(size, text.height(Math.max(1, width - across), screen)) + box.down(screen));
    }
  }

  Button button(Node node, Part part, String words, boolean icon) {
    PartBox box = blocks.part(node, part);
    return new Button(
        box,
        box.words().of(words, locale),
        icon ? Optional.of(blocks.part(node, PageParts.BUTTON_ICON)) : Optional.empty());
  }

  /** Buttons in a row that wraps; one that is wider than the row breaks its words. */
  Flow buttons(Node node, List<Button> all) {
    double gap = blocks.part(node, PageParts.BUTTONS).px(Property.GAP);
    return (width, screen) ->
        Flow.wrapping(all.stream().map(each -> each.in(width, screen)).toList(), gap, gap)
            .height(width, screen);
  }

  /** Within the padding of a part whose lengths no letters change. */
  static Flow within(Flow flow, PartBox box) {
    return flow.within(
        new Line(1, -box.sides()), box.px(Property.PADDING_ABOVE) + box.px(Property.PADDING_BELOW));
  }

  // --- faces and figures -----------------------------------------------------------------------

  Flow front(Piece.FlipBoxes piece, Item item) {
    return face(
        piece,
        item,
        GridParts.ICON,
        GridParts.HEADING,
        item.values().get(ItemSettings.PICTURE),
        !Fields.off(piece, "picture"),
        item.values().get(ItemSettings.ICON),
        item.values().get(ItemSettings.HEADING),
        PageParts.ITEM_TEXT,
        item.values().get(ItemSettings.TEXT),
        Optional.empty());
  }

  Flow back(Piece.FlipBoxes piece, Item item) {
    return face(
        piece,
        item,
        GridParts.BACK_ICON,
        GridParts.BACK_HEADING,
        item.values().get(ItemSettings.BACK_PICTURE),
        true,
        item.values().get(ItemSettings.BACK_ICON),
        item.values().get(ItemSettings.BACK_HEADING),
        GridParts.BACK_TEXT,
        item.values().get(ItemSettings.BACK_TEXT),
        buttons(piece, item));
  }

  private Flow face(
      Piece.FlipBoxes piece,
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
    if (icon(piece, icon)) {
      parts.add(sign(item, iconPart));
    }
    if (!Fields.off(piece, "heading")) {
      line(item, headingPart, heading).ifPresent(parts::add);
    }
    if (!text.isBlank() && !Fields.off(piece, "text")) {
      parts.add(copy(textPart, piece, item, text));
    }
    buttons.ifPresent(parts::add);
    Flow body =
        Flow.stack(parts, blocks.part(item, GridParts.WORDS).px(Property.GAP))
            .padded(blocks.value(piece, FlipSettings.PADDING).constantPx());
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
    List<Flow> words = words(piece, item, VideoParts.HEADING);
    return words.isEmpty()
        ? frame
        : Flow.stack(
            List.of(frame, Flow.stack(words, blocks.part(item, VideoParts.WORDS).px(Property.GAP))),
            blocks.part(item, VideoParts.FIGURE).px(Property.GAP));
  }

  /** The number, which never breaks; it may stand over the padding of its box. */
  private Flow number(Piece.Counters piece, Item item, double leading, double padding) {
    double size = blocks.value(piece, CounterSettings.NUMBER_SIZE).constantPx();
    Face face = blocks.part(item, GridParts.NUMBER).face();
    double[] needs = {-1};
    return (width, screen) -> {
      if (screen.hearsOfTight()) {
        if (needs[0] < 0) {
          needs[0] = face.figures(Counting.widest(piece, item, locale), size);
        }
        screen.fits(needs[0], width + padding);
      }
      return size * leading;
    };
  }

  Flow figure(Piece.Counters piece, Item item) {
    var parts = new ArrayList<Flow>();
    var sign = new ArrayList<Flow>();
    if (icon(piece, item.values().get(ItemSettings.ICON))) {
      sign.add(sign(item, GridParts.COUNTER_ICON));
    }
    if (picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent()) {
      sign.add(sign(item, GridParts.COUNTER_PICTURE));
    }
    if (!sign.isEmpty()) {
      parts.add(Flow.stack(sign, 0));
    }
    double leading = blocks.part(item, GridParts.NUMBER).of(Property.LEADING);
    PartBox box = blocks.part(item, GridParts.FIGURE);
    parts.add(number(piece, item, leading, box.sides()));
    line(item, GridParts.TITLE, Fields.shown(piece, item, ItemSettings.HEADING))
        .ifPresent(parts::add);
    return within(Flow.stack(parts, box.px(Property.GAP)), box);
  }
}
