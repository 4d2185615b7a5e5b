package giostra.core.piece.slider;

import giostra.core.anatomy.PageParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.ItemFlows;
import giostra.core.layout.PartBox;
import giostra.core.layout.Resolution;
import giostra.core.layout.RoomAround;
import giostra.core.layout.TrackBand;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.piece.slider.SliderSettings.PictureSide;
import giostra.core.piece.slider.SliderSettings.PictureUse;
import giostra.core.value.Ends;
import giostra.core.value.Height;
import giostra.core.value.Length;
import giostra.core.value.Place;
import giostra.core.value.WordsAlign;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Slides as they flow in one band. */
final class SlideFlow {
  private final BlockFlows blocks;
  private final ItemFlows items;

  SlideFlow(BlockFlows blocks) {
    this.blocks = blocks;
    this.items = blocks.items();
  }

  Flow slide(Slider piece, Item item) {
    Flow bare = bare(piece, item);
    PartBox stand = blocks.part(item, SliderParts.SLIDE_STAND);
    List<PinFlow> pins =
        SlidePins.shown(blocks, item).stream().map(pin -> new PinFlow(blocks, pin, stand)).toList();
    if (pins.isEmpty()) {
      return bare;
    }
    // What is pinned to it takes no room; whoever listens hears of its words all the same.
    return (width, screen) -> {
      double height = bare.height(width, screen);
      pins.forEach(pin -> pin.in(width, height, screen, false));
      return height;
    };
  }

  private Flow bare(Slider piece, Item item) {
    Height height = blocks.value(piece, SliderSettings.HEIGHT);
    return content(piece, item)
        .atLeast((width, screen) -> height.px(width, screen.height(), screen.large()));
  }

  /** What is on a slide, however high that is asked to be. */
  Flow content(Slider piece, Item item) {
    List<Spaced> parts = stacked(piece, item);
    Length content = blocks.value(piece, SliderSettings.WORDS_MEASURE);
    PartBox words = blocks.part(item, SliderParts.SLIDE_WORDS);
    Flow box =
        ItemFlows.within(Flow.stack(parts), words)
            .atLeast(Flow.fixed(words.px(Property.LEAST_HIGH)));
    Flow stand =
        ItemFlows.within(
            box.narrowed(Line.of(content)), blocks.part(item, SliderParts.SLIDE_STAND));
    boolean pictured = items.picture(piece, item.values().get(ItemSettings.PICTURE)).isPresent();
    boolean beside =
        pictured && blocks.value(piece, SliderSettings.PICTURE_USE) == PictureUse.BESIDE;
    if (!beside) {
      return stand;
    }
    if (blocks.value(piece, SliderSettings.PICTURE_SIDE) == PictureSide.ABOVE) {
      return Flow.stack(List.of(Flow.ratio(SliderSettings.PICTURE_ABOVE), stand), 0);
    }
    Line share = Line.of(blocks.value(piece, SliderSettings.PICTURE_SHARE));
    return stand.within(Line.SAME.minus(share), 0);
  }

  /**
   * Words where they stand on a slide.
   *
   * @param x px from the left
   * @param y px from above
   * @param width px
   * @param height px
   */
  record Words(Part part, double x, double y, double width, double height) {}

  /**
   * All of them.
   *
   * @param box what they stand in, with its padding
   */
  record Stood(Words box, List<Words> words) {}

  /** Where the words of a slide stand whose picture is under them; prepared for many widths. */
  interface Standing {
    /**
     * At one of them.
     *
     * @param width of the slide, px
     * @param height of the slide, px
     */
    Stood in(double width, double height, Screen screen);
  }

  /**
   * Where the words of a slide stand.
   *
   * @param mirrored whether one reads from right to left
   */
  Standing standing(Slider piece, Item item, boolean mirrored) {
    PartBox stand = blocks.part(item, SliderParts.SLIDE_STAND);
    Ends around = stand.of(Property.PADDING_SIDES);
    double left = (mirrored ? around.end() : around.start()).constantPx();
    double over = stand.px(Property.PADDING_ABOVE);
    double under = stand.px(Property.PADDING_BELOW);
    PartBox words = blocks.part(item, SliderParts.SLIDE_WORDS);
    Ends within = words.of(Property.PADDING_SIDES);
    double inset = (mirrored ? within.end() : within.start()).constantPx();
    double top = words.px(Property.PADDING_ABOVE);
    double down = top + words.px(Property.PADDING_BELOW);
    double gap = words.px(Property.GAP);
    Length measure = blocks.value(piece, SliderSettings.WORDS_MEASURE);
    Place place = blocks.value(piece, SliderSettings.PLACE);
    WordsAlign align = items.align(piece);
    List<ItemFlows.Said> said = items.said(piece, item, SliderParts.SLIDE_HEADING);
    Optional<Flow> icon = items.icon(piece, item, PageParts.ICON);
    Flow stack = Flow.stack(stacked(piece, item));
    return (width, height, screen) -> {
      double room = Math.max(1, width - stand.sides());
      double wider = Math.min(room, measure.in(room));
      double x = left + (room - wider) * (mirrored ? 1 - place.across() : place.across());
      double box = Math.max(1, wider - words.sides());
      double all = Math.max(words.px(Property.LEAST_HIGH), stack.height(box, screen) + down);
      double y = over + (height - over - under - all) * place.down();
      var stood = new Words(SliderParts.SLIDE_WORDS, x, y, wider, all);
      x += inset;
      y += top;
      y += icon.map(sign -> sign.height(box, screen) + gap).orElse(0.0);
      var found = new ArrayList<Words>();
      for (ItemFlows.Said each : said) {
        double high = each.flow().height(box, screen);
        RoomAround kept = each.around();
        double wide = each.reach(kept.inner(box, screen), screen);
        double start = kept.before(screen);
        double end = kept.sides(screen) - start;
        double free = (box - wide - start - end) * ItemFlows.side(kept.of(), align, mirrored);
        found.add(
            new Words(
                each.part(),
                x + free + (mirrored ? end : start),
                y + kept.above(screen),
                wide,
                high - kept.down(screen)));
        y += high + gap;
      }
      return new Stood(stood, found);
    };
  }

  private List<Spaced> stacked(Slider piece, Item item) {
    var parts = new ArrayList<Spaced>();
    double gap = blocks.part(item, SliderParts.SLIDE_WORDS).px(Property.GAP);
    items.icon(piece, item, PageParts.ICON).ifPresent(icon -> parts.add(new Spaced(gap, icon)));
    items
        .words(piece, item, SliderParts.SLIDE_HEADING)
        .forEach(part -> parts.add(new Spaced(gap, part)));
    double above = blocks.part(item, SliderParts.SLIDE_BUTTONS).px(Property.ABOVE);
    items.buttons(piece, item).ifPresent(part -> parts.add(new Spaced(gap + above, part)));
    return parts;
  }

  /**
   * The least height of a slide: what a slider's plot answers, since a slide is as wide as there is
   * room. A share of the screen is that of one usual height.
   */
  static Piecewise height(Document document, Slider slider, TrackBand b) {
    Height height = Resolution.value(document, slider, SliderSettings.HEIGHT, b.band());
    Line line =
        switch (height) {
          case Height.Ratio(var wide, var high) -> new Line(high / wide, 0);
          case Height.Auto _, Height.Fixed _, Height.Screen _ ->
              new Line(0, height.px(0, Screen.USUAL_HEIGHT, Screen.USUAL_HEIGHT));
        };
    return b.outer().through(line);
  }
}
