package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.band.Require;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.SliderSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Marks;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Writes a carousel or a slider: its track, arrows and place marks. What stands in an item is
 * {@link CardOutput}'s or {@link SlideOutput}'s.
 *
 * <p>Every item is placed by its own index in one cell of a grid, so that rounding never adds up
 * and the tallest item gives the height. Where the track rests is CSS as well: the script only says
 * at which item ({@code --g-at}), so a change of width needs no script. Without script the view is
 * a scroller that snaps.
 *
 * <p>Structure and names follow the ARIA Authoring Practices' carousel pattern: basic; grouped
 * where there are dots; tabbed where they are those of a slider, which the script says band by
 * band.
 */
final class TrackOutput {
  private static final String ARROW =
      "<svg viewBox=\"0 0 24 24\" aria-hidden=\"true\" focusable=\"false\"><path d=\"%s\"/></svg>";

  private final Writing writing;
  private final Piece.Tracked piece;
  private final boolean slides;
  private final Html out;
  private final Labels labels;
  private final List<TrackBand> bands;
  private final List<Item> items;
  private final Map<String, TrackBand> byId = new HashMap<>();
  private final String id;

  /** Whether some item shows only at times, or for some addresses. */
  private final boolean conditional;

  TrackOutput(Writing writing, Piece.Tracked piece) {
    this.writing = writing;
    this.piece = piece;
    this.slides = piece instanceof Piece.Slider;
    this.out = writing.out;
    this.labels = writing.labels;
    this.bands = TrackLayout.of(writing.document, piece, 0).bands();
    this.items = piece.onShow();
    this.id = "#g-" + piece.id();
    this.conditional = items.stream().anyMatch(TrackOutput::conditional);
    bands.forEach(b -> byId.put(b.band().id(), b));
  }

  private static boolean conditional(Item item) {
    return ConditionSettings.ALL.stream()
        .anyMatch(setting -> !item.values().get(setting).equals(setting.initial()));
  }

  void html() {
    String name = piece.values().get(PieceSettings.NAME);
    String belt = "g-" + piece.id() + "-belt";
    writing.mostItems = Math.max(writing.mostItems, items.size());
    writing.root(
        piece,
        slides ? "slider" : "carousel",
        plan(),
        "role",
        "region",
        "aria-roledescription",
        labels.carousel(),
        "aria-label",
        name.isEmpty() ? labels.items() : name);
    int level = writing.nextLevel();
    out.open("div", "class", "g-frame");
    arrow("g-prev", labels.previous(), belt, "M14.5 5 7.5 12l7 7");
    arrow("g-next", labels.next(), belt, "m9.5 5 7 7-7 7");
    out.open("div", "class", "g-view")
        .open("div", "class", "g-belt", "id", belt, "aria-live", "polite");
    for (int i = 0; i < items.size(); i++) {
      item(items.get(i), i, level);
    }
    out.close("div").close("div");
    marks(belt);
    out.close("div").close("div");
  }

  private void item(Item item, int index, int level) {
    out.open(
        "div",
        Attributes.with(
            writing.item(
                item,
                "g-item",
                "role",
                "group",
                "aria-roledescription",
                slides ? labels.slide() : labels.card(),
                "aria-label",
                labels.of(index + 1, items.size()),
                "data-name",
                slides ? name(item, index) : ""),
            Writing.off(item)));
    switch (piece) {
      case Piece.Slider slider -> new SlideOutput(writing, slider).html(item, index, level);
      case Piece.Carousel carousel -> new CardOutput(writing, carousel).html(item, level);
    }
    out.close("div");
  }

  private static String name(Item item, int index) {
    String name = item.values().get(ItemSettings.NAME);
    String heading = item.values().get(ItemSettings.HEADING);
    return name.isEmpty() ? heading.isEmpty() ? Integer.toString(index + 1) : heading : name;
  }

  private void arrow(String place, String label, String belt, String path) {
    if (!some(b -> arrows(b))) {
      return;
    }
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
        .raw(ARROW.formatted(path));
    if (slides && piece.values().get(SliderSettings.NEIGHBOURS)) {
      writing.parts.add("marks");
      out.raw("<span class=\"g-near\" aria-hidden=\"true\"></span>");
    }
    out.close("button");
  }

