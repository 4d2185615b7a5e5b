package giostra.core.piece.slider;

import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.fit.Crop;
import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.OverPicture;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.PictureSizes.Seen;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.TrackSettings;
import giostra.core.piece.slider.SlideFlow.Words;
import giostra.core.piece.slider.SliderSettings.PictureUse;
import giostra.core.snag.Extent;
import giostra.core.snag.Looked;
import giostra.core.snag.Measure;
import giostra.core.snag.PartContrast;
import giostra.core.snag.Rule;
import giostra.core.snag.Said;
import giostra.core.snag.Snag;
import giostra.core.value.Colour;
import giostra.core.value.Focus;
import giostra.core.value.Ground;
import giostra.core.value.GroundAt;
import giostra.core.value.Ink;
import giostra.core.value.ToneColour;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Words of slides on their pictures, by the pictures' own colours: the contrast of each with what
 * lies under it, at each width, and the least overlay with which all of them can be read. What a
 * clip over the picture shows is not known. Sources: WCAG 2.2, 1.4.3 "Contrast (Minimum)"; failure
 * F83 "background images that do not provide sufficient contrast".
 */
public final class SlideContrast {
  /** Between two widths that are looked at; where it changes between them is found by halving. */
  private static final double STEP = 1.08;

  /** Widths that an overlay is tried at before it is tried at all of them. */
  private static final int MOST_LOOKED = 3;

  private static final Part OVERLAY = SliderParts.SLIDE_OVERLAY;

  /** The part, as it stands at one width, and what is asked of it. */
  public record Found(Part part, double contrast, double asked) {
    boolean low() {
      return contrast < asked;
    }
  }

  private final Document document;
  private final PictureSizes pictures;
  private final Slider piece;
  private final Band band;
  private final BlockFlows blocks;
  private final SlideFlow flow;
  private final TrackBand track;
  private final Piecewise slide;
  private final boolean mirrored;
  private final List<Flow> all;

  private SlideContrast(
      Document document, PictureSizes pictures, double scrollbar, Slider piece, Band band) {
    this.document = document;
    this.pictures = pictures;
    this.piece = piece;
    this.band = band;
    this.blocks = new BlockFlows(document, band, pictures, scrollbar);
    this.flow = new SlideFlow(blocks);
    this.track = TrackLayout.in(document, piece, band, scrollbar);
    this.slide = track.itemWidth();
    this.mirrored =
        document.page().values().get(PageSettings.DIRECTION) == PageSettings.Direction.RTL;
    this.all = blocks.shown(piece).stream().map(item -> flow.slide(piece, item)).toList();
  }

  /** All that cannot be read, band by band. */
  static List<Snag> of(Slider piece, Looked at) {
    var found = new ArrayList<Snag>();
    for (Band band : at.document().bands().all()) {
      if (Resolution.value(at.document(), piece, SliderSettings.PICTURE_USE, band)
          == PictureUse.GROUND) {
        var here = new SlideContrast(at.document(), at.pictures(), at.scrollbar(), piece, band);
        for (Item item : here.blocks.shown(piece)) {
          here.seen(item).ifPresent(seen -> here.find(item, seen, found));
        }
      }
    }
    return found;
  }

  /** The words of an item at a viewport width in px, without a scrollbar, with their contrast. */
  public static List<Found> at(
      Document document, PictureSizes pictures, Slider piece, Item item, int width) {
    var here = new SlideContrast(document, pictures, 0, piece, document.bands().at(width));
    return here.seen(item)
        .map(seen -> here.new Prepared(item, seen).at(width, here.overlay(item)))
        .orElse(List.of());
  }

  private Optional<Seen> seen(Item item) {
    String picture = item.values().get(ItemSettings.PICTURE);
    if (Fields.off(piece, "picture") || SlideOutput.moves(piece, item)) {
      return Optional.empty();
    }
    return pictures
        .seen(picture)
        .map(seen -> {
          Focus own = item.values().own(ItemSettings.FOCUS, Values.ALL);
          return own == null ? seen : new Seen(seen.samples(), own);
        });
  }

