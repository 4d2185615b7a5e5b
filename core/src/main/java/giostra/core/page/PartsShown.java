package giostra.core.page;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.TrackParts;
import giostra.core.look.Part;
import giostra.core.page.CarouselSettings.Card;
import giostra.core.page.CarouselSettings.Frame;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The parts that a node can show as it is set. What it has beside them keeps how it looks, and
 * shows it when the node is set otherwise.
 */
public final class PartsShown {
  private static final Set<Part> PICTURED =
      Set.of(
          TrackParts.CARD_WORDS,
          TrackParts.CARD_HEADING,
          PageParts.ICON,
          PageParts.KICKER,
          PageParts.SUBHEADING,
          PageParts.ITEM_TEXT,
          PageParts.BUTTON,
          PageParts.SECOND_BUTTON,
          PageParts.BUTTON_ICON);

  private static final Set<Part> QUOTED =
      Set.of(
          TrackParts.QUOTATION,
          TrackParts.QUOTATION_WORDS,
          TrackParts.QUOTATION_TEXT,
          TrackParts.QUOTE_MARK,
          TrackParts.SPEAKER,
          TrackParts.SPEAKER_NAME,
          TrackParts.ROLE);

  private static final Set<Part> TAILED = Set.of(TrackParts.BUBBLE, TrackParts.BUBBLE_SPEAKER);

  private PartsShown() {}

  /** The parts of a kind of piece that each of its items can have for itself. */
  public static List<Part> ofItems(NodeType kind) {
    return Anatomy.ITEM.stream().filter(kind.parts()::contains).toList();
  }

  /** The parts that an item of a piece can show. */
  public static List<Part> ofItem(Piece piece) {
    List<Part> its = of(piece);
    return ofItems(piece.type()).stream().filter(its::contains).toList();
  }

  /** Those parts, in the order of the node's type. */
  public static List<Part> of(Node node) {
    return switch (node) {
      case Look look -> look.parts();
      // Their items have none of these fields.
      case Piece.FlipBoxes boxes ->
          without(boxes, Set.of(PageParts.KICKER, PageParts.SUBHEADING, PageParts.SECOND_BUTTON));
      case Piece.Carousel cards -> without(cards, hidden(cards));
      case Block.Heading heading ->
          List.of(PageParts.heading(heading.values().get(BlockSettings.LEVEL)));
      default -> node.type().parts();
    };
  }

  private static Set<Part> hidden(Piece.Carousel cards) {
    boolean quotes = cards.values().get(CarouselSettings.CARD) == Card.QUOTATION;
    Frame frame = cards.values().get(CarouselSettings.FRAME);
    var hidden = new HashSet<Part>(quotes ? PICTURED : QUOTED);
    if (!quotes || frame != Frame.TAIL) {
      hidden.addAll(TAILED);
    }
    if (quotes || frame != Frame.NONE) {
      hidden.add(TrackParts.BARE_PICTURE);
    }
    return hidden;
  }

  private static List<Part> without(Node node, Set<Part> hidden) {
    return node.type().parts().stream().filter(part -> !hidden.contains(part)).toList();
  }
}
