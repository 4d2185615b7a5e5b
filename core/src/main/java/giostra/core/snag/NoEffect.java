package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Scope;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.List;

/** Values that cannot take effect where they stand, with the cause. */
final class NoEffect {
  private NoEffect() {}

  /** All such values of a piece, band by band. */
  static List<Snag> check(Looked at) {
    var found = new ArrayList<Snag>();
    at.piece()
        .ifPresent(piece -> {
          Scope scope = Resolution.scope(at.document(), piece);
          for (Band band : at.document().bands().all()) {
            find(new Asked(at.document(), piece, band, scope, found));
          }
        });
    return found;
  }

  private static void find(Asked asked) {
    FrameEffects.find(asked);
    switch (asked.piece()) {
      case Piece.Tracked track -> TrackEffects.find(asked, track);
      case Piece.Tabs tabs -> PanelEffects.find(asked, tabs);
      case Piece.Accordion _ -> PanelEffects.find(asked);
      case Piece.FlipBoxes _, Piece.Counters _ -> GridEffects.find(asked);
      case Piece.Video video -> VideoEffects.find(asked, video);
    }
  }
}
