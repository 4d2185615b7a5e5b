package giostra.core.snag;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.StandsOn;
import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.fit.Screen;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.PartsShown;
import giostra.core.page.Piece;
import giostra.core.page.SharedLook;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.Ink;
import giostra.core.value.Oklch;
import giostra.core.value.ToneColour;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Contrast of the words and signs of a part with what they stand on, in a state: its own ground
 * over that of what it lies in, over the tone. Of gradients the worst colour counts. What stands on
 * a picture is not computed. Sources: WCAG 2.2, 1.4.3 "Contrast (Minimum)": 4.5, for large text 3;
 * 1.4.11 "Non-text Contrast": 3 for signs.
 *
 * @param found at worst
 * @param asked the least that it should be
 */
public record PartContrast(Part part, State state, Band band, double found, double asked)
    implements Contrasted {
  /** Large text: 24 px, or 14 pt when bold. Source: WCAG 2.2, "large scale (text)". */
  private static final double LARGE = 24;

  private static final double LARGE_BOLD = 14 * 96 / 72.0;
  private static final int BOLD = 700;

  /** What may lie over pictures, and players, which have a computation of their own. */
  private static final Set<String> OVER_PICTURES = Set.of("slider", "video");

  /** Of all parts of a node in every state and band, as far as it can be computed. */
  public static List<PartContrast> of(Document document, Node node) {
    var all = new ArrayList<PartContrast>();
    for (Part part : parts(document, node)) {
      for (State state : part.states()) {
        // What is disabled need not be read. Source: WCAG 2.2, 1.4.3, "Incidental".
        if (state != State.DISABLED) {
          for (Band band : document.bands().all()) {
            of(document, node, part, state, band).ifPresent(all::add);
          }
        }
      }
    }
    return all;
  }

  /** What is found of a piece, and of those of its items that say something of themselves. */
  static List<Snag> snags(Document document, Piece piece) {
    List<PartContrast> whole = of(document, piece);
    var found = new ArrayList<Snag>();
    Contrasted.low(whole)
        .forEach(range -> found.add(range.snag(piece.id(), "", fixes(range, document, piece))));
    for (Item item : piece.items()) {
      if (!item.values().styles().set().isEmpty()) {
        List<PartContrast> own =
            of(document, item).stream().filter(each -> !whole.contains(each)).toList();
        Contrasted.low(own)
            .forEach(range ->
                found.add(range.snag(piece.id(), item.id(), fixes(range, document, item))));
      }
    }
    return found;
  }

  private static List<Snag.Fix> fixes(Range<PartContrast> range, Document document, Node node) {
    PartContrast low = range.widest();
    return nearest(document, node, low.part, low.state, low.band).stream()
        .map(colour -> range.fix(document, node, colour))
        .toList();
  }

  private static List<Part> parts(Document document, Node node) {
    return switch (node) {
      case Item item -> {
        List<Node> way = document.path(item.id());
        yield way.get(way.size() - 2) instanceof Piece piece ? PartsShown.ofItem(piece) : List.of();
      }
      case Block block -> PartsShown.of(block);
      default -> List.of();
    };
  }

  private static Optional<PartContrast> of(
      Document document, Node node, Part part, State state, Band band) {
    if (!part.has(Property.INK) || OVER_PICTURES.contains(part.id().place())) {
      return Optional.empty();
    }
    List<Part> kind = kind(document, node);
    if (kind.stream().anyMatch(each -> OVER_PICTURES.contains(each.id().place()))
        && !part.id().place().equals("track")) {
      return Optional.empty();
    }
    Stands stands = stands(document, node, part, state, band, kind);
    double worst = worst(stands.ink(), stands.below());
    return Optional.of(
        new PartContrast(
            part, state, band, worst, asked(part, state, Resolution.scope(document, node), band)));
  }

  /** The colour of words, and all that they may stand on, solid. */
  private record Stands(Colour ink, List<Colour> below) {}

  private static double worst(Colour ink, List<Colour> below) {
    return below.stream()
        .mapToDouble(each -> Colour.contrast(ink.over(each), each))
        .min()
        .orElseThrow();
  }

  private static Stands stands(
      Document document, Node node, Part part, State state, Band band, List<Part> kind) {
    Scope scope = Resolution.scope(document, node);
    Tone tone = Resolution.tone(document, node, band);
    List<Colour> below =
        List.of(tone.colour(ToneColour.GROUND).over(new Colour(255, 255, 255, 255)));
    Optional<Part> under = StandsOn.under(part, kind);
    if (under.isPresent()) {
      below = on(under.get(), State.REST, scope, band, tone, below);
    }
    below = on(part, state, scope, band, tone, below);
    Ink ink = Cascade.value(part, Property.INK, state, scope, band);
    if (state == State.CURRENT && filled(document, node, part)) {
      // Filled, it has the line's colour under it, unless somebody says what else.
      if (!scope.speaksOf(part.key(Property.GROUND, state))) {
        below = List.of(tone.colour(ToneColour.ACCENT).over(below.getFirst()));
      }
      if (!scope.speaksOf(part.key(Property.INK, state))) {
        ink = Ink.of(ToneColour.GROUND);
      }
    }
    return new Stands(tone.colour(ink), below);
  }

  /**
   * The colour nearest to that of the words which can be read: the same hue, lighter or darker by
   * as little as will do. Nothing where it can be read already, or where no colour can.
   */
  public static Optional<Colour> nearest(
      Document document, Node node, Part part, State state, Band band) {
    return of(document, node, part, state, band)
        .filter(found -> found.found() < found.asked())
        .flatMap(found -> {
          Stands stands = stands(document, node, part, state, band, kind(document, node));
          Oklch from = Oklch.of(stands.ink());
          for (int step = 1; step <= 1000; step++) {
            for (double by : new double[] {-step / 1000.0, step / 1000.0}) {
              double light = from.lightness() + by;
              if (light >= 0 && light <= 1) {
                Colour tried = from.at(light).colour(255);
                if (worst(tried, stands.below()) >= found.asked()) {
                  return Optional.of(tried);
                }
              }
            }
          }
          return Optional.empty();
        });
  }

  /** Whether the current heading of tabs is told by what it has under it. */
  private static boolean filled(Document document, Node node, Part part) {
    Node piece = node instanceof Item ? SharedLook.with(document, node) : node;
    return piece instanceof Piece of && Judged.of(of).fillsCurrent(of, part);
  }

  private static List<Part> kind(Document document, Node node) {
    return node instanceof Item item
        ? document.path(item.id()).get(document.path(item.id()).size() - 2).type().parts()
        : node.type().parts();
  }

  /** What is seen where a part lies on colours. */
  private static List<Colour> on(
      Part part, State state, Scope scope, Band band, Tone tone, List<Colour> below) {
    if (!part.has(Property.GROUND)) {
      return below;
    }
    List<Ink> inks =
        switch (Cascade.value(part, Property.GROUND, state, scope, band)) {
          case Ground.Plain(Ink ink) -> List.of(ink);
          case Ground.Gradient gradient -> gradient.stops().stream().map(Ground.Stop::ink).toList();
        };
    return inks.stream()
        .map(tone::colour)
        .flatMap(colour -> below.stream().map(colour::over))
        .distinct()
        .toList();
  }

  /** The least that the contrast of a part should be. */
  public static double asked(Part part, State state, Scope scope, Band band) {
    if (!part.has(Property.TEXT_SIZE)) {
      // Buttons and numbers have words of a size that is said elsewhere.
      boolean words = part.equals(PageParts.BUTTON) || part.has(Property.FAMILY);
      return words ? ToneContrast.ASKED : 3;
    }
    double px =
        Cascade.value(part, Property.TEXT_SIZE, state, scope, band)
            .px(Math.min(Math.max(band.from(), 320), Screen.USUAL_HEIGHT));
    int weight = Cascade.value(part, Property.WEIGHT, state, scope, band);
    return px >= LARGE || (px >= LARGE_BOLD && weight >= BOLD) ? 3 : ToneContrast.ASKED;
  }
}
