package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.band.Length;
import giostra.core.band.Require;
import giostra.core.layout.CarouselBand;
import giostra.core.layout.CarouselLayout;
import giostra.core.page.BlockSettings.Side;
import giostra.core.page.CarouselSettings;
import giostra.core.page.CarouselSettings.Arrows;
import giostra.core.page.CarouselSettings.Axis;
import giostra.core.page.CarouselSettings.Card;
import giostra.core.page.CarouselSettings.Marks;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.page.SectionSettings.Extent;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Writes a carousel.
 *
 * <p>Every item is placed by its own index in one cell of a grid, so that rounding never adds up
 * and the tallest item gives the height. Where the track rests is CSS as well: the script only says
 * at which item ({@code --g-at}), so a change of width needs no script. Without script the view is
 * a scroller that snaps.
 *
 * <p>Structure and names follow the ARIA Authoring Practices' carousel pattern: basic, or grouped
 * where there are dots.
 */
final class CarouselOutput {
  private static final String ARROW =
      "<svg viewBox=\"0 0 24 24\" aria-hidden=\"true\" focusable=\"false\"><path d=\"%s\"/></svg>";

  private final Document document;
  private final Piece.Carousel piece;
  private final Labels labels;
  private final List<CarouselBand> bands;
  private final List<Item> items;

  CarouselOutput(Document document, Piece.Carousel piece, Labels labels) {
    this.document = document;
    this.piece = piece;
    this.labels = labels;
    this.bands = CarouselLayout.of(document, piece, 0).bands();
    this.items = piece.onShow();
  }

  void html(Html out, Compiler.Pictures pictures, int headingLevel) {
    String name = piece.values().get(CarouselSettings.NAME);
    String belt = "g-" + piece.id() + "-belt";
    out.open(
        "div",
        "class",
        "g-piece g-carousel",
        "id",
        "g-" + piece.id(),
        "data-piece",
        piece.id(),
        "data-kind",
        "carousel",
        "role",
        "region",
        "aria-roledescription",
        labels.carousel(),
        "aria-label",
        name.isEmpty() ? labels.items() : name,
        "data-plan",
        plan());
    out.open("div", "class", "g-frame");
    arrow(out, "g-prev", labels.previous(), belt, "M14.5 5 7.5 12l7 7");
    arrow(out, "g-next", labels.next(), belt, "m9.5 5 7 7-7 7");
    out.open("div", "class", "g-view")
        .open("div", "class", "g-belt", "id", belt, "aria-live", "polite");
    for (int i = 0; i < items.size(); i++) {
      Item item = items.get(i);
      out.open(
          "div",
          "class",
          "g-item",
          "data-item",
          item.id(),
          "role",
          "group",
          "aria-roledescription",
          labels.slide(),
          "aria-label",
          labels.of(i + 1, items.size()));
      card(out, item, pictures, headingLevel);
      out.close("div");
    }
    out.close("div").close("div");
    marks(out, belt);
    out.close("div").close("div");
  }

  private void arrow(Html out, String place, String label, String belt, String path) {
    if (bands.stream().anyMatch(b -> b.moves() && b.arrows() != Arrows.NONE)) {
      out.open(
              "button",
              "type",
              "button",
              "class",
              "g-arrow " + place,
              "aria-label",
              label,
              "aria-controls",
              belt)
          .raw(ARROW.formatted(path))
          .close("button");
    }
  }

  private void marks(Html out, String belt) {
    if (bands.stream().noneMatch(b -> b.moves() && b.marks() != Marks.NONE)) {
      return;
    }
    out.open("div", "class", "g-marks");
    int most =
        bands.stream()
            .filter(b -> b.moves() && b.marks() == Marks.DOTS)
            .mapToInt(b -> b.stops().count())
            .max()
            .orElse(0);
    if (most > 0) {
      out.open("div", "class", "g-dots", "role", "group", "aria-label", labels.choose());
      for (int dot = 1; dot <= most; dot++) {
        out.open(
                "button",
                "type",
                "button",
                "class",
                "g-dot",
                "aria-label",
                labels.goTo(dot),
                "aria-controls",
                belt,
                "aria-disabled",
                dot == 1 ? "true" : "")
            .close("button");
      }
      out.close("div");
    }
    out.raw("<div class=\"g-tally\" aria-hidden=\"true\"></div>")
        .raw("<div class=\"g-bar\" aria-hidden=\"true\"></div>")
        .close("div");
  }

