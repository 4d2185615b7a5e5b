package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.band.Length;
import giostra.core.band.Setting;
import giostra.core.band.Shares;
import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.layout.TextStyle.Text;
import giostra.core.page.AccordionSettings;
import giostra.core.page.AccordionSettings.Marker;
import giostra.core.page.AccordionSettings.Rows;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.BlockSettings.Shape;
import giostra.core.page.Categories;
import giostra.core.page.Document;
import giostra.core.page.GridSettings;
import giostra.core.page.GridSettings.Heights;
import giostra.core.page.GridSettings.LastRow;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.LinkSettings.Link;
import giostra.core.page.Node;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.TabsSettings;
import giostra.core.page.TabsSettings.HeadsRow;
import giostra.core.page.TabsSettings.HeadsSide;
import giostra.core.page.TabsSettings.Overflow;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Marks;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Blocks and whole pieces as they flow in one band. */
final class BlockFlows {
  private static final double REM = Length.ROOT_FONT_PX;
  private static final double BETWEEN = 1.75 * REM;
  private static final double MARKER = 20;
  private static final double SEARCH = 240;
  private static final double CHIP = 0.4 * REM;

  private final Document document;
  private final Band band;
  private final Locale locale;
  private final PictureSizes pictures;
  private final ItemFlows items;

  BlockFlows(Document document, Band band, PictureSizes pictures) {
    this.document = document;
    this.band = band;
    this.locale = Locale.forLanguageTag(document.page().values().get(PageSettings.LANGUAGE));
    this.pictures = pictures;
    this.items = new ItemFlows(this, band, locale, pictures);
  }

  Document document() {
    return document;
  }

  ItemFlows items() {
    return items;
  }

  private <T> T value(Node node, Setting<T> setting) {
    return Resolution.value(document, node, setting, band);
  }

  /** The items of a piece that show in this band. */
  List<Item> shown(Piece piece) {
    List<Item> all =
        piece instanceof Piece.Accordion questions ? Categories.shown(questions) : piece.onShow();
    return all.stream().filter(item -> item.onShow(document.bands(), band)).toList();
  }

  /** Blocks one under the other; those that do not show here leave no distance. */
  Flow blocks(List<? extends Block> blocks) {
    return Flow.stack(
        blocks.stream()
            .filter(block ->
                !(block instanceof Piece piece)
                    || (!piece.values().get(PieceSettings.HIDDEN)
                        && value(piece, PieceSettings.SHOWN)))
            .map(this::block)
            .toList(),
        BETWEEN);
  }

  Flow block(Block block) {
    return switch (block) {
      case Block.Heading heading ->
          TextStyle.heading(heading.values().get(BlockSettings.LEVEL))
              .of(heading.values().get(BlockSettings.HEADING_TEXT), locale);
      case Block.Text text ->
          new CopyFlow(TextStyle.LEAD, locale, pictures)
              .of(text.values().get(BlockSettings.PARAGRAPHS), 0)
              .narrowed(Line.of(value(text, BlockSettings.LINE_MEASURE)));
      case Block.Picture picture -> picture(picture);
      case Block.Button button -> button(button);
      // What somebody wrote is not known to be high in any width.
      case Block.OwnHtml _ -> Flow.NONE;
      case Block.Columns columns -> columns(columns);
      case Piece piece -> piece(piece);
    };
  }

  private Flow picture(Block.Picture block) {
    Shape shape = value(block, BlockSettings.SHAPE);
    return pictures
        .find(block.values().get(BlockSettings.SOURCE))
        .map(size ->
            switch (shape) {
              case AS_IS -> Flow.ratio(size.width(), size.height());
              case WIDE -> Flow.ratio(16, 9);
              case SQUARE -> Flow.ratio(1, 1);
              case TALL -> Flow.ratio(4, 5);
            })
        .orElse(Flow.NONE);
  }

  private Flow button(Block.Button button) {
    String label = button.values().get(BlockSettings.LABEL);
    return label.isEmpty()
        ? Flow.NONE
        : ItemFlows.buttons(List.of(TextStyle.BUTTON.of(label, locale)));
  }

