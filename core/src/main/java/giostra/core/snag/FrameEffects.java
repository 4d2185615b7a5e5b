package giostra.core.snag;

import giostra.core.layout.Containers;
import giostra.core.page.DriveSettings;
import giostra.core.page.PieceSettings;
import giostra.core.page.SectionSettings.Extent;
import java.util.List;

/** What every kind of piece has: how far it reaches and where it stands. */
final class FrameEffects {
  private FrameEffects() {}

  static void find(Asked asked) {
    if (asked.value(DriveSettings.ENTRANCE) == DriveSettings.Entrance.NONE) {
      asked.sayOf(
          List.of(
              DriveSettings.ENTRANCE_TAKES,
              DriveSettings.ENTRANCE_BEAT,
              DriveSettings.ENTRANCE_SHARE,
              DriveSettings.ENTRANCE_OFTEN),
          DriveSettings.ENTRANCE,
          Said.of("idle-at-once"));
    }
    boolean free = Containers.inSection(asked.document(), asked.piece().id());
    Extent extent = asked.value(PieceSettings.EXTENT);
    if (!free && extent == Extent.EDGE) {
      asked.say(PieceSettings.EXTENT, PieceSettings.WIDTH, Said.of("idle-stands-columns-or"));
    }
    double outer = Containers.outer(asked.document(), asked.piece(), asked.band(), 0).least();
    double room =
        Containers.room(
                asked.document(),
                asked.piece().id(),
                free ? extent : Extent.MEASURE,
                asked.band(),
                0)
            .least();
    if (asked.set(PieceSettings.ALIGN) && outer >= room) {
      asked.say(PieceSettings.ALIGN, PieceSettings.WIDTH, Said.of("idle-wide-no-room"));
    }
  }
}