  private void marks(String belt) {
    if (!some(TrackOutput::marks)) {
      return;
    }
    out.open("div", "class", "g-marks");
    boolean thumbnails =
        some(b -> marks(b) && b.marks() == Marks.THUMBNAILS)
            || (slides && piece.values().get(SliderSettings.NEIGHBOURS));
    boolean names = some(b -> marks(b) && b.marks() == Marks.NAMES);
    int most =
        bands.stream()
            .filter(b -> marks(b) && pressed(b.marks()))
            .mapToInt(b -> b.stops().count())
            .max()
            .orElse(0);
    if (most > 0) {
      out.open("div", "class", "g-dots", "role", "group", "aria-label", labels.choose());
      for (int dot = 1; dot <= most; dot++) {
        dot(dot, belt, thumbnails, names);
      }
      out.close("div");
    }
    out.raw("<div class=\"g-tally\" aria-hidden=\"true\"></div>")
        .raw("<div class=\"g-bar\" aria-hidden=\"true\"></div>")
        .close("div");
  }

  private void dot(int dot, String belt, boolean thumbnails, boolean names) {
    Item item = items.get(Math.min(dot, items.size()) - 1);
    out.open(
        "button",
        "type",
        "button",
        "class",
        "g-dot",
        "aria-label",
        names ? name(item, dot - 1) : labels.goTo(dot),
        "aria-controls",
        belt,
        "aria-disabled",
        dot == 1 ? "true" : "");
    if (thumbnails || names) {
      writing.parts.add("marks");
    }
    if (thumbnails) {
      String own = item.values().get(ItemSettings.THUMBNAIL);
      writing
          .pictures
          .find(own.isEmpty() ? item.values().get(ItemSettings.PICTURE) : own)
          .ifPresent(thumb ->
              writing.image(
                  thumb,
                  "",
                  // The neighbour at an arrow is the same picture, in a box of 104 by 70.
                  widths -> widths.boxed(104, 70, Pictures.size(thumb)),
                  "class",
                  "g-thumb",
                  "loading",
                  "lazy"));
    }
    if (names) {
      out.element("span", name(item, dot - 1), "class", "g-dot-name");
    }
    out.close("button");
  }

  /** The plan: per band its media query, the items in view, the stops. All JSON scalars. */
  private String plan() {
    return bands.stream()
        .map(b ->
            "{\"query\":\"%s\",\"axis\":\"%s\",\"view\":%d,\"both\":%b,\"loops\":%b,\"tabbed\":%b,%s\"starts\":%s}"
                .formatted(
                    b.band().query(),
                    b.axis() == Axis.ACROSS ? "x" : "y",
                    b.all() ? Math.max(1, b.items()) : b.view(),
                    b.sides() == 2,
                    b.loops(),
                    slides && marks(b) && pressed(b.marks()),
                    b.items() == items.size() ? "" : "\"on\":" + list(b.on()) + ",",
                    list(b.stops().starts()) + (conditional ? ",\"fewer\":" + fewer(b) : "")))
        .collect(Collectors.joining(",", "{\"items\":" + items.size() + ",\"bands\":[", "]}"));
  }

  /** The same where conditions hide some of the items: by how many are left. */
  private String fewer(TrackBand whole) {
    var all = new ArrayList<String>();
    for (int count = 0; count < whole.items(); count++) {
      Set<String> left =
          whole.on().subList(0, count).stream()
              .map(index -> items.get(index).id())
              .collect(Collectors.toSet());
      Piece some =
          piece.holding(piece.items().stream().filter(item -> left.contains(item.id())).toList());
      Document less = writing.document.changed(piece.id(), _ -> some);
      TrackBand b =
          TrackLayout.of(less, (Piece.Tracked) some, 0).bands().stream()
              .filter(each -> each.band().id().equals(whole.band().id()))
              .findFirst()
              .orElseThrow();
      all.add(
          "{\"view\":%d,\"both\":%b,\"loops\":%b,\"starts\":%s,\"css\":{\"--g-n\":\"%d\",\"--g-view\":\"%d\",\"--g-k\":\"%d\",\"--g-both\":\"%d\",\"--g-few\":\"%s\",\"--g-shift\":\"var(--g-%s)\"}}"
              .formatted(
                  b.all() ? Math.max(1, b.items()) : b.view(),
                  b.sides() == 2,
                  b.loops(),
                  list(b.stops().starts()),
                  b.items(),
                  b.view(),
                  b.sides(),
                  b.sides() == 2 ? 1 : 0,
                  b.moves() ? "0" : few(b),
                  b.loops() ? "free" : "held"));
    }
    return all.toString().replace(", ", ",");
  }

  private static String list(List<Integer> numbers) {
    return numbers.toString().replace(" ", "");
  }

  void css() {
    writing.frame(piece);
    frame();
    track();
    view();
    snaps();
    controls();
    items.forEach(item -> writing.hideByBand(piece, item, "block"));
    places();
    switch (piece) {
      case Piece.Slider slider -> new SlideOutput(writing, slider).css();
      case Piece.Carousel carousel -> new CardOutput(writing, carousel).css();
    }
    containerCss();
  }

