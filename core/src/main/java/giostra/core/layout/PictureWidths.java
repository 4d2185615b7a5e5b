package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.fit.Crop;
import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.CarouselSettings;
import giostra.core.page.CarouselSettings.Card;
import giostra.core.page.Document;
import giostra.core.page.FlipSettings;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.PanelSettings;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.page.SliderSettings;
import giostra.core.page.SliderSettings.PictureSide;
import giostra.core.page.SliderSettings.PictureUse;
import giostra.core.value.Aspect;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How wide pictures are drawn, whole and before they are cut to their box, as a function of the
 * viewport's width over a band: what a browser has to know to fetch the right file. Where a box is
 * as high as the text in it, the highest that it gets in the band counts.
 */
public final class PictureWidths {
  private static final double BORDERS = 2;
  private static final int SAMPLES = 5;

  private final Document document;
  private final Band band;
  private final PictureSizes pictures;

  /** Heights of pieces, measured once for all bands. */
  private final Map<String, Heights> heights;

  private PictureWidths(
      Document document, Band band, PictureSizes pictures, Map<String, Heights> heights) {
    this.document = document;
    this.band = band;
    this.pictures = pictures;
    this.heights = heights;
  }

  /** Of one document in each of its bands, without a scrollbar. */
  public static List<PictureWidths> of(Document document, PictureSizes pictures) {
    var heights = new HashMap<String, Heights>();
    return document.bands().all().stream()
        .map(band -> new PictureWidths(document, band, pictures, heights))
        .toList();
  }

  /** The band that they are of. */
  public Band band() {
    return band;
  }

  private Heights heights(Piece piece) {
    return heights.computeIfAbsent(
        piece.id(), _ -> Heights.of(document, piece, pictures, 0, Screen.USUAL_HEIGHT));
  }

  private <T> T value(Node node, Setting<T> setting) {
    return Resolution.value(document, node, setting, band);
  }

  private static Piecewise covering(Piecewise room, Aspect box, Size size) {
    return room.through(new Line(Crop.covering(box, size.aspect()), 0));
  }

  /** The same width at every viewport. */
  public Piecewise fixed(double px) {
    double[] domain = Containers.domain(band);
    return Piecewise.over(domain[0], domain[1], new Line(0, px));
  }

  /** A picture that stands by itself. */
  public Piecewise block(Block.Picture picture, Size size) {
    Piecewise room = Containers.room(document, picture.id(), Extent.MEASURE, band, 0);
    return value(picture, BlockSettings.SHAPE)
        .aspect()
        .map(box -> covering(room, box, size))
        .orElse(room);
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
    return value(piece, CarouselSettings.PICTURE_SHAPE)
        .aspect()
        .map(box -> covering(shot, box, size))
        .orElse(shot);
  }

  /** The portrait beside a quotation. */
  public Piecewise portrait(Piece.Carousel piece, Size size) {
    Length face = CarouselSettings.portraitWidth(value(piece, CarouselSettings.PICTURE_WIDTH));
    Aspect shape = value(piece, CarouselSettings.PICTURE_SHAPE).portrait();
    Piecewise card = TrackLayout.in(document, piece, band, 0).itemWidth();
    return covering(card.through(Line.of(face)).min(card), shape, size);
  }

  /** The picture of a slide, under its text or beside it. */
  public Piecewise slide(Piece.Slider piece, Size size) {
    Piecewise slide = TrackLayout.in(document, piece, band, 0).itemWidth();
    Piecewise tall = tallest(heights(piece), size);
    if (value(piece, SliderSettings.PICTURE_USE) != PictureUse.BESIDE) {
      return slide.max(tall);
    }
    return value(piece, SliderSettings.PICTURE_SIDE) == PictureSide.ABOVE
        ? covering(slide, SliderSettings.PICTURE_ABOVE, size)
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
    double most = 0;
    for (double at : samples()) {
      double tallest = value(piece, FlipSettings.LEAST_HEIGHT).constantPx();
      double words = Double.POSITIVE_INFINITY;
      for (Heights.Reading reading : heights(piece).at(at)) {
        tallest = Math.max(tallest, reading.height());
        words = Math.min(words, reading.height() - ItemFlows.FACE_PICTURE);
      }
      most = Math.max(most, tallest - Math.max(0, words));
    }
    return box.max(fixed(most * size.width() / size.height()));
  }

  /** The picture of a panel. */
  public Piecewise panelPicture(Piece piece, Size size) {
    return covering(panel(piece), PanelSettings.PICTURE, size);
  }

  private Piecewise panel(Piece piece) {
    return switch (piece) {
      case Piece.Tabs _, Piece.Accordion _ ->
          Containers.panel(document, piece, band, Containers.outer(document, piece, band, 0), 0);
      case Piece.Tracked track -> TrackLayout.in(document, track, band, 0).itemWidth();
      case Piece.FlipBoxes _, Piece.Counters _, Piece.Video _ ->
          GridBand.in(document, piece, band, 0).item();
    };
  }

  /** The picture under a whole section. */
  public Piecewise ground(Section section, Size size) {
    double[] domain = Containers.domain(band);
    Piecewise screen = Piecewise.over(domain[0], domain[1], Line.SAME);
    Flow content = new BlockFlows(document, band, pictures, 0).blocks(section.blocks());
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
      most = Math.max(most, content.height(room, new Screen(at, Screen.USUAL_HEIGHT)) + around);
    }
    return screen.max(fixed(most * size.width() / size.height()));
  }

  /** The picture or thumbnail of an item that is drawn in a box of one size. */
  public Piecewise boxed(double boxWidth, double boxHeight, Size size) {
    return fixed(boxWidth * Crop.covering(new Aspect(boxWidth, boxHeight), size.aspect()));
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
      case Piece.Video _ -> panel(piece);
      case Piece.Tabs _, Piece.Accordion _ -> panelPicture(piece, size);
    };
  }
}
