package giostra.core.layout;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.PanelParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.layout.TextStyle.Text;
import giostra.core.look.Property;
import giostra.core.page.AccordionSettings;
import giostra.core.page.AccordionSettings.Marker;
import giostra.core.page.AccordionSettings.Rows;
import giostra.core.page.Categories;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import giostra.core.page.Piece;
import giostra.core.page.TabsSettings;
import giostra.core.page.TabsSettings.HeadsRow;
import giostra.core.page.TabsSettings.HeadsSide;
import giostra.core.page.TabsSettings.Overflow;
import giostra.core.value.Length;
import giostra.core.words.Labels;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;

/** Tabs and accordions, their headings and panels, as they flow in one band. */
final class PanelFlows {
  /** How wide the search box is before it grows, px. */
  private static final double SEARCH = 240;

  /** What can be pressed is no lower, px. */
  private static final double PRESSED = 44;

  private final BlockFlows blocks;
  private final ItemFlows items;
  private final Locale locale;
  private final Labels labels;

  PanelFlows(BlockFlows blocks, ItemFlows items, Locale locale) {
    this.blocks = blocks;
    this.items = items;
    this.locale = locale;
    this.labels = Labels.in(locale.toLanguageTag());
  }

  Flow tabs(Piece.Tabs piece) {
    List<Item> all = blocks.shown(piece);
    if (all.isEmpty()) {
      return Flow.NONE;
    }
    TabsBand in = TabsBand.in(blocks.document(), piece, blocks.band(), 0);
    int opens = TabsSettings.opens(all);
    boolean bare = piece.values().get(TabsSettings.HEADS_HIDDEN);
    Flow panel = panel(piece, all.get(opens), in.folds());
    if (bare) {
      return panel;
    }
    if (in.folds()) {
      var parts = new ArrayList<Flow>();
      all.forEach(item -> parts.add(folded(piece, item)));
      parts.add(panel);
      return Flow.stack(parts, 0);
    }
    double distance = blocks.value(piece, TabsSettings.HEADS_DISTANCE).constantPx();
    Flow heads = heads(piece, in);
    if (in.side() == HeadsSide.ABOVE || in.side() == HeadsSide.BELOW) {
      return Flow.stack(List.of(heads, panel), distance);
    }
    Line beside = Line.of(blocks.value(piece, TabsSettings.HEADS_WIDTH));
    Line room = new Line(1, -distance);
    return Flow.beside(List.of(heads.narrowed(beside), panel), List.of(room, room.minus(beside)));
  }

  /** The row or column of headings. */
  Flow heads(Piece.Tabs piece, TabsBand in) {
    List<Item> all = blocks.shown(piece);
    List<Head> heads = all.stream().map(item -> tab(piece, item)).toList();
    Length gap = blocks.value(piece, TabsSettings.HEADS_GAP);
    List<Flow> flows = heads.stream().map(Head::flow).toList();
    if (in.side() == HeadsSide.START || in.side() == HeadsSide.END) {
      return Flow.stack(flows, gap.constantPx());
    }
    if (in.row() == HeadsRow.GRID) {
      return Flow.rows(flows, in.grid().columns(), Line.of(gap), false);
    }
    boolean wraps = blocks.value(piece, TabsSettings.OVERFLOW) == Overflow.WRAP;
    return (width, screen) -> {
      List<Flow.Box> boxes = heads.stream().map(head -> head.in(width, screen)).toList();
      double px = gap.in(width);
      return wraps
          ? Flow.wrapping(boxes, px, px).height(width, screen)
          : boxes.stream().mapToDouble(Flow.Box::height).max().orElse(0)
              + (scrolls(boxes, px, width) ? blocks.thinScrollbar() : 0);
    };
  }

  /** Whether a row that does not wrap is wider than its room. */
  private static boolean scrolls(List<Flow.Box> boxes, double gap, double width) {
    double all = boxes.stream().mapToDouble(Flow.Box::width).sum() + gap * (boxes.size() - 1);
    return all > width + 1 / 64.0;
  }

  /** How many rows headings take in a width, or lines the one that has most. */
  @FunctionalInterface
  interface HeadRowCount {
    int in(double width, Screen screen);
  }

