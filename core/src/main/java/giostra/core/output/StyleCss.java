package giostra.core.output;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.Tone;
import giostra.core.anatomy.TypeParts;
import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Layer;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.Look;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.page.Page;
import giostra.core.page.PartsShown;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.value.ToneColour;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Rules for how parts look, as far as somebody has said so. What the site and the page say is
 * written once for all of it, what a section or a block says for itself: of each property that it
 * speaks of, with all states that hold there. What nobody speaks of is not written: the sheets that
 * ship have it.
 */
final class StyleCss {
  /**
   * Whoever is nearer writes a stronger rule: what the widest band says there has to hold against
   * what somebody farther out says in a query for a narrower one. Ids of nothing give the weight.
   */
  private enum Weight {
    PAGE,
    LOOK,
    SECTION,
    LOOK_IN_SECTION,
    BLOCK;

    String of(String root) {
      return ":is(" + "#g".repeat(ordinal() + 1) + "," + root + ")";
    }
  }

  private static final String ANYWHERE = Weight.PAGE.of(".g-section");

  private final Document document;
  private final BandCss css;
  private final BandCss hover;
  private final PartCss.Files files;
  private final boolean mirrored;

  /**
   * @param hover takes what holds for a pointer that can hover
   * @param files where pictures are
   */
  StyleCss(Document document, BandCss css, BandCss hover, PartCss.Files files) {
    this.document = document;
    this.css = css;
    this.hover = hover;
    this.files = files;
    this.mirrored = document.mirrored();
  }

  /**
   * What site and page say of all that is on the page, then each look of what wears it.
   *
   * @param worn ids of the looks that something on the page wears
   */
  void everywhere(Set<String> worn) {
    behind(Resolution.scope(document, document.page()));
    parts(document.page(), NodeType.PAGE.parts().stream(), Layer.PAGE, ANYWHERE);
    for (Look look : document.site().looks()) {
      if (worn.contains(look.id())) {
        Scope scope = Resolution.scope(document, document.page(), look);
        var of = new Wearers(look, Weight.LOOK.of(wearing(look)));
        write(of, said(look), scope);
      }
    }
  }

  private Set<StyleKey> said(Node node) {
    return Resolution.styles(document, node).set().keySet();
  }

  /** The class that is on all that wears a look. */
  static String classOf(Look look) {
    return "g-look-" + look.word();
  }

  private static String wearing(Look look) {
    return "." + classOf(look);
  }

  /** All that wears a look, in a place. */
  private record Wearers(Look look, String root) {}

  private void write(Wearers of, Set<StyleKey> spoken, Scope scope) {
    // What lies in panels wears looks of its own.
    String not = of.look.of().hasPanels() ? wearing(of.look) + " .g-block *" : "";
    var into = new Into(of.root, not, "", false);
    of.look.parts().forEach(part -> part(part, scope, spoken, into));
  }

  /** What lies behind all sections has the colours of the first tone. */
  private void behind(Scope scope) {
    Map.of(ToneColour.GROUND, "background", ToneColour.INK, "color")
        .forEach((name, property) -> {
          if (scope.speaksOf(Tone.PAPER.part().key(Property.of(name), State.REST))) {
            css.put(
                ":is(#g,html) body",
                property,
                band -> Tone.PAPER.in(scope, band).colour(name).css());
          }
        });
  }

  /** What a section says of all that is in it, whatever that wears. */
  void of(Section section) {
    String root = Weight.SECTION.of("#g-" + section.id());
    parts(section, section.type().parts().stream(), Layer.SECTION, root);
    String within = Weight.LOOK_IN_SECTION.of("#g-" + section.id());
    Set<StyleKey> own = said(section);
    if (own.isEmpty()) {
      return;
    }
    Document.walk(section)
        .filter(Piece.class::isInstance)
        .flatMap(piece -> document.site().wornBy((Piece) piece).stream())
        .distinct()
        .forEach(look ->
            write(
                new Wearers(look, within + " :where(" + wearing(look) + ")"),
                own,
                Resolution.scope(document, section, look)));
  }

  /** What a block says of itself, and a piece's items of themselves. */
  void of(Block block) {
    // A heading is the part of its level; what is set for others would be said of it as well.
    List<Part> parts = block instanceof Block.Heading ? PartsShown.of(block) : block.type().parts();
    String root = Weight.BLOCK.of("#g-" + block.id());
    parts(block, parts.stream(), Layer.PIECE, root);
    if (block instanceof Piece piece) {
      piece
          .items()
          .forEach(item -> {
            of(item, piece);
            item.pins().forEach(pin -> of(pin, piece));
          });
    }
  }