  private void card(Html out, Item item, Compiler.Pictures pictures, int level) {
    if (piece.values().get(CarouselSettings.CARD) == Card.QUOTATION) {
      quotation(out, item, pictures);
    } else {
      picture(out, item, pictures, level);
    }
  }

  private static void quotation(Html out, Item item, Compiler.Pictures pictures) {
    String name = item.values().get(ItemSettings.NAME);
    String role = item.values().get(ItemSettings.ROLE);
    out.open("figure", "class", "g-card g-quotation");
    out.open("blockquote").paragraphs(item.values().get(ItemSettings.TEXT)).close("blockquote");
    out.open("figcaption");
    pictures
        .find(item.values().get(ItemSettings.PICTURE))
        .ifPresent(
            // The name stands beside it, so the portrait itself decorates.
            portrait -> out.image(portrait, "", "class", "g-portrait", "loading", "lazy"));
    out.open("div");
    if (!name.isEmpty()) {
      out.element("div", name, "class", "g-name");
    }
    if (!role.isEmpty()) {
      out.element("div", role, "class", "g-role");
    }
    out.close("div").close("figcaption").close("figure");
  }

  private static void picture(Html out, Item item, Compiler.Pictures pictures, int level) {
    String heading = item.values().get(ItemSettings.HEADING);
    String button = item.values().get(ItemSettings.BUTTON);
    String link = item.values().get(ItemSettings.LINK);
    out.open("div", "class", "g-card");
    pictures
        .find(item.values().get(ItemSettings.PICTURE))
        .ifPresent(picture -> {
          String alt = item.values().get(ItemSettings.ALT);
          out.open("div", "class", "g-shot")
              .image(picture, alt.isEmpty() ? picture.alt() : alt, "loading", "lazy")
              .close("div");
        });
    out.open("div", "class", "g-body");
    if (!heading.isEmpty()) {
      String tag = "h" + level;
      out.open(tag);
      if (button.isEmpty() && !link.isEmpty()) {
        out.element("a", heading, "href", link);
      } else {
        out.text(heading);
      }
      out.close(tag);
    }
    out.paragraphs(item.values().get(ItemSettings.TEXT));
    if (!button.isEmpty() && !link.isEmpty()) {
      out.element("a", button, "class", "g-button", "href", link);
    }
    out.close("div").close("div");
  }

  /** The plan: per band its media query, the items in view, the stops. All JSON scalars. */
  private String plan() {
    return bands.stream()
        .map(b ->
            "{\"query\":\"%s\",\"axis\":\"%s\",\"view\":%d,\"both\":%b,\"loops\":%b,\"starts\":%s}"
                .formatted(
                    b.band().query(),
                    b.axis() == Axis.ACROSS ? "x" : "y",
                    b.view(),
                    b.sides() == 2,
                    b.loops(),
                    b.stops().starts().toString().replace(" ", "")))
        .collect(Collectors.joining(",", "{\"items\":" + items.size() + ",\"bands\":[", "]}"));
  }

  void css(BandCss css) {
    Map<String, CarouselBand> byId = new HashMap<>();
    bands.forEach(b -> byId.put(b.band().id(), b));
    String id = "#g-" + piece.id();
    var put = new Putter(css, byId);
    put.each(id, "inline-size", b -> "min(100%," + b.width().css() + ")");
    put.each(id, "margin-inline", b -> standing(b.align()));
    put.each(id, "padding-block", b -> b.spaceAbove().css() + " " + b.spaceBelow().css());
    frame(put, id + " .g-frame");
    track(put, id + " .g-belt");
    view(put, id);
    snaps(put, id);
    controls(put, id);
  }