  private void find(Item item, Seen seen, List<Snag> found) {
    Ground overlay = overlay(item);
    var prepared = new Prepared(item, seen);
    List<Integer> widths = widths();
    List<List<Found>> looked = widths.stream().map(width -> prepared.at(width, overlay)).toList();
    int parts = looked.getFirst().size();
    List<Snag.Fix> least = List.of();
    for (int part = 0; part < parts; part++) {
      int index = part;
      int i = 0;
      while (i < widths.size()) {
        if (!looked.get(i).get(part).low()) {
          i++;
          continue;
        }
        int first = i;
        while (i + 1 < widths.size() && looked.get(i + 1).get(part).low()) {
          i++;
        }
        IntPredicate low = width -> prepared.at(width, overlay).get(index).low();
        int from = first == 0 ? widths.get(0) : edge(widths.get(first - 1), widths.get(first), low);
        int to =
            i + 1 == widths.size() ? widths.get(i) : edge(widths.get(i + 1), widths.get(i), low);
        Found worst =
            looked.subList(first, i + 1).stream()
                .map(each -> each.get(index))
                .min(Comparator.comparingDouble(Found::contrast))
                .orElseThrow();
        if (least.isEmpty()) {
          least = least(item, prepared, widths, looked);
        }
        found.add(snag(item, worst, from, to, least));
        i++;
      }
    }
  }

  /** Between a width at which it can be read and one at which it cannot: the last of the latter. */
  private static int edge(int good, int bad, IntPredicate low) {
    int right = good;
    int wrong = bad;
    while (Math.abs(right - wrong) > 1) {
      int middle = (right + wrong) / 2;
      if (low.test(middle)) {
        wrong = middle;
      } else {
        right = middle;
      }
    }
    return wrong;
  }

  private List<Integer> widths() {
    var found = new ArrayList<Integer>();
    int last = Extent.last(band);
    for (double width = Extent.first(band); width < last; width *= STEP) {
      found.add((int) width);
    }
    found.add(last);
    return found;
  }

  private Ground overlay(Item item) {
    return Cascade.value(
        OVERLAY, Property.GROUND, State.REST, Resolution.scope(document, item), band);
  }

  /** All that is the same of a slide at all widths of the band. */
  private final class Prepared {
    private final Seen seen;
    private final Size size;
    private final Crop.Fit fit;
    private final Tone tone;
    private final Colour under;
    private final SlideFlow.Standing standing;
    private final List<Colour> inks;
    private final List<Double> asked;

    Prepared(Item item, Seen seen) {
      this.seen = seen;
      this.fit = Fields.whole(piece, item) ? Crop.Fit.CONTAIN : Crop.Fit.COVER;
      this.size = pictures.find(item.values().get(ItemSettings.PICTURE)).orElseThrow();
      Scope scope = Resolution.scope(document, item);
      this.tone = Tone.PICTURE.in(scope, band);
      Colour white = new Colour(255, 255, 255, 255);
      this.under =
          Cascade.value(SliderParts.SLIDE, Property.GROUND, State.REST, scope, band)
                  instanceof Ground.Plain(Ink ink)
              ? Resolution.tone(document, piece, band).colour(ink).over(white)
              : white;
      this.standing = flow.standing(piece, item, mirrored);
      List<Part> parts =
          standing.in(1000, 1000, new Screen(1000, 1000)).stream().map(Words::part).toList();
      this.inks =
          parts.stream()
              .map(part -> tone.colour(Cascade.value(part, Property.INK, State.REST, scope, band)))
              .toList();
      this.asked =
          parts.stream().map(part -> PartContrast.asked(part, State.REST, scope, band)).toList();
    }

    /** Where all stands does not depend on the overlay: known of the widths looked at before. */
    private final Map<Integer, Placed> placed = new HashMap<>();

    private record Placed(double wide, double high, List<Words> words) {}

    private Placed placed(int width) {
      var screen = new Screen(width, Screen.USUAL_HEIGHT);
      double wide = slide.at(width);
      double high =
          track.axis() == TrackSettings.Axis.DOWN
              ? track.trackHeight().constantPx()
              : Flow.tallest(all).height(wide, screen);
      return new Placed(wide, high, standing.in(wide, high, screen));
    }

    List<Found> at(int width, Ground overlay) {
      Placed here = placed.computeIfAbsent(width, this::placed);
      double wide = here.wide();
      double high = here.high();
      var veil = new GroundAt(overlay, wide, high, tone::colour);
      var below = new OverPicture(seen, size, fit, wide, high, under, veil);
      List<Words> words = here.words();
      return IntStream.range(0, words.size())
          .mapToObj(i -> {
            Words each = words.get(i);
            double contrast =
                below.contrast(inks.get(i), each.x(), each.y(), each.width(), each.height());
            return new Found(each.part(), contrast, asked.get(i));
          })
          .toList();
    }
  }

