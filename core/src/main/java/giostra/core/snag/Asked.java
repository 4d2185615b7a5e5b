package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import giostra.core.value.Setting;
import java.util.List;

/** One piece in one band while its settings are gone through, and what was found so far. */
record Asked(Document document, Piece piece, Band band, List<NoEffect> found) {

  <T> T value(Setting<T> setting) {
    return Resolution.value(document, piece, setting, band);
  }

  /** Whether somebody asked for something other than the initial value here. */
  boolean set(Setting<?> setting) {
    return !value(setting).equals(setting.initial());
  }

  void say(Setting<?> setting, Setting<?> cause, String message) {
    found.add(new NoEffect(piece.id(), setting.id(), band.id(), message, cause.id()));
  }

  /** Says it of each of these that somebody has set. */
  void sayOf(List<Setting<?>> settings, Setting<?> cause, String message) {
    for (Setting<?> setting : settings) {
      if (set(setting)) {
        say(setting, cause, message);
      }
    }
  }
}
