package giostra.core.piece.accordion;

import giostra.core.band.Band;
import giostra.core.format.FaqPage;
import giostra.core.output.Attributes;
import giostra.core.output.Css;
import giostra.core.output.Html;
import giostra.core.output.Plan;
import giostra.core.output.Writing;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import giostra.core.page.PanelSettings.Trigger;
import giostra.core.page.PieceSettings;
import giostra.core.piece.accordion.AccordionSettings.Marker;
import giostra.core.piece.accordion.AccordionSettings.Rows;
import giostra.core.value.RichText;
import java.util.List;
import java.util.function.Predicate;

/**
 * Writes an accordion: native {@code details} with the heading in the {@code summary}, so that it
 * folds without script; those of which only one may be open share a {@code name}. Source: HTML,
 * "The details element"; ARIA Authoring Practices, "Accordion Pattern".
 */
final class AccordionOutput {
  private final Writing writing;
  private final Accordion piece;
  private final Html out;
  private final String id;
  private final List<Item> items;
  private final int level;

  AccordionOutput(Writing writing, Accordion piece) {
    this.writing = writing;
    this.piece = piece;
    this.out = writing.out();
    this.id = "#g-" + piece.id();
    this.items = Categories.shown(piece);
    this.level = writing.outline().items(piece);
  }

  void html() {
    String marker = Css.word(piece.values().get(AccordionSettings.MARKER));
    String name = piece.values().get(PieceSettings.NAME);
    writing.root(
        piece,
        "accordion",
        plan(),
        "role",
        name.isEmpty() ? "" : "group",
        "aria-label",
        name,
        "data-rows",
        Css.word(piece.values().get(AccordionSettings.ROWS)),
        "data-marker",
        marker,
        "data-marker-at",
        Css.word(piece.values().get(AccordionSettings.MARKER_PLACE)));
    tools();
    out.open("div", "class", "g-rows");
    for (int i = 0; i < items.size(); i++) {
      question(items.get(i), i);
    }
    out.close("div");
    if (piece.values().get(AccordionSettings.SEARCH)) {
      out.element("p", "", "class", "g-found", "role", "status");
    }
    if (piece.values().get(AccordionSettings.FAQ)) {
      out.raw("<script type=\"application/ld+json\">" + faq() + "</script>");
    }
    out.close("div");
  }

  private void tools() {
    boolean search = piece.values().get(AccordionSettings.SEARCH);
    List<String> categories = Categories.of(piece);
    boolean filter = piece.values().get(AccordionSettings.FILTER) && categories.size() > 1;
    if (!search && !filter) {
      return;
    }
    String box = "g-" + piece.id() + "-search";
    out.open("div", "class", "g-tools");
    if (search) {
      out.element("label", writing.labels().search(), "for", box, "class", "g-sr")
          .open(
              "input",
              "type",
              "search",
              "id",
              box,
              "class",
              "g-search",
              "placeholder",
              writing.labels().search(),
              "autocomplete",
              "off");
    }
    if (filter) {
      out.open(
          "div", "class", "g-chips", "role", "group", "aria-label", writing.labels().categories());
      chip(writing.labels().all(), "", true);
      categories.forEach(name -> chip(name, name, false));
      out.close("div");
    }
    out.close("div");
  }

  private void chip(String words, String category, boolean pressed) {
    out.open(
            "button",
            "type",
            "button",
            "class",
            "g-chip",
            "aria-pressed",
            Boolean.toString(pressed),
            "data-category",
            category)
        .text(words)
        .close("button");
  }

  private boolean opens(Item item, int index) {
    return switch (piece.values().get(AccordionSettings.OPEN_FIRST)) {
      case NONE -> false;
      case FIRST -> item == items.stream().filter(writing::on).findFirst().orElse(items.getFirst());
      case CHOSEN -> item.values().get(ItemSettings.OPEN);
      case ALL -> true;
    };
  }

  private void question(Item item, int index) {
    boolean several = piece.values().get(AccordionSettings.SEVERAL);
    boolean first =
        opens(item, index)
            && (several
                || items.subList(0, index).stream().noneMatch(i -> opens(i, items.indexOf(i))));
    out.open(
        "details",
        Attributes.with(
            writing.item(
                item,
                "g-fold",
                "name",
                several ? "" : "g-" + piece.id(),
                "data-category",
                item.values().get(ItemSettings.CATEGORY).strip()),
            Attributes.with(
                first ? new String[] {"open", "open"} : new String[0], Writing.off(item))));
    out.open("summary", "class", "g-fold-head");
    writing.icon(piece, item, "g-head-icon");
    out.element("h" + level, item.values().get(ItemSettings.HEADING), "class", "g-question");
    marker();
    out.close("summary");
    answer(item);
    out.close("details");
  }

  private void marker() {
    Marker marker = piece.values().get(AccordionSettings.MARKER);
    if (marker == Marker.NONE) {
      return;
    }
    out.open("span", "class", "g-marker", "aria-hidden", "true");
    if (marker == Marker.OWN) {
      writing.icons().write(out, piece.values().get(AccordionSettings.MARKER_ICON), false, "");
    }
    out.close("span");
  }

