package giostra.core.piece.accordion;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.PanelParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Flow.Spaced;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.ItemFlows;
import giostra.core.layout.PanelFlows;
import giostra.core.layout.PartBox;
import giostra.core.layout.TextStyle;
import giostra.core.layout.TextStyle.Text;
import giostra.core.look.Property;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import giostra.core.piece.accordion.AccordionSettings.Marker;
import giostra.core.piece.accordion.AccordionSettings.Rows;
import giostra.core.value.Length;
import giostra.core.words.Labels;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Accordions, their questions and answers, as they flow in one band. */
final class AccordionFlow {
  /** How wide the search box is before it grows, px. */
  private static final double SEARCH = 240;

  private final BlockFlows blocks;
  private final ItemFlows items;
  private final Locale locale;
  private final Labels labels;

  AccordionFlow(BlockFlows blocks) {
    this.blocks = blocks;
    this.items = blocks.items();
    this.locale = blocks.locale();
    this.labels = Labels.in(locale.toLanguageTag());
  }

  Flow accordion(Accordion piece) {
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
  Flow question(Accordion piece, Item item) {
    PartBox box = blocks.part(item, AccordionParts.QUESTION);
    Text text = box.words().of(item.values().get(ItemSettings.HEADING), locale);
    PartBox row = blocks.part(item, AccordionParts.QUESTION_ROW);
    double sides = row.sides();
    double down = row.px(Property.PADDING_ABOVE) + row.px(Property.PADDING_BELOW);
    boolean marked = piece.values().get(AccordionSettings.MARKER) != Marker.NONE;
    int signs = new PanelFlows(blocks).icons(piece, item);
    double gap = row.px(Property.GAP);
    double marker = marked ? blocks.part(item, PanelParts.MARKER).px(Property.SIZE) : 0;
    // The icon stands beside the words: its size is of the row's letters, not of theirs.
    double sign = signs * blocks.part(item, PanelParts.SIGN).em(Property.SIZE, Length.ROOT_FONT_PX);
    double taken = (marked ? marker + gap : 0) + (signs > 0 ? sign + gap : 0);
    return (width, screen) -> {
      screen.fits(sides + taken, width);
      double words = text.height(Math.max(1, width - sides - taken), screen);
      return Math.max(row.px(Property.LEAST_HIGH), Math.max(Math.max(marker, sign), words) + down);
    };
  }

  /** The search box and the categories over questions; the word for all of them is short. */
  private Flow tools(Accordion piece) {
    boolean search = piece.values().get(AccordionSettings.SEARCH);
    List<String> categories = Categories.of(piece);
    boolean filter = piece.values().get(AccordionSettings.FILTER) && categories.size() > 1;
    if (!search && !filter) {
      return Flow.NONE;
    }
    PartBox chip = blocks.part(piece, AccordionParts.CHIP);
    List<Text> words =
        Stream.concat(Stream.of(labels.all()), categories.stream())
            .map(name -> chip.words().of(name, locale))
            .toList();
    double between = blocks.part(piece, AccordionParts.CHIPS).px(Property.GAP);
    PartBox box = blocks.part(piece, AccordionParts.TOOLS);
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
  private double field(Accordion piece, Screen screen) {
    PartBox box = blocks.part(piece, AccordionParts.SEARCH);
    TextStyle letters = blocks.words(piece, PageParts.BODY);
    double size = letters.size().applyAsDouble(screen);
    return Math.max(
        box.px(Property.SIZE),
        letters.line() * size
            + box.em(Property.PADDING_ABOVE, size)
            + box.em(Property.PADDING_BELOW, size)
            + box.border().down());
  }

  /** Panels of an accordion as they are set. */
  Flow panel(Accordion piece, Item item) {
    PanelHeight height = blocks.value(piece, PanelSettings.PANEL_HEIGHT);
    return switch (height) {
      case FIXED -> new PanelFlows(blocks).fixed(piece, item, AccordionParts.PANEL);
      case OWN -> answer(piece, item);
      case TALLEST ->
          Flow.tallest(blocks.shown(piece).stream().map(each -> answer(piece, each)).toList());
    };
  }

  /** An answer with its padding, as high as it likes. */
  Flow answer(Accordion piece, Item item) {
    var panels = new PanelFlows(blocks);
    List<Spaced> parts = panels.content(piece, item);
    if (piece.values().get(AccordionSettings.SHARE)) {
      PartBox share = blocks.part(item, AccordionParts.SHARE);
      Text link = share.words().of(labels.copyLink(), locale);
      parts.add(
          new Spaced(
              panels.between(item),
              (width, screen) ->
                  Math.max(
                      share.px(Property.SIZE),
                      link.height(Math.max(1, width - share.across(screen)), screen)
                          + share.down(screen))));
    }
    Flow inner = Flow.stack(parts).narrowed(Line.of(blocks.value(piece, AccordionSettings.INNER)));
    return panels.padded(piece, item, AccordionParts.PANEL, inner);
  }
}
