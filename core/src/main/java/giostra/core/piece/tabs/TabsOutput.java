package giostra.core.piece.tabs;

import giostra.core.band.Band;
import giostra.core.fit.Grid;
import giostra.core.output.Attributes;
import giostra.core.output.Css;
import giostra.core.output.Html;
import giostra.core.output.Pictures;
import giostra.core.output.Plan;
import giostra.core.output.Shipped;
import giostra.core.output.Writing;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import giostra.core.page.PanelSettings.Trigger;
import giostra.core.page.PieceSettings;
import giostra.core.piece.tabs.TabsSettings.HeadsRow;
import giostra.core.piece.tabs.TabsSettings.HeadsSide;
import giostra.core.piece.tabs.TabsSettings.IconPlace;
import giostra.core.piece.tabs.TabsSettings.Mark;
import giostra.core.piece.tabs.TabsSettings.Overflow;
import giostra.core.value.Require;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Writes tabs. Each panel has its heading with it, for where tabs fold and for who has no script;
 * the row of tabs stands before them. Where one shows the other is not rendered, so nothing is read
 * twice. Roles follow the ARIA Authoring Practices, "Tabs Pattern" and "Accordion Pattern".
 */
final class TabsOutput {
  private final Writing writing;
  private final Tabs piece;
  private final Html out;
  private final String id;
  private final List<Item> items;
  private final List<TabsBand> bands;
  private final Map<String, TabsBand> byId = new HashMap<>();
  private final int level;

  TabsOutput(Writing writing, Tabs piece) {
    this.writing = writing;
    this.piece = piece;
    this.out = writing.out();
    this.id = "#g-" + piece.id();
    this.items = piece.onShow();
    this.bands = TabsBand.of(writing.document(), piece, 0);
    bands.forEach(b -> byId.put(b.band().id(), b));
    this.level = writing.outline().items(piece);
  }

  void html() {
    String name = piece.values().get(PieceSettings.NAME);
    String mark = Css.word(piece.values().get(TabsSettings.MARK));
    boolean hidden = piece.values().get(TabsSettings.HEADS_HIDDEN);
    writing.root(piece, "tabs", plan(), "data-mark", mark, "data-bare", hidden ? "heads" : "");
    out.open("div", "class", "g-set")
        .open("div", "class", "g-heads", "role", "tablist", "aria-label", name);
    for (int i = 0; i < items.size(); i++) {
      head(items.get(i), i == TabsSettings.opens(items));
    }
    out.close("div").open("div", "class", "g-panels");
    for (int i = 0; i < items.size(); i++) {
      panel(items.get(i), i == TabsSettings.opens(items));
    }
    out.close("div").close("div").close("div");
  }

  private void head(Item item, boolean current) {
    String panel = "g-" + item.id() + "-panel";
    out.open(
        "button",
        Attributes.with(
            new String[] {
              "type",
              "button",
              "class",
              "g-head",
              "role",
              "tab",
              "id",
              "g-" + item.id() + "-tab",
              "data-of",
              item.id(),
              "aria-controls",
              panel,
              "aria-selected",
              Boolean.toString(current),
              "tabindex",
              current ? "0" : "-1"
            },
            item.values().get(ItemSettings.DISABLED)
                ? new String[] {"disabled", "disabled"}
                : new String[0]));
    label(item);
    out.close("button");
  }

  /** What a heading shows, on the tab and over its panel. */
  private void label(Item item) {
    writing.icon(piece, item, "g-head-icon");
    Optional<Shipped.Picture> own =
        Fields.off(piece, "thumbnail")
            ? Optional.empty()
            : writing.pictures().find(item.values().get(ItemSettings.THUMBNAIL));
    own.ifPresent(picture ->
        writing.image(
            writing.there(item),
            picture,
            "",
            widths -> widths.boxed(24, 24, Pictures.size(picture)),
            "class",
            "g-head-icon",
            "loading",
            "lazy"));
    String heading = item.values().get(ItemSettings.HEADING);
    out.open("span", "class", "g-head-words")
        .text(
            heading.isEmpty()
                ? writing.labels().of(items.indexOf(item) + 1, items.size())
                : heading);
    out.close("span");
  }