  private void each(String selector, String property, Function<TrackBand, String> value) {
    writing.css.put(
        selector,
        property,
        (Band band) -> value.apply(Objects.requireNonNull(byId.get(band.id()))));
  }

  private boolean some(Predicate<TrackBand> test) {
    return bands.stream().anyMatch(test);
  }

  private void frame() {
    String frame = id + " .g-frame";
    each(
        frame,
        "grid-template-columns",
        b -> beside(b) ? "44px minmax(0,1fr) 44px" : "minmax(0,1fr)");
    each(frame, "column-gap", b -> beside(b) ? b.arrowDistance().css() : "0px");
  }

  private static boolean beside(TrackBand b) {
    return b.arrows() == Arrows.BESIDE && b.moves();
  }

  private void track() {
    String belt = id + " .g-belt";
    each(belt, "--g-view", b -> Integer.toString(b.view()));
    each(belt, "--g-n", b -> Integer.toString(b.items()));
    each(belt, "--g-gap", b -> Css.px(b.gap()));
    each(belt, "--g-peek", b -> b.sides() == 0 ? "0px" : Css.px(b.peek()));
    each(belt, "--g-k", b -> Integer.toString(b.sides()));
    each(belt, "--g-both", b -> b.sides() == 2 ? "1" : "0");
    each(belt, "--g-shift", b -> b.loops() ? "var(--g-free)" : "var(--g-held)");
    each(belt, "align-items", b -> b.equalHeights() ? "stretch" : "start");
    each(belt, "--g-few", b -> b.moves() ? "0" : few(b));
    String item = belt + ">.g-item";
    each(
        belt,
        "transform",
        b -> b.all() ? "none" : b.axis() == Axis.ACROSS ? "var(--g-across)" : "var(--g-down)");
    each(belt, "grid-template-rows", b -> b.axis() == Axis.ACROSS ? "auto" : "100%");
    each(belt, "block-size", b -> b.axis() == Axis.ACROSS ? "auto" : "100%");
    each(
        item,
        "inline-size",
        b -> b.all() ? "auto" : b.axis() == Axis.ACROSS ? "var(--g-w)" : "100%");
    each(item, "block-size", b -> b.axis() == Axis.ACROSS ? "auto" : "var(--g-w)");
    each(
        item,
        "inset-inline-start",
        b -> b.axis() == Axis.ACROSS && !b.all() ? "var(--g-place)" : "0px");
    each(item, "inset-block-start", b -> b.axis() == Axis.ACROSS ? "0px" : "var(--g-place)");
    if (some(TrackBand::all)) {
      each(
          belt,
          "grid-template-columns",
          b -> b.all() ? "repeat(" + b.view() + ",minmax(0,1fr))" : "100%");
      each(belt, "gap", b -> b.all() ? b.gap().css() : "0px");
      each(item, "grid-area", b -> b.all() ? "auto" : "1/1");
    }
    if (some(b -> b.loops() && b.sides() == 2)) {
      // A round track that peeks on both sides begins with its last item at the left.
      each(item + ":last-child", "--g-m", b -> b.loops() && b.sides() == 2 ? "-1" : "0");
    }
  }

  /** Where some items hide in some band, the others close up there. */
  private void places() {
    if (!some(b -> b.items() < items.size())) {
      return;
    }
    for (int i = 0; i < items.size(); i++) {
      int at = i;
      each(
          id + " .g-belt>.g-item:nth-child(" + (i + 1) + ")",
          "--g-i",
          b -> Integer.toString(Math.max(0, b.on().indexOf(at))));
    }
  }

  private void view() {
    String view = id + " .g-view";
    each(view, "block-size", b -> b.axis() == Axis.ACROSS ? "auto" : b.trackHeight().css());
    each(view, "--g-flow", b -> b.axis() == Axis.ACROSS ? "x" : "y");
    each(
        view,
        "overflow",
        b -> b.all() ? "visible" : b.axis() == Axis.ACROSS ? "auto hidden" : "hidden auto");
    each(
        view,
        "scroll-snap-type",
        b -> b.axis() == Axis.ACROSS ? "inline mandatory" : "block mandatory");
    each(
        view,
        "scroll-padding",
        b -> b.sides() == 2 ? "calc(" + Css.px(b.peek()) + " + " + Css.px(b.gap()) + ")" : "0px");
    each(
        view,
        "touch-action",
        b -> b.axis() == Axis.ACROSS && b.moves() ? "pan-y pinch-zoom" : "auto");
    String live = id + "[data-live] .g-view";
    each(
        live,
        "overflow",
        b -> b.all() ? "visible" : b.axis() == Axis.ACROSS ? "clip visible" : "visible clip");
  }

