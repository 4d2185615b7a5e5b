package giostra.core.piece.carousel;

import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.layout.PictureWidths;
import giostra.core.page.Item;
import giostra.core.value.Aspect;
import giostra.core.value.Length;

/** How wide the pictures of cards are drawn. */
final class CardWidths {
  private CardWidths() {}

  /** The picture of a card, above its text. */
  static Piecewise picture(
      Carousel piece, Item item, Size size, Piecewise card, PictureWidths widths) {
    double border = widths.part(item, CarouselParts.CARD).border().across();
    Piecewise inside = card.through(new Line(1, -border));
    Piecewise shot =
        inside
            .through(Line.of(widths.value(piece, CarouselSettings.PICTURE_WIDTH)))
            .min(widths.around(item, CarouselParts.shot(piece.values())).drawn(inside));
    return widths
        .value(piece, CarouselSettings.PICTURE_SHAPE)
        .aspect()
        .map(box -> PictureWidths.in(piece, item, shot, box, size))
        .orElse(shot);
  }

  /** The portrait beside a quotation. */
  static Piecewise portrait(Carousel piece, Size size, Piecewise card, PictureWidths widths) {
    Length face =
        CarouselSettings.portraitWidth(widths.value(piece, CarouselSettings.PICTURE_WIDTH));
    Aspect shape = widths.value(piece, CarouselSettings.PICTURE_SHAPE).portrait();
    return PictureWidths.covering(card.through(Line.of(face)).min(card), shape, size);
  }
}
