package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Scope;
import giostra.core.page.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Values that cannot take effect where they stand, with the cause. */
final class NoEffect {
  private NoEffect() {}

  /** All such values of a piece, or of the edges of a section, band by band. */
  static List<Snag> check(Looked at) {
    if (at.node() instanceof Section section) {
      return Stream.of(
              EdgeEffects.of(at.document(), section), DepthEffects.of(at.document(), section))
          .flatMap(List::stream)
          .toList();
    }
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
    Judged.of(asked.piece()).idle(asked.piece(), asked);
  }
}
