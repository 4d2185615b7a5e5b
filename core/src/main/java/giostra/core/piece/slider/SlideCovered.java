package giostra.core.piece.slider;

import giostra.core.anatomy.TrackParts;
import giostra.core.band.Band;
import giostra.core.drive.Pacing;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.PartBox;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.page.DriveSettings;
import giostra.core.page.DriveSettings.Corner;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.piece.slider.SliderSettings.PictureUse;
import giostra.core.snag.Extent;
import giostra.core.snag.Looked;
import giostra.core.snag.Measure;
import giostra.core.snag.Rule;
import giostra.core.snag.Runs;
import giostra.core.snag.Said;
import giostra.core.snag.Snag;
import giostra.core.value.PickKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * Arrows, and the button that holds what moves by itself, over the words of the slides that they
 * lie on. Words are as wide as their widest line, a text of several paragraphs as its room. Nothing
 * is said where the picture is beside the words.
 */
final class SlideCovered {
  /** What lies over a slide is so far from its edges, px; as hold.css has it. */
  private static final double HOLD_MARGIN = 12;

  /** Words that are kept clear of arrows are so far from them, px; ours, no source. */
  private static final double CLEAR = 8;

  /** Less than this is a touch, px: letters do not fill their box. */
  private static final double TOUCH = 2;

  /** A part of a slide's words, where it stands in the view. */
  private record Words(Part part, Box box) {}

  /** What the slides are at a width, px. */
  private record Shown(double wide, double high, Map<Item, List<Words>> words) {}

  private final Looked at;
  private final Slider piece;
  private final Band band;
  private final TrackBand track;
  private final Pacing pacing;
  private final Map<Item, SlideFlow.Standing> standing = new HashMap<>();
  private final List<Item> items;
  private final SlideSizes sizes;
  private final boolean mirrored;
  private final double stand;
  private final PartBox hold;
  private final Map<Integer, Shown> known = new HashMap<>();

  private SlideCovered(Looked at, Slider piece, TrackBand track) {
    this.at = at;
    this.piece = piece;
    this.track = track;
    this.band = track.band();
    this.pacing = Pacing.of(at.document(), piece, track);
    this.mirrored = at.document().mirrored();
    var blocks = new BlockFlows(at.document(), band, at.pictures(), at.scrollbar());
    this.hold = blocks.part(piece, TrackParts.HOLD);
    var flow = new SlideFlow(blocks);
    this.items = blocks.shown(piece);
    this.sizes = new SlideSizes(track, piece, blocks, flow);
    items.stream()
        .filter(item -> !beside(item))
        .forEach(item -> standing.put(item, flow.standing(piece, item, mirrored)));
    this.stand =
        items.stream()
            .mapToDouble(item -> blocks.part(item, SliderParts.SLIDE_STAND).sides() / 2)
            .max()
            .orElse(0);
  }

  static List<Snag> of(Slider piece, Looked at) {
    return TrackLayout.of(at.document(), piece, at.scrollbar()).bands().stream()
        .map(track -> new SlideCovered(at, piece, track))
        .flatMap(each -> Stream.concat(each.arrows(), each.hold()))
        .toList();
  }

  private boolean beside(Item item) {
    return !item.values().get(ItemSettings.PICTURE).isEmpty()
        && Resolution.value(at.document(), piece, SliderSettings.PICTURE_USE, band)
            == PictureUse.BESIDE;
  }

  private Shown shown(int width) {
    return known.computeIfAbsent(width, this::lay);
  }

  private Shown lay(int width) {
    SlideSizes.Size slide = sizes.at(width);
    var all = new HashMap<Item, List<Words>>();
    standing.forEach((item, stands) ->
        all.put(
            item,
            slide.stood(stands).words().stream()
                .map(each ->
                    new Words(
                        each.part(), new Box(each.x(), each.y(), each.width(), each.height())))
                .toList()));
    return new Shown(slide.wide(), slide.high(), all);
  }

  // --- arrows ----------------------------------------------------------------------------------

  private Stream<Snag> arrows() {
    if (track.arrows() != Arrows.OVER || !track.moves()) {
      return Stream.of();
    }
    return items.stream()
        .flatMap(item ->
            found(item, this::arrowBoxes, TrackParts.ARROW, "arrow-over", this::arrowsAway)
                .stream());
  }

  private List<Box> arrowBoxes(Shown shown) {
    double size = track.arrowSize().constantPx();
    double from = track.arrowDistance().in(shown.wide);
    double y = (Math.max(shown.high, size) - size) / 2;
    return List.of(new Box(from, y, size, size), new Box(shown.wide - from - size, y, size, size));
  }

