package giostra.core.piece.carousel;

import giostra.core.anatomy.PageParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.ItemFlows;
import giostra.core.layout.PartBox;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.RoomAround;
import giostra.core.look.Property;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.piece.carousel.CarouselSettings.Frame;
import giostra.core.piece.carousel.CarouselSettings.NameLine;
import giostra.core.piece.carousel.CarouselSettings.Portrait;
import giostra.core.value.Around;
import giostra.core.value.Aspect;
import giostra.core.value.Length;
import java.util.ArrayList;
import java.util.List;

/** Cards as they flow in one band. */
final class CardFlow {
  /** What a portrait in a row leaves for the name, px. */
  private static final double NAME_ROOM = 9 * Length.ROOT_FONT_PX;

  private final BlockFlows blocks;
  private final ItemFlows items;

  CardFlow(BlockFlows blocks) {
    this.blocks = blocks;
    this.items = blocks.items();
  }

  Flow card(Carousel piece, Item item) {
    return piece.values().get(CarouselSettings.CARD) == Card.QUOTATION
        ? quotation(piece, item)
        : pictureCard(piece, item);
  }

  private Flow pictureCard(Carousel piece, Item item) {
    boolean bare = piece.values().get(CarouselSettings.FRAME) == Frame.NONE;
    var parts = new ArrayList<Flow>();
    items.icon(piece, item, PageParts.ICON).ifPresent(parts::add);
    parts.addAll(items.words(piece, item, CarouselParts.CARD_HEADING));
    items.buttons(piece, item).ifPresent(parts::add);
    PartBox words = blocks.part(item, CarouselParts.CARD_WORDS);
    double sides = bare ? words.sides(0) : words.sides();
    Flow body =
        Flow.stack(parts, words.px(Property.GAP))
            .within(
                new Line(1, -sides),
                words.px(Property.PADDING_ABOVE) + words.px(Property.PADDING_BELOW))
            .atLeast(Flow.fixed(words.px(Property.LEAST_HIGH)));
    Flow stood = new RoomAround(words).around(body);
    return carded(item, Flow.stack(List.of(above(piece, item), stood), 0), 0, 0);
  }

  /** The picture over the words of a card, in the room around it. */
  Flow above(Carousel piece, Item item) {
    return items
        .picture(piece, item.values().get(ItemSettings.PICTURE))
        .map(size -> shot(piece, item, size))
        .orElse(Flow.NONE);
  }

  /** In its card, with a padding of px on both sides, and one above and below. */
  private Flow carded(Item item, Flow flow, double across, double down) {
    PartBox card = blocks.part(item, CarouselParts.CARD);
    Around border = card.border();
    return flow.within(new Line(1, -across - border.across()), down + border.down())
        .atLeast(Flow.fixed(card.px(Property.LEAST_HIGH)));
  }

  private Flow shot(Carousel piece, Item item, PictureSizes.Size size) {
    Aspect shape =
        blocks.value(piece, CarouselSettings.PICTURE_SHAPE).aspect().orElseGet(size::aspect);
    Line wide = Line.of(blocks.value(piece, CarouselSettings.PICTURE_WIDTH));
    Flow cut = Flow.ratio(shape);
    RoomAround kept = items.around(item, CarouselParts.shot(piece.values()));
    return (width, screen) -> {
      screen.fits(kept.sides(screen), width);
      double drawn = Math.min(wide.at(width), kept.inner(width, screen));
      return cut.height(drawn, screen) + kept.down(screen);
    };
  }