  /** Without script the scroller comes to rest at the stops. */
  private void snaps() {
    int stride = bands.stream().mapToInt(TrackBand::stride).max().orElse(1);
    if (stride == 1) {
      return;
    }
    for (int i = 0; i < items.size(); i++) {
      int at = i;
      each(
          id + " .g-item:nth-child(" + (i + 1) + ")",
          "scroll-snap-align",
          b -> b.stops().starts().contains(b.on().indexOf(at)) ? "start" : "none");
    }
  }

  private void controls() {
    String arrow = id + " .g-arrow";
    if (some(TrackOutput::arrows)) {
      each(arrow, "display", b -> arrows(b) ? "grid" : "none");
      each(
          arrow,
          "margin-block-start",
          b -> b.arrows() == Arrows.BELOW ? b.arrowDistance().css() : "0px");
      each(id + " .g-prev", "grid-area", b -> beside(b) || over(b) ? "1/1" : "2/1");
      each(id + " .g-next", "grid-area", b -> beside(b) ? "1/3" : over(b) ? "1/1" : "2/1");
      each(arrow, "--g-turn", b -> b.axis() == Axis.ACROSS ? "0deg" : "90deg");
      if (some(TrackOutput::over)) {
        each(arrow, "margin-inline", b -> over(b) ? b.arrowDistance().css() : "0px");
        each(arrow, "--g-lay", b -> over(b) ? "var(--g-card)" : "transparent");
      }
    }
    each(id + " .g-view", "grid-area", b -> beside(b) ? "1/2" : "1/1");
    if (!some(TrackOutput::marks)) {
      return;
    }
    String marks = id + " .g-marks";
    each(marks, "grid-area", b -> beside(b) ? "2/2" : "2/1");
    each(marks, "display", b -> marks(b) ? "grid" : "none");
    each(marks, "margin-block-start", b -> b.markDistance().css());
    each(marks, "--g-stops", b -> Integer.toString(b.stops().count()));
    each(id + " .g-dots", "display", b -> pressed(b.marks()) ? "flex" : "none");
    each(id + " .g-tally", "display", b -> b.marks() == Marks.TALLY ? "block" : "none");
    each(id + " .g-bar", "display", b -> b.marks() == Marks.BAR ? "block" : "none");
    if (some(b -> b.marks() == Marks.THUMBNAILS || b.marks() == Marks.NAMES)) {
      each(id + " .g-dot", "--g-point", b -> b.marks() == Marks.DOTS ? "block" : "none");
      each(id + " .g-dot", "inline-size", b -> b.marks() == Marks.DOTS ? "24px" : "auto");
      each(id + " .g-dot", "block-size", b -> b.marks() == Marks.DOTS ? "24px" : "auto");
      each(id + " .g-dot-name", "display", b -> b.marks() == Marks.NAMES ? "block" : "none");
      each(
          id + " .g-dot>.g-thumb",
          "display",
          b -> b.marks() == Marks.THUMBNAILS ? "block" : "none");
      each(id + " .g-dots", "gap", b -> b.marks() == Marks.DOTS ? "0px" : "10px");
    } else if (slides && piece.values().get(SliderSettings.NEIGHBOURS)) {
      each(id + " .g-dot>.g-thumb", "display", _ -> "none");
    }
    int most = bands.stream().mapToInt(b -> b.stops().count()).max().orElse(0);
    int least = bands.stream().mapToInt(b -> b.stops().count()).min().orElse(0);
    for (int dot = least + 1; dot <= most; dot++) {
      int number = dot;
      each(
          id + " .g-dot:nth-child(" + dot + ")",
          "display",
          b -> number <= b.stops().count() ? "grid" : "none");
    }
  }

  /** Dots that do not fit become a tally; the piece's own width decides, not the screen's. */
  private void containerCss() {
    for (TrackBand b : bands) {
      if (marks(b) && b.marks() == Marks.DOTS) {
        writing.containerCss.append(
            "@media %s{@container (inline-size < %spx){%s .g-dots{display:none}%s .g-tally{display:block}}}"
                .formatted(b.band().query(), Require.number(b.dotsNeed()), id, id));
      }
    }
  }

  private static boolean arrows(TrackBand b) {
    return b.moves() && b.arrows() != Arrows.NONE;
  }

  private static boolean over(TrackBand b) {
    return b.arrows() == Arrows.OVER;
  }

  private static boolean marks(TrackBand b) {
    return b.moves() && b.marks() != Marks.NONE;
  }

  /** Whether marks are buttons, one for each stop. */
  private static boolean pressed(Marks marks) {
    return marks == Marks.DOTS || marks == Marks.THUMBNAILS || marks == Marks.NAMES;
  }

  private static String few(TrackBand b) {
    return switch (b.few()) {
      case START -> "0";
      case CENTER -> ".5";
      case END -> "1";
    };
  }
}