  /** Rows of the headings of tabs; one where they are not to be seen as such. */
  HeadRowCount headingRows(Piece.Tabs piece, TabsBand in) {
    if (in.folds() || piece.values().get(TabsSettings.HEADS_HIDDEN)) {
      return (_, _) -> 1;
    }
    List<Item> all = blocks.shown(piece);
    List<Head> heads = all.stream().map(item -> tab(piece, item)).toList();
    Length gap = blocks.value(piece, TabsSettings.HEADS_GAP);
    if (in.side() == HeadsSide.START || in.side() == HeadsSide.END) {
      Line beside = Line.of(blocks.value(piece, TabsSettings.HEADS_WIDTH));
      double distance = blocks.value(piece, TabsSettings.HEADS_DISTANCE).constantPx();
      return lines(heads, width -> Math.min(beside.at(width), width - distance));
    }
    if (in.row() == HeadsRow.GRID) {
      return lines(heads, in.grid().column(Line.of(gap))::at);
    }
    if (blocks.value(piece, TabsSettings.OVERFLOW) != Overflow.WRAP) {
      return (_, _) -> 1;
    }
    return (width, screen) ->
        Flow.rowEnds(
                heads.stream().map(head -> Math.min(width, head.natural(screen))).toList(),
                gap.in(width),
                width)
            .size();
  }

  private static HeadRowCount lines(List<Head> heads, DoubleUnaryOperator room) {
    return (width, screen) ->
        heads.stream()
            .mapToInt(head -> head.lines(room.applyAsDouble(width), screen))
            .max()
            .orElse(1);
  }

  /** The heading of a tab where tabs are an accordion: it has a line above it. */
  Flow folded(Piece.Tabs piece, Item item) {
    PartBox box = blocks.part(item, PanelParts.FOLDED_TAB);
    Text text = box.words().of(called(piece, item), locale);
    int signs = signed(piece, item);
    PartBox sign = blocks.part(item, PanelParts.SIGN);
    double marker = blocks.part(item, PanelParts.MARKER).px(Property.SIZE);
    return (width, screen) -> {
      double gap = box.px(Property.GAP, screen);
      double size = sign.em(Property.SIZE, box.of(Property.TEXT_SIZE).px(screen.lesser()));
      double taken = box.across(screen) + marker + gap + signs * (size + gap);
      screen.fits(taken, width);
      return Math.max(
          PRESSED,
          Math.max(
                  text.height(Math.max(1, width - taken), screen),
                  Math.max(marker, signs > 0 ? size : 0))
              + box.down(screen)
              + box.line());
    };
  }

  Flow accordion(Piece.Accordion piece) {
    List<Item> all = blocks.shown(piece);
    boolean several = piece.values().get(AccordionSettings.SEVERAL);
    boolean always = blocks.value(piece, AccordionSettings.ALWAYS_OPEN);
    boolean joined = piece.values().get(AccordionSettings.ROWS) == Rows.JOINED;
    double gap = joined ? 0 : blocks.value(piece, AccordionSettings.GAP).constantPx();
    var parts = new ArrayList<Spaced>();
    boolean open = false;
    for (int i = 0; i < all.size(); i++) {
      Item item = all.get(i);
      parts.add(new Spaced(gap, question(piece, item)));
      boolean opens =
          switch (piece.values().get(AccordionSettings.OPEN_FIRST)) {
            case NONE -> false;
            case FIRST -> i == 0;
            case CHOSEN -> item.values().get(ItemSettings.OPEN);
            case ALL -> true;
          };
      if (always || (opens && (several || !open))) {
        parts.add(new Spaced(0, panel(piece, item)));
        open = true;
      }
    }
    return Flow.stack(List.of(tools(piece), Flow.stack(parts)), 0);
  }

  /** The question that an answer stands under. */
  Flow question(Piece.Accordion piece, Item item) {
    PartBox box = blocks.part(item, PanelParts.QUESTION);
    Text text = box.words().of(item.values().get(ItemSettings.HEADING), locale);
    double padding = blocks.value(piece, AccordionSettings.HEAD_PADDING).constantPx();
    boolean marked = piece.values().get(AccordionSettings.MARKER) != Marker.NONE;
    int signs = signed(piece, item);
    double gap = blocks.part(item, PanelParts.QUESTION_ROW).px(Property.GAP);
    double marker = marked ? blocks.part(item, PanelParts.MARKER).px(Property.SIZE) : 0;
    // The icon stands beside the words: its size is of the row's letters, not of theirs.
    double sign = signs * blocks.part(item, PanelParts.SIGN).em(Property.SIZE, Length.ROOT_FONT_PX);
    double taken = (marked ? marker + gap : 0) + (signs > 0 ? sign + gap : 0);
    return (width, screen) -> {
      screen.fits(2 * padding + taken, width);
      double words = text.height(Math.max(1, width - 2 * padding - taken), screen);
      return Math.max(Math.max(marker, sign), words) + 2 * padding;
    };
  }