  private void panel(Item item, boolean current) {
    String tab = "g-" + item.id() + "-tab";
    String fold = "g-" + item.id() + "-fold";
    String panel = "g-" + item.id() + "-panel";
    out.open("div", writing.item(item, "g-tab" + (current ? " g-now" : ""), "data-label", ""));
    out.open("h" + level, "class", "g-fold-head");
    out.open(
        "button",
        Attributes.with(
            new String[] {
              "type",
              "button",
              "class",
              "g-fold",
              "id",
              fold,
              "aria-controls",
              panel,
              "aria-expanded",
              Boolean.toString(current)
            },
            item.values().get(ItemSettings.DISABLED)
                ? new String[] {"disabled", "disabled"}
                : new String[0]));
    label(item);
    out.raw("<span class=\"g-marker\" aria-hidden=\"true\"></span>");
    out.close("button").close("h" + level);
    out.open(
        "div",
        "class",
        "g-panel",
        "id",
        panel,
        "role",
        "tabpanel",
        "aria-labelledby",
        tab,
        "tabindex",
        "0");
    content(item);
    out.close("div").close("div");
  }

  private void content(Item item) {
    out.open("div", "class", "g-inner");
    String kicker = Fields.shown(piece, item, ItemSettings.KICKER);
    if (!kicker.isEmpty()) {
      out.element("p", kicker, "class", "g-kicker");
    }
    String sub = Fields.shown(piece, item, ItemSettings.SUBHEADING);
    if (!sub.isEmpty()) {
      out.element("p", sub, "class", "g-sub");
    }
    writing.picture(piece, item, ItemSettings.PICTURE, "g-panel-picture");
    String text = Fields.shown(piece, item, ItemSettings.TEXT);
    if (!text.isBlank()) {
      out.open("div", "class", "g-copy");
      writing.text(item, text, piece.values().get(PieceSettings.SHORTEN));
      out.close("div");
    }
    writing.panel(item);
    writing.buttons(piece, item);
    out.close("div");
  }

  private Plan plan() {
    return new Plan.Tabs(
        piece.values().get(PanelSettings.TRIGGER) == Trigger.HOVER,
        piece.values().get(PanelSettings.TRIGGER) == Trigger.FOCUS,
        Writing.intent(piece),
        bands.stream()
            .map(b -> new Plan.TabsBand(b.band().query(), b.folds(), beside(b)))
            .toList());
  }

  private static boolean beside(TabsBand b) {
    return !b.folds() && (b.side() == HeadsSide.START || b.side() == HeadsSide.END);
  }

  private void each(String selector, String property, Function<TabsBand, String> value) {
    writing
        .css()
        .put(
            selector,
            property,
            (Band band) -> value.apply(Objects.requireNonNull(byId.get(band.id()))));
  }

  void css() {
    writing.frame(piece);
    form();
    heads();
    dividers();
    panels();
    items.forEach(item -> {
      writing.hideByBand(piece, item, "block");
      String tab = id + " [data-of=" + item.id() + "]";
      boolean everywhere =
          writing.document().bands().all().stream()
              .allMatch(b -> writing.value(item, ItemSettings.SHOWN, b));
      if (!everywhere) {
        writing
            .css()
            .put(tab, "display", b -> writing.value(item, ItemSettings.SHOWN, b) ? "flex" : "none");
      }
    });
  }

