package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.band.Length;
import giostra.core.band.Setting;
import giostra.core.fit.Crop;
import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.page.AccordionSettings;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.CarouselSettings;
import giostra.core.page.CarouselSettings.Card;
import giostra.core.page.CarouselSettings.PictureShape;
import giostra.core.page.Document;
import giostra.core.page.FlipSettings;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.page.SliderSettings;
import giostra.core.page.SliderSettings.PictureSide;
import giostra.core.page.SliderSettings.PictureUse;
import java.util.List;

/**
 * How wide pictures are drawn, whole and before they are cut to their box, as a function of the
 * viewport's width over a band: what a browser has to know to fetch the right file. Where a box is
 * as high as the text in it, the highest that it gets in the band counts.
 */
public final class PictureWidths {
  private static final double BORDERS = 2;
  private static final double SCREEN = 800;
  private static final int SAMPLES = 5;

  private final Document document;
  private final Band band;
  private final PictureSizes pictures;

  /** Of one document in one band, without a scrollbar. */
  public PictureWidths(Document document, Band band, PictureSizes pictures) {
    this.document = document;
    this.band = band;
    this.pictures = pictures;
  }

  private <T> T value(Node node, Setting<T> setting) {
    return Resolution.value(document, node, setting, band);
  }

  private static Piecewise covering(Piecewise room, double boxRatio, Size size) {
    return room.through(new Line(Crop.covering(boxRatio, size.width(), size.height()), 0));
  }

  /** The same width at every viewport. */
  public Piecewise fixed(double px) {
    double[] domain = Containers.domain(band);
    return Piecewise.over(domain[0], domain[1], new Line(0, px));
  }

  /** A picture that stands by itself. */
  public Piecewise block(Block.Picture picture, Size size) {
    Piecewise room = Containers.room(document, picture.id(), Extent.MEASURE, band, 0);
    return switch (value(picture, BlockSettings.SHAPE)) {
      case AS_IS -> room;
      case WIDE -> covering(room, 16.0 / 9, size);
      case SQUARE -> covering(room, 1, size);
      case TALL -> covering(room, 4.0 / 5, size);
    };
  }

  /** A picture among the words of a block or of an item: no wider than it is. */
  public Piecewise among(Node holder, Size size) {
    Piecewise room =
        holder instanceof Block block
            ? Containers.room(document, block.id(), Extent.MEASURE, band, 0)
            : panel((Piece) document.path(holder.id()).reversed().get(1));
    return room.min(fixed(size.width()));
  }

  /** The picture of a card, above its text. */
  public Piecewise card(Piece.Carousel piece, Size size) {
    Piecewise shot =
        TrackLayout.in(document, piece, band, 0)
            .itemWidth()
            .through(new Line(1, -BORDERS))
            .through(Line.of(value(piece, CarouselSettings.PICTURE_WIDTH)));
    return switch (value(piece, CarouselSettings.PICTURE_SHAPE)) {
      case LANDSCAPE -> covering(shot, 4.0 / 3, size);
      case WIDE -> covering(shot, 16.0 / 9, size);
      case SQUARE, ROUND -> covering(shot, 1, size);
      case TALL -> covering(shot, 4.0 / 5, size);
      case AS_IS -> shot;
    };
  }

  /** The portrait beside a quotation. */
  public Piecewise portrait(Piece.Carousel piece, Size size) {
    Length asked = value(piece, CarouselSettings.PICTURE_WIDTH);
    Length face = asked.equals(CarouselSettings.PICTURE_WIDTH.initial()) ? Length.px(56) : asked;
    PictureShape shape = value(piece, CarouselSettings.PICTURE_SHAPE);
    double ratio = shape == PictureShape.WIDE ? 16.0 / 9 : shape == PictureShape.TALL ? 4.0 / 5 : 1;
    Piecewise card = TrackLayout.in(document, piece, band, 0).itemWidth();
    return covering(card.through(Line.of(face)).min(card), ratio, size);
  }

  /** The picture of a slide, under its text or beside it. */
  public Piecewise slide(Piece.Slider piece, Size size) {
    Piecewise slide = TrackLayout.in(document, piece, band, 0).itemWidth();
    Piecewise tall = tallest(Heights.of(document, piece, pictures, 0, SCREEN), size);
    if (value(piece, SliderSettings.PICTURE_USE) != PictureUse.BESIDE) {
      return slide.max(tall);
    }
    return value(piece, SliderSettings.PICTURE_SIDE) == PictureSide.ABOVE
        ? covering(slide, 16.0 / 10, size)
        : slide.through(Line.of(value(piece, SliderSettings.PICTURE_SHARE))).max(tall);
  }