  /** The search box and the categories over questions; the word for all of them is short. */
  private Flow tools(Piece.Accordion piece) {
    boolean search = piece.values().get(AccordionSettings.SEARCH);
    List<String> categories = Categories.of(piece);
    boolean filter = piece.values().get(AccordionSettings.FILTER) && categories.size() > 1;
    if (!search && !filter) {
      return Flow.NONE;
    }
    PartBox chip = blocks.part(piece, PanelParts.CHIP);
    List<Text> words =
        Stream.concat(Stream.of(labels.all()), categories.stream())
            .map(name -> chip.words().of(name, locale))
            .toList();
    double between = blocks.part(piece, PanelParts.CHIPS).px(Property.GAP);
    PartBox box = blocks.part(piece, PanelParts.TOOLS);
    return (width, screen) -> {
      double around = chip.across(screen) + chip.border().across();
      double down = chip.down(screen) + chip.border().down();
      List<Flow.Box> chips =
          words.stream()
              .map(t ->
                  new Flow.Box(
                      t.natural(screen) + around,
                      Math.max(chip.px(Property.SIZE), t.height(Double.MAX_VALUE, screen) + down)))
              .toList();
      double natural =
          chips.stream().mapToDouble(Flow.Box::width).sum() + categories.size() * between;
      var row = new ArrayList<Flow.Box>();
      if (search) {
        row.add(new Flow.Box(SEARCH, field(piece, screen)));
      }
      if (filter) {
        double rows = Flow.wrapping(chips, between, between).height(width, screen);
        row.add(new Flow.Box(Math.min(natural, width), rows));
      }
      return Flow.wrapping(row, box.px(Property.GAP_ACROSS), box.px(Property.GAP))
              .height(width, screen)
          + box.px(Property.BELOW);
    };
  }

  /** How high the search box is: its letters are those of the page. */
  private double field(Piece.Accordion piece, Screen screen) {
    PartBox box = blocks.part(piece, PanelParts.SEARCH);
    TextStyle letters = blocks.words(piece, PageParts.BODY);
    return Math.max(
        box.px(Property.SIZE),
        letters.line() * letters.size().applyAsDouble(screen)
            + box.down(screen)
            + box.border().down());
  }

  /** The panel of a tab or the answer to a question, with its padding, as high as it likes. */
  Flow panel(Piece piece, Item item) {
    var parts = new ArrayList<Spaced>();
    double between = blocks.part(item, PanelParts.INNER).px(Property.ABOVE);
    if (piece instanceof Piece.Tabs) {
      items
          .line(item, PageParts.KICKER, Fields.shown(piece, item, ItemSettings.KICKER))
          .ifPresent(text -> parts.add(new Spaced(between, text)));
      boolean kicked = !parts.isEmpty();
      items
          .line(item, PageParts.SUBHEADING, Fields.shown(piece, item, ItemSettings.SUBHEADING))
          .ifPresent(text -> parts.add(new Spaced(kicked ? 0 : between, text)));
    }
    items
        .picture(piece, item.values().get(ItemSettings.PICTURE))
        .ifPresent(_ -> parts.add(new Spaced(between, Flow.ratio(PanelSettings.PICTURE))));
    String text = Fields.shown(piece, item, ItemSettings.TEXT);
    if (!text.isBlank()) {
      parts.add(new Spaced(between, items.copy(PageParts.ITEM_TEXT, piece, item, text)));
    }
    if (!item.blocks().isEmpty()) {
      parts.add(new Spaced(between, blocks.blocks(item.blocks())));
    }
    items.buttons(piece, item).ifPresent(buttons -> parts.add(new Spaced(between, buttons)));
    if (piece instanceof Piece.Accordion accordion) {
      if (accordion.values().get(AccordionSettings.SHARE)) {
        PartBox share = blocks.part(item, PanelParts.SHARE);
        Text link = share.words().of(labels.copyLink(), locale);
        parts.add(
            new Spaced(
                between,
                (width, screen) ->
                    Math.max(
                        share.px(Property.SIZE),
                        link.height(Math.max(1, width - share.across(screen)), screen)
                            + share.down(screen))));
      }
    }
    double padding = blocks.value(piece, PanelSettings.PANEL_PADDING).constantPx();
    double gutter = Containers.gutter(blocks.document(), piece, blocks.band(), blocks.scrollbar());
    Flow inner = Flow.stack(parts);
    if (piece instanceof Piece.Accordion accordion) {
      // What stands under its question needs no padding above.
      return inner
          .narrowed(Line.of(blocks.value(accordion, AccordionSettings.INNER)))
          .within(new Line(1, -2 * padding - gutter), padding);
    }
    return inner.within(new Line(1, -2 * padding - gutter), 2 * padding);
  }

