package giostra.core.snag;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.StandsOn;
import giostra.core.anatomy.Tone;
import giostra.core.anatomy.TrackParts;
import giostra.core.band.Band;
import giostra.core.fit.Screen;
import giostra.core.layout.PictureSizes;
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
import giostra.core.value.GroundFit;
import giostra.core.value.Ink;
import giostra.core.value.Oklch;
import giostra.core.value.ToneColour;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Contrast of the words and signs of a part with what they stand on, in a state: its own ground
 * over that of what it lies in, over the tone. Of gradients the worst colour counts, of a picture
 * that is its ground the darkest and the lightest but for a twentieth of each: where in it the
 * words stand is not asked. Sources: WCAG 2.2, 1.4.3 "Contrast (Minimum)": 4.5, for large text 3;
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

  private static final List<Property<?>> GROUNDS =
      List.of(Property.GROUND, Property.PICTURE, Property.VEIL);

  /** What may lie over pictures, and players, which have a computation of their own. */
  private static final Set<String> OVER_PICTURES = Set.of("slider", "video");

  /** Of all parts of a node in every state and band, as far as it can be computed. */
  public static List<PartContrast> of(Document document, Node node, PictureSizes pictures) {
    var all = new ArrayList<PartContrast>();
    var on = new On(document, node, pictures);
    for (Part part : parts(document, node)) {
      for (State state : on.states(part)) {
        // What is disabled need not be read. Source: WCAG 2.2, 1.4.3, "Incidental".
        if (state != State.DISABLED) {
          for (Band band : document.bands().all()) {
            on.of(part, state, band).ifPresent(all::add);
          }
        }
      }
    }
    return all;
  }

  /** What is found of a piece, its items and what is pinned to them, where these speak of it. */
  static List<Snag> snags(Document document, Piece piece, PictureSizes pictures) {
    List<PartContrast> whole = of(document, piece, pictures);
    var found = new ArrayList<Snag>();
    Contrasted.low(whole)
        .forEach(range ->
            found.add(range.snag(piece.id(), "", fixes(range, new On(document, piece, pictures)))));
    for (Item item : piece.items()) {
      Stream<Node> pins =
          piece.type().hasPins() ? item.pins().stream().map(Node.class::cast) : Stream.of();
      Stream.concat(Stream.of(item), pins)
          .filter(each -> !each.values().styles().set().isEmpty())
          .forEach(each -> {
            List<PartContrast> own =
                of(document, each, pictures).stream().filter(one -> !whole.contains(one)).toList();
            Contrasted.low(own)
                .forEach(range ->
                    found.add(
                        range.snag(
                            piece.id(),
                            each.id(),
                            fixes(range, new On(document, each, pictures)))));
          });
    }
    return found;
  }

  private static List<Snag.Fix> fixes(Range<PartContrast> range, On on) {
    PartContrast low = range.widest();
    return Stream.concat(
            on.nearest(low.part, low.state, low.band).stream()
                .map(colour -> range.fix(on.document, on.node, colour)),
            on.leastVeil(range).stream())
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

  /**
   * The colour nearest to that of the words which can be read: the same hue, lighter or darker by
   * as little as will do. Nothing where it can be read already, or where no colour can.
   */
  public static Optional<Colour> nearest(
      Document document, Node node, Part part, State state, Band band, PictureSizes pictures) {
    return new On(document, node, pictures).nearest(part, state, band);
  }

  /** The colour of words, and all that they may stand on, solid. */
  private record Stands(Colour ink, List<Colour> below) {
    double worst(Colour of) {
      return below.stream()
          .mapToDouble(each -> Colour.contrast(of.over(each), each))
          .min()
          .orElseThrow();
    }
  }

  /** Whether a ground lets nothing through anywhere. */
  public static boolean solid(Ground ground, Tone tone) {
    return switch (ground) {
      case Ground.Plain(Ink ink) -> tone.colour(ink).alpha() == 255;
      case Ground.Gradient(Ground.Course _, List<Ground.Stop> stops) ->
          stops.stream().allMatch(stop -> tone.colour(stop.ink()).alpha() == 255);
    };
  }

  private record Pictured(String id, Colour ground) {}

  /**
   * What is looked at, and where.
   *
   * @param kind all parts of what it is of
   * @param ends of pictures on grounds, as far as they were asked for
   * @param tones by band, as far as they were asked for
   */
  private record On(
      Document document,
      Node node,
      Scope scope,
      List<Part> kind,
      PictureSizes pictures,
      Map<Pictured, List<Colour>> ends,
      Map<Band, Tone> tones) {
    On(Document document, Node node, PictureSizes pictures) {
      this(
          document,
          node,
          Resolution.scope(document, node),
          PartContrast.kind(document, node),
          pictures,
          new HashMap<>(),
          new HashMap<>());
    }

    private Tone tone(Band band) {
      return tones.computeIfAbsent(band, each -> Resolution.tone(document, node, each));
    }

    private List<Colour> ends(String picture, Colour ground) {
      return ends.computeIfAbsent(
          new Pictured(picture, ground),
          asked -> pictures.seen(asked.id).orElseThrow().samples().ends(asked.ground));
    }

    Optional<PartContrast> of(Part part, State state, Band band) {
      if (!part.has(Property.INK) || OVER_PICTURES.contains(part.id().place())) {
        return Optional.empty();
      }
      // What is pinned to a slide is read against its own ground, where that lets nothing through.
      if (part.id().place().equals("pin")) {
        return standsSolid(part, state, band) ? contrast(part, state, band) : Optional.empty();
      }
      // The button that holds what moves by itself is of all tracks, whatever its name says.
      if (kind.stream()
              .filter(each -> !TrackParts.MOVING.contains(each))
              .anyMatch(each -> OVER_PICTURES.contains(each.id().place()))
          && !part.id().place().equals("track")) {
        return Optional.empty();
      }
      return contrast(part, state, band);
    }

    private boolean standsSolid(Part part, State state, Band band) {
      State own = part.states().contains(state) ? state : State.REST;
      return part.has(Property.GROUND)
          && PartContrast.solid(Cascade.value(part, Property.GROUND, own, scope, band), tone(band));
    }

    private Optional<PartContrast> contrast(Part part, State state, Band band) {
      // What has the colour of the words around is read as they are.
      State own = part.states().contains(state) ? state : State.REST;
      if (Cascade.value(part, Property.INK, own, scope, band).equals(Ink.AROUND)) {
        return Optional.empty();
      }
      Stands stands = stands(part, state, band, Optional.empty());
      double asked = asked(part, own, scope, band);
      return Optional.of(new PartContrast(part, state, band, stands.worst(stands.ink()), asked));
    }

    /**
     * @param veil over pictures, where another is tried than there is
     */
    private Stands stands(Part part, State state, Band band, Optional<Ground> veil) {
      Tone tone = tone(band);
      State own = part.states().contains(state) ? state : State.REST;
      List<Colour> below = on(part, own, band, tone, under(part, state, band, tone, veil), veil);
      Ink ink = Cascade.value(part, Property.INK, own, scope, band);
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

    /** What is seen where a part stands: the section, and all that lies between it and the part. */
    private List<Colour> under(
        Part part, State state, Band band, Tone tone, Optional<Ground> veil) {
      return StandsOn.under(part, kind)
          .map(box -> {
            State of = withIt(box, state);
            return on(box, of, band, tone, under(box, of, band, tone, veil), veil);
          })
          .orElseGet(
              () -> List.of(tone.colour(ToneColour.GROUND).over(new Colour(255, 255, 255, 255))));
    }

    /** The states of a part, and those in which what it stands on is another. */
    Set<State> states(Part part) {
      Set<State> all = new LinkedHashSet<>(part.states());
      for (Part box : standsOn(part)) {
        box.states().stream()
            .filter(state -> state == withIt(box, state) && state != State.REST)
            .filter(state ->
                GROUNDS.stream()
                    .filter(box::has)
                    .anyMatch(property ->
                        box.initially(property, state) != null
                            || scope.speaksOf(box.key(property, state))))
            .forEach(all::add);
      }
      return all;
    }

    /** What a part stands on, what is next to it first. */
    private List<Part> standsOn(Part part) {
      return Stream.iterate(
              StandsOn.under(part, kind),
              Optional::isPresent,
              on -> on.flatMap(each -> StandsOn.under(each, kind)))
          .flatMap(Optional::stream)
          .toList();
    }

    /** What the pointer is over, or what is current, is so with what it stands on. */
    private static State withIt(Part box, State state) {
      State all = state == State.PRESSED ? State.HOVER : state;
      return (all == State.HOVER || all == State.CURRENT) && box.states().contains(all)
          ? all
          : State.REST;
    }

    Optional<Colour> nearest(Part part, State state, Band band) {
      return of(part, state, band)
          .filter(found -> found.found() < found.asked())
          .flatMap(found -> {
            Stands stands = stands(part, state, band, Optional.empty());
            // What cannot be said of it in this state holds at rest as well.
            Stands rest =
                found.said() == state ? stands : stands(part, State.REST, band, Optional.empty());
            Oklch from = Oklch.of(stands.ink());
            for (int step = 1; step <= 1000; step++) {
              for (double by : new double[] {-step / 1000.0, step / 1000.0}) {
                double light = from.lightness() + by;
                if (light >= 0 && light <= 1) {
                  Colour tried = from.at(light).colour(255);
                  if (Math.min(stands.worst(tried), rest.worst(tried)) >= found.asked()) {
                    return Optional.of(tried);
                  }
                }
              }
            }
            return Optional.empty();
          });
    }

    /** The least overlay over the picture that the words stand on with which they can be read. */
    Optional<Snag.Fix> leastVeil(Range<PartContrast> range) {
      PartContrast low = range.widest();
      return Stream.concat(Stream.of(low.part), standsOn(low.part).stream())
          .filter(part -> pictured(part, stateOf(part, low), low.band))
          .findFirst()
          .flatMap(part -> {
            Stands now = stands(low.part, low.state, low.band, Optional.empty());
            for (int percent = 1; percent <= 100; percent++) {
              Ground veil = OnPicture.veil(now.ink(), percent);
              if (stands(low.part, low.state, low.band, Optional.of(veil)).worst(now.ink())
                  >= low.asked) {
                State state = stateOf(part, low);
                return Optional.of(
                    new Snag.Fix(
                        Said.of("least-overlay", "percent", percent),
                        range.set(document, node, part.key(Property.VEIL, state), veil.written())));
              }
            }
            return Optional.empty();
          });
    }

    private static State stateOf(Part part, PartContrast low) {
      return part.equals(low.part) ? low.said() : withIt(part, low.state);
    }

    private boolean pictured(Part part, State state, Band band) {
      return part.has(Property.VEIL)
          && pictures.seen(Cascade.value(part, Property.PICTURE, state, scope, band)).isPresent();
    }

    /** What is seen where a part lies on colours. */
    private List<Colour> on(
        Part part, State state, Band band, Tone tone, List<Colour> below, Optional<Ground> veil) {
      if (!part.has(Property.GROUND)) {
        return below;
      }
      List<Colour> ground =
          over(Cascade.value(part, Property.GROUND, state, scope, band), tone, below);
      if (!pictured(part, state, band)) {
        return ground;
      }
      String picture = Cascade.value(part, Property.PICTURE, state, scope, band);
      // Beside a picture that is seen whole there is the ground.
      boolean beside =
          Cascade.value(part, Property.PICTURE_FIT, state, scope, band) == GroundFit.CONTAIN;
      List<Colour> seen =
          ground.stream()
              .flatMap(each ->
                  Stream.concat(
                      ends(picture, each).stream(), beside ? Stream.of(each) : Stream.of()))
              .toList();
      return over(
          veil.orElseGet(() -> Cascade.value(part, Property.VEIL, state, scope, band)), tone, seen);
    }

    private static List<Colour> over(Ground ground, Tone tone, List<Colour> below) {
      List<Ink> inks =
          switch (ground) {
            case Ground.Plain(Ink ink) -> List.of(ink);
            case Ground.Gradient gradient ->
                gradient.stops().stream().map(Ground.Stop::ink).toList();
          };
      return inks.stream()
          .map(tone::colour)
          .flatMap(colour -> below.stream().map(colour::over))
          .distinct()
          .toList();
    }
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

  /** The least that the contrast of a part should be. */
  public static double asked(Part part, State state, Scope scope, Band band) {
    if (!part.has(Property.TEXT_SIZE)) {
      // Buttons and numbers have words of a size that is said elsewhere.
      boolean words =
          part.equals(PageParts.BUTTON)
              || part.has(Property.FAMILY)
              || part.id().place().equals("copy");
      return words ? ToneContrast.ASKED : 3;
    }
    double px =
        Cascade.value(part, Property.TEXT_SIZE, state, scope, band)
            .px(Math.min(Math.max(band.from(), 320), Screen.USUAL_HEIGHT));
    int weight = Cascade.value(part, Property.WEIGHT, state, scope, band);
    return px >= LARGE || (px >= LARGE_BOLD && weight >= BOLD) ? 3 : ToneContrast.ASKED;
  }
}
