package giostra.core.piece.slider;

import giostra.core.anatomy.PinParts;
import giostra.core.band.Band;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PinSettings;
import giostra.core.piece.slider.SliderSettings.PictureUse;
import giostra.core.snag.Extent;
import giostra.core.snag.Looked;
import giostra.core.snag.Measure;
import giostra.core.snag.Rule;
import giostra.core.snag.Runs;
import giostra.core.snag.Said;
import giostra.core.snag.Snag;
import giostra.core.value.PickKind;
import giostra.core.value.Place;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * Pins over the words of their slides, and pins whose own words stand out of the slide, which cuts
 * them. A picture that reaches over the edge is a means of design and not told. Where the picture
 * of a slide is beside its words nothing is said of what a pin lies over.
 */
public final class SlidePins {
  /** Less than this is a touch, px: letters do not fill their box. */
  private static final double TOUCH = 2;

  private final Looked at;
  private final Slider piece;
  private final Band band;
  private final BlockFlows blocks;
  private final SlideFlow flow;
  private final SlideSizes sizes;
  private final boolean mirrored;
  private final Map<Integer, SlideSizes.Size> known = new HashMap<>();

  private SlidePins(Looked at, Slider piece, TrackBand track) {
    this.at = at;
    this.piece = piece;
    this.band = track.band();
    this.blocks = new BlockFlows(at.document(), band, at.pictures(), at.scrollbar());
    this.flow = new SlideFlow(blocks);
    this.sizes = new SlideSizes(track, piece, blocks, flow);
    this.mirrored = at.document().mirrored();
  }

  /** Those that lie over words. */
  static List<Snag> over(Slider piece, Looked at) {
    return each(piece, at).flatMap(SlidePins::over).toList();
  }

  /** Those whose words are cut. */
  static List<Snag> cut(Slider piece, Looked at) {
    return each(piece, at).flatMap(SlidePins::cut).toList();
  }

  private static Stream<SlidePins> each(Slider piece, Looked at) {
    return piece.onShow().stream().allMatch(item -> item.pins().isEmpty())
        ? Stream.empty()
        : TrackLayout.of(at.document(), piece, at.scrollbar()).bands().stream()
            .map(track -> new SlidePins(at, piece, track));
  }

  /**
   * Where a pin stands on its slide at a viewport width.
   *
   * @param width px, without a scrollbar
   */
  public static PinFlow.Stood at(
      Document document, PictureSizes pictures, Slider piece, Block.Pin pin, int width) {
    Band band = document.bands().at(width);
    var blocks = new BlockFlows(document, band, pictures, 0);
    var sizes =
        new SlideSizes(
            TrackLayout.in(document, piece, band, 0), piece, blocks, new SlideFlow(blocks));
    Item item =
        piece.items().stream().filter(each -> each.pins().contains(pin)).findFirst().orElseThrow();
    SlideSizes.Size size = sizes.at(width);
    return new PinFlow(blocks, pin, blocks.part(item, SliderParts.SLIDE_STAND))
        .in(size.wide(), size.high(), size.screen(), document.mirrored());
  }

  private SlideSizes.Size size(int width) {
    return known.computeIfAbsent(width, sizes::at);
  }

  /** The pins of an item that show in a band. */
  static List<Block.Pin> shown(BlockFlows blocks, Item item) {
    return item.pins().stream()
        .filter(pin -> pin.shows() && blocks.value(pin, ItemSettings.SHOWN))
        .toList();
  }

  private PinFlow flow(Item item, Block.Pin pin) {
    return new PinFlow(blocks, pin, blocks.part(item, SliderParts.SLIDE_STAND));
  }

  private PinFlow.Stood stood(PinFlow pin, int width) {
    SlideSizes.Size size = size(width);
    return pin.in(size.wide(), size.high(), size.screen(), mirrored);
  }

  // --- over words ------------------------------------------------------------------------------

  private Stream<Snag> over() {
    return blocks.shown(piece).stream()
        .filter(item -> !beside(item))
        .flatMap(item -> shown(blocks, item).stream().flatMap(pin -> over(item, pin)));
  }

  private boolean beside(Item item) {
    return !item.values().get(ItemSettings.PICTURE).isEmpty()
        && Resolution.value(at.document(), piece, SliderSettings.PICTURE_USE, band)
            == PictureUse.BESIDE;
  }