  /** Panels of tabs as they are set: as high as their own content, as the highest, or fixed. */
  Flow panel(Piece.Tabs piece, Item item, boolean folds) {
    return switch (blocks.value(piece, PanelSettings.PANEL_HEIGHT)) {
      case FIXED -> Flow.fixed(blocks.value(piece, PanelSettings.PANEL_FIXED).constantPx());
      case OWN -> panel(piece, item);
      case TALLEST ->
          folds
              ? panel(piece, item)
              : Flow.tallest(blocks.shown(piece).stream().map(each -> panel(piece, each)).toList());
    };
  }

  /** Panels of an accordion as they are set. */
  Flow panel(Piece.Accordion piece, Item item) {
    PanelHeight height = blocks.value(piece, PanelSettings.PANEL_HEIGHT);
    return switch (height) {
      case FIXED -> Flow.fixed(blocks.value(piece, PanelSettings.PANEL_FIXED).constantPx());
      case OWN -> panel((Piece) piece, item);
      case TALLEST ->
          Flow.tallest(
              blocks.shown(piece).stream().map(each -> panel((Piece) piece, each)).toList());
    };
  }

  /** The heading of a tab, where it stands in a row of tabs. */
  Head tab(Piece.Tabs piece, Item item) {
    PartBox box = blocks.part(item, PanelParts.TAB);
    Text text = box.words().of(called(piece, item), locale);
    return new Head(
        box,
        blocks.part(item, PanelParts.SIGN),
        text,
        signed(piece, item),
        blocks.value(piece, TabsSettings.ICON_PLACE) == TabsSettings.IconPlace.ABOVE);
  }

  /** What stands on a tab: its heading, or its place among all. */
  private String called(Piece.Tabs piece, Item item) {
    String heading = item.values().get(ItemSettings.HEADING);
    List<Item> all = piece.onShow();
    return heading.isEmpty() ? labels.of(all.indexOf(item) + 1, all.size()) : heading;
  }

  /** Whether an icon or a thumbnail stands by a heading; how many of them. */
  int signed(Piece piece, Item item) {
    int icon = items.icon(piece, item.values().get(ItemSettings.ICON)) ? 1 : 0;
    boolean thumbnail =
        piece instanceof Piece.Tabs
            && !Fields.off(piece, "thumbnail")
            && items.pictures().find(item.values().get(ItemSettings.THUMBNAIL)).isPresent();
    return icon + (thumbnail ? 1 : 0);
  }

  /**
   * The heading of a tab.
   *
   * @param box what holds of it
   * @param sign what holds of icons and thumbnails by it
   * @param signs icons and thumbnails by it
   * @param above whether they stand above it
   */
  record Head(PartBox box, PartBox sign, Text text, int signs, boolean above) {
    private double size(Screen screen) {
      return sign.em(Property.SIZE, box.of(Property.TEXT_SIZE).px(screen.lesser()));
    }

    private double beside(Screen screen) {
      return signs * (size(screen) + box.px(Property.GAP, screen));
    }

    double natural(Screen screen) {
      double words = text.natural(screen);
      return box.across(screen)
          + (above ? Math.max(words, signs > 0 ? size(screen) : 0) : words + beside(screen));
    }

    /** It in a row of a width: as wide as its words, but no wider than the row. */
    Flow.Box in(double width, Screen screen) {
      double own = Math.min(width, natural(screen));
      return new Flow.Box(own, flow().height(own, screen));
    }

    private double room(double width, Screen screen) {
      double taken = box.across(screen) + (above ? 0 : beside(screen));
      screen.fits(taken, width);
      return Math.max(1, width - taken);
    }

    int lines(double width, Screen screen) {
      return text.lines(room(width, screen), screen);
    }

    Flow flow() {
      return (width, screen) -> {
        double words = text.height(room(width, screen), screen);
        double inner =
            above ? words + beside(screen) : Math.max(words, signs > 0 ? size(screen) : 0);
        return Math.max(PRESSED, inner + box.down(screen));
      };
    }
  }
}