  private void form() {
    boolean hidden = piece.values().get(TabsSettings.HEADS_HIDDEN);
    String set = id + ">.g-set";
    each(set + ">.g-heads", "display", b -> b.folds() || hidden ? "none" : "flex");
    each(
        set + ">.g-panels>.g-tab>.g-fold-head",
        "display",
        b -> b.folds() && !hidden ? "block" : "none");
    each(
        set,
        "grid-template-columns",
        b ->
            !beside(b) || hidden
                ? "minmax(0,1fr)"
                : b.side() == HeadsSide.START
                    ? headsWidth(b) + " minmax(0,1fr)"
                    : "minmax(0,1fr) " + headsWidth(b));
    writing.put(set, "gap", piece, TabsSettings.HEADS_DISTANCE, d -> d.css());
    each(
        set + ">.g-heads",
        "order",
        b -> b.side() == HeadsSide.BELOW || b.side() == HeadsSide.END ? "1" : "0");
    // A folded panel shows by itself; where there are tabs only the current one does.
    each(set + ">.g-panels>.g-tab:not(.g-now)>.g-panel", "display", _ -> "none");
  }

  private String headsWidth(TabsBand b) {
    return "minmax(0," + writing.value(piece, TabsSettings.HEADS_WIDTH, b.band()).css() + ")";
  }

  private void heads() {
    String heads = id + ">.g-set>.g-heads";
    String head = heads + ">.g-head";
    each(heads, "flex-direction", b -> beside(b) ? "column" : "row");
    each(
        heads,
        "flex-wrap",
        b ->
            !beside(b) && (overflow(b) == Overflow.WRAP || b.row() == HeadsRow.GRID)
                ? "wrap"
                : "nowrap");
    each(
        heads,
        "overflow",
        b ->
            !beside(b) && overflow(b) == Overflow.SCROLL && b.row() != HeadsRow.GRID
                ? "auto hidden"
                : "visible");
    writing.put(heads, "gap", piece, TabsSettings.HEADS_GAP, g -> g.css());
    writing.put(heads, "justify-content", piece, TabsSettings.HEADS_ALIGN, Css::flex);
    writing.put(head, "justify-content", piece, TabsSettings.HEADS_ALIGN, Css::flex);
    each(head, "flex", this::flex);
    writing.put(
        head,
        "flex-direction",
        piece,
        TabsSettings.ICON_PLACE,
        place ->
            switch (place) {
              case BEFORE -> "row";
              case ABOVE -> "column";
              case AFTER -> "row-reverse";
            });
    writing.put(
        head,
        "text-align",
        piece,
        TabsSettings.ICON_PLACE,
        place -> place == IconPlace.ABOVE ? "center" : "start");
    // The pointer and lines of the current one lie on the edge towards the panel, or as asked.
    if (piece.values().get(TabsSettings.MARK) == Mark.POINTER) {
      each(
          head,
          "--g-point-to",
          b ->
              switch (b.side()) {
                case ABOVE -> "100% auto auto 50%";
                case BELOW -> "auto auto 100% 50%";
                case START -> "50% auto auto 100%";
                case END -> "50% 100% auto auto";
              });
    }
  }

  private Overflow overflow(TabsBand b) {
    return writing.value(piece, TabsSettings.OVERFLOW, b.band());
  }

  private String flex(TabsBand b) {
    if (beside(b)) {
      return "none";
    }
    String gap = Css.px(writing.value(piece, TabsSettings.HEADS_GAP, b.band()));
    return switch (b.row()) {
      case NATURAL -> "none";
      case FILL -> "1 0 auto";
      case GRID -> {
        int columns = b.grid().columns();
        // A hair less than the share: rounding must not send the last one to the next row.
        yield String.format(
            Locale.ROOT, "0 0 calc((100%% - %d*%s)/%d - .02px)", columns - 1, gap, columns);
      }
    };
  }

