package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.DriveSettings;
import giostra.core.page.DriveSettings.StartsWith;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Marks;
import giostra.core.page.Tracked;
import giostra.core.words.Labels;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Writes a carousel or a slider: its track, arrows and place marks. What stands in an item is the
 * kind's.
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
  private final Tracked piece;
  private final TrackWritten<Tracked> room;
  private final boolean slides;
  private final Html out;
  private final Labels labels;
  private final TrackLayout layout;
  private final List<TrackBand> bands;
  private final List<Item> items;

  /** What it does in time. */
  private final MotionPlan motion;

  /** Whether some item shows only at times, or for some addresses. */
  private final boolean conditional;

  TrackOutput(Writing writing, Tracked piece) {
    this.writing = writing;
    this.piece = piece;
    this.room = TrackWritten.of(piece);
    this.slides = piece.oneByOne();
    this.out = writing.out;
    this.labels = writing.labels;
    this.layout = TrackLayout.of(writing.document, piece, 0);
    this.bands = layout.bands();
    this.items = piece.onShow();
    this.motion = new MotionPlan(writing.document, piece, bands);
    this.conditional = items.stream().anyMatch(TrackOutput::conditional);
  }

  private static boolean conditional(Item item) {
    return ConditionSettings.any(item.values());
  }

  void html() {
    String name = piece.values().get(PieceSettings.NAME);
    String belt = "g-" + piece.id() + "-belt";
    if (motion.changes()) {
      writing.kinds.add("changes");
    }
    writing.mostItems = Math.max(writing.mostItems, items.size());
    writing.root(
        piece,
        piece.type().word(),
        plan(),
        "role",
        "region",
        "aria-roledescription",
        labels.carousel(),
        "aria-label",
        name.isEmpty() ? labels.items() : name);
    int level = writing.outline.items(piece);
    out.open("div", "class", "g-frame");
    hold();
    arrow(
        "g-prev",
        labels.previous(),
        belt,
        "M14.5 5 7.5 12l7 7",
        piece.values().get(TrackSettings.BACK_ICON));
    arrow(
        "g-next", labels.next(), belt, "m9.5 5 7 7-7 7", piece.values().get(TrackSettings.ON_ICON));
    out.open("div", "class", "g-view")
        .open("div", "class", "g-belt", "id", belt, "aria-live", "polite");
    for (int i = 0; i < items.size(); i++) {
      item(items.get(i), i, level);
    }
    out.close("div").close("div");
    marks(belt);
    out.close("div").close("div");
  }

  /**
   * Whatever moves by itself for over 5 s can be paused. Source: WCAG 2.2, 2.2.2. It comes first,
   * so that the keyboard meets it before what it pauses. Source: ARIA Authoring Practices,
   * "Carousel".
   */
  private void hold() {
    if (!TrackCss.held(piece, motion)) {
      return;
    }
    boolean clips = room.moves(piece);
    writing.parts.add("hold");
    if (clips) {
      writing.kinds.add("grounds");
    }
    if (motion.movesItself()) {
      writing.kinds.add("autoplay");
    }
    writing.press(
        "g-hold",
        labels.pause(),
        labels.play(""),
        "pause",
        "play",
        "data-kind",
        clips ? "grounds" : "",
        "data-auto",
        motion.movesItself() ? "auto" : "",
        "hidden",
        "hidden");
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
                slides ? Fields.called(item, index) : ""),
            Writing.off(item)));
    room.item(piece, item, index, level, writing);
    out.close("div");
  }

  private void arrow(String place, String label, String belt, String path, String own) {
    if (!some(b -> TrackCss.arrows(b))) {
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
        belt);
    if (own.isEmpty()) {
      out.raw(String.format(Locale.ROOT, ARROW, path));
    } else {
      writing.icons().write(out, own, false, "");
    }
    if (room.neighbours(piece)) {
      writing.parts.add("marks");
      out.raw("<span class=\"g-near\" aria-hidden=\"true\"></span>");
    }
    out.close("button");
  }

  private void marks(String belt) {
    if (!some(TrackCss::marks)) {
      return;
    }
    out.open("div", "class", "g-marks");
    boolean thumbnails =
        some(b -> TrackCss.marks(b) && b.marks() == Marks.THUMBNAILS) || room.neighbours(piece);
    boolean names = some(b -> TrackCss.marks(b) && b.marks() == Marks.NAMES);
    int most =
        bands.stream()
            .filter(b -> TrackCss.marks(b) && TrackCss.pressed(b.marks()))
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
    if (some(TrackCss::tallied)) {
      out.raw("<div class=\"g-tally\" aria-hidden=\"true\"></div>");
    }
    if (some(TrackCss::barred)) {
      out.raw("<div class=\"g-bar\" aria-hidden=\"true\"></div>");
    }
    out.close("div");
  }

  /** Whether pictures of its items are among its marks, or beside its arrows. */
  private boolean thumbed(Band band) {
    return room.neighbours(piece)
        || layout.bands().stream()
            .anyMatch(
                b -> b.band().equals(band) && TrackCss.marks(b) && b.marks() == Marks.THUMBNAILS);
  }

  private void dot(int dot, String belt, boolean thumbnails, boolean names) {
    int marked = layout.marked().get(dot - 1);
    Item item = items.get(marked);
    out.open(
        "button",
        "type",
        "button",
        "class",
        "g-dot",
        "aria-label",
        names ? Fields.called(item, marked) : labels.goTo(dot),
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
          .ifPresentOrElse(
              thumb ->
                  writing.image(
                      band -> thumbed(band) && writing.there(item).test(band),
                      thumb,
                      "",
                      // The neighbour at an arrow is the same picture, in a box of 104 by 70.
                      widths -> widths.boxed(104, 70, Pictures.size(thumb)),
                      "class",
                      "g-thumb",
                      "loading",
                      "lazy"),
              // An item without a picture has a mark all the same.
              () ->
                  out.element("span", Integer.toString(marked + 1), "class", "g-thumb g-no-thumb"));
    }
    if (names) {
      out.element("span", Fields.called(item, marked), "class", "g-dot-name");
    }
    out.close("button");
  }

  private boolean some(Predicate<TrackBand> test) {
    return bands.stream().anyMatch(test);
  }

  private Plan plan() {
    return new Plan.Track(
        items.size(),
        piece.values().get(DriveSettings.STARTS_WITH) == StartsWith.ANOTHER_EACH_VISIT,
        motion.turns(),
        bands.stream().map(this::plan).toList());
  }

  private Plan.TrackBand plan(TrackBand b) {
    return new Plan.TrackBand(
        b.band().query(),
        b.axis() == Axis.ACROSS ? Plan.Axis.X : Plan.Axis.Y,
        shown(b),
        b.sides() == 2,
        b.loops(),
        slides && TrackCss.marks(b) && TrackCss.pressed(b.marks()),
        b.items() == items.size() ? Optional.empty() : Optional.of(b.on()),
        b.stops().starts(),
        conditional ? Optional.of(fewer(b)) : Optional.empty(),
        motion.ways(b),
        motion.apart(b),
        motion.words(b),
        motion.auto(b),
        motion.ground(b));
  }

  /** How many items are in view. */
  private static int shown(TrackBand b) {
    return b.all() ? Math.max(1, b.items()) : b.view();
  }

  /** The same where conditions hide some of the items: by how many are left. */
  private List<Plan.Fewer> fewer(TrackBand whole) {
    return IntStream.range(0, whole.items())
        .mapToObj(count -> {
          TrackBand b = left(whole, count);
          return new Plan.Fewer(
              shown(b), b.sides() == 2, b.loops(), b.stops().starts(), properties(b));
        })
        .toList();
  }

  /** The band as it is where so many of its items are left. */
  private TrackBand left(TrackBand whole, int count) {
    Set<String> left =
        whole.on().subList(0, count).stream()
            .map(index -> items.get(index).id())
            .collect(Collectors.toSet());
    Piece some =
        piece.holding(piece.items().stream().filter(item -> left.contains(item.id())).toList());
    Document less = writing.document.changed(piece.id(), _ -> some);
    return TrackLayout.of(less, (Tracked) some, 0).bands().stream()
        .filter(each -> each.band().id().equals(whole.band().id()))
        .findFirst()
        .orElseThrow();
  }

  private static Map<String, String> properties(TrackBand b) {
    var all = new LinkedHashMap<String, String>();
    all.put("--g-n", Integer.toString(b.items()));
    all.put("--g-view", Integer.toString(b.view()));
    all.put("--g-k", Integer.toString(b.sides()));
    all.put("--g-both", b.sides() == 2 ? "1" : "0");
    all.put("--g-few", b.moves() ? "0" : TrackCss.few(b));
    all.put("--g-shift", b.loops() ? "var(--g-free)" : "var(--g-held)");
    return all;
  }

  void css() {
    new TrackCss(writing, piece, bands, motion).all();
  }
}
