package giostra.core.layout;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.TrackParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.look.Property;
import giostra.core.page.CarouselSettings;
import giostra.core.page.CarouselSettings.Card;
import giostra.core.page.CarouselSettings.Frame;
import giostra.core.page.CarouselSettings.NameLine;
import giostra.core.page.CarouselSettings.Portrait;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.page.SliderSettings;
import giostra.core.page.SliderSettings.PictureSide;
import giostra.core.page.SliderSettings.PictureUse;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Marks;
import giostra.core.value.Around;
import giostra.core.value.Aspect;
import giostra.core.value.Height;
import giostra.core.value.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Sliders and carousels, their slides and cards, as they flow in one band. */
final class TrackFlows {
  /** What a portrait in a row leaves for the name, px. */
  private static final double NAME_ROOM = 9 * Length.ROOT_FONT_PX;

  private final BlockFlows blocks;
  private final ItemFlows items;
  private final Locale locale;

  TrackFlows(BlockFlows blocks, ItemFlows items, Locale locale) {
    this.blocks = blocks;
    this.items = items;
    this.locale = locale;
  }

  Flow track(Piece.Tracked piece) {
    TrackBand in = TrackLayout.in(blocks.document(), piece, blocks.band(), 0);
    List<Flow> each =
        blocks.shown(piece).stream()
            .map(item ->
                switch (piece) {
                  case Piece.Slider slider -> slide(slider, item);
                  case Piece.Carousel carousel -> card(carousel, item);
                })
            .toList();
    Line room = in.besideArrows();
    Flow view =
        in.axis() == Axis.DOWN
            ? Flow.fixed(in.trackHeight().constantPx())
            : in.all()
                ? Flow.rows(each, in.view(), Line.of(in.gap()), false)
                : Flow.tallest(each).within(in.itemOfInner(), 0);
    double arrow = in.moves() && in.arrows() == Arrows.BESIDE ? in.arrowSize().constantPx() : 0;
    Flow frame = view.within(room, 0).atLeast(Flow.fixed(arrow));
    // What stands under the track is as wide as the track, not as the arrows beside it too.
    return (width, screen) ->
        frame.height(width, screen) + below(in, piece, width, Math.max(1, room.at(width)), screen);
  }

  /**
   * Marks and arrows that stand under a track share a row.
   *
   * @param outer width of the whole piece, px
   * @param width what there is for the marks, px
   */
  private double below(
      TrackBand in, Piece.Tracked piece, double outer, double width, Screen screen) {
    if (!in.moves()) {
      return 0;
    }
    double arrows =
        in.arrows() == Arrows.BELOW
            ? in.arrowDistance().constantPx() + in.arrowSize().constantPx()
            : 0;
    Marks marks = in.marksIn(outer);
    double high =
        marks == Marks.NONE
            ? 0
            : in.markDistance().constantPx()
                + Math.max(24, marks(marks, in, piece).height(width, screen));
    return Math.max(arrows, high);
  }

  private Flow marks(Marks marks, TrackBand in, Piece.Tracked piece) {
    int stops = in.stops().count();
    return switch (marks) {
      case NONE, DOTS, BAR -> Flow.fixed(24);
      case TALLY -> blocks.words(piece, TrackParts.TALLY).of("0", locale);
      case THUMBNAILS ->
          Flow.wrapping(java.util.Collections.nCopies(stops, new Flow.Box(72, 48)), 10, 10);
      case NAMES -> names(in, piece);
    };
  }

  /** Names in a row that wraps; one that is wider than the row wraps in itself. */
  private Flow names(TrackBand in, Piece.Tracked piece) {
    List<Integer> marked =
        TrackLayout.of(blocks.document(), piece, 0).marked().subList(0, in.stops().count());
    PartBox name = blocks.part(piece, TrackParts.NAME);
    double across = name.sides();
    double down = name.px(Property.PADDING_ABOVE) + name.px(Property.PADDING_BELOW) + name.line();
    List<TextStyle.Text> words =
        marked.stream()
            .map(i -> name.words().of(Fields.called(piece.onShow().get(i), i), locale))
            .toList();
    return (width, screen) ->
        Flow.wrapping(
                words.stream()
                    .map(text ->
                        new Flow.Box(
                            Math.min(width, text.natural(screen) + across),
                            text.height(Math.max(1, width - across), screen) + down))
                    .toList(),
                10,
                10)
            .height(width, screen);
  }

  Flow card(Piece.Carousel piece, Item item) {
    return piece.values().get(CarouselSettings.CARD) == Card.QUOTATION
        ? quotation(piece, item)
        : pictureCard(piece, item);
  }

  private Flow pictureCard(Piece.Carousel piece, Item item) {
    boolean bare = piece.values().get(CarouselSettings.FRAME) == Frame.NONE;
    var parts = new ArrayList<Flow>();
    if (items.icon(piece, item.values().get(ItemSettings.ICON))) {
      parts.add(items.sign(item, PageParts.ICON));
    }
    parts.addAll(items.words(piece, item, TrackParts.CARD_HEADING));
    items.buttons(piece, item).ifPresent(parts::add);
    PartBox words = blocks.part(item, TrackParts.CARD_WORDS);
    double sides = bare ? words.sides(0) : words.sides();
    Flow body =
        Flow.stack(parts, words.px(Property.GAP))
            .within(
                new Line(1, -sides),
                words.px(Property.PADDING_ABOVE) + words.px(Property.PADDING_BELOW));
    Optional<PictureSizes.Size> picture =
        items.picture(piece, item.values().get(ItemSettings.PICTURE));
    Flow whole = picture.map(size -> Flow.stack(List.of(shot(piece, size), body), 0)).orElse(body);
    Around border = blocks.part(item, TrackParts.CARD).border();
    return whole.within(new Line(1, -border.across()), border.down());
  }