  private void of(Block.Pin pin, Piece piece) {
    String its = "#g-" + pin.id();
    var into =
        new Into(Weight.BLOCK.of("#g-" + piece.id()), "", ":is(" + its + "," + its + " *)", false);
    Scope scope = Resolution.scope(document, pin);
    pin.type().parts().forEach(part -> part(part, scope, said(pin), into));
  }

  private void of(Item item, Piece piece) {
    Set<StyleKey> own = said(item);
    if (own.isEmpty()) {
      return;
    }
    String root = Weight.BLOCK.of("#g-" + piece.id());
    String[] its = {"[data-item=" + item.id() + "]", "[data-of=" + item.id() + "]"};
    var into =
        new Into(
            root,
            piece.type().hasPanels() ? root + " .g-block *" : "",
            ":is(" + its[0] + "," + its[1] + "," + its[0] + " *," + its[1] + " *)",
            false);
    Scope scope = Resolution.scope(document, item);
    PartsShown.ofItems(piece.type()).forEach(part -> part(part, scope, own, into));
  }

  /** Whether a piece lies in a panel of another that wears the same look. */
  private boolean withinItsLike(Node node) {
    return node instanceof Piece piece
        && document
            .site()
            .wornBy(piece)
            .filter(look ->
                document.path(piece.id()).stream()
                    .anyMatch(above ->
                        above != piece
                            && above instanceof Piece outer
                            && document.site().wornBy(outer).equals(Optional.of(look))))
            .isPresent();
  }

  private void parts(Node node, Stream<Part> parts, Layer layer, String root) {
    Scope scope = Resolution.scope(document, node);
    // What lies farther out is written there.
    Set<StyleKey> spoken =
        scope.voices().stream()
            .filter(voice ->
                voice.layer() == layer
                    || layer == Layer.PAGE
                    || (voice.layer() == Layer.LOOK && withinItsLike(node)))
            .flatMap(voice -> voice.styles().set().keySet().stream())
            .collect(Collectors.toSet());
    if (!spoken.isEmpty()) {
      parts.forEach(part -> part(part, scope, spoken, into(node, part, root)));
    }
  }

  /**
   * Where rules of a part go.
   *
   * @param root selector of what holds the part
   * @param not what the part must not be
   * @param of the item that it has to be of
   * @param block whether the root is a block by itself, which may be the part
   */
  private record Into(String root, String not, String of, boolean block) {}

  private static Into into(Node node, Part part, String root) {
    // These are not within a section, but are one.
    boolean overlay =
        part.equals(PageParts.OVERLAY)
            || part.equals(PageParts.GROUND_PICTURE)
            || Tone.is(part)
            || part.equals(TypeParts.FAMILIES);
    boolean block =
        (node instanceof Block && !(node instanceof Piece)) || (node instanceof Section && overlay);
    // Panels hold blocks, and those have a look of their own.
    String not = node.type().hasPanels() ? root + " .g-block *" : "";
    String within =
        part.equals(PageParts.BODY) || (part.equals(TypeParts.FAMILIES) && node instanceof Page)
            ? ":is(#g,html)"
            : overlay && node instanceof Page ? ":is(#g,main)" : root;
    return new Into(within, not, "", block);
  }

  private void part(Part part, Scope scope, Set<StyleKey> spoken, Into into) {
    for (PartCss.Declared each : PartCss.apart(part, mirrored, files)) {
      boolean asked =
          each.of().stream()
              .anyMatch(property ->
                  part.states().stream()
                      .anyMatch(state -> spoken.contains(part.key(property, state))));
      if (asked) {
        declare(part, each, scope, into);
      }
    }
  }

  private void declare(Part part, PartCss.Declared declared, Scope scope, Into into) {
    boolean canBeOff = part.states().contains(State.DISABLED);
    for (State state : part.states()) {
      if (state == State.REST || said(part, declared.of(), state, scope)) {
        BandCss to = state == State.HOVER ? hover : css;
        to.put(
            Where.of(part)
                .in(into.root, into.block, into.not, into.of, state, canBeOff, declared.within()),
            declared.name(),
            band -> declared.value().apply(look(part, state, scope, band)));
      }
    }
  }

  /** Whether anybody has set it, to whatever: what is set to rest's value holds as well. */
  private static boolean said(Part part, List<Property<?>> of, State state, Scope scope) {
    return of.stream()
        .anyMatch(property ->
            part.initially(property, state) != null || scope.speaksOf(part.key(property, state)));
  }

  private static PartCss.Look look(Part part, State state, Scope scope, Band band) {
    return new PartCss.Look() {
      @Override
      public <T> T of(Property<T> property) {
        return Cascade.value(part, property, state, scope, band);
      }

      @Override
      public double widest() {
        return band.below();
      }
    };
  }
}
