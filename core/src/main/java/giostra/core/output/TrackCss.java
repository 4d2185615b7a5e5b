package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.layout.ShadowReach;
import giostra.core.layout.TrackBand;
import giostra.core.page.Item;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Marks;
import giostra.core.page.Tracked;
import giostra.core.value.Length;
import giostra.core.value.Require;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.Predicate;

/** The style sheet of a slider or carousel, band by band: where the belt rests is pure CSS. */
final class TrackCss {
  private final Writing writing;
  private final Tracked piece;
  private final List<TrackBand> bands;
  private final List<Item> items;
  private final Map<String, TrackBand> byId = new HashMap<>();
  private final Map<String, ShadowReach> reaches = new HashMap<>();
  private final String id;
  private final MotionPlan motion;

  TrackCss(Writing writing, Tracked piece, List<TrackBand> bands, MotionPlan motion) {
    this.motion = motion;
    this.writing = writing;
    this.piece = piece;
    this.bands = bands;
    this.items = piece.onShow();
    this.id = "#g-" + piece.id();
    bands.forEach(b -> byId.put(b.band().id(), b));
  }

  void all() {
    writing.frame(piece);
    frame();
    track();
    view();
    snaps();
    controls();
    items.forEach(item -> writing.hideByBand(piece, item, "block"));
    places();
    TrackWritten.of(piece).css(piece, writing);
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
        b ->
            beside(b)
                ? b.arrowSize().css() + " minmax(0,1fr) " + b.arrowSize().css()
                : "minmax(0,1fr)");
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
        b -> b.all() ? "none" : b.axis() == Axis.ACROSS ? "var(--g-along)" : "var(--g-down)");
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
        "--g-scrolls",
        b -> b.all() ? "visible" : b.axis() == Axis.ACROSS ? "auto hidden" : "hidden auto");
    each(
        view,
        "--g-cuts",
        b ->
            b.all()
                ? "visible"
                : shows(b) ? "clip" : b.axis() == Axis.ACROSS ? "clip visible" : "visible clip");
    if (some(this::shows)) {
      each(
          view,
          "overflow-clip-margin",
          b -> shows(b) ? Length.px(Math.ceil(reach(b).around())).css() : "0px");
      // Of what waits behind the ends nothing is seen there, its shadow neither.
      each(id + " .g-belt>.g-item[inert]", "clip-path", b -> shows(b) ? "inset(0)" : "none");
    }
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
  }

  private ShadowReach reach(TrackBand band) {
    return reaches.computeIfAbsent(
        band.band().id(), _ -> ShadowReach.of(writing.document, piece, band));
  }

  /** Whether the shadows of items show over the ends of the track. */
  private boolean shows(TrackBand band) {
    ShadowReach reach = reach(band);
    return reach.some() && reach.fits();
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
    if (some(TrackCss::arrows)) {
      each(arrow, "display", b -> arrows(b) ? "grid" : "none");
      each(
          arrow,
          "margin-block-start",
          b -> b.arrows() == Arrows.BELOW ? b.arrowDistance().css() : "0px");
      each(id + " .g-prev", "grid-area", b -> beside(b) || over(b) ? "1/1" : "2/1");
      each(id + " .g-next", "grid-area", b -> beside(b) ? "1/3" : over(b) ? "1/1" : "2/1");
      each(arrow, "--g-turn", b -> b.axis() == Axis.ACROSS ? "0deg" : "90deg");
      if (some(TrackCss::over)) {
        each(arrow, "margin-inline", b -> over(b) ? b.arrowDistance().css() : "0px");
        each(arrow, "--g-lay", b -> over(b) ? "var(--g-card)" : "transparent");
      }
    }
    each(id + " .g-view", "grid-area", b -> beside(b) ? "1/2" : "1/1");
    if (held(piece, motion)) {
      each(id + " .g-hold", "grid-area", b -> beside(b) ? "1/2" : "1/1");
      each(id + " .g-hold", "place-self", motion::pausePlace);
    }
    if (!some(TrackCss::marks)) {
      return;
    }
    String marks = id + " .g-marks";
    each(marks, "grid-area", b -> beside(b) ? "2/2" : "2/1");
    each(marks, "display", b -> marks(b) ? "grid" : "none");
    each(marks, "margin-block-start", b -> b.markDistance().css());
    each(marks, "--g-stops", b -> Integer.toString(b.stops().count()));
    each(id + " .g-dots", "display", b -> pressed(b.marks()) ? "flex" : "none");
    if (some(TrackCss::tallied)) {
      each(id + " .g-tally", "display", b -> b.marks() == Marks.TALLY ? "block" : "none");
    }
    if (some(TrackCss::barred)) {
      each(id + " .g-bar", "display", b -> b.marks() == Marks.BAR ? "block" : "none");
    }
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
    } else if (TrackWritten.of(piece).neighbours(piece)) {
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
        writing.within(
            b.band(),
            "inline-size < " + Require.number(b.dotsNeed()) + "px",
            id + " .g-dots{display:none}" + id + " .g-tally{display:block}");
      }
    }
  }

  /** Whether something moves by itself, so that it can be paused. */
  static boolean held(Tracked piece, MotionPlan motion) {
    return motion.movesItself() || TrackWritten.of(piece).moves(piece);
  }

  static boolean arrows(TrackBand b) {
    return b.moves() && b.arrows() != Arrows.NONE;
  }

  static boolean over(TrackBand b) {
    return b.arrows() == Arrows.OVER;
  }

  static boolean marks(TrackBand b) {
    return b.moves() && b.marks() != Marks.NONE;
  }

  /** Whether a tally may be seen; dots without room become one. */
  static boolean tallied(TrackBand b) {
    return marks(b) && (b.marks() == Marks.TALLY || b.marks() == Marks.DOTS);
  }

  /** Whether a bar is seen. */
  static boolean barred(TrackBand b) {
    return marks(b) && b.marks() == Marks.BAR;
  }

  /** Whether marks are buttons, one for each stop. */
  static boolean pressed(Marks marks) {
    return marks == Marks.DOTS || marks == Marks.THUMBNAILS || marks == Marks.NAMES;
  }

  static String few(TrackBand b) {
    return switch (b.few()) {
      case START -> "0";
      case CENTER -> ".5";
      case END -> "1";
    };
  }
}
