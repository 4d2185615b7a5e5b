package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.PartsShown;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What is seen under a mouse alone: at rest nearly nothing of it is left, and on a screen that is
 * touched nothing hovers. Source: Media Queries 4, "hover"; that it has to be seen all the same is
 * common practice.
 */
final class HoverOnly {
  /** Of less than that nobody sees anything; ours, no source. */
  private static final double SEEN = 0.1;

  /** A way out that keeps it quiet. */
  private static final double HALF = 0.5;

  private HoverOnly() {}

  static List<Snag> check(Looked at) {
    if (at.piece().isEmpty()) {
      return List.of();
    }
    Piece piece = at.piece().get();
    var found = new ArrayList<Snag>();
    for (Part part : PartsShown.of(piece)) {
      found.addAll(of(at, piece, piece, part));
    }
    List<Part> its = PartsShown.ofItem(piece);
    for (Item item : piece.items()) {
      if (!item.values().styles().set().isEmpty()) {
        its.stream()
            .flatMap(part -> of(at, piece, item, part).stream())
            .filter(each -> found.stream().noneMatch(other -> alike(each, other)))
            .forEach(found::add);
      }
    }
    return found;
  }

  /** Whether what is found of an item is found of its piece already. */
  private static boolean alike(Snag of, Snag other) {
    return of.place().part().equals(other.place().part())
        && of.band().equals(other.band())
        && other.item().isEmpty();
  }

  private static List<Snag> of(Looked at, Piece piece, Node node, Part part) {
    if (!part.has(Property.OPACITY) || !part.states().contains(State.HOVER)) {
      return List.of();
    }
    Scope scope = Resolution.scope(at.document(), node);
    Set<Band> gone = Present.gone(at.document(), piece, part, at.scrollbar());
    return at.document().bands().all().stream()
        .filter(band -> !gone.contains(band))
        .flatMap(band -> {
          double rest = Cascade.value(part, Property.OPACITY, State.REST, scope, band);
          double hover = Cascade.value(part, Property.OPACITY, State.HOVER, scope, band);
          return rest < SEEN && hover >= SEEN
              ? Stream.of(snag(piece, node, part, band, rest, hover))
              : Stream.of();
        })
        .toList();
  }

  private static Snag snag(
      Piece piece, Node node, Part part, Band band, double rest, double hover) {
    String key = part.key(Property.OPACITY, State.REST).written();
    Snag snag =
        Snag.of(
                Rule.HOVER_ONLY,
                piece.id(),
                Extent.of(band),
                Said.of(
                    "hover-only",
                    "part",
                    part.label(),
                    "percent",
                    Math.round(100 * rest),
                    "hover",
                    Math.round(100 * hover)))
            .of(part)
            .about(key, key)
            .withFixes(
                Stream.of(hover, Math.min(hover, HALF))
                    .distinct()
                    .map(to ->
                        Snag.Fix.of(
                            Said.of("seen-at-rest", "percent", Math.round(100 * to)),
                            new Edit.SetStyle(
                                node.id(), part.key(Property.OPACITY, State.REST), band.id(), to)))
                    .toList());
    return node instanceof Item ? snag.of(node.id()) : snag;
  }
}