  private Stream<Snag> over(Item item, Block.Pin pin) {
    SlideFlow.Standing standing = flow.standing(piece, item, mirrored);
    PinFlow its = flow(item, pin);
    return Runs.ofSome(band, width -> covers(standing, its, width) > TOUCH).stream()
        .map(run -> {
          double most = most(run, width -> covers(standing, its, width));
          int middle = (run[0] + run[1]) / 2;
          String part =
              words(standing, middle).stream()
                  .max((one, other) ->
                      Double.compare(
                          box(one).over(stood(its, middle).pin()),
                          box(other).over(stood(its, middle).pin())))
                  .map(each -> each.part().label().toLowerCase(Locale.ROOT))
                  .orElse("");
          return snag(
                  Rule.COVERED,
                  pin,
                  run,
                  Said.of("pin-over", "part", part, "from", run[0], "to", run[1]))
              .measured(Math.round(most), 0, Measure.Unit.PX)
              .withFixes(elsewhere(item, pin, standing));
        });
  }

  private static Box box(SlideFlow.Words words) {
    return new Box(words.x(), words.y(), words.width(), words.height());
  }

  private List<SlideFlow.Words> words(SlideFlow.Standing standing, int width) {
    return size(width).stood(standing).words();
  }

  private double covers(SlideFlow.Standing standing, PinFlow pin, int width) {
    Box its = stood(pin, width).pin();
    return words(standing, width).stream().mapToDouble(each -> box(each).over(its)).max().orElse(0);
  }

  /** The other places in which it covers no words at any width of the band; or not there at all. */
  private List<Snag.Fix> elsewhere(Item item, Block.Pin pin, SlideFlow.Standing standing) {
    Place now = blocks.value(pin, PinSettings.PLACE);
    var fixes = new ArrayList<Snag.Fix>();
    for (Place place : Place.values()) {
      PinFlow there = flow(item, pin).at(place);
      if (place != now
          && Runs.ofSome(
                  band,
                  width -> covers(standing, there, width) > TOUCH || cut(there, width) > TOUCH)
              .isEmpty()) {
        fixes.add(
            Snag.Fix.of(
                Said.of("pin-elsewhere", "place", PickKind.word(place).replace('-', ' ')),
                new Edit.SetValue(
                    pin.id(), PinSettings.PLACE.id(), band.id(), PickKind.word(place))));
      }
    }
    fixes.add(
        Snag.Fix.of(
            Said.of("pin-away", "band", band.name()),
            new Edit.SetValue(pin.id(), ItemSettings.SHOWN.id(), band.id(), false)));
    return fixes;
  }

  // --- cut -------------------------------------------------------------------------------------

  private Stream<Snag> cut() {
    return blocks.shown(piece).stream()
        .flatMap(item -> shown(blocks, item).stream().flatMap(pin -> cut(item, pin)));
  }

  private double cut(PinFlow pin, int width) {
    SlideSizes.Size size = size(width);
    return stood(pin, width).words().map(words -> words.out(size.wide(), size.high())).orElse(0.0);
  }

  private Stream<Snag> cut(Item item, Block.Pin pin) {
    PinFlow its = flow(item, pin);
    return Runs.ofSome(band, width -> cut(its, width) > TOUCH).stream()
        .map(run -> {
          double most = most(run, width -> cut(its, width));
          return snag(
                  Rule.CUT_OFF,
                  pin,
                  run,
                  Said.of(
                      "pin-cut",
                      "words",
                      pin.values().get(PinSettings.WORDS),
                      "px",
                      Math.round(most),
                      "from",
                      run[0],
                      "to",
                      run[1]))
              .measured(Math.round(most), 0, Measure.Unit.PX)
              .withFixes(
                  List.of(
                      new Snag.Fix(
                          Said.of("pin-inside"),
                          List.of(
                              new Edit.SetValue(
                                  pin.id(), PinSettings.ACROSS.id(), band.id(), "0px"),
                              new Edit.SetValue(
                                  pin.id(), PinSettings.DOWN.id(), band.id(), "0px")))));
        });
  }

  // --- both ------------------------------------------------------------------------------------

  private static double most(int[] run, ToDoubleFunction<Integer> found) {
    return Stream.of(run[0], (run[0] + run[1]) / 2, run[1]).mapToDouble(found).max().orElseThrow();
  }

  private Snag snag(Rule rule, Block.Pin pin, int[] run, String said) {
    return Snag.of(rule, piece.id(), Extent.of(run[0], run[1], band), said)
        .of(pin.id())
        .of(PinParts.PIN)
        .about(PinSettings.PLACE.id(), PinSettings.ACROSS.id());
  }
}
