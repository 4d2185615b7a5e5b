package giostra.core.piece.carousel;

import giostra.core.anatomy.PageParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.ItemFlows;
import giostra.core.layout.PartBox;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.RoomAround;
import giostra.core.look.Property;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.piece.carousel.CarouselSettings.Frame;
import giostra.core.value.Around;
import giostra.core.value.Aspect;
import java.util.ArrayList;
import java.util.List;

/** Cards as they flow in one band. */
final class CardFlow {
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
    var quotation = new QuotationFlow(blocks, piece, item);
    return carded(item, quotation.flow(), quotation.across(), quotation.down());
  }
}
