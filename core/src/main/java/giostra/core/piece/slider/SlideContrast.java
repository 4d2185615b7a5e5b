package giostra.core.piece.slider;

import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.OverPicture;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.PictureSizes.Seen;
import giostra.core.layout.PictureSizes.Size;
import giostra.core.layout.Resolution;
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
import giostra.core.value.Ink;
import giostra.core.value.ToneColour;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntPredicate;

/**
 * Words of slides on their pictures, by the pictures' own colours: the contrast of each with what
 * lies under it, at each width, and the least overlay with which all of them can be read. What a
 * clip over the picture shows is not known. Sources: WCAG 2.2, 1.4.3 "Contrast (Minimum)"; failure
 * F83 "background images that do not provide sufficient contrast".
 */
public final class SlideContrast {
  /** Between two widths that are looked at: crops that differ by less look the same. */
  private static final double STEP = 1.02;

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
    this.slide = TrackLayout.in(document, piece, band, scrollbar).itemWidth();
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
        .map(seen -> here.contrasts(item, seen, width, here.overlay(item)))
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
    List<Integer> widths = widths();
    List<List<Found>> looked =
        widths.stream().map(width -> contrasts(item, seen, width, overlay)).toList();
    int parts = looked.getFirst().size();
    Optional<Snag.Fix> least = Optional.empty();
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
        IntPredicate low = width -> contrasts(item, seen, width, overlay).get(index).low();
        int from = first == 0 ? widths.get(0) : edge(widths.get(first - 1), widths.get(first), low);
        int to =
            i + 1 == widths.size() ? widths.get(i) : edge(widths.get(i + 1), widths.get(i), low);
        Found worst =
            looked.subList(first, i + 1).stream()
                .map(each -> each.get(index))
                .min(Comparator.comparingDouble(Found::contrast))
                .orElseThrow();
        if (least.isEmpty()) {
          least = least(item, seen, widths);
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

  private List<Found> contrasts(Item item, Seen seen, int width, Ground overlay) {
    var screen = new Screen(width, Screen.USUAL_HEIGHT);
    double wide = slide.at(width);
    double high = Flow.tallest(all).height(wide, screen);
    Scope scope = Resolution.scope(document, item);
    Tone tone = Tone.PICTURE.in(scope, band);
    Size size = pictures.find(item.values().get(ItemSettings.PICTURE)).orElseThrow();
    Tone own = Resolution.tone(document, piece, band);
    Colour white = new Colour(255, 255, 255, 255);
    Colour under =
        Cascade.value(SliderParts.SLIDE, Property.GROUND, State.REST, scope, band)
                instanceof Ground.Plain(Ink ink)
            ? own.colour(ink).over(white)
            : white;
    var below = new OverPicture(seen, size, wide, high, under, overlay);
    var found = new ArrayList<Found>();
    for (Words each : flow.words(piece, item, wide, high, screen, mirrored)) {
      Colour ink = tone.colour(Cascade.value(each.part(), Property.INK, State.REST, scope, band));
      found.add(
          new Found(
              each.part(),
              below.contrast(ink, each.x(), each.y(), each.width(), each.height(), tone::colour),
              PartContrast.asked(each.part(), State.REST, scope, band)));
    }
    return found;
  }

  private Snag snag(Item item, Found worst, int from, int to, Optional<Snag.Fix> least) {
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
        .withFixes(least.stream().toList());
  }

  /**
   * The overlay of one colour, in whole percent, with which all words of a slide can be read at all
   * widths of the band, and with one percent less not: dark under light words, light under dark.
   */
  private Optional<Snag.Fix> least(Item item, Seen seen, List<Integer> widths) {
    Tone tone = Tone.PICTURE.in(Resolution.scope(document, item), band);
    boolean light = tone.colour(ToneColour.INK).luminance() > 0.18;
    Colour veil = light ? new Colour(10, 20, 18, 255) : new Colour(255, 253, 246, 255);
    int good = 101;
    int bad = -1;
    while (good - bad > 1) {
      int percent = (good + bad) / 2;
      Ground tried = veiled(veil, percent);
      boolean reads =
          percent <= 100
              && widths.stream()
                  .allMatch(
                      width -> contrasts(item, seen, width, tried).stream().noneMatch(Found::low));
      if (reads) {
        good = percent;
      } else {
        bad = percent;
      }
    }
    if (good > 100) {
      return Optional.empty();
    }
    return Optional.of(
        new Snag.Fix(
            Said.of("least-overlay", "percent", good),
            List.of(
                new Edit.SetStyle(
                    item.id(),
                    OVERLAY.key(Property.GROUND, State.REST),
                    band.id(),
                    veiled(veil, good).written()))));
  }

  private static Ground veiled(Colour veil, int percent) {
    var colour =
        new Colour(veil.red(), veil.green(), veil.blue(), (int) Math.round(percent * 255 / 100.0));
    return Ground.parse(colour.css());
  }
}