  private void answer(Item item) {
    out.open("div", "class", "g-panel").open("div", "class", "g-inner");
    writing.picture(piece, item, ItemSettings.PICTURE, "g-panel-picture");
    String text = Fields.shown(piece, item, ItemSettings.TEXT);
    if (!text.isBlank()) {
      out.open("div", "class", "g-copy");
      writing.text(item, text, piece.values().get(PieceSettings.SHORTEN));
      out.close("div");
    }
    writing.panel(item);
    writing.buttons(piece, item);
    if (piece.values().get(AccordionSettings.SHARE)) {
      out.open("div", "class", "g-shares");
      out.open(
              "button",
              "type",
              "button",
              "class",
              "g-share",
              "data-done",
              writing.labels().copied())
          .text(writing.labels().copyLink())
          .close("button");
      // Only where the device has a way of sharing: the script says so.
      out.open("button", "type", "button", "class", "g-share g-send", "hidden", "hidden")
          .text(writing.labels().share())
          .close("button");
      out.close("div");
    }
    out.close("div").close("div");
  }

  private Plan plan() {
    return new Plan.Accordion(
        piece.values().get(PanelSettings.TRIGGER) == Trigger.HOVER,
        piece.values().get(PanelSettings.TRIGGER) == Trigger.FOCUS,
        Writing.intent(piece),
        piece.values().get(AccordionSettings.MAY_CLOSE),
        piece.values().get(AccordionSettings.OPEN_FIRST) == AccordionSettings.OpenFirst.FIRST
            && items.stream().anyMatch(item -> ConditionSettings.any(item.values())),
        queries(band -> writing.value(piece, AccordionSettings.ALWAYS_OPEN, band)),
        queries(
            band -> writing.value(piece, PanelSettings.PANEL_HEIGHT, band) == PanelHeight.TALLEST));
  }

  private List<String> queries(Predicate<Band> where) {
    return writing.document().bands().all().stream().filter(where).map(Band::query).toList();
  }

  private String faq() {
    return FaqPage.json(
        items.stream()
            .map(item ->
                new FaqPage.Question(
                    item.values().get(ItemSettings.HEADING),
                    RichText.words(item.values().get(ItemSettings.TEXT)).strip()))
            .filter(question -> !question.answer().isEmpty())
            .toList());
  }

  void css() {
    writing.frame(piece);
    String rows = id + ">.g-rows";
    writing
        .css()
        .put(
            rows,
            "gap",
            band ->
                piece.values().get(AccordionSettings.ROWS) == Rows.JOINED
                    ? "0px"
                    : writing.value(piece, AccordionSettings.GAP, band).css());
    String head = rows + ">.g-fold>.g-fold-head";
    String panel = rows + ">.g-fold>.g-panel";
    writing.put(
        panel + ">.g-inner",
        "max-inline-size",
        piece,
        AccordionSettings.INNER,
        inner -> "min(100%," + inner.css() + ")");
    writing
        .css()
        .put(
            panel,
            "block-size",
            band ->
                height(band) == PanelHeight.FIXED
                    ? writing.value(piece, PanelSettings.PANEL_FIXED, band).css()
                    : height(band) == PanelHeight.TALLEST ? "var(--g-tallest,auto)" : "auto");
    writing
        .css()
        .put(panel, "overflow", band -> height(band) == PanelHeight.FIXED ? "auto" : "visible");
    // What is in it has the same width whether it scrolls or not.
    writing
        .css()
        .put(
            panel,
            "scrollbar-gutter",
            band -> height(band) == PanelHeight.FIXED ? "stable" : "auto");
    always(rows);
    items.forEach(item -> writing.hideByBand(piece, item, "block"));
  }

  private PanelHeight height(Band band) {
    return writing.value(piece, PanelSettings.PANEL_HEIGHT, band);
  }

  private void always(String rows) {
    boolean some =
        writing.document().bands().all().stream()
            .anyMatch(b -> writing.value(piece, AccordionSettings.ALWAYS_OPEN, b));
    if (!some) {
      return;
    }
    String fold = rows + ">.g-fold";
    writing.put(
        fold + ">.g-fold-head",
        "pointer-events",
        piece,
        AccordionSettings.ALWAYS_OPEN,
        open -> open ? "none" : "auto");
    writing.put(
        fold + ">.g-fold-head>.g-marker",
        "visibility",
        piece,
        AccordionSettings.ALWAYS_OPEN,
        open -> open ? "hidden" : "visible");
    // Closed ones show as well: before the script opens them, and where there is none.
    writing.put(
        fold + ":not([open])::details-content",
        "content-visibility",
        piece,
        AccordionSettings.ALWAYS_OPEN,
        open -> open ? "visible" : "hidden");
    writing.put(
        fold + ":not([open])::details-content",
        "block-size",
        piece,
        AccordionSettings.ALWAYS_OPEN,
        open -> open ? "auto" : "0px");
  }
}