  private Flow columns(Block.Columns columns) {
    List<Flow> inside = columns.columns().stream().map(c -> blocks(c.blocks())).toList();
    Shares ratio = value(columns, BlockSettings.RATIO);
    Length gap = value(columns, BlockSettings.GAP);
    if (ratio.stacked()) {
      return Flow.stack(inside, gap.constantPx());
    }
    int count = inside.size();
    Line free = Line.SAME.minus(Line.of(gap).times(count - 1));
    var shares = new ArrayList<Line>();
    for (int i = 0; i < count; i++) {
      shares.add(free.times((double) ratio.of(i) / ratio.sum(count)));
    }
    return Flow.beside(inside, shares);
  }

  /** A whole piece as it stands before anybody does anything. */
  Flow piece(Piece piece) {
    Flow inside =
        switch (piece) {
          case Piece.Tracked track -> track(track);
          case Piece.Tabs tabs -> tabs(tabs);
          case Piece.Accordion accordion -> accordion(accordion);
          case Piece.FlipBoxes boxes ->
              grid(boxes, shown(boxes).stream().map(i -> items.box(boxes, i)).toList());
          case Piece.Counters counters ->
              grid(counters, shown(counters).stream().map(i -> items.figure(counters, i)).toList());
        };
    double around =
        value(piece, PieceSettings.SPACE_ABOVE).constantPx()
            + value(piece, PieceSettings.SPACE_BELOW).constantPx();
    return Flow.stack(List.of(over(piece), inside), 0)
        .narrowed(Line.of(value(piece, PieceSettings.WIDTH)))
        .within(Line.SAME, around);
  }

  /** The heading and the button over a piece, with the distance below them. */
  private Flow over(Piece piece) {
    String title = piece.values().get(PieceSettings.TITLE);
    String label = piece.values().get(PieceSettings.TITLE_BUTTON);
    Link link = PieceSettings.TITLE_LINK.in(piece.values());
    boolean pressed = !label.isEmpty() && link.leads();
    if (title.isEmpty() && !pressed) {
      return Flow.NONE;
    }
    Text heading = TextStyle.heading(levelOver(piece)).of(title, locale);
    Text button = TextStyle.BUTTON.of(pressed ? label : "", locale);
    double sides = 2 * 1.4 * REM;
    return (width, screen) -> {
      var row = new ArrayList<Flow.Box>();
      if (!title.isEmpty()) {
        row.add(
            new Flow.Box(Math.min(width, heading.natural(screen)), heading.height(width, screen)));
      }
      if (pressed) {
        row.add(new Flow.Box(button.natural(screen) + sides, 1.3 * 16 + 2 * 0.7 * 16));
      }
      return Flow.wrapping(row, 1.5 * REM, 0.75 * REM).height(width, screen) + 1.5 * REM;
    };
  }

  /** The level of the heading over a piece: below the last heading before it. */
  private int levelOver(Piece piece) {
    int last = 1;
    for (Node node : document.nodes().toList()) {
      if (node.id().equals(piece.id())) {
        break;
      }
      if (node instanceof Block.Heading heading) {
        last = heading.values().get(BlockSettings.LEVEL);
      }
    }
    return Math.min(6, last + 1);
  }

  private Flow grid(Piece piece, List<Flow> parts) {
    int columns = value(piece, GridSettings.COLUMNS);
    Line gap = Line.of(value(piece, GridSettings.GAP));
    boolean all = value(piece, GridSettings.HEIGHTS) == Heights.ALL;
    int last = parts.isEmpty() ? 0 : (parts.size() - 1) % columns + 1;
    boolean stretched =
        value(piece, GridSettings.LAST_ROW) == LastRow.STRETCH && last > 0 && last < columns;
    if (!stretched || all) {
      return Flow.rows(parts, columns, gap, all);
    }
    List<Flow> full = parts.subList(0, parts.size() - last);
    Flow rest = Flow.rows(parts.subList(full.size(), parts.size()), last, gap, false);
    return full.isEmpty()
        ? rest
        : (width, screen) ->
            Flow.rows(full, columns, gap, false).height(width, screen)
                + gap.at(width)
                + rest.height(width, screen);
  }

