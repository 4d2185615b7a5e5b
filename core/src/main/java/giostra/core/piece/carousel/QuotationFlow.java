package giostra.core.piece.carousel;

import giostra.core.fit.Flow;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.ItemFlows;
import giostra.core.layout.PartBox;
import giostra.core.layout.TextStyle.Text;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.piece.carousel.CarouselSettings.Frame;
import giostra.core.piece.carousel.CarouselSettings.NameLine;
import giostra.core.piece.carousel.CarouselSettings.Portrait;
import giostra.core.value.Aspect;
import giostra.core.value.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A quotation within its card in one band: how high it is, and where its words stand. All px run
 * from where reading begins.
 */
final class QuotationFlow {
  /** What a portrait in a row leaves for the name, px. */
  private static final double NAME_ROOM = 9 * Length.ROOT_FONT_PX;

  /** A line of who speaks. */
  private record Spoken(Part part, Text text) {}

  /** What the caption takes in a room, px: its own width, the portrait's, what is for the name. */
  private record Caption(double width, double face, double name, double apart, double high) {}

  private final ItemFlows items;
  private final Portrait side;
  private final boolean beside;
  private final boolean named;
  private final boolean pictured;
  private final double padX;
  private final double padStart;
  private final double padAbove;
  private final double padBelow;
  private final Optional<PartBox> bubble;
  private final PartBox edge;
  private final boolean tailed;
  private final Flow marked;
  private final ItemFlows.Said text;
  private final List<Spoken> speaker = new ArrayList<>();
  private final double gap;
  private final double between;
  private final double beneath;
  private final Length face;
  private final Flow portrait;
  private final double across;

  QuotationFlow(BlockFlows blocks, Carousel piece, Item item) {
    this.items = blocks.items();
    this.side = blocks.value(piece, CarouselSettings.PORTRAIT);
    this.beside = CarouselSettings.beside(side);
    this.named = piece.values().get(CarouselSettings.NAME_LINE) == NameLine.TEXT;
    Frame frame = piece.values().get(CarouselSettings.FRAME);
    this.tailed = frame == Frame.TAIL;
    PartBox box = blocks.part(item, CarouselParts.QUOTATION);
    this.padX = tailed || frame == Frame.NONE ? box.sides(0) : box.sides();
    this.padStart = padX == 0 ? 0 : box.of(Property.PADDING_SIDES).start().constantPx();
    this.padAbove = tailed ? box.px(Property.PADDING_ABOVE, 0) : box.px(Property.PADDING_ABOVE);
    this.padBelow = tailed ? box.px(Property.PADDING_BELOW, 0) : box.px(Property.PADDING_BELOW);
    this.bubble = tailed ? Optional.of(blocks.part(item, CarouselParts.BUBBLE)) : Optional.empty();
    this.edge = blocks.part(item, CarouselParts.BUBBLE_SPEAKER);
    this.marked = items.sign(item, CarouselParts.QUOTE_MARK);
    this.text =
        items.told(
            CarouselParts.QUOTATION_TEXT,
            piece,
            item,
            Fields.shown(piece, item, ItemSettings.TEXT));
    line(item, CarouselParts.SPEAKER_NAME, Fields.shown(piece, item, ItemSettings.NAME));
    line(item, CarouselParts.ROLE, Fields.shown(piece, item, ItemSettings.ROLE));
    this.gap = blocks.part(item, CarouselParts.QUOTATION_WORDS).px(Property.GAP);
    this.between = box.px(Property.GAP);
    this.beneath = blocks.part(item, CarouselParts.SPEAKER).px(Property.GAP);
    this.face = CarouselSettings.portraitWidth(blocks.value(piece, CarouselSettings.PICTURE_WIDTH));
    this.pictured = items.picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent();
    Aspect shape = blocks.value(piece, CarouselSettings.PICTURE_SHAPE).portrait();
    this.portrait = pictured ? Flow.ratio(shape) : Flow.NONE;
    this.across = ItemFlows.side(text.around().of(), items.align(piece), false);
  }

  private void line(Item item, Part part, String said) {
    items.line(item, part, said).ifPresent(words -> speaker.add(new Spoken(part, words)));
  }

  /** What it keeps free at both sides, px. */
  double across() {
    return padX;
  }

  /** What it keeps free above and below, px. */
  double down() {
    return padAbove + padBelow;
  }

  /** How high it is without its padding. */
  Flow flow() {
    return (width, screen) -> {
      Caption caption = caption(width, screen);
      double words = words().height(beside ? left(width, caption) : width, screen);
      return beside ? Math.max(words, caption.high) : words + between + caption.high;
    };
  }

  private double left(double width, Caption caption) {
    return Math.max(0, width - caption.width - between);
  }

  /** The words, in their box with a tail where they have such. */
  private Flow words() {
    Flow quoted = Flow.stack(List.of(marked, text.flow()), 0);
    Flow all = named && !speaker.isEmpty() ? Flow.stack(List.of(quoted, spoken()), gap) : quoted;
    return bubble.map(box -> ItemFlows.within(all, box)).orElse(all);
  }

  private Flow spoken() {
    return speaker.isEmpty()
        ? Flow.NONE
        : Flow.stack(speaker.stream().<Flow>map(Spoken::text).toList(), 0);
  }

  private Flow foot() {
    return named ? Flow.NONE : spoken();
  }

  private double natural(Screen screen) {
    return speaker.stream().mapToDouble(line -> line.text.natural(screen)).max().orElse(0);
  }

