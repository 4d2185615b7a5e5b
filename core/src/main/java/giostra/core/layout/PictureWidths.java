package giostra.core.layout;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.PanelParts;
import giostra.core.band.Band;
import giostra.core.fit.Crop;
import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.look.Part;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.PanelSettings;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.value.Aspect;
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

  /** What they are of. */
  public Document document() {
    return document;
  }

  /** The band that they are of. */
  public Band band() {
    return band;
  }

  /** How high what a piece holds is, without a scrollbar. */
  public Heights heights(Piece piece) {
    return heights.computeIfAbsent(
        piece.id(), _ -> Heights.of(document, piece, pictures, 0, Screen.USUAL_HEIGHT));
  }

  /** What holds of a node in the band. */
  public <T> T value(Node node, Setting<T> setting) {
    return Resolution.value(document, node, setting, band);
  }

  /** How wide a picture is drawn that covers a box. */
  public static Piecewise covering(Piecewise room, Aspect box, Size size) {
    return room.through(new Line(Crop.covering(box, size.aspect()), 0));
  }

  /** How wide a picture of an item is drawn in a box, which it covers or stands in whole. */
  public static Piecewise in(Piece piece, Item item, Piecewise room, Aspect box, Size size) {
    return Fields.whole(piece, item)
        ? room.through(new Line(Crop.within(box, size.aspect()), 0))
        : covering(room, box, size);
  }

  /**
   * The same in a box as high as some text.
   *
   * @param tall how wide the picture is that is as high
   */
  public static Piecewise in(Piece piece, Item item, Piecewise room, Piecewise tall) {
    return Fields.whole(piece, item) ? room.min(tall) : room.max(tall);
  }

  /** The same width at every viewport. */
  public Piecewise fixed(double px) {
    double[] domain = Containers.domain(band);
    return Piecewise.over(domain[0], domain[1], new Line(0, px));
  }

  /** A picture that stands by itself. */
  public Piecewise block(Block.Picture picture, Size size) {
    Piecewise room =
        around(picture, PageParts.PICTURE)
            .drawn(Containers.room(document, picture.id(), Extent.MEASURE, band, 0));
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
            : words((Piece) document.path(holder.id()).reversed().get(1));
    return room.min(fixed(size.width()));
  }

  private Piecewise words(Piece piece) {
    return LaidOut.of(piece).words(piece, this);
  }

  /** How wide a picture is that is as high as the highest of what a piece holds. */
  public Piecewise tallest(Piece piece, Size size) {
    double most = 0;
    for (double at : samples()) {
      for (Heights.Reading reading : heights(piece).at(at)) {
        most = Math.max(most, reading.height());
      }
    }
    return fixed(most * size.width() / size.height());
  }

  /** Some viewport widths of the band, from its least to its most, px. */
  public List<Double> samples() {
    double[] domain = Containers.domain(band);
    return java.util.stream.IntStream.rangeClosed(0, SAMPLES)
        .mapToObj(i -> domain[0] + (domain[1] - 1 - domain[0]) * i / SAMPLES)
        .toList();
  }

  /** The picture of a panel. */
  public Piecewise panelPicture(Piece piece, Item item, Size size) {
    return covering(
        around(item, PanelParts.PICTURE).drawn(words(piece)), PanelSettings.PICTURE, size);
  }

  /** What holds of a part of a node in the band. */
  public PartBox part(Node node, Part part) {
    return new PartBox(part, Resolution.scope(document, node), band);
  }

  /** The room that a part of a node keeps around itself. */
  public RoomAround around(Node node, Part part) {
    return new RoomAround(part(node, part));
  }

  /** The picture under a whole section. */
  public Piecewise ground(Section section, Size size) {
    double[] domain = Containers.domain(band);
    Piecewise screen = Piecewise.over(domain[0], domain[1], Line.SAME);
    Flow content = new BlockFlows(document, band, pictures, 0).blocks(section.blocks());
    double around =
        value(section, SectionSettings.SPACE_ABOVE).constantPx()
            + value(section, SectionSettings.SPACE_BELOW).constantPx()
            + reach(section, SectionEdge.Side.ABOVE)
            + reach(section, SectionEdge.Side.BELOW);
    double most = 0;
    for (double at : samples()) {
      double room =
          section.blocks().isEmpty()
              ? at
              : Containers.room(document, section.blocks().getFirst().id(), Extent.MEASURE, band, 0)
                  .at(at);
      most = Math.max(most, content.height(room, new Screen(at, Screen.USUAL_HEIGHT)) + around);
    }
    double high = most + SectionDepth.of(document, section, band).more(most, Screen.USUAL_HEIGHT);
    return screen.max(fixed(high * size.width() / size.height()));
  }

  /** How far a section's picture reaches over a neighbour. */
  private double reach(Section section, SectionEdge.Side side) {
    SectionEdge edge = SectionEdge.of(document, section, side, band);
    return edge.straight() ? 0 : edge.height().constantPx();
  }

  /** The picture or thumbnail of an item that is drawn in a box of one size. */
  public Piecewise boxed(double boxWidth, double boxHeight, Size size) {
    return fixed(boxWidth * Crop.covering(new Aspect(boxWidth, boxHeight), size.aspect()));
  }

  /** The picture that belongs to an item of a piece, as its kind draws it. */
  public Piecewise item(Piece piece, Item item, Size size) {
    return LaidOut.of(piece).picture(piece, item, size, this);
  }

  /** By how many times what moves it enlarges that picture at the most. */
  public double moving(Piece piece, Item item) {
    return LaidOut.of(piece).moving(piece, item, this);
  }
}