  // --- tracks ----------------------------------------------------------------------------------

  private Flow track(Piece.Tracked piece) {
    TrackBand in = TrackLayout.in(document, piece, band, 0);
    List<Flow> each =
        shown(piece).stream()
            .map(item ->
                switch (piece) {
                  case Piece.Slider slider -> items.slide(slider, item);
                  case Piece.Carousel carousel -> items.card(carousel, item);
                })
            .toList();
    Line room = TrackBand.besideArrows(in.arrows(), in.moves(), in.arrowDistance());
    Flow view =
        in.axis() == Axis.DOWN
            ? Flow.fixed(in.trackHeight().constantPx())
            : in.all()
                ? Flow.rows(each, in.view(), Line.of(in.gap()), false)
                : Flow.tallest(each).within(in.itemOfInner(), 0);
    double arrow = in.moves() && in.arrows() == Arrows.BESIDE ? TrackBand.ARROW : 0;
    Flow frame = view.within(room, 0).atLeast(Flow.fixed(arrow));
    return (width, screen) -> frame.height(width, screen) + below(in, piece, width, screen);
  }

  /** Marks and arrows that stand under a track share a row. */
  private double below(TrackBand in, Piece.Tracked piece, double width, Screen screen) {
    if (!in.moves()) {
      return 0;
    }
    double arrows =
        in.arrows() == Arrows.BELOW ? in.arrowDistance().constantPx() + TrackBand.ARROW : 0;
    double marks =
        in.marks() == Marks.NONE
            ? 0
            : in.markDistance().constantPx() + Math.max(24, marks(in, piece).height(width, screen));
    return Math.max(arrows, marks);
  }

  private Flow marks(TrackBand in, Piece.Tracked piece) {
    int stops = in.stops().count();
    return switch (in.marks()) {
      case NONE, DOTS, TALLY, BAR -> Flow.fixed(24);
      case THUMBNAILS ->
          Flow.wrapping(java.util.Collections.nCopies(stops, new Flow.Box(72, 48)), 10, 10);
      case NAMES ->
          (width, screen) ->
              Flow.wrapping(
                      shown(piece).stream()
                          .map(item -> {
                            String name = item.values().get(ItemSettings.NAME);
                            String words =
                                name.isEmpty() ? item.values().get(ItemSettings.HEADING) : name;
                            double natural = TextStyle.DOT_NAME.of(words, locale).natural(screen);
                            return new Flow.Box(natural + 1.2 * REM, 24 + 0.6 * REM + 2);
                          })
                          .toList(),
                      10,
                      10)
                  .height(width, screen);
    };
  }

  // --- tabs and accordions ---------------------------------------------------------------------

  private Flow tabs(Piece.Tabs piece) {
    List<Item> all = shown(piece);
    if (all.isEmpty()) {
      return Flow.NONE;
    }
    TabsBand in = TabsBand.in(document, piece, band, 0);
    int opens = Math.clamp(piece.values().get(TabsSettings.OPENS_ON), 1, all.size()) - 1;
    boolean bare = piece.values().get(TabsSettings.HEADS_HIDDEN);
    Flow panel = items.panel(piece, all.get(opens), in.folds());
    if (bare) {
      return panel;
    }
    if (in.folds()) {
      var parts = new ArrayList<Flow>();
      all.forEach(item -> parts.add(folded(piece, item)));
      parts.add(panel);
      return Flow.stack(parts, 0);
    }
    double distance = value(piece, TabsSettings.HEADS_DISTANCE).constantPx();
    Flow heads = heads(piece, in);
    if (in.side() == HeadsSide.ABOVE || in.side() == HeadsSide.BELOW) {
      return Flow.stack(List.of(heads, panel), distance);
    }
    Line beside = Line.of(value(piece, TabsSettings.HEADS_WIDTH));
    Line rest = Line.SAME.minus(beside).plus(new Line(0, -distance));
    return Flow.beside(List.of(heads, panel), List.of(beside, rest));
  }