  private void dividers() {
    boolean some =
        bands.stream()
            .anyMatch(b -> writing.value(piece, TabsSettings.DIVIDERS, b.band()) && !b.folds());
    if (!some) {
      return;
    }
    String head = id + ">.g-set>.g-heads>.g-head";
    writing.put(head, "--g-inset", piece, TabsSettings.DIVIDER_INSET, i -> i.css());
    writing.put(
        head, "--g-half", piece, TabsSettings.HEADS_GAP, gap -> "calc(" + gap.css() + "/2)");
    each(head, "--g-lie", b -> beside(b) ? "across" : "up");
    for (int i = 0; i < items.size(); i++) {
      int at = i;
      each(
          head + ":nth-child(" + (i + 1) + ")",
          "--g-divide",
          b -> divided(b).contains(b.on().indexOf(at)) ? "block" : "none");
    }
    each(head, "--g-divider", b -> beside(b) ? LYING : STANDING);
    rowEnds(head);
  }

  /** Headings of natural width end their rows where their words do: the row's width decides. */
  private void rowEnds(String head) {
    for (TabsBand b : bands) {
      boolean wraps =
          !b.folds()
              && !beside(b)
              && b.row() != HeadsRow.GRID
              && overflow(b) == Overflow.WRAP
              && writing.value(piece, TabsSettings.DIVIDERS, b.band());
      if (!wraps) {
        continue;
      }
      for (HeadRows rows : HeadRows.of(writing.document(), piece, b, writing.pictures().sizes())) {
        if (rows.ends().size() > 1) {
          String ends =
              rows.ends().stream()
                  .map(end -> head + ":nth-child(" + (b.on().get(end) + 1) + ")")
                  .collect(Collectors.joining(","));
          writing.within(
              b.band(),
              Require.number(rows.from())
                  + "px <= inline-size < "
                  + Require.number(rows.below())
                  + "px",
              ends + "{--g-divide:none}");
        }
      }
      writing.css().put(id, "container-type", _ -> "inline-size");
    }
  }

  private static final String STANDING =
      "var(--g-inset) calc(var(--g-half)*-1) var(--g-inset) auto";
  private static final String LYING = "auto var(--g-inset) calc(var(--g-half)*-1) var(--g-inset)";

  private List<Integer> divided(TabsBand b) {
    if (b.folds() || !writing.value(piece, TabsSettings.DIVIDERS, b.band())) {
      return List.of();
    }
    Grid grid = b.grid();
    // One under the other there is one between any two; rows of natural width are one row here.
    return beside(b) ? new Grid(grid.items(), 12).dividers() : grid.dividers();
  }

  private void panels() {
    String panels = id + ">.g-set>.g-panels";
    String panel = panels + ">.g-tab>.g-panel";
    boolean tallest = bands.stream().anyMatch(b -> height(b) == PanelHeight.TALLEST && !b.folds());
    if (tallest) {
      // All lie in one cell, so that the tallest gives the height; those that do not show are not
      // rendered but for their size.
      each(panels, "display", b -> stacked(b) ? "grid" : "block");
      each(panels, "grid-template-columns", b -> stacked(b) ? "minmax(0,1fr)" : "none");
      String other = panels + ">.g-tab:not(.g-now)";
      each(panels + ">.g-tab", "grid-area", b -> stacked(b) ? "1/1" : "auto");
      each(other, "visibility", b -> stacked(b) ? "hidden" : "visible");
      each(other + ">.g-panel", "display", b -> stacked(b) ? "block" : "none");
    }
    each(
        panel,
        "block-size",
        b ->
            height(b) == PanelHeight.FIXED
                ? writing.value(piece, PanelSettings.PANEL_FIXED, b.band()).css()
                : "auto");
    each(panel, "overflow", b -> height(b) == PanelHeight.FIXED ? "auto" : "visible");
    // What is in it has the same width whether it scrolls or not.
    each(panel, "scrollbar-gutter", b -> height(b) == PanelHeight.FIXED ? "stable" : "auto");
  }

  private boolean stacked(TabsBand b) {
    return height(b) == PanelHeight.TALLEST && !b.folds();
  }

  private PanelHeight height(TabsBand b) {
    return writing.value(piece, PanelSettings.PANEL_HEIGHT, b.band());
  }
}
