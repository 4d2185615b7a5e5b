package giostra.core.piece.carousel;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.TrackParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Screen;
import giostra.core.fit.Track;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.ItemFlows;
import giostra.core.layout.PartBox;
import giostra.core.layout.RoomAround;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.piece.carousel.CarouselSettings.Frame;
import giostra.core.snag.Extent;
import giostra.core.snag.Looked;
import giostra.core.snag.Measure;
import giostra.core.snag.Rule;
import giostra.core.snag.Runs;
import giostra.core.snag.Said;
import giostra.core.snag.Snag;
import giostra.core.value.Around;
import giostra.core.value.PickKind;
import giostra.core.value.WordsAlign;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * Arrows over the words of the cards that they lie on, at any stop. Words are as wide as their
 * widest line, a text of several paragraphs as its room. Nothing is said of what moves down. All px
 * run from where reading begins.
 */
final class CardCovered {
  /** Less than this is a touch, px: letters do not fill their box. */
  private static final double TOUCH = 2;

  /** A part of a card's words, px from its start and from above. */
  record Words(Part part, double x, double y, double width, double height) {}

  /** The part of a card that an arrow covers most, by how many px along the shorter way. */
  private record Covered(Item item, Part part, double by) {}

  private final Looked at;
  private final Carousel piece;
  private final TrackBand track;
  private final BlockFlows blocks;
  private final ItemFlows items;
  private final List<Item> shown;
  private final List<Flow> cards;
  private final Map<Integer, Optional<Covered>> known = new HashMap<>();

  private CardCovered(Looked at, Carousel piece, TrackBand track) {
    this.at = at;
    this.piece = piece;
    this.track = track;
    this.blocks = new BlockFlows(at.document(), track.band(), at.pictures(), at.scrollbar());
    this.items = blocks.items();
    this.shown = blocks.shown(piece);
    var flow = new CardFlow(blocks);
    this.cards = shown.stream().map(item -> flow.card(piece, item)).toList();
  }

  static List<Snag> of(Carousel piece, Looked at) {
    return TrackLayout.of(at.document(), piece, at.scrollbar()).bands().stream()
        .filter(track -> track.arrows() == Arrows.OVER && track.moves())
        .filter(track -> track.axis() == Axis.ACROSS)
        .flatMap(track -> new CardCovered(at, piece, track).found().stream())
        .toList();
  }

  private List<Snag> found() {
    return Runs.worst(track.band(), this::covered, Comparator.comparingDouble(Covered::by)).stream()
        .map(run -> {
          Covered most = run.worst();
          String said =
              Said.of(
                  "arrow-over",
                  "part",
                  most.part.label().toLowerCase(Locale.ROOT),
                  "from",
                  run.from(),
                  "to",
                  run.to());
          return Snag.of(
                  Rule.COVERED, piece.id(), Extent.of(run.from(), run.to(), track.band()), said)
              .of(most.item.id())
              .of(TrackParts.ARROW)
              .about(TrackSettings.ARROWS.id(), TrackSettings.ARROWS.id())
              .measured(Math.round(most.by), 0, Measure.Unit.PX)
              .withFixes(
                  List.of(
                      Snag.Fix.of(Said.of("arrows-below"), arrows(Arrows.BELOW)),
                      Snag.Fix.of(Said.of("arrows-beside"), arrows(Arrows.BESIDE))));
        })
        .toList();
  }

  private Edit arrows(Arrows where) {
    return new Edit.SetValue(
        piece.id(), TrackSettings.ARROWS.id(), track.band().id(), PickKind.word(where));
  }

  private Optional<Covered> covered(int width) {
    return known.computeIfAbsent(width, this::look);
  }

