package giostra.core.snag;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.StandsOn;
import giostra.core.anatomy.Tone;
import giostra.core.anatomy.TrackParts;
import giostra.core.band.Band;
import giostra.core.fit.Screen;
import giostra.core.layout.LaidOut;
import giostra.core.layout.PanelRoom;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.Look;
import giostra.core.page.Node;
import giostra.core.page.PartsShown;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SharedLook;
import giostra.core.page.Site;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.GroundFit;
import giostra.core.value.Ink;
import giostra.core.value.Oklch;
import giostra.core.value.RichText;
import giostra.core.value.ToneColour;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleSupplier;
import java.util.stream.Collectors;
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

  /** What changes what words on a box are read against. */
  private static final List<Property<?>> GROUNDS =
      List.of(Property.GROUND, Property.PICTURE, Property.VEIL, Property.OPACITY);

  /** What may lie over pictures, and players, which have a computation of their own. */
  private static final Set<String> OVER_PICTURES = Set.of("slider", "video");

  /** Of all parts of a node in every state and band, as far as it can be computed. */
  public static List<PartContrast> of(Document document, Node node, PictureSizes pictures) {
    return of(new On(document, node, pictures));
  }

  private static List<PartContrast> of(On on) {
    var all = new ArrayList<PartContrast>();
    for (Part part : parts(on.document, on.node)) {
      for (State state : on.states(part)) {
        // What is disabled need not be read. Source: WCAG 2.2, 1.4.3, "Incidental".
        if (state != State.DISABLED) {
          for (Band band : on.document.bands().all()) {
            on.of(part, state, band).ifPresent(all::add);
          }
        }
      }
    }
    return all;
  }

  /**
   * What is found of a piece, its items and what is pinned to them, where these speak of it and it
   * is there to be read.
   */
  static List<Snag> snags(Document document, Piece piece, PictureSizes pictures, double scrollbar) {
    var whole = new On(document, piece, pictures);
    List<PartContrast> all = of(whole);
    var found = new ArrayList<Snag>();
    Contrasted.low(all).stream()
        .filter(range -> isThere(document, piece, piece.onShow(), range, scrollbar))
        .forEach(range -> found.add(range.snag(piece.id(), "", fixes(range, whole))));
    for (Item item : piece.onShow()) {
      Stream<Node> pins =
          piece.type().hasPins() ? item.pins().stream().map(Node.class::cast) : Stream.of();
      Stream.concat(Stream.of(item), pins)
          .filter(each -> !each.values().styles().set().isEmpty())
          .forEach(each -> {
            var on = new On(document, each, pictures);
            List<PartContrast> own = of(on).stream().filter(one -> !all.contains(one)).toList();
            Contrasted.low(own).stream()
                .filter(range -> isThere(document, piece, List.of(item), range, scrollbar))
                .forEach(range -> found.add(range.snag(piece.id(), each.id(), fixes(range, on))));
          });
    }
    return found;
  }

  private static boolean isThere(
      Document document,
      Piece piece,
      List<Item> items,
      Range<PartContrast> range,
      double scrollbar) {
    Part part = range.widest().part;
    Set<Band> gone = Present.gone(document, piece, part, scrollbar);
    return Present.in(piece, items, part)
        && document.bands().all().stream()
            .filter(band -> range.holds(band) && !gone.contains(band))
            .anyMatch(
                band -> items.stream().anyMatch(item -> Resolution.there(document, item, band)));
  }

  /**
   * What is found of blocks that lie beside each other; of those that are alike the first is told,
   * and its way out is that of all of them.
   */
  static List<Snag> snags(Document document, Stream<Block> blocks, PictureSizes pictures) {
    record Low(On on, Range<PartContrast> range) {}
    Map<Range<PartContrast>, List<Low>> alike =
        blocks
            .map(block -> new On(document, block, pictures))
            .flatMap(on ->
                Contrasted.low(of(on)).stream()
                    .filter(range -> on.isRead(range))
                    .map(range -> new Low(on, range)))
            .collect(Collectors.groupingBy(Low::range, LinkedHashMap::new, Collectors.toList()));
    var found = new ArrayList<Snag>();
    alike.forEach((range, all) -> {
      On first = all.getFirst().on;
      PartContrast low = range.widest();
      List<Snag.Fix> fixes =
          first.nearest(low.part, low.state, low.band).stream()
              .map(colour ->
                  new Snag.Fix(
                      range.fix(document, first.node, colour).label(),
                      all.stream()
                          .flatMap(
                              each -> range.fix(document, each.on.node, colour).edits().stream())
                          .toList()))
              .toList();
      found.add(range.snag(first.node.id(), "", fixes));
    });
    return found;
  }

  private static List<Snag.Fix> fixes(Range<PartContrast> range, On on) {
    PartContrast low = range.widest();
    return Stream.concat(
            on.nearest(low.part, low.state, low.band).stream()
                .map(colour -> range.fix(on.document, on.node, colour)),
            Stream.concat(on.leastVeil(range).stream(), on.leastOpacity(range).stream()))
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

  /** The colour of words, and all that they may stand on. */
  private record Stands(Colour ink, List<Below> below) {
    double worst(Colour of) {
      return below.stream().mapToDouble(each -> each.contrast(of)).min().orElseThrow();
    }

    /** Whether anything of it is seen: what is let through altogether is not there to be read. */
    boolean isSeen() {
      return below.stream().noneMatch(Below::isGone);
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
   * @param kind all parts that what it is of shows
   * @param around the item in whose panel it lies
   * @param ends of pictures on grounds, as far as they were asked for
   * @param tones by band, as far as they were asked for
   */
  private record On(
      Document document,
      Node node,
      Scope scope,
      List<Part> kind,
      Optional<On> around,
      PictureSizes pictures,
      Map<Pictured, List<Colour>> ends,
      Map<Band, Tone> tones) {
    On(Document document, Node node, PictureSizes pictures) {
      this(
          document,
          node,
          Resolution.scope(document, node),
          PartContrast.kind(document, node),
          around(document, node).map(item -> new On(document, item, pictures)),
          pictures,
          new HashMap<>(),
          new HashMap<>());
    }

    private static Optional<Item> around(Document document, Node node) {
      if (node instanceof Site || node instanceof Look) {
        return Optional.empty();
      }
      List<Node> way = document.path(node.id());
      return way.subList(0, Math.max(0, way.size() - 1)).stream()
          .filter(Item.class::isInstance)
          .map(Item.class::cast)
          .reduce((_, inner) -> inner)
          .filter(_ -> !(node instanceof Block.Pin));
    }

    /** What lies under all that is in the panel of an item, which is open. */
    private List<Below> panel(Band band) {
      return piece()
          .filter(of -> of.type().hasPanels())
          .map(of -> ((PanelRoom<?>) LaidOut.of(of)).panelPart())
          .map(panel -> {
            Tone tone = tone(band);
            State open = withIt(panel, State.CURRENT);
            List<Below> under = under(panel, State.CURRENT, band, tone, Tried.NOTHING);
            return on(panel, open, band, tone, under, Tried.NOTHING);
          })
          .orElseGet(() -> ground(band));
    }

    /** What lies under all of it: the panel that it is in, or the ground of its section. */
    private List<Below> ground(Band band) {
      return around
          .map(item -> item.panel(band))
          .orElseGet(() -> {
            Colour white = new Colour(255, 255, 255, 255);
            Colour ground = tone(band).colour(ToneColour.GROUND).over(white);
            return List.of(Below.of(ground));
          });
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

    /**
     * Whether there is something to read in a block, against what is computed: on the picture of a
     * section words are read where they stand.
     *
     * @see OnGround
     */
    boolean isRead(Range<PartContrast> range) {
      PartContrast of = range.widest();
      boolean there =
          switch (node) {
            case Block.Heading heading ->
                !heading.values().get(BlockSettings.HEADING_TEXT).isEmpty();
            case Block.Text text -> {
              String copy = text.values().get(BlockSettings.PARAGRAPHS);
              String needed = Present.IN_COPY.getOrDefault(of.part(), "");
              yield needed.isEmpty() ? !copy.isEmpty() : RichText.has(copy, needed);
            }
            case Block.Button button -> !button.values().get(BlockSettings.LABEL).isEmpty();
            case Block.OwnHtml own ->
                RichText.has(own.values().get(BlockSettings.MARKUP), "input,textarea,select");
            default -> true;
          };
      boolean pictured =
          around.isEmpty()
              && document.path(node.id()).stream()
                  .filter(Section.class::isInstance)
                  .anyMatch(each -> !each.values().get(SectionSettings.GROUND).isEmpty());
      return there
          && document.bands().all().stream()
              .anyMatch(band -> range.holds(band) && Resolution.there(document, node, band))
          && (!pictured || standsSolid(of.part(), of.state(), of.band()));
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
      Stands stands = stands(part, state, band, Tried.NOTHING);
      double asked = asked(part, own, scope, band);
      return Optional.of(stands)
          .filter(Stands::isSeen)
          .map(seen -> new PartContrast(part, state, band, seen.worst(seen.ink()), asked));
    }

    private Stands stands(Part part, State state, Band band, Tried tried) {
      Tone tone = tone(band);
      State own = part.states().contains(state) ? state : State.REST;
      List<Below> below = on(part, own, band, tone, under(part, state, band, tone, tried), tried);
      Ink ink = Cascade.value(part, Property.INK, own, scope, band);
      if (state == State.CURRENT && isFilled(part)) {
        // Filled, it has the line's colour under it, unless somebody says what else.
        if (!scope.speaksOf(part.key(Property.GROUND, state))) {
          below = List.of(below.getFirst().with(Ink.of(ToneColour.ACCENT), tone));
        }
        if (!scope.speaksOf(part.key(Property.INK, state))) {
          ink = Ink.of(ToneColour.GROUND);
        }
      }
      return new Stands(tone.colour(ink), below);
    }

    /** What is seen where a part stands: the section, and all that lies between it and the part. */
    private List<Below> under(Part part, State state, Band band, Tone tone, Tried tried) {
      return under(part)
          .map(box -> {
            State of = withIt(box, state);
            return on(box, of, band, tone, under(box, of, band, tone, tried), tried);
          })
          .orElseGet(() -> ground(band));
    }

    private Optional<Part> under(Part part) {
      return piece()
          .flatMap(of -> Judged.of(of).under(of, part))
          .or(() -> StandsOn.under(part, kind));
    }

    /** Whether the current heading of tabs is told by what it has under it. */
    private boolean isFilled(Part part) {
      return piece().filter(of -> Judged.of(of).fillsCurrent(of, part)).isPresent();
    }

    /** The piece that it is, or is of. */
    private Optional<Piece> piece() {
      Node whole = node instanceof Item ? SharedLook.with(document, node) : node;
      return whole instanceof Piece piece ? Optional.of(piece) : Optional.empty();
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
      return Stream.iterate(under(part), Optional::isPresent, on -> on.flatMap(this::under))
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
            Stands stands = stands(part, state, band, Tried.NOTHING);
            // What cannot be said of it in this state holds at rest as well.
            Stands rest =
                found.said() == state ? stands : stands(part, State.REST, band, Tried.NOTHING);
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
            Stands now = stands(low.part, low.state, low.band, Tried.NOTHING);
            for (int percent = 1; percent <= 100; percent++) {
              Ground veil = OnPicture.veil(now.ink(), percent);
              if (stands(low.part, low.state, low.band, Tried.with(veil)).worst(now.ink())
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

    /** The least opacity, of what lets most of what is behind it be seen, that it is read with. */
    Optional<Snag.Fix> leastOpacity(Range<PartContrast> range) {
      PartContrast low = range.widest();
      return Stream.concat(Stream.of(low.part), standsOn(low.part).stream())
          .filter(part -> part.has(Property.OPACITY))
          .min(Comparator.comparingDouble(part -> opacity(part, stateOf(part, low), low.band)))
          .flatMap(part -> {
            int now = (int) (100 * opacity(part, stateOf(part, low), low.band));
            for (int percent = now + 1; percent <= 100; percent++) {
              double tried = percent / 100.0;
              Stands stands = stands(low.part, low.state, low.band, Tried.with(part, tried));
              if (stands.worst(stands.ink()) >= low.asked) {
                return Optional.of(
                    new Snag.Fix(
                        Said.of("least-opacity", "part", part.label(), "percent", percent),
                        range.set(
                            document,
                            node,
                            part.key(Property.OPACITY, stateOf(part, low)),
                            tried)));
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

    /** What is seen where a part lies on something. */
    private List<Below> on(
        Part part, State state, Band band, Tone tone, List<Below> below, Tried tried) {
      return below.stream()
          .flatMap(behind -> {
            List<Below> seen = grounds(part, state, band, tone, behind, tried);
            double opacity = tried.opacity(part, () -> opacity(part, state, band));
            return opacity < 1
                ? seen.stream().map(each -> each.on(behind, opacity))
                : seen.stream();
          })
          .distinct()
          .toList();
    }

    private double opacity(Part part, State state, Band band) {
      return part.has(Property.OPACITY)
          ? Cascade.value(part, Property.OPACITY, state, scope, band)
          : 1;
    }

    /** The grounds of a part on something, with its picture. */
    private List<Below> grounds(
        Part part, State state, Band band, Tone tone, Below behind, Tried tried) {
      if (!part.has(Property.GROUND)) {
        return List.of(behind);
      }
      List<Below> ground =
          isDrawn(part, state)
              ? over(
                  Cascade.value(part, Property.GROUND, state, scope, band), tone, List.of(behind))
              : List.of(behind);
      if (!pictured(part, state, band)) {
        return ground;
      }
      String picture = Cascade.value(part, Property.PICTURE, state, scope, band);
      // Beside a picture that is seen whole there is the ground.
      boolean beside =
          Cascade.value(part, Property.PICTURE_FIT, state, scope, band) == GroundFit.CONTAIN;
      List<Below> seen =
          ground.stream()
              .flatMap(each ->
                  Stream.concat(
                      ends(picture, each.colour()).stream().map(each::with),
                      beside ? Stream.of(each) : Stream.of()))
              .toList();
      return over(
          tried.veil().orElseGet(() -> Cascade.value(part, Property.VEIL, state, scope, band)),
          tone,
          seen);
    }

    /** Whether a part has a ground as its piece is set. */
    private boolean isDrawn(Part part, State state) {
      return piece().filter(of -> Judged.of(of).isBare(of, part)).isEmpty()
          || scope.speaksOf(part.key(Property.GROUND, State.REST))
          || scope.speaksOf(part.key(Property.GROUND, state));
    }

    private static List<Below> over(Ground ground, Tone tone, List<Below> below) {
      List<Ink> inks =
          switch (ground) {
            case Ground.Plain(Ink ink) -> List.of(ink);
            case Ground.Gradient gradient ->
                gradient.stops().stream().map(Ground.Stop::ink).toList();
          };
      return inks.stream()
          .flatMap(ink -> below.stream().map(each -> each.with(ink, tone)))
          .distinct()
          .toList();
    }
  }

  /**
   * What is tried in the place of what there is.
   *
   * @param veil over pictures
   * @param opacity of parts
   */
  private record Tried(Optional<Ground> veil, Map<Part, Double> opacity) {
    static final Tried NOTHING = new Tried(Optional.empty(), Map.of());

    static Tried with(Ground veil) {
      return new Tried(Optional.of(veil), Map.of());
    }

    static Tried with(Part part, double opacity) {
      return new Tried(Optional.empty(), Map.of(part, opacity));
    }

    double opacity(Part part, DoubleSupplier now) {
      Double other = opacity.get(part);
      return other == null ? now.getAsDouble() : other;
    }
  }

  private static List<Part> kind(Document document, Node node) {
    if (node instanceof Item item) {
      List<Node> way = document.path(item.id());
      return PartsShown.of(way.get(way.size() - 2));
    }
    return PartsShown.of(node);
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
