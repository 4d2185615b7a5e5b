package giostra.core.snag;

import giostra.core.layout.ShadowReach;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.layout.TrackRoom;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.page.Edit;
import giostra.core.page.TrackSettings;
import giostra.core.page.Tracked;
import giostra.core.value.Length;
import java.util.List;
import java.util.stream.Stream;

/** Shadows of cards that reach over the ends of their track and are cut there. */
final class CutShadow {
  private CutShadow() {}

  static List<Snag> check(Looked at) {
    return at.node() instanceof Tracked piece ? of(at, piece) : List.of();
  }

  private static List<Snag> of(Looked at, Tracked piece) {
    return TrackLayout.of(at.document(), piece, at.scrollbar()).bands().stream()
        .flatMap(in ->
            Stream.of(ShadowReach.of(at.document(), piece, in))
                .filter(reach -> reach.some() && !reach.fits())
                .map(reach -> found(piece, in, reach)))
        .toList();
  }

  private static Snag found(Tracked piece, TrackBand in, ShadowReach reach) {
    double room = Math.ceil(reach.around());
    // What grows reaches as far as it is large, and beside it there may be no more room.
    List<Snag.Fix> fixes =
        reach.grows() || room > reach.beside()
            ? List.of()
            : List.of(
                Snag.Fix.of(
                    Said.of("shadow-room", "px", room),
                    new Edit.SetValue(
                        piece.id(),
                        TrackSettings.GAP.id(),
                        in.band().id(),
                        Length.px(room).css())));
    String shadow =
        TrackRoom.of(piece)
            .throwing(piece)
            .map(part -> part.key(Property.SHADOW, State.REST).written())
            .orElse("");
    return Snag.of(
            Rule.CUT_SHADOW,
            piece.id(),
            Extent.of(in.band()),
            Said.of(
                "cut-shadow",
                "ends",
                Math.ceil(reach.ends()),
                "from",
                Extent.first(in.band()),
                "to",
                Extent.last(in.band())))
        .about(TrackSettings.GAP.id(), shadow)
        .measured(Math.min(reach.apart(), reach.beside()), room, Measure.Unit.PX)
        .withFixes(fixes);
  }
}