  /** The row or column of headings. */
  Flow heads(Piece.Tabs piece, TabsBand in) {
    List<Item> all = shown(piece);
    List<ItemFlows.Head> heads = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      heads.add(items.tab(piece, all.get(i), i));
    }
    Length gap = value(piece, TabsSettings.HEADS_GAP);
    List<Flow> flows = heads.stream().map(ItemFlows.Head::flow).toList();
    if (in.side() == HeadsSide.START || in.side() == HeadsSide.END) {
      return Flow.stack(flows, gap.constantPx());
    }
    if (in.row() == HeadsRow.GRID) {
      return Flow.rows(flows, in.grid().columns(), Line.of(gap), false);
    }
    boolean wraps = value(piece, TabsSettings.OVERFLOW) == Overflow.WRAP;
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

  /** Rows that headings take, or lines of the one that has most, whichever is more. */
  int headingRows(Piece.Tabs piece, TabsBand in, double width, Screen screen) {
    int most = 1;
    List<Item> all = shown(piece);
    if (in.folds() || piece.values().get(TabsSettings.HEADS_HIDDEN)) {
      return most;
    }
    var naturals = new ArrayList<Double>();
    boolean beside = in.side() == HeadsSide.START || in.side() == HeadsSide.END;
    boolean natural = !beside && in.row() != HeadsRow.GRID;
    double gap = value(piece, TabsSettings.HEADS_GAP).in(width);
    int columns = beside ? 1 : in.grid().columns();
    double room =
        beside
            ? value(piece, TabsSettings.HEADS_WIDTH).in(width)
            : (width - (columns - 1) * gap) / columns;
    for (int i = 0; i < all.size(); i++) {
      ItemFlows.Head head = items.tab(piece, all.get(i), i);
      naturals.add(head.natural(screen));
      if (!natural) {
        most = Math.max(most, head.lines(room, screen));
      }
    }
    return natural && value(piece, TabsSettings.OVERFLOW) == Overflow.WRAP
        ? Flow.rowEnds(naturals, gap, width).size()
        : most;
  }

  /** The heading of a tab where tabs are an accordion: it has a line above it. */
  Flow folded(Piece.Tabs piece, Item item) {
    String heading = item.values().get(ItemSettings.HEADING);
    Text text = TextStyle.FOLDED_TAB.of(heading.isEmpty() ? "1" : heading, locale);
    double signs = items.signed(piece, item) * (1.5 + 0.7) * REM;
    double taken = 2 * 1.1 * REM + MARKER + 0.7 * REM + signs;
    return (width, screen) ->
        Math.max(
            44,
            Math.max(text.height(Math.max(1, width - taken), screen), signs > 0 ? 1.5 * REM : 0)
                + 2 * 0.9 * REM
                + 1);
  }

  private Flow accordion(Piece.Accordion piece) {
    List<Item> all = shown(piece);
    boolean several = piece.values().get(AccordionSettings.SEVERAL);
    boolean always = value(piece, AccordionSettings.ALWAYS_OPEN);
    boolean joined = piece.values().get(AccordionSettings.ROWS) == Rows.JOINED;
    double gap = joined ? 0 : value(piece, AccordionSettings.GAP).constantPx();
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
        parts.add(new Spaced(0, items.panel(piece, item)));
        open = true;
      }
    }
    return Flow.stack(List.of(tools(piece), Flow.stack(parts)), 0);
  }

  /** The question that an answer stands under. */
  Flow question(Piece.Accordion piece, Item item) {
    Text text = TextStyle.QUESTION.of(item.values().get(ItemSettings.HEADING), locale);
    double padding = value(piece, AccordionSettings.HEAD_PADDING).constantPx();
    boolean marked = piece.values().get(AccordionSettings.MARKER) != Marker.NONE;
    double sign = items.signed(piece, item) * 1.5 * REM;
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
}
