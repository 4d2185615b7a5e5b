package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.page.Document;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.Tracked;
import giostra.core.value.Nudge;
import giostra.core.value.Shadows;
import giostra.core.value.Tilt;
import java.util.List;
import java.util.stream.Stream;

/**
 * How far the shadows of items on a track reach around them, in any state. A track ends where its
 * first and last item do, and cuts what reaches over its ends, unless all that reaches anywhere
 * does so by no more than the distance between items and the room beside the section's blocks: then
 * neither does a neighbour show nor the page scroll sideways when that much more is shown. Source:
 * CSS Backgrounds 3, "Drop Shadows"; CSS Overflow 4, "overflow-clip-margin".
 *
 * @param ends px over the ends of the track, at most
 * @param around px in any direction, moved as it is in that state
 * @param grows whether items grow, turn or tilt in some state, so that nobody knows how far they
 *     reach
 * @param apart px between items, where they are always as far apart; otherwise 0
 * @param beside px beside the blocks of the section, at the least; 0 where a neighbour is seen at
 *     one end
 */
public record ShadowReach(double ends, double around, boolean grows, double apart, double beside) {

  /** That of the items of a piece in a band. */
  public static ShadowReach of(Document document, Tracked piece, TrackBand in) {
    Part part = TrackRoom.of(piece).throwing(piece).orElse(null);
    var all =
        new ShadowReach(
            0,
            0,
            false,
            in.gap().slope() == 0 ? in.gap().constantPx() : 0,
            beside(document, piece, in));
    // Where a neighbour is seen on both sides it is cut itself.
    if (part == null || !in.moves() || in.sides() == 2) {
      return all;
    }
    List<Scope> scopes =
        Stream.concat(
                Stream.of(piece),
                piece.onShow().stream().filter(item -> !item.values().styles().set().isEmpty()))
            .map(node -> Resolution.scope(document, node))
            .toList();
    for (Scope scope : scopes) {
      for (State state : part.states()) {
        all = all.and(part, state, scope, in);
      }
    }
    return all;
  }

  private static double beside(Document document, Tracked piece, TrackBand in) {
    if (in.sides() > 0) {
      return 0;
    }
    return document.path(piece.id()).stream()
        .filter(Section.class::isInstance)
        .filter(section ->
            Resolution.value(document, section, SectionSettings.EXTENT, in.band())
                != SectionSettings.Extent.EDGE)
        .mapToDouble(section ->
            Resolution.value(document, section, SectionSettings.PADDING, in.band())
                .in(Math.max(Bands.NARROWEST, in.band().from())))
        .findFirst()
        .orElse(0);
  }

  private ShadowReach and(Part part, State state, Scope scope, TrackBand in) {
    Band band = in.band();
    boolean across = in.axis() == Axis.ACROSS;
    boolean moving = part.has(Property.MOVES);
    Nudge moves = moving ? Cascade.value(part, Property.MOVES, state, scope, band) : Nudge.NONE;
    boolean more =
        moving
            && (Cascade.value(part, Property.GROWS, state, scope, band) > 1
                || Cascade.value(part, Property.TURNS, state, scope, band) != 0
                || !Cascade.value(part, Property.TILTS, state, scope, band).equals(Tilt.NONE));
    double far = ends;
    double all = around;
    for (Shadows.Shadow each : Cascade.value(part, Property.SHADOW, state, scope, band).all()) {
      if (!each.inner()) {
        double even = each.blur() + each.spread();
        double sideways = even + Math.abs(each.x() + moves.x());
        double upright = even + Math.abs(each.y() + moves.y());
        far = Math.max(far, across ? sideways : upright);
        all = Math.max(all, Math.max(sideways, upright));
      }
    }
    return new ShadowReach(far, all, grows || more, apart, beside);
  }

  /** Whether anything would be cut at the ends of the track. */
  public boolean some() {
    return ends > 0;
  }

  /** Whether all of it can show. */
  public boolean fits() {
    return !grows && around <= Math.min(apart, beside);
  }
}
