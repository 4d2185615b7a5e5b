package giostra.core.piece.tabs;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.PanelParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.HeadRowCount;
import giostra.core.layout.Heights;
import giostra.core.layout.Heights.Measured;
import giostra.core.layout.ItemFlows;
import giostra.core.layout.PanelFlows;
import giostra.core.layout.PartBox;
import giostra.core.layout.TextStyle.Text;
import giostra.core.look.Property;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PanelSettings;
import giostra.core.piece.tabs.TabsSettings.HeadsRow;
import giostra.core.piece.tabs.TabsSettings.HeadsSide;
import giostra.core.piece.tabs.TabsSettings.Overflow;
import giostra.core.value.Length;
import giostra.core.words.Labels;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleUnaryOperator;

/** Tabs, their headings and panels, as they flow in one band. */
final class TabsFlow {
  private final BlockFlows blocks;
  private final ItemFlows items;
  private final Locale locale;
  private final Labels labels;

  TabsFlow(BlockFlows blocks) {
    this.blocks = blocks;
    this.items = blocks.items();
    this.locale = blocks.locale();
    this.labels = Labels.in(locale.toLanguageTag());
  }

  Flow tabs(Tabs piece) {
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
  Flow heads(Tabs piece, TabsBand in) {
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

  /** Rows of the headings of tabs; one where they are not to be seen as such. */
  HeadRowCount headingRows(Tabs piece, TabsBand in) {
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
  Flow folded(Tabs piece, Item item) {
    PartBox box = blocks.part(item, TabsParts.FOLDED_TAB);
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
          box.px(Property.LEAST_HIGH),
          Math.max(
                  text.height(Math.max(1, width - taken), screen),
                  Math.max(marker, signs > 0 ? size : 0))
              + box.down(screen)
              + box.line());
    };
  }

  /** Panels of tabs as they are set: as high as their own content, as the highest, or fixed. */
  Flow panel(Tabs piece, Item item, boolean folds) {
    return switch (blocks.value(piece, PanelSettings.PANEL_HEIGHT)) {
      case FIXED -> new PanelFlows(blocks).fixed(piece, item, TabsParts.PANEL);
      case OWN -> panel(piece, item);
      case TALLEST ->
          folds
              ? panel(piece, item)
              : Flow.tallest(blocks.shown(piece).stream().map(each -> panel(piece, each)).toList());
    };
  }

  /** The heading of a tab, where it stands in a row of tabs. */
  Head tab(Tabs piece, Item item) {
    PartBox box = blocks.part(item, TabsParts.TAB);
    Text text = box.words().of(called(piece, item), locale);
    return new Head(
        box,
        blocks.part(item, PanelParts.SIGN),
        text,
        signed(piece, item),
        blocks.value(piece, TabsSettings.ICON_PLACE) == TabsSettings.IconPlace.ABOVE);
  }

  /** What stands on a tab: its heading, or its place among all. */
  private String called(Tabs piece, Item item) {
    String heading = item.values().get(ItemSettings.HEADING);
    List<Item> all = piece.onShow();
    return heading.isEmpty() ? labels.of(all.indexOf(item) + 1, all.size()) : heading;
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
        return Math.max(box.px(Property.LEAST_HIGH), inner + box.down(screen));
      };
    }
  }

  /**
   * Headings and panels, each as high as its own content asks.
   *
   * @param outer width of the piece against that of the viewport, px
   */
  List<Measured> measured(Tabs piece, Piecewise outer) {
    TabsBand in = TabsBand.in(blocks.document(), piece, blocks.band(), blocks.scrollbar());
    Piecewise room = TabsBand.beside(blocks.document(), piece, blocks.band(), outer);
    var all = new ArrayList<Measured>();
    for (Item item : blocks.shown(piece)) {
      if (!piece.values().get(TabsSettings.HEADS_HIDDEN)) {
        all.add(heading(piece, in, item, outer));
      }
      all.add(new Measured(item, Heights.Part.PANEL, panel(piece, item), room));
    }
    return all;
  }

  /** Headings of natural width are as wide as their words, but no wider than their row. */
  private Measured heading(Tabs tabs, TabsBand in, Item item, Piecewise outer) {
    if (in.folds()) {
      return new Measured(item, Heights.Part.HEADING, folded(tabs, item), outer);
    }
    Head head = tab(tabs, item);
    boolean row = in.side() == HeadsSide.ABOVE || in.side() == HeadsSide.BELOW;
    return row && in.row() != HeadsRow.GRID
        ? new Measured(
            item, Heights.Part.HEADING, (width, screen) -> head.in(width, screen).height(), outer)
        : new Measured(item, Heights.Part.HEADING, head.flow(), in.head());
  }

  /** A panel with its padding, as high as it likes. */
  private Flow panel(Tabs piece, Item item) {
    var panels = new PanelFlows(blocks);
    double between = panels.between(item);
    var parts = new ArrayList<Spaced>();
    items
        .placed(item, PageParts.KICKER, Fields.shown(piece, item, ItemSettings.KICKER))
        .ifPresent(text -> parts.add(new Spaced(between, text)));
    boolean kicked = !parts.isEmpty();
    items
        .placed(item, PageParts.SUBHEADING, Fields.shown(piece, item, ItemSettings.SUBHEADING))
        .ifPresent(text -> parts.add(new Spaced(kicked ? 0 : between, text)));
    parts.addAll(panels.content(piece, item));
    return panels.padded(piece, item, TabsParts.PANEL, Flow.stack(parts));
  }

  /** Icons and thumbnails that stand by a heading; how many of them. */
  private int signed(Tabs piece, Item item) {
    boolean thumbnail =
        !Fields.off(piece, "thumbnail")
            && items.pictures().find(item.values().get(ItemSettings.THUMBNAIL)).isPresent();
    return new PanelFlows(blocks).icons(piece, item) + (thumbnail ? 1 : 0);
  }
}