  private Flow quotation(Carousel piece, Item item) {
    Portrait side = blocks.value(piece, CarouselSettings.PORTRAIT);
    boolean beside = CarouselSettings.beside(side);
    boolean named = piece.values().get(CarouselSettings.NAME_LINE) == NameLine.TEXT;
    Frame frame = piece.values().get(CarouselSettings.FRAME);
    boolean tailed = frame == Frame.TAIL;
    Flow quoted =
        Flow.stack(
            List.of(
                items.sign(item, CarouselParts.QUOTE_MARK),
                items.copy(
                    CarouselParts.QUOTATION_TEXT,
                    piece,
                    item,
                    Fields.shown(piece, item, ItemSettings.TEXT))),
            0);
    Flow speaker = speaker(piece, item);
    double gap = blocks.part(item, CarouselParts.QUOTATION_WORDS).px(Property.GAP);
    Flow words = named && speaker != Flow.NONE ? Flow.stack(List.of(quoted, speaker), gap) : quoted;
    if (tailed) {
      words = ItemFlows.within(words, blocks.part(item, CarouselParts.BUBBLE));
    }
    Length face =
        CarouselSettings.portraitWidth(blocks.value(piece, CarouselSettings.PICTURE_WIDTH));
    boolean pictured = items.picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent();
    Aspect shape = blocks.value(piece, CarouselSettings.PICTURE_SHAPE).portrait();
    Flow portrait = pictured ? Flow.ratio(shape) : Flow.NONE;
    Flow foot = named ? Flow.NONE : speaker;
    PartBox box = blocks.part(item, CarouselParts.QUOTATION);
    double between = box.px(Property.GAP);
    double beneathPortrait = blocks.part(item, CarouselParts.SPEAKER).px(Property.GAP);
    PartBox bubble = blocks.part(item, CarouselParts.BUBBLE_SPEAKER);
    double padX = tailed || frame == Frame.NONE ? box.sides(0) : box.sides();
    double padY =
        tailed
            ? box.px(Property.PADDING_ABOVE, 0) + box.px(Property.PADDING_BELOW, 0)
            : box.px(Property.PADDING_ABOVE) + box.px(Property.PADDING_BELOW);
    double tail =
        tailed ? bubble.px(Property.PADDING_ABOVE) + bubble.px(Property.PADDING_BELOW) : 0;
    Flow own = words;
    double edges = tailed ? bubble.sides() : 0;
    Flow whole =
        beside
            ? (width, screen) -> {
              double natural =
                  Math.max(pictured ? face.in(width) : 0, named ? 0 : natural(piece, item, screen));
              double caption = Math.min(natural + edges, width / 2);
              double facing = Math.min(face.in(width), caption - edges);
              double left = Math.max(0, width - caption - between);
              double stacked =
                  (pictured ? portrait.height(facing, screen) : 0)
                      + foot.height(caption - edges, screen)
                      + (pictured && foot != Flow.NONE ? beneathPortrait : 0)
                      + tail;
              return Math.max(own.height(left, screen), stacked);
            }
            : (width, screen) -> {
              double most = Math.max(56, width - edges - NAME_ROOM);
              double facing = Math.min(face.in(width), most);
              double apart = pictured && foot != Flow.NONE ? beneathPortrait : 0;
              double beneath = width - edges - (pictured ? facing + apart : 0);
              double caption =
                  Math.max(
                          pictured ? portrait.height(facing, screen) : 0,
                          foot.height(Math.max(1, beneath), screen))
                      + tail;
              return own.height(width, screen) + between + caption;
            };
    return carded(item, whole, padX, padY);
  }

  private Flow speaker(Piece piece, Item item) {
    var parts = new ArrayList<Flow>();
    items
        .line(item, CarouselParts.SPEAKER_NAME, Fields.shown(piece, item, ItemSettings.NAME))
        .ifPresent(parts::add);
    items
        .line(item, CarouselParts.ROLE, Fields.shown(piece, item, ItemSettings.ROLE))
        .ifPresent(parts::add);
    return parts.isEmpty() ? Flow.NONE : Flow.stack(parts, 0);
  }

  private double natural(Piece piece, Item item, Screen screen) {
    double name =
        items
            .line(item, CarouselParts.SPEAKER_NAME, Fields.shown(piece, item, ItemSettings.NAME))
            .map(text -> text.natural(screen))
            .orElse(0.0);
    double role =
        items
            .line(item, CarouselParts.ROLE, Fields.shown(piece, item, ItemSettings.ROLE))
            .map(text -> text.natural(screen))
            .orElse(0.0);
    return Math.max(name, role);
  }
}