  private Optional<Covered> look(int width) {
    // Where there is no room for cards, another rule says so.
    if (!(track.inner().at(width) > 0 && track.item().at(width) > 0)) {
      return Optional.empty();
    }
    var screen = new Screen(width, Screen.USUAL_HEIGHT);
    Track run = track.track(width);
    double high =
        cards.stream().mapToDouble(card -> card.height(run.item(), screen)).max().orElse(0);
    List<List<Words>> laid =
        IntStream.range(0, shown.size()).mapToObj(i -> words(i, run.item(), high, screen)).toList();
    double size = track.arrowSize().constantPx();
    double from = track.arrowDistance().in(run.inner());
    double y = (Math.max(high, size) - size) / 2;
    return IntStream.range(0, run.stops().count())
        .boxed()
        .flatMap(stop ->
            IntStream.range(0, shown.size())
                .boxed()
                .flatMap(i ->
                    places(run, stop, i)
                        .boxed()
                        .flatMap(x ->
                            laid.get(i).stream()
                                .map(words ->
                                    new Covered(
                                        shown.get(i),
                                        words.part,
                                        Math.max(
                                            over(words, x, from, y, size),
                                            over(words, x, run.inner() - from - size, y, size)))))))
        .filter(each -> each.by > TOUCH)
        .max(Comparator.comparingDouble(Covered::by));
  }

  /**
   * Where a card begins at a stop; going round, one that is out of view at one end is at the other.
   */
  private static DoubleStream places(Track run, int stop, int item) {
    double x = item * run.pitch() - run.offset(stop);
    return (run.loops() ? IntStream.rangeClosed(-1, 1) : IntStream.of(0))
        .mapToDouble(round -> x + round * run.round())
        .filter(at -> at < run.inner() && at + run.item() > 0);
  }

  private static double over(Words words, double x, double from, double y, double size) {
    double across = Math.min(from + size, x + words.x + words.width) - Math.max(from, x + words.x);
    double down = Math.min(y + size, words.y + words.height) - Math.max(y, words.y);
    return Math.max(0, Math.min(across, down));
  }

  /**
   * The words of a card.
   *
   * @param high of all cards, px; a quotation fills the card that it is in
   */
  private List<Words> words(int index, double width, double high, Screen screen) {
    Item item = shown.get(index);
    if (piece.values().get(CarouselSettings.CARD) != Card.QUOTATION) {
      return pictured(item, width, screen);
    }
    Around border = blocks.part(item, CarouselParts.CARD).border();
    double own = track.equalHeights() ? high : cards.get(index).height(width, screen);
    return new QuotationFlow(blocks, piece, item)
        .stand(width - border.across(), own - border.down(), screen).stream()
            .map(each ->
                new Words(
                    each.part,
                    each.x + border.fourth().constantPx(),
                    each.y + border.first().constantPx(),
                    each.width,
                    each.height))
            .toList();
  }

  private List<Words> pictured(Item item, double width, Screen screen) {
    PartBox card = blocks.part(item, CarouselParts.CARD);
    double inner = Math.max(1, width - card.border().across());
    PartBox words = blocks.part(item, CarouselParts.CARD_WORDS);
    var around = new RoomAround(words);
    WordsAlign align = items.align(piece);
    boolean bare = piece.values().get(CarouselSettings.FRAME) == Frame.NONE;
    double body = around.inner(inner, screen);
    double sides = bare ? words.sides(0) : words.sides();
    double padding = sides == 0 ? 0 : words.of(Property.PADDING_SIDES).start().constantPx();
    double box = Math.max(1, body - sides);
    double x =
        card.border().fourth().constantPx()
            + around.before(screen)
            + (inner - body - around.sides(screen)) * ItemFlows.side(words, align, false)
            + padding;
    double gap = words.px(Property.GAP);
    double y =
        card.border().first().constantPx()
            + new CardFlow(blocks).above(piece, item).height(inner, screen)
            + around.above(screen)
            + words.px(Property.PADDING_ABOVE)
            + items
                .icon(piece, item, PageParts.ICON)
                .map(icon -> icon.height(box, screen) + gap)
                .orElse(0.0);
    var found = new ArrayList<Words>();
    for (ItemFlows.Said each : items.said(piece, item, CarouselParts.CARD_HEADING)) {
      RoomAround kept = each.around();
      double high = each.flow().height(box, screen);
      double wide = each.reach(kept.inner(box, screen), screen);
      double free = (box - wide - kept.sides(screen)) * ItemFlows.side(kept.of(), align, false);
      found.add(
          new Words(
              each.part(),
              x + free + kept.before(screen),
              y + kept.above(screen),
              wide,
              high - kept.down(screen)));
      y += high + gap;
    }
    return found;
  }
}