  private Snag snag(Item item, Found worst, int from, int to, List<Snag.Fix> least) {
    String ink = worst.part().key(Property.INK, State.REST).written();
    return Snag.of(
            Rule.OVER_PICTURE,
            piece.id(),
            Extent.of(from, to, band),
            Said.of(
                "over-picture",
                "part",
                worst.part().label().toLowerCase(Locale.ROOT),
                "found",
                Math.floor(worst.contrast() * 100) / 100,
                "asked",
                worst.asked(),
                "from",
                from,
                "to",
                to))
        .of(item.id())
        .of(worst.part())
        .about(ink, OVERLAY.key(Property.GROUND, State.REST).written())
        .measured(worst.contrast(), worst.asked(), Measure.Unit.CONTRAST)
        .withFixes(least);
  }

  /** The least that lets all words of a slide be read at all widths of the band. */
  private List<Snag.Fix> least(
      Item item, Prepared prepared, List<Integer> widths, List<List<Found>> looked) {
    boolean light = prepared.tone.colour(ToneColour.INK).luminance() > 0.18;
    Colour veil = light ? new Colour(10, 20, 18, 255) : new Colour(255, 253, 246, 255);
    Ground now = overlay(item);
    // Where it is worst now it is likely to be last: to look there first is to know soon.
    List<Integer> worstFirst =
        IntStream.range(0, widths.size())
            .boxed()
            .sorted(Comparator.comparingDouble(i -> margin(looked.get(i))))
            .map(widths::get)
            .toList();
    var fixes = new ArrayList<Snag.Fix>();
    if (!now.equals(Ground.parse("#0000"))) {
      least(prepared, worstFirst, percent -> deeper(prepared, now, percent))
          .ifPresent(percent ->
              fixes.add(fix(item, "deeper-overlay", percent, deeper(prepared, now, percent))));
    }
    least(prepared, worstFirst, percent -> veiled(veil, percent))
        .ifPresent(
            percent -> fixes.add(fix(item, "least-overlay", percent, veiled(veil, percent))));
    return fixes;
  }

  private Snag.Fix fix(Item item, String says, int percent, Ground overlay) {
    return new Snag.Fix(
        Said.of(says, "percent", percent),
        List.of(
            new Edit.SetStyle(
                item.id(),
                OVERLAY.key(Property.GROUND, State.REST),
                band.id(),
                overlay.written())));
  }

  /**
   * The least whole percent of an overlay with which all can be read; with one less they cannot.
   */
  private static Optional<Integer> least(
      Prepared prepared, List<Integer> worstFirst, IntFunction<Ground> overlay) {
    int good = 101;
    int bad = -1;
    while (good - bad > 1) {
      int percent = (good + bad) / 2;
      Ground tried = overlay.apply(percent);
      if (worstFirst.stream().limit(MOST_LOOKED).allMatch(at -> read(prepared, at, tried))) {
        good = percent;
      } else {
        bad = percent;
      }
    }
    while (good <= 100) {
      Ground tried = overlay.apply(good);
      if (worstFirst.stream().allMatch(at -> read(prepared, at, tried))) {
        return Optional.of(good);
      }
      good++;
    }
    return Optional.empty();
  }

  /** An overlay with what it lets through less by some percent; its own colours and its course. */
  private static Ground deeper(Prepared prepared, Ground overlay, int percent) {
    return switch (overlay) {
      case Ground.Plain(Ink ink) -> new Ground.Plain(deeper(prepared, ink, percent));
      case Ground.Gradient(Ground.Course course, List<Ground.Stop> stops) ->
          new Ground.Gradient(
              course,
              stops.stream()
                  .map(stop -> new Ground.Stop(deeper(prepared, stop.ink(), percent), stop.at()))
                  .toList());
    };
  }

  private static Ink deeper(Prepared prepared, Ink ink, int percent) {
    Colour colour = prepared.tone.colour(ink);
    double through = (1 - colour.alpha() / 255.0) * (1 - percent / 100.0);
    return new Ink.Own(
        new Colour(
            colour.red(), colour.green(), colour.blue(), (int) Math.round(255 * (1 - through))));
  }

  private static boolean read(Prepared prepared, int width, Ground overlay) {
    return prepared.at(width, overlay).stream().noneMatch(Found::low);
  }

  private static double margin(List<Found> found) {
    return found.stream().mapToDouble(each -> each.contrast() / each.asked()).min().orElse(21);
  }

  private static Ground veiled(Colour veil, int percent) {
    var colour =
        new Colour(veil.red(), veil.green(), veil.blue(), (int) Math.round(percent * 255 / 100.0));
    return Ground.parse(colour.css());
  }
}