  private double tail() {
    return tailed ? edge.px(Property.PADDING_ABOVE) + edge.px(Property.PADDING_BELOW) : 0;
  }

  /** The portrait and, where it is there, the name, in a room of px. */
  private Caption caption(double width, Screen screen) {
    double edges = tailed ? edge.sides() : 0;
    Flow foot = foot();
    double apart = pictured && foot != Flow.NONE ? beneath : 0;
    if (beside) {
      double natural = Math.max(pictured ? face.in(width) : 0, named ? 0 : natural(screen));
      double own = Math.min(natural + edges, width / 2);
      double facing = pictured ? Math.min(face.in(width), own - edges) : 0;
      double high =
          (pictured ? portrait.height(facing, screen) : 0)
              + foot.height(own - edges, screen)
              + apart
              + tail();
      return new Caption(own, facing, own - edges, apart, high);
    }
    double most = Math.max(56, width - edges - NAME_ROOM);
    double facing = pictured ? Math.min(face.in(width), most) : 0;
    double room = Math.max(1, width - edges - facing - apart);
    double high =
        Math.max(pictured ? portrait.height(facing, screen) : 0, foot.height(room, screen))
            + tail();
    return new Caption(width, facing, room, apart, high);
  }

  /** A portrait beside the words that it belongs to, px. */
  record Facing(double wide, double high, double words) {}

  /**
   * The portrait, if there is one, beside the words of the quotation without the box around them.
   *
   * @param width of the card within its border, px
   */
  Optional<Facing> portrait(double width, Screen screen) {
    if (!pictured) {
      return Optional.empty();
    }
    double inner = Math.max(1, width - padX);
    Caption caption = caption(inner, screen);
    double room = beside ? left(inner, caption) : inner;
    double wide = Math.max(1, room - bubble.map(PartBox::sides).orElse(0.0));
    return Optional.of(
        new Facing(
            caption.face, portrait.height(caption.face, screen), text.flow().height(wide, screen)));
  }

  /**
   * Where its words stand.
   *
   * @param width of the card within its border, px
   * @param height of it, px
   */
  List<CardCovered.Words> stand(double width, double height, Screen screen) {
    double inner = Math.max(1, width - padX);
    double free = height - padAbove - padBelow;
    Caption caption = caption(inner, screen);
    double room = beside ? left(inner, caption) : inner;
    double high = beside ? free : free - between - caption.high;
    double x = padStart + (side == Portrait.START ? caption.width + between : 0);
    double y = padAbove + (side == Portrait.ABOVE ? caption.high + between : 0);
    Stream<CardCovered.Words> words = quoted(x, y, room, high, screen);
    if (named || speaker.isEmpty()) {
      return words.toList();
    }
    double captionX = padStart + (side == Portrait.END ? left(inner, caption) + between : 0);
    double captionY = padAbove + (side == Portrait.BELOW ? high + between : 0);
    return Stream.concat(
            words, captioned(captionX, captionY, caption, beside ? free : caption.high, screen))
        .toList();
  }

  private Stream<CardCovered.Words> quoted(
      double x, double y, double room, double high, Screen screen) {
    double left =
        x + bubble.map(box -> box.of(Property.PADDING_SIDES).start().constantPx()).orElse(0.0);
    double wide = Math.max(1, room - bubble.map(PartBox::sides).orElse(0.0));
    double above = y + bubble.map(box -> box.px(Property.PADDING_ABOVE)).orElse(0.0);
    double under = y + high - bubble.map(box -> box.px(Property.PADDING_BELOW)).orElse(0.0);
    double reach = text.reach(text.around().inner(wide, screen), screen);
    double kept = text.around().sides(screen);
    var quoted =
        new CardCovered.Words(
            text.part(),
            left + (wide - reach - kept) * across + text.around().before(screen),
            above + marked.height(wide, screen) + text.around().above(screen),
            reach,
            text.flow().height(wide, screen) - text.around().down(screen));
    if (!named) {
      return Stream.of(quoted);
    }
    double spoken = spoken().height(wide, screen);
    double most = Math.min(wide, natural(screen));
    return Stream.concat(
        Stream.of(quoted),
        lines(left + (wide - most) * across, under - spoken, wide, most, across, screen));
  }

  /** The name in the caption: beside the portrait in a row, or under it in a column. */
  private Stream<CardCovered.Words> captioned(
      double x, double y, Caption caption, double high, Screen screen) {
    double inset = tailed ? edge.of(Property.PADDING_SIDES).start().constantPx() : 0;
    double over = tailed ? edge.px(Property.PADDING_ABOVE) : 0;
    double wide = caption.name;
    double most = Math.min(wide, natural(screen));
    double spoken = spoken().height(wide, screen);
    if (beside) {
      double under =
          (high - caption.high) * across
              + (pictured ? portrait.height(caption.face, screen) : 0)
              + caption.apart;
      return lines(x + inset + (wide - most) / 2, y + over + under, wide, most, 0, screen);
    }
    double free = (wide - most) * across;
    double middle = (caption.high - tail() - spoken) / 2;
    return lines(
        x + inset + free + caption.face + caption.apart, y + over + middle, wide, most, 0, screen);
  }

  private Stream<CardCovered.Words> lines(
      double x, double y, double wide, double most, double within, Screen screen) {
    var all = new ArrayList<CardCovered.Words>();
    double top = y;
    for (Spoken line : speaker) {
      double reach = line.text.reach(wide, screen);
      double high = line.text.height(wide, screen);
      all.add(new CardCovered.Words(line.part, x + (most - reach) * within, top, reach, high));
      top += high;
    }
    return all.stream();
  }
}
