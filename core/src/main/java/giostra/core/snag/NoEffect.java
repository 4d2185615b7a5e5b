package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Scope;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.List;

/**
 * A value that cannot take effect where it stands, with the cause.
 *
 * @param piece id of the piece
 * @param setting id of the setting, or the key of the style as it is written
 * @param band id of the band
 * @param message why, in one sentence
 * @param cause id of the setting, or key of the style, to look at
 */
public record NoEffect(String piece, String setting, String band, String message, String cause) {

  /** All values of a piece that cannot take effect, band by band. */
  public static List<NoEffect> of(Document document, Piece piece) {
    var found = new ArrayList<NoEffect>();
    Scope scope = Resolution.scope(document, piece);
    for (Band band : document.bands().all()) {
      var asked = new Asked(document, piece, band, scope, found);
      FrameEffects.find(asked);
      switch (piece) {
        case Piece.Tracked track -> TrackEffects.find(asked, track);
        case Piece.Tabs tabs -> PanelEffects.find(asked, tabs);
        case Piece.Accordion _ -> PanelEffects.find(asked);
        case Piece.FlipBoxes _, Piece.Counters _ -> GridEffects.find(asked);
        case Piece.Video video -> VideoEffects.find(asked, video);
      }
    }
    return found;
  }
}