  /** Whether it leaves the measure of its section in a band. */
  boolean toTheEdge(Band band) {
    return bands.stream().anyMatch(b -> b.band().equals(band) && b.extent() == Extent.EDGE);
  }

  private static void frame(Putter put, String frame) {
    put.each(
        frame,
        "grid-template-columns",
        b -> beside(b) ? "44px minmax(0,1fr) 44px" : "minmax(0,1fr)");
    put.each(frame, "column-gap", b -> beside(b) ? b.arrowDistance().css() : "0px");
  }

  private static boolean beside(CarouselBand b) {
    return b.arrows() == Arrows.BESIDE && b.moves();
  }

  private void track(Putter put, String belt) {
    put.each(belt, "--g-view", b -> Integer.toString(b.view()));
    put.each(belt, "--g-n", b -> Integer.toString(b.items()));
    put.each(belt, "--g-gap", b -> withUnit(b.gap()));
    put.each(belt, "--g-peek", b -> b.sides() == 0 ? "0px" : withUnit(b.peek()));
    put.each(belt, "--g-k", b -> Integer.toString(b.sides()));
    put.each(belt, "--g-both", b -> b.sides() == 2 ? "1" : "0");
    put.each(belt, "--g-shift", b -> b.loops() ? "var(--g-free)" : "var(--g-held)");
    put.each(belt, "align-items", b -> b.equalHeights() ? "stretch" : "start");
    put.each(belt, "--g-few", b -> b.moves() ? "0" : few(b));
    String item = belt + ">.g-item";
    put.each(belt, "transform", b -> b.axis() == Axis.ACROSS ? "var(--g-across)" : "var(--g-down)");
    put.each(belt, "grid-template-rows", b -> b.axis() == Axis.ACROSS ? "auto" : "100%");
    put.each(belt, "block-size", b -> b.axis() == Axis.ACROSS ? "auto" : "100%");
    put.each(item, "inline-size", b -> b.axis() == Axis.ACROSS ? "var(--g-w)" : "100%");
    put.each(item, "block-size", b -> b.axis() == Axis.ACROSS ? "auto" : "var(--g-w)");
    put.each(item, "inset-inline-start", b -> b.axis() == Axis.ACROSS ? "var(--g-place)" : "0px");
    put.each(item, "inset-block-start", b -> b.axis() == Axis.ACROSS ? "0px" : "var(--g-place)");
    if (bands.stream().anyMatch(b -> b.loops() && b.sides() == 2)) {
      // A round track that peeks on both sides begins with its last item at the left.
      put.each(item + ":last-child", "--g-m", b -> b.loops() && b.sides() == 2 ? "-1" : "0");
    }
  }

  private void view(Putter put, String id) {
    String view = id + " .g-view";
    put.each(view, "block-size", b -> b.axis() == Axis.ACROSS ? "auto" : b.trackHeight().css());
    put.each(view, "--g-flow", b -> b.axis() == Axis.ACROSS ? "x" : "y");
    put.each(view, "overflow", b -> b.axis() == Axis.ACROSS ? "auto hidden" : "hidden auto");
    put.each(
        view,
        "scroll-snap-type",
        b -> b.axis() == Axis.ACROSS ? "inline mandatory" : "block mandatory");
    put.each(
        view,
        "scroll-padding",
        b ->
            b.sides() == 2
                ? "calc(" + withUnit(b.peek()) + " + " + withUnit(b.gap()) + ")"
                : "0px");
    put.each(view, "touch-action", b -> b.axis() == Axis.ACROSS ? "pan-y pinch-zoom" : "auto");
    String live = id + "[data-live] .g-view";
    put.each(live, "overflow", b -> b.axis() == Axis.ACROSS ? "clip visible" : "visible clip");
  }

