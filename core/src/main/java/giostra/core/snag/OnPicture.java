package giostra.core.snag;

import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.Ink;
import giostra.core.value.ToneColour;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Words on a picture in one band, whatever holds them: at which widths they cannot be read, and the
 * least overlay with which all of them can. Sources: WCAG 2.2, 1.4.3 "Contrast (Minimum)"; failure
 * F83 "background images that do not provide sufficient contrast".
 */
public final class OnPicture {
  /** Between two widths that are looked at; where it changes between them is found by halving. */
  private static final double STEP = 1.08;

  /** Widths that an overlay is tried at before it is tried at all of them. */
  private static final int MOST_LOOKED = 3;

  /**
   * A part with words, as it stands at one width, and what is asked of it.
   *
   * @param of id of what says them
   * @param second of the clip under them at which they are read worst; negative on a picture
   */
  public record Found(Part part, String of, double contrast, double asked, double second) {
    /** On a picture. */
    public Found(Part part, String of, double contrast, double asked) {
      this(part, of, contrast, asked, -1);
    }

    boolean low() {
      return contrast < asked;
    }
  }

  /** Words that stand on one picture. */
  public interface Standing {
    /** The words at a viewport width in px with an overlay over the picture; always as many. */
    List<Found> at(int width, Ground overlay);

    /** The tone that they have their colours of. */
    Tone tone();

    /** What the picture is of: where its overlay is set. */
    Node of();

    /** The part that is its overlay. */
    Part veil();

    /** The overlay that there is. */
    Ground overlay();

    /** A finding of a part, without its words. */
    Snag snag(String said, Extent extent, Found worst);
  }

  private final Standing standing;
  private final Band band;

  private OnPicture(Standing standing, Band band) {
    this.standing = standing;
    this.band = band;
  }

  /** All that cannot be read in a band. */
  public static List<Snag> in(Band band, Standing standing) {
    return new OnPicture(standing, band).found();
  }

  private List<Snag> found() {
    var found = new ArrayList<Snag>();
    Ground overlay = standing.overlay();
    List<Integer> widths = Runs.widths(band, STEP);
    List<List<Found>> looked = widths.stream().map(width -> standing.at(width, overlay)).toList();
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
        IntPredicate low = width -> standing.at(width, overlay).get(index).low();
        int from =
            first == 0 ? widths.get(0) : Runs.edge(widths.get(first - 1), widths.get(first), low);
        int to =
            i + 1 == widths.size()
                ? widths.get(i)
                : Runs.edge(widths.get(i + 1), widths.get(i), low);
        Found worst =
            looked.subList(first, i + 1).stream()
                .map(each -> each.get(index))
                .min(Comparator.comparingDouble(Found::contrast))
                .orElseThrow();
        if (least.isEmpty()) {
          least = least(widths, looked);
        }
        found.add(snag(worst, from, to, least));
        i++;
      }
    }
    return found;
  }

  private Snag snag(Found worst, int from, int to, List<Snag.Fix> least) {
    String ink = worst.part().key(Property.INK, State.REST).written();
    String said =
        Said.of(
            worst.second() < 0 ? "over-picture" : "over-clip",
            "second",
            Math.round(worst.second() * 10) / 10.0,
            "part",
            worst.part().label().toLowerCase(Locale.ROOT),
            "found",
            Math.floor(worst.contrast() * 100) / 100,
            "asked",
            worst.asked(),
            "from",
            from,
            "to",
            to);
    return standing
        .snag(said, Extent.of(from, to, band), worst)
        .of(worst.part())
        .about(ink, standing.veil().key(Property.GROUND, State.REST).written())
        .measured(worst.contrast(), worst.asked(), Measure.Unit.CONTRAST)
        .withFixes(least);
  }

  /** The least that lets all words be read at all widths of the band. */
  private List<Snag.Fix> least(List<Integer> widths, List<List<Found>> looked) {
    Colour ink = standing.tone().colour(ToneColour.INK);
    Ground now = standing.overlay();
    // Where it is worst now it is likely to be last: to look there first is to know soon.
    List<Integer> worstFirst =
        IntStream.range(0, widths.size())
            .boxed()
            .sorted(Comparator.comparingDouble(i -> margin(looked.get(i))))
            .map(widths::get)
            .toList();
    var fixes = new ArrayList<Snag.Fix>();
    if (!now.equals(Ground.parse("#0000"))) {
      least(worstFirst, percent -> deeper(now, percent))
          .ifPresent(percent -> fixes.add(fix("deeper-overlay", percent, deeper(now, percent))));
    }
    least(worstFirst, percent -> veil(ink, percent))
        .ifPresent(percent -> fixes.add(fix("least-overlay", percent, veil(ink, percent))));
    return fixes;
  }

  private Snag.Fix fix(String says, int percent, Ground overlay) {
    return new Snag.Fix(
        Said.of(says, "percent", percent),
        List.of(
            new Edit.SetStyle(
                standing.of().id(),
                standing.veil().key(Property.GROUND, State.REST),
                band.id(),
                overlay.written())));
  }

  /**
   * The least whole percent of an overlay with which all can be read; with one less they cannot.
   */
  private Optional<Integer> least(List<Integer> worstFirst, IntFunction<Ground> overlay) {
    int good = 101;
    int bad = -1;
    while (good - bad > 1) {
      int percent = (good + bad) / 2;
      Ground tried = overlay.apply(percent);
      if (worstFirst.stream().limit(MOST_LOOKED).allMatch(at -> read(at, tried))) {
        good = percent;
      } else {
        bad = percent;
      }
    }
    while (good <= 100) {
      Ground tried = overlay.apply(good);
      if (worstFirst.stream().allMatch(at -> read(at, tried))) {
        return Optional.of(good);
      }
      good++;
    }
    return Optional.empty();
  }

  /** An overlay with what it lets through less by some percent; its own colours and its course. */
  private Ground deeper(Ground overlay, int percent) {
    return switch (overlay) {
      case Ground.Plain(Ink ink) -> new Ground.Plain(deeper(ink, percent));
      case Ground.Gradient(Ground.Course course, List<Ground.Stop> stops) ->
          new Ground.Gradient(
              course,
              stops.stream()
                  .map(stop -> new Ground.Stop(deeper(stop.ink(), percent), stop.at()))
                  .toList());
    };
  }

  private Ink deeper(Ink ink, int percent) {
    Colour colour = standing.tone().colour(ink);
    double through = (1 - colour.alpha() / 255.0) * (1 - percent / 100.0);
    return new Ink.Own(
        new Colour(
            colour.red(), colour.green(), colour.blue(), (int) Math.round(255 * (1 - through))));
  }

  private boolean read(int width, Ground overlay) {
    return standing.at(width, overlay).stream().noneMatch(Found::low);
  }

  private static double margin(List<Found> found) {
    return found.stream().mapToDouble(each -> each.contrast() / each.asked()).min().orElse(21);
  }

  /**
   * What lies over a picture so that words are read: dark under light ones, light under dark ones.
   *
   * @param percent of what is under it that it hides
   */
  static Ground veil(Colour ink, int percent) {
    int alpha = (int) Math.round(percent * 255 / 100.0);
    boolean light = ink.luminance() > 0.18;
    return Ground.parse(
        (light ? new Colour(10, 20, 18, alpha) : new Colour(255, 253, 246, alpha)).css());
  }
}