  private Flow shot(Piece.Carousel piece, PictureSizes.Size size) {
    Aspect shape =
        blocks.value(piece, CarouselSettings.PICTURE_SHAPE).aspect().orElseGet(size::aspect);
    return Flow.ratio(shape)
        .within(Line.of(blocks.value(piece, CarouselSettings.PICTURE_WIDTH)), 0);
  }

  private Flow quotation(Piece.Carousel piece, Item item) {
    Portrait side = blocks.value(piece, CarouselSettings.PORTRAIT);
    boolean beside = CarouselSettings.beside(side);
    boolean named = piece.values().get(CarouselSettings.NAME_LINE) == NameLine.TEXT;
    Frame frame = piece.values().get(CarouselSettings.FRAME);
    boolean tailed = frame == Frame.TAIL;
    Flow quoted =
        Flow.stack(
            List.of(
                items.sign(item, TrackParts.QUOTE_MARK),
                items.copy(
                    TrackParts.QUOTATION_TEXT,
                    piece,
                    item,
                    Fields.shown(piece, item, ItemSettings.TEXT))),
            0);
    Flow speaker = speaker(piece, item);
    double gap = blocks.part(item, TrackParts.QUOTATION_WORDS).px(Property.GAP);
    Flow words = named && speaker != Flow.NONE ? Flow.stack(List.of(quoted, speaker), gap) : quoted;
    if (tailed) {
      words = ItemFlows.within(words, blocks.part(item, TrackParts.BUBBLE));
    }
    Length face =
        CarouselSettings.portraitWidth(blocks.value(piece, CarouselSettings.PICTURE_WIDTH));
    boolean pictured = items.picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent();
    Aspect shape = blocks.value(piece, CarouselSettings.PICTURE_SHAPE).portrait();
    Flow portrait = pictured ? Flow.ratio(shape) : Flow.NONE;
    Flow foot = named ? Flow.NONE : speaker;
    PartBox box = blocks.part(item, TrackParts.QUOTATION);
    double between = box.px(Property.GAP);
    double beneathPortrait = blocks.part(item, TrackParts.SPEAKER).px(Property.GAP);
    PartBox bubble = blocks.part(item, TrackParts.BUBBLE_SPEAKER);
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
    Around border = blocks.part(item, TrackParts.CARD).border();
    return whole.within(new Line(1, -padX - border.across()), padY + border.down());
  }

  private Flow speaker(Piece piece, Item item) {
    var parts = new ArrayList<Flow>();
    items
        .line(item, TrackParts.SPEAKER_NAME, Fields.shown(piece, item, ItemSettings.NAME))
        .ifPresent(parts::add);
    items
        .line(item, TrackParts.ROLE, Fields.shown(piece, item, ItemSettings.ROLE))
        .ifPresent(parts::add);
    return parts.isEmpty() ? Flow.NONE : Flow.stack(parts, 0);
  }

  private double natural(Piece piece, Item item, Screen screen) {
    double name =
        items
            .line(item, TrackParts.SPEAKER_NAME, Fields.shown(piece, item, ItemSettings.NAME))
            .map(text -> text.natural(screen))
            .orElse(0.0);
    double role =
        items
            .line(item, TrackParts.ROLE, Fields.shown(piece, item, ItemSettings.ROLE))
            .map(text -> text.natural(screen))
            .orElse(0.0);
    return Math.max(name, role);
  }

  Flow slide(Piece.Slider piece, Item item) {
    var parts = new ArrayList<Spaced>();
    double gap = blocks.part(item, TrackParts.SLIDE_WORDS).px(Property.GAP);
    items
        .words(piece, item, TrackParts.SLIDE_HEADING)
        .forEach(part -> parts.add(new Spaced(gap, part)));
    double above = blocks.part(item, TrackParts.SLIDE_BUTTONS).px(Property.ABOVE);
    items.buttons(piece, item).ifPresent(part -> parts.add(new Spaced(gap + above, part)));
    double padding = blocks.value(piece, SliderSettings.PADDING).constantPx();
    Length content = blocks.value(piece, SliderSettings.WORDS_MEASURE);
    Flow stand = Flow.stack(parts).narrowed(Line.of(content)).padded(padding);
    Height height = blocks.value(piece, SliderSettings.HEIGHT);
    Flow least = (width, screen) -> height.px(width, screen.height(), screen.large());
    boolean pictured = items.picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent();
    boolean beside =
        pictured && blocks.value(piece, SliderSettings.PICTURE_USE) == PictureUse.BESIDE;
    if (!beside) {
      return stand.atLeast(least);
    }
    if (blocks.value(piece, SliderSettings.PICTURE_SIDE) == PictureSide.ABOVE) {
      return Flow.stack(List.of(Flow.ratio(SliderSettings.PICTURE_ABOVE), stand), 0).atLeast(least);
    }
    Line share = Line.of(blocks.value(piece, SliderSettings.PICTURE_SHARE));
    return stand.within(Line.SAME.minus(share), 0).atLeast(least);
  }
}