  private Piecewise tallest(Heights heights, Size size) {
    double most = 0;
    for (double at : samples()) {
      for (Heights.Reading reading : heights.at(at)) {
        most = Math.max(most, reading.height());
      }
    }
    return fixed(most * size.width() / size.height());
  }

  private List<Double> samples() {
    double[] domain = Containers.domain(band);
    return java.util.stream.IntStream.rangeClosed(0, SAMPLES)
        .mapToObj(i -> domain[0] + (domain[1] - 1 - domain[0]) * i / SAMPLES)
        .toList();
  }

  /** The picture of a face: it takes what the words leave of the highest box. */
  public Piecewise face(Piece.FlipBoxes piece, Size size) {
    Piecewise box = GridBand.in(document, piece, band, 0).item();
    Heights heights = Heights.of(document, piece, pictures, 0, SCREEN);
    double most = 0;
    for (double at : samples()) {
      double tallest = value(piece, FlipSettings.LEAST_HEIGHT).constantPx();
      double words = Double.POSITIVE_INFINITY;
      for (Heights.Reading reading : heights.at(at)) {
        tallest = Math.max(tallest, reading.height());
        words = Math.min(words, reading.height() - ItemFlows.FACE_PICTURE);
      }
      most = Math.max(most, tallest - Math.max(0, words));
    }
    return box.max(fixed(most * size.width() / size.height()));
  }

  /** The picture of a panel. */
  public Piecewise panelPicture(Piece piece, Size size) {
    return covering(panel(piece), 16.0 / 9, size);
  }

  private Piecewise panel(Piece piece) {
    Piecewise outer = Containers.outer(document, piece, band, 0);
    double padding =
        piece instanceof Piece.Tabs || piece instanceof Piece.Accordion
            ? value(piece, giostra.core.page.PanelSettings.PANEL_PADDING).constantPx()
            : 0;
    return switch (piece) {
      case Piece.Tabs tabs ->
          TabsBand.beside(document, tabs, band, outer)
              .through(new Line(1, -2 * padding))
              .atLeast(0);
      case Piece.Accordion accordion ->
          Containers.narrowed(
              outer.through(new Line(1, -2 * padding)).atLeast(0),
              value(accordion, AccordionSettings.INNER));
      case Piece.Tracked track -> TrackLayout.in(document, track, band, 0).itemWidth();
      case Piece.FlipBoxes _, Piece.Counters _ -> GridBand.in(document, piece, band, 0).item();
    };
  }

  /** The picture under a whole section. */
  public Piecewise ground(Section section, Size size) {
    double[] domain = Containers.domain(band);
    Piecewise screen = Piecewise.over(domain[0], domain[1], Line.SAME);
    Flow content = new BlockFlows(document, band, pictures).blocks(section.blocks());
    double around =
        value(section, SectionSettings.SPACE_ABOVE).constantPx()
            + value(section, SectionSettings.SPACE_BELOW).constantPx();
    double most = 0;
    for (double at : samples()) {
      double room =
          section.blocks().isEmpty()
              ? at
              : Containers.room(document, section.blocks().getFirst().id(), Extent.MEASURE, band, 0)
                  .at(at);
      most = Math.max(most, content.height(room, new Screen(at, SCREEN)) + around);
    }
    return screen.max(fixed(most * size.width() / size.height()));
  }

  /** The picture or thumbnail of an item that is drawn in a box of one size. */
  public Piecewise boxed(double boxWidth, double boxHeight, Size size) {
    return fixed(boxWidth * Crop.covering(boxWidth / boxHeight, size.width(), size.height()));
  }

  /** The picture that belongs to an item of a piece, as its kind draws it. */
  public Piecewise item(Piece piece, Item item, Size size) {
    return switch (piece) {
      case Piece.Carousel carousel ->
          carousel.values().get(CarouselSettings.CARD) == Card.QUOTATION
              ? portrait(carousel, size)
              : card(carousel, size);
      case Piece.Slider slider -> slide(slider, size);
      case Piece.FlipBoxes boxes -> face(boxes, size);
      case Piece.Counters _ -> boxed(72, 72, size);
      case Piece.Tabs _, Piece.Accordion _ -> panelPicture(piece, size);
    };
  }
}
