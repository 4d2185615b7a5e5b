package giostra.core.layout;

import giostra.core.anatomy.PageParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.layout.TextStyle.Text;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.value.Length;
import giostra.core.value.WordsAlign;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What items of all kinds hold, as it flows in one band. Distances are those of their parts, as the
 * sheets have them; a journey holds the sum of them against the browser.
 */
public final class ItemFlows {
  private final BlockFlows blocks;
  private final Locale locale;
  private final PictureSizes pictures;

  ItemFlows(BlockFlows blocks, Locale locale, PictureSizes pictures) {
    this.blocks = blocks;
    this.locale = locale;
    this.pictures = pictures;
  }

  /** How large pictures are. */
  public PictureSizes pictures() {
    return pictures;
  }

  /** A text of an item, with the room around it. */
  public Flow copy(Part part, Piece piece, Item item, String text) {
    return told(part, piece, item, text).flow();
  }

  private Flow bare(Part part, Piece piece, Item item, String text) {
    return blocks.copy(item, part).of(text, piece.values().get(PieceSettings.SHORTEN));
  }

  /** The room that a part of an item keeps around itself. */
  public RoomAround around(Node item, Part part) {
    return new RoomAround(blocks.part(item, part));
  }

  /** The room that a sign takes, px. */
  public Flow sign(Item item, Part part) {
    double size = blocks.part(item, part).px(Property.SIZE);
    RoomAround around = around(item, part);
    return (_, screen) -> size + around.down(screen);
  }

  /** How large a picture is, where the piece shows pictures and there is such. */
  public Optional<PictureSizes.Size> picture(Piece piece, String id) {
    return Fields.off(piece, "picture") ? Optional.empty() : pictures.find(id);
  }

  /** The icon of an item in a box of its own, if it has one. */
  public Optional<Flow> icon(Piece piece, Item item, Part part) {
    return Fields.icon(piece, item).isEmpty() ? Optional.empty() : Optional.of(sign(item, part));
  }

  /**
   * Words of an item.
   *
   * @param flow with the room around them
   * @param around that room
   * @param line where it is one line that breaks as it must, and no text of several paragraphs
   * @param balanced whether its lines are, as those of headings
   */
  public record Said(
      Part part, Flow flow, RoomAround around, Optional<Text> line, boolean balanced) {
    /** How far its letters reach in a width, px; all the way where it is a text of several. */
    public double reach(double width, Screen screen) {
      return line.map(text -> balanced ? text.balanced(width, screen) : text.reach(width, screen))
          .orElse(width);
    }
  }

  /** Kicker, heading, subheading and text with their parts, those that there are. */
  public List<Said> said(Piece piece, Item item, Part heading) {
    var all = new ArrayList<Said>();
    said(item, PageParts.KICKER, Fields.shown(piece, item, ItemSettings.KICKER), false)
        .ifPresent(all::add);
    said(item, heading, Fields.shown(piece, item, ItemSettings.HEADING), true).ifPresent(all::add);
    said(item, PageParts.SUBHEADING, Fields.shown(piece, item, ItemSettings.SUBHEADING), false)
        .ifPresent(all::add);
    String text = Fields.shown(piece, item, ItemSettings.TEXT);
    if (!text.isBlank()) {
      all.add(told(PageParts.ITEM_TEXT, piece, item, text));
    }
    return all;
  }

  /** A text of one paragraph or of several. */
  public Said told(Part part, Piece piece, Item item, String text) {
    Flow copy = bare(part, piece, item, text);
    RoomAround around = around(item, part);
    return new Said(
        part,
        around.around(copy),
        around,
        copy instanceof Text line ? Optional.of(line) : Optional.empty(),
        false);
  }

  private Optional<Said> said(Item item, Part part, String text, boolean balanced) {
    RoomAround around = around(item, part);
    return line(item, part, text)
        .map(line -> new Said(part, around.around(line), around, Optional.of(line), balanced));
  }

  /** The same without their parts. */
  public List<Flow> words(Piece piece, Item item, Part heading) {
    return said(piece, item, heading).stream().map(Said::flow).toList();
  }

  /** One of its lines with the room around it; none where it says nothing. */
  public Optional<Flow> placed(Item item, Part part, String text) {
    return line(item, part, text).map(around(item, part)::around);
  }

  /** One of its lines; none where it says nothing. */
  public Optional<Text> line(Item item, Part part, String text) {
    return text.isBlank()
        ? Optional.empty()
        : Optional.of(blocks.words(item, part).of(text, locale));
  }

  /** Its buttons; none where it has none. */
  public Optional<Flow> buttons(Piece piece, Item item) {
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
      Length least = box.of(Property.LEAST_WIDE);
      screen.fits(across, width);
      return new Flow.Box(
          Math.min(width, Math.max(least.in(width), text.natural(screen) + across)),
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
    return around(node, PageParts.BUTTONS)
        .around((width, screen) ->
            Flow.wrapping(all.stream().map(each -> each.in(width, screen)).toList(), gap, gap)
                .height(width, screen));
  }

  /** Within the padding of a part whose lengths no letters change. */
  public static Flow within(Flow flow, PartBox box) {
    return flow.within(
        new Line(1, -box.sides()), box.px(Property.PADDING_ABOVE) + box.px(Property.PADDING_BELOW));
  }

  /** Where the words of a piece begin. */
  public WordsAlign align(Piece piece) {
    return switch (blocks.value(piece, PieceSettings.TEXT_ALIGN)) {
      case START -> WordsAlign.START;
      case CENTER -> WordsAlign.CENTER;
      case END -> WordsAlign.END;
    };
  }

  /**
   * The share of the room that is left of words, where they are narrower than it.
   *
   * @param around where what is around them begins
   */
  public static double side(PartBox part, WordsAlign around, boolean mirrored) {
    WordsAlign own = part.part().has(Property.PLACE) ? part.of(Property.PLACE) : WordsAlign.AROUND;
    if (own == WordsAlign.AROUND && part.part().has(Property.ALIGN)) {
      own = part.of(Property.ALIGN);
    }
    return switch (own == WordsAlign.AROUND ? around : own) {
      case AROUND, START -> mirrored ? 1 : 0;
      case CENTER -> 0.5;
      case END -> mirrored ? 0 : 1;
    };
  }
}