  /** Without script the scroller comes to rest at the stops. */
  private void snaps(Putter put, String id) {
    int stride = bands.stream().mapToInt(CarouselBand::stride).max().orElse(1);
    if (stride == 1) {
      return;
    }
    for (int i = 0; i < items.size(); i++) {
      int at = i;
      put.each(
          id + " .g-item:nth-child(" + (i + 1) + ")",
          "scroll-snap-align",
          b -> b.stops().starts().contains(at) ? "start" : "none");
    }
  }

  private void controls(Putter put, String id) {
    put.each(id + " .g-arrow", "display", b -> arrows(b) ? "grid" : "none");
    put.each(
        id + " .g-arrow",
        "margin-block-start",
        b -> b.arrows() == Arrows.BELOW ? b.arrowDistance().css() : "0px");
    put.each(id + " .g-prev", "grid-area", b -> beside(b) ? "1/1" : "2/1");
    put.each(id + " .g-next", "grid-area", b -> beside(b) ? "1/3" : "2/1");
    put.each(id + " .g-view", "grid-area", b -> beside(b) ? "1/2" : "1/1");
    put.each(id + " .g-marks", "grid-area", b -> beside(b) ? "2/2" : "2/1");
    put.each(id + " .g-arrow", "--g-turn", b -> b.axis() == Axis.ACROSS ? "0deg" : "90deg");
    put.each(id + " .g-marks", "display", b -> marks(b) ? "grid" : "none");
    put.each(id + " .g-marks", "margin-block-start", b -> b.markDistance().css());
    put.each(id + " .g-marks", "--g-stops", b -> Integer.toString(b.stops().count()));
    put.each(id + " .g-dots", "display", b -> b.marks() == Marks.DOTS ? "flex" : "none");
    put.each(id + " .g-tally", "display", b -> b.marks() == Marks.TALLY ? "block" : "none");
    put.each(id + " .g-bar", "display", b -> b.marks() == Marks.BAR ? "block" : "none");
    int most = bands.stream().mapToInt(b -> b.stops().count()).max().orElse(0);
    int least = bands.stream().mapToInt(b -> b.stops().count()).min().orElse(0);
    for (int dot = least + 1; dot <= most; dot++) {
      int number = dot;
      put.each(
          id + " .g-dot:nth-child(" + dot + ")",
          "display",
          b -> number <= b.stops().count() ? "grid" : "none");
    }
  }

  /** Dots that do not fit become a tally; the piece's own width decides, not the screen's. */
  String containerCss() {
    var css = new StringBuilder();
    for (CarouselBand b : bands) {
      if (marks(b) && b.marks() == Marks.DOTS) {
        String id = "#g-" + piece.id();
        css.append(
            "@media %s{@container (inline-size < %spx){%s .g-dots{display:none}%s .g-tally{display:block}}}"
                .formatted(b.band().query(), Require.number(b.dotsNeed()), id, id));
      }
    }
    return css.toString();
  }

  private static boolean arrows(CarouselBand b) {
    return b.moves() && b.arrows() != Arrows.NONE;
  }

  private static boolean marks(CarouselBand b) {
    return b.moves() && b.marks() != Marks.NONE;
  }

  private static String few(CarouselBand b) {
    return switch (b.few()) {
      case START -> "0";
      case CENTER -> ".5";
      case END -> "1";
    };
  }

  /** Margins that let something narrower than its room stand where it should. */
  static String standing(Side side) {
    return switch (side) {
      case START -> "0 auto";
      case CENTER -> "auto";
      case END -> "auto 0";
    };
  }

  private static String withUnit(Length length) {
    return length.isZero() ? "0px" : length.css();
  }

  private record Putter(BandCss css, Map<String, CarouselBand> byId) {
    void each(String selector, String property, Function<CarouselBand, String> value) {
      css.put(
          selector,
          property,
          (Band band) -> value.apply(java.util.Objects.requireNonNull(byId.get(band.id()))));
    }
  }
}