  private List<Snag.Fix> arrowsAway() {
    double clear =
        Math.ceil(track.arrowDistance().constantPx() + track.arrowSize().constantPx() + CLEAR);
    var fixes = new ArrayList<Snag.Fix>();
    fixes.add(Snag.Fix.of(Said.of("arrows-below"), arrows(Arrows.BELOW)));
    fixes.add(Snag.Fix.of(Said.of("arrows-beside"), arrows(Arrows.BESIDE)));
    if (clear > stand) {
      fixes.add(
          Snag.Fix.of(
              Said.of("words-inside", "px", clear),
              new Edit.SetStyle(
                  piece.id(),
                  SliderParts.SLIDE_STAND.key(Property.PADDING_SIDES, State.REST),
                  band.id(),
                  (int) clear + "px")));
    }
    return fixes;
  }

  private Edit arrows(Arrows where) {
    return new Edit.SetValue(
        piece.id(), TrackSettings.ARROWS.id(), band.id(), PickKind.word(where));
  }

  // --- the button that holds -------------------------------------------------------------------

  private Stream<Snag> hold() {
    if (!pacing.movesItself()) {
      return Stream.of();
    }
    Corner corner = pacing.pausePlace();
    return items.stream()
        .flatMap(item ->
            found(
                item,
                shown -> List.of(holdBox(shown, corner)),
                TrackParts.HOLD,
                "hold-over",
                () -> elsewhere(item, corner))
                .stream());
  }

  private Box holdBox(Shown shown, Corner corner) {
    double size = hold.px(Property.SIZE);
    boolean top = corner == Corner.TOP_START || corner == Corner.TOP_END;
    boolean start = corner == Corner.TOP_START || corner == Corner.BOTTOM_START;
    return new Box(
        start != mirrored ? HOLD_MARGIN : shown.wide - HOLD_MARGIN - size,
        top ? HOLD_MARGIN : shown.high - HOLD_MARGIN - size,
        size,
        size);
  }

  /** The other corners in which it covers no words at any width of the band. */
  private List<Snag.Fix> elsewhere(Item item, Corner now) {
    return Stream.of(Corner.values())
        .filter(corner -> corner != now)
        .filter(corner ->
            Runs.ofSome(
                    band,
                    width ->
                        covered(item, shown(width), List.of(holdBox(shown(width), corner)))
                            .isPresent())
                .isEmpty())
        .map(corner ->
            Snag.Fix.of(
                Said.of("hold-elsewhere", "place", PickKind.word(corner).replace('-', ' ')),
                new Edit.SetValue(
                    piece.id(), DriveSettings.PAUSE_PLACE.id(), band.id(), PickKind.word(corner))))
        .toList();
  }

  // --- both ------------------------------------------------------------------------------------

  @FunctionalInterface
  private interface Boxes {
    List<Box> in(Shown shown);
  }

  private record Covered(Part part, double by) {}

  private static Optional<Covered> covered(Item item, Shown shown, List<Box> over) {
    return shown.words.getOrDefault(item, List.of()).stream()
        .map(words ->
            new Covered(words.part, over.stream().mapToDouble(words.box::over).max().orElse(0)))
        .filter(each -> each.by > TOUCH)
        .max((one, other) -> Double.compare(one.by, other.by));
  }

  private List<Snag> found(
      Item item, Boxes over, Part what, String message, Supplier<List<Snag.Fix>> fixes) {
    return Runs.worst(
            band,
            width -> covered(item, shown(width), over.in(shown(width))),
            Comparator.comparingDouble(Covered::by))
        .stream()
        .map(run -> {
          Covered most = run.worst();
          String said =
              Said.of(
                  message,
                  "part",
                  most.part.label().toLowerCase(Locale.ROOT),
                  "from",
                  run.from(),
                  "to",
                  run.to());
          return Snag.of(Rule.COVERED, piece.id(), Extent.of(run.from(), run.to(), band), said)
              .of(item.id())
              .of(what)
              .about(
                  what.equals(TrackParts.ARROW)
                      ? TrackSettings.ARROWS.id()
                      : DriveSettings.PAUSE_PLACE.id(),
                  SliderParts.SLIDE_STAND.key(Property.PADDING_SIDES, State.REST).written())
              .measured(Math.round(most.by), 0, Measure.Unit.PX)
              .withFixes(fixes.get());
        })
        .toList();
  }
}
