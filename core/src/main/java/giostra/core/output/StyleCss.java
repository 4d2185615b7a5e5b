package giostra.core.output;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.Tone;
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
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.page.PartsShown;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.value.ToneColour;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Rules for how parts look, as far as somebody has said so. What the site and the page say is
 * written once for all of it, what a section or a block says for itself: of each property that it
 * speaks of, with all states that hold there. What nobody speaks of is not written: the sheets that
 * ship have it.
 */
final class StyleCss {
  /** Equal to a node's own id in weight, wherever on the page something is. */
  private static final String ANYWHERE = ":is(#g,.g-section)";

  private final Document document;
  private final BandCss css;
  private final BandCss hover;
  private final Function<String, String> files;

  /**
   * @param hover takes what holds for a pointer that can hover
   * @param files the path of the picture with an id, empty where there is none
   */
  StyleCss(Document document, BandCss css, BandCss hover, Function<String, String> files) {
    this.document = document;
    this.css = css;
    this.hover = hover;
    this.files = files;
  }

  /** What site and page say of all that is on the page. */
  void everywhere() {
    behind(Resolution.scope(document, document.page()));
    parts(document.page(), NodeType.PAGE.parts().stream(), Layer.PAGE, ANYWHERE);
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

  /** What a section says of all that is in it. */
  void of(Section section) {
    parts(section, section.type().parts().stream(), Layer.SECTION, "#g-" + section.id());
  }

  /** What a block says of itself. */
  void of(Block block) {
    // A heading is the part of its level; what is set for others would be said of it as well.
    List<Part> parts = block instanceof Block.Heading ? PartsShown.of(block) : block.type().parts();
    parts(block, parts.stream(), Layer.PIECE, "#g-" + block.id());
  }

  private void parts(Node node, Stream<Part> parts, Layer layer, String root) {
    Scope scope = Resolution.scope(document, node);
    // What lies farther out is written there.
    Set<StyleKey> spoken =
        scope.voices().stream()
            .filter(voice -> voice.layer() == layer || layer == Layer.PAGE)
            .flatMap(voice -> voice.styles().set().keySet().stream())
            .collect(Collectors.toSet());
    if (!spoken.isEmpty()) {
      parts.forEach(part -> part(node, part, scope, spoken, root));
    }
  }

  private void part(Node node, Part part, Scope scope, Set<StyleKey> spoken, String root) {
    for (PartCss.Declared each : PartCss.apart(part, files)) {
      boolean asked =
          each.of().stream()
              .anyMatch(property ->
                  part.states().stream()
                      .anyMatch(state -> spoken.contains(part.key(property, state))));
      if (asked) {
        declare(node, part, each, scope, root);
      }
    }
  }

  private void declare(Node node, Part part, PartCss.Declared declared, Scope scope, String root) {
    // These are not within a section, but are one.
    boolean overlay = part.equals(PageParts.OVERLAY) || Tone.is(part);
    boolean block =
        (node instanceof Block && !(node instanceof Piece)) || (node instanceof Section && overlay);
    // Panels hold blocks, and those have a look of their own.
    String not = node.type().hasPanels() ? root + " .g-block *" : "";
    // These are not within a section.
    String within =
        part.equals(PageParts.BODY)
            ? ":is(#g,html)"
            : overlay && node instanceof giostra.core.page.Page ? ":is(#g,main)" : root;
    for (State state : part.states()) {
      if (state == State.REST || said(part, declared.of(), state, scope)) {
        BandCss to = state == State.HOVER ? hover : css;
        to.put(
            Where.of(part).in(within, block, not, state, part.states().contains(State.DISABLED))
                + declared.within(),
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
    };
  }
}
