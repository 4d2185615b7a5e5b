package giostra.core.testing;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.BlockSettings.Side;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.PageSettings.Direction;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.page.Site;
import giostra.core.page.SiteSettings;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Marks;
import giostra.core.page.TrackSettings.Sides;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.carousel.CarouselSettings;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.value.EdgeShape;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import giostra.core.value.Shares;
import giostra.core.value.Stride;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Supplier;

/**
 * Documents drawn at random: carousels alone in padded sections and nested in columns, every
 * setting that changes a width in every unit. The same seed draws the same document.
 */
public final class RandomDocuments {
  private final Random random;
  private final Bands bands;
  private int ids;

  private RandomDocuments(long seed) {
    this.random = new Random(seed);
    this.bands = bands();
  }

  /** Draws one. */
  public static Document document(long seed) {
    return new RandomDocuments(seed).document();
  }

  private Document document() {
    Values site = vary(Values.NONE, SiteSettings.MEASURE, () -> Length.px(whole(600, 1500)));
    site = vary(site, SiteSettings.PADDING, () -> any(px(0, 60), rem(0, 3), percent(0, 8)));
    Direction direction = random.nextInt(4) == 0 ? Direction.RTL : Direction.LTR;
    Values page =
        Values.NONE
            .with(PageSettings.TITLE, Values.ALL, "Drawn at random")
            .with(PageSettings.DIRECTION, Values.ALL, direction);
    var sections = new ArrayList<Section>();
    sections.add(section(List.of(carousel())));
    sections.add(section(List.of(columns(2))));
    return new Document(new Site(bands, site), new Page("page", page, sections));
  }

  private Bands bands() {
    return switch (random.nextInt(3)) {
      case 0 -> Bands.INITIAL;
      case 1 -> Bands.INITIAL.moved("desktop", whole(900, 1200)).plus("wide", "Wide", 1500);
      default -> Bands.INITIAL.minus("tablet").moved("desktop", whole(500, 1000));
    };
  }

  private Section section(List<? extends Block> blocks) {
    Values values = vary(Values.NONE, SectionSettings.PADDING, () -> any(px(0, 80), percent(0, 6)));
    values = vary(values, SectionSettings.EXTENT, () -> pick(Extent.values()));
    values = vary(values, SectionSettings.EDGE_ABOVE, () -> pick(EdgeShape.values()));
    values = vary(values, SectionSettings.EDGE_BELOW, () -> pick(EdgeShape.values()));
    values = vary(values, SectionSettings.EDGE_BELOW_HEIGHT, () -> px(0, 90));
    return new Section(id("section"), values, List.copyOf(blocks));
  }

  private Block columns(int depth) {
    Values values =
        vary(
            Values.NONE,
            BlockSettings.RATIO,
            () ->
                pick(
                    Shares.STACK,
                    new Shares(List.of(1, 1)),
                    new Shares(List.of(2, 1)),
                    new Shares(List.of(3, 4))));
    values = vary(values, BlockSettings.GAP, () -> any(px(0, 64), rem(0, 3), percent(0, 5)));
    Block left = depth > 1 && random.nextBoolean() ? columns(depth - 1) : carousel();
    return new Block.Columns(
        id("columns"),
        values,
        List.of(
            new Column(id("column"), Values.NONE, List.of(left)),
            new Column(id("column"), Values.NONE, List.of(carousel()))));
  }

  private Carousel carousel() {
    Values values = Values.NONE.with(CarouselSettings.CARD, Values.ALL, pick(Card.values()));
    values = vary(values, TrackSettings.IN_VIEW, () -> whole(1, 5));
    values =
        vary(values, TrackSettings.GAP, () -> any(px(0, 40), rem(0, 2), em(0, 2), percent(0, 4)));
    values =
        vary(values, TrackSettings.PEEK, () -> any(px(0, 0), px(0, 60), rem(0, 3), percent(0, 9)));
    values = vary(values, TrackSettings.PEEK_SIDES, () -> pick(Sides.values()));
    values = vary(values, TrackSettings.STRIDE, () -> pick(new Stride(whole(1, 4)), Stride.VIEW));
    values = vary(values, TrackSettings.ENDLESS, random::nextBoolean);
    values = vary(values, TrackSettings.STRETCH_FEW, random::nextBoolean);
    values = vary(values, TrackSettings.FEW, () -> pick(Side.values()));
    values = vary(values, PieceSettings.EXTENT, () -> pick(Extent.values()));
    values =
        vary(values, PieceSettings.WIDTH, () -> any(percent(60, 100), px(300, 1200), rem(20, 60)));
    values = vary(values, PieceSettings.ALIGN, () -> pick(Side.values()));
    values = vary(values, TrackSettings.ARROWS, () -> pick(Arrows.values()));
    values = vary(values, TrackSettings.ARROW_DISTANCE, () -> any(px(0, 40), rem(0, 2)));
    values = vary(values, TrackSettings.MARKS, () -> pick(Marks.values()));
    if (random.nextInt(5) == 0) {
      values = vary(values, TrackSettings.AXIS, () -> pick(Axis.values()));
    }
    var items = new ArrayList<Item>();
    int count = whole(1, 12);
    for (int item = 1; item <= count; item++) {
      String text = "Few words. ".repeat(whole(1, 3)).strip();
      items.add(new Item(id("item"), Values.NONE.with(ItemSettings.TEXT, Values.ALL, text)));
    }
    return new Carousel(id("carousel"), values, items);
  }

  /** Sets a value on the lead band, and on each narrower one by a throw. */
  private <T> Values vary(Values values, Setting<T> setting, Supplier<T> value) {
    Values now = values;
    for (Band band : bands.widestFirst()) {
      if (random.nextInt(band.widest() ? 2 : 3) == 0) {
        now = now.with(setting, band.id(), value.get());
      }
    }
    return now;
  }

  private String id(String word) {
    return word + "-" + ids++;
  }

  private int whole(int least, int most) {
    return least + random.nextInt(most - least + 1);
  }

  @SafeVarargs
  private <T> T pick(T... from) {
    return from[random.nextInt(from.length)];
  }

  private Length any(Length... from) {
    return pick(from);
  }

  private Length px(int least, int most) {
    return Length.px(whole(least, most));
  }

  private Length rem(int least, int most) {
    return new Length(whole(least * 4, most * 4) / 4.0, Length.Unit.REM);
  }

  private Length em(int least, int most) {
    return new Length(whole(least * 4, most * 4) / 4.0, Length.Unit.EM);
  }

  private Length percent(int least, int most) {
    return Length.percent(whole(least * 2, most * 2) / 2.0);
  }
}
