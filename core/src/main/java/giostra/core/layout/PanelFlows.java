package giostra.core.layout;

import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.layout.TextStyle.Text;
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
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Tabs and accordions, their headings and panels, as they flow in one band. */
final class PanelFlows {
  private static final double REM = Length.ROOT_FONT_PX;
  private static final double MARKER = 20;
  private static final double SEARCH = 240;
  private static final double CHIP = 0.4 * REM;

  private final BlockFlows blocks;
  private final ItemFlows items;
  private final Locale locale;

  PanelFlows(BlockFlows blocks, ItemFlows items, Locale locale) {
    this.blocks = blocks;
    this.items = items;
    this.locale = locale;
  }

  Flow tabs(Piece.Tabs piece) {
    List<Item> all = blocks.shown(piece);
    if (all.isEmpty()) {
      return Flow.NONE;
    }
    TabsBand in = TabsBand.in(blocks.document(), piece, blocks.band(), 0);
    int opens = Math.clamp(piece.values().get(TabsSettings.OPENS_ON), 1, all.size()) - 1;
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
    Line rest = Line.SAME.minus(beside).plus(new Line(0, -distance));
    return Flow.beside(List.of(heads, panel), List.of(beside, rest));
  }

  /** The row or column of headings. */
  Flow heads(Piece.Tabs piece, TabsBand in) {
    List<Item> all = blocks.shown(piece);
    List<Head> heads = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      heads.add(tab(piece, all.get(i), i));
    }
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
      List<Flow.Box> boxes =
          heads.stream()
              .map(head -> {
                double natural = head.natural(screen);
                return new Flow.Box(natural, head.flow().height(natural, screen));
              })
              .toList();
      double px = gap.in(width);
      return wraps
          ? Flow.wrapping(boxes, px, px).height(width, screen)
          : boxes.stream().mapToDouble(Flow.Box::height).max().orElse(0);
    };
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
    var heads = new ArrayList<Head>();
    for (int i = 0; i < all.size(); i++) {
      heads.add(tab(piece, all.get(i), i));
    }
    Length gap = blocks.value(piece, TabsSettings.HEADS_GAP);
    if (in.side() == HeadsSide.START || in.side() == HeadsSide.END) {
      return lines(heads, Line.of(blocks.value(piece, TabsSettings.HEADS_WIDTH)));
    }
    if (in.row() == HeadsRow.GRID) {
      return lines(heads, in.grid().column(Line.of(gap)));
    }
    if (blocks.value(piece, TabsSettings.OVERFLOW) != Overflow.WRAP) {
      return (_, _) -> 1;
    }
    return (width, screen) ->
        Flow.rowEnds(
                heads.stream().map(head -> head.natural(screen)).toList(), gap.in(width), width)
            .size();
  }

  private static HeadRowCount lines(List<Head> heads, Line room) {
    return (width, screen) ->
        heads.stream().mapToInt(head -> head.lines(room.at(width), screen)).max().orElse(1);
  }

  /** The heading of a tab where tabs are an accordion: it has a line above it. */
  Flow folded(Piece.Tabs piece, Item item) {
    String heading = item.values().get(ItemSettings.HEADING);
    Text text = TextStyle.FOLDED_TAB.of(heading.isEmpty() ? "1" : heading, locale);
    double signs = signed(piece, item) * (1.5 + 0.7) * REM;
    double taken = 2 * 1.1 * REM + MARKER + 0.7 * REM + signs;
    return (width, screen) ->
        Math.max(
            44,
            Math.max(text.height(Math.max(1, width - taken), screen), signs > 0 ? 1.5 * REM : 0)
                + 2 * 0.9 * REM
                + 1);
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
    Text text = TextStyle.QUESTION.of(item.values().get(ItemSettings.HEADING), locale);
    double padding = blocks.value(piece, AccordionSettings.HEAD_PADDING).constantPx();
    boolean marked = piece.values().get(AccordionSettings.MARKER) != Marker.NONE;
    double sign = signed(piece, item) * 1.5 * REM;
    double taken = (marked ? MARKER + 0.9 * REM : 0) + (sign > 0 ? sign + 0.9 * REM : 0);
    return (width, screen) ->
        Math.max(
                Math.max(marked ? MARKER : 0, sign),
                text.height(Math.max(1, width - 2 * padding - taken), screen))
            + 2 * padding;
  }

  /** The search box and the categories over questions; the word for all of them is short. */
  private Flow tools(Piece.Accordion piece) {
    boolean search = piece.values().get(AccordionSettings.SEARCH);
    List<String> categories = Categories.of(piece);
    boolean filter = piece.values().get(AccordionSettings.FILTER) && categories.size() > 1;
    if (!search && !filter) {
      return Flow.NONE;
    }
    List<Text> words =
        Stream.concat(Stream.of("All"), categories.stream())
            .map(name -> TextStyle.CHIP.of(name, locale))
            .toList();
    return (width, screen) -> {
      List<Flow.Box> chips =
          words.stream().map(t -> new Flow.Box(t.natural(screen) + 1.8 * REM + 2, 36)).toList();
      double natural = chips.stream().mapToDouble(Flow.Box::width).sum() + categories.size() * CHIP;
      var row = new ArrayList<Flow.Box>();
      if (search) {
        row.add(new Flow.Box(SEARCH, 44));
      }
      if (filter) {
        double rows = Flow.wrapping(chips, CHIP, CHIP).height(width, screen);
        row.add(new Flow.Box(Math.min(natural, width), rows));
      }
      return Flow.wrapping(row, REM, 0.75 * REM).height(width, screen) + 1.25 * REM;
    };
  }

  /** The panel of a tab or the answer to a question, with its padding, as high as it likes. */
  Flow panel(Piece piece, Item item) {
    var parts = new ArrayList<Spaced>();
    if (piece instanceof Piece.Tabs) {
      items
          .line(TextStyle.KICKER, Fields.shown(piece, item, ItemSettings.KICKER))
          .ifPresent(text -> parts.add(new Spaced(REM, text)));
      boolean kicked = !parts.isEmpty();
      items
          .line(TextStyle.SUB, Fields.shown(piece, item, ItemSettings.SUBHEADING))
          .ifPresent(text -> parts.add(new Spaced(kicked ? 0 : REM, text)));
    }
    items
        .picture(piece, item.values().get(ItemSettings.PICTURE))
        .ifPresent(_ -> parts.add(new Spaced(REM, Flow.ratio(PanelSettings.PICTURE))));
    String text = Fields.shown(piece, item, ItemSettings.TEXT);
    if (!text.isBlank()) {
      parts.add(new Spaced(REM, items.copy(TextStyle.BODY, piece, text)));
    }
    if (!item.blocks().isEmpty()) {
      parts.add(new Spaced(REM, blocks.blocks(item.blocks())));
    }
    items.buttons(piece, item).ifPresent(buttons -> parts.add(new Spaced(REM, buttons)));
    if (piece instanceof Piece.Accordion accordion) {
      if (accordion.values().get(AccordionSettings.SHARE)) {
        parts.add(new Spaced(REM, Flow.fixed(35.2)));
      }
    }
    double padding = blocks.value(piece, PanelSettings.PANEL_PADDING).constantPx();
    Flow inner = Flow.stack(parts);
    if (piece instanceof Piece.Accordion accordion) {
      // What stands under its question needs no padding above.
      return inner
          .narrowed(Line.of(blocks.value(accordion, AccordionSettings.INNER)))
          .within(new Line(1, -2 * padding), padding);
    }
    return inner.padded(padding);
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
  Head tab(Piece.Tabs piece, Item item, int place) {
    String heading = item.values().get(ItemSettings.HEADING);
    Text text = TextStyle.TAB.of(heading.isEmpty() ? Integer.toString(place + 1) : heading, locale);
    return new Head(
        text,
        signed(piece, item),
        blocks.value(piece, TabsSettings.ICON_PLACE) == TabsSettings.IconPlace.ABOVE);
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
   * @param signs icons and thumbnails by it
   * @param above whether they stand above it
   */
  record Head(Text text, int signs, boolean above) {
    private static final double SIGN = 1.5 * REM;
    private static final double GAP = 0.6 * REM;
    private static final double SIDES = 2 * REM;
    private static final double ENDS = 2 * 0.6 * REM;

    double natural(Screen screen) {
      double words = text.natural(screen);
      return SIDES + (above ? Math.max(words, signs > 0 ? SIGN : 0) : words + signs * (SIGN + GAP));
    }

    private double room(double width) {
      return Math.max(1, width - SIDES - (above ? 0 : signs * (SIGN + GAP)));
    }

    int lines(double width, Screen screen) {
      return text.lines(room(width), screen);
    }

    Flow flow() {
      return (width, screen) -> {
        double words = text.height(room(width), screen);
        double inner = above ? words + signs * (SIGN + GAP) : Math.max(words, signs > 0 ? SIGN : 0);
        return Math.max(44, inner + ENDS);
      };
    }
  }
}
