package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import giostra.core.value.Setting;
import java.util.List;

/** One piece in one band while its settings are gone through, and what was found so far. */
public record Asked(Document document, Piece piece, Band band, Scope scope, List<Snag> found) {

  /** What holds of a setting in the band. */
  public <T> T value(Setting<T> setting) {
    return Resolution.value(document, piece, setting, band);
  }

  /** Whether somebody asked for something other than the initial value here. */
  public boolean set(Setting<?> setting) {
    return !value(setting).equals(setting.initial());
  }

  /** The value of a property of a part. */
  public <T> T value(Part part, Property<T> property, State state) {
    return Cascade.value(part, property, state, scope, band);
  }

  /** Says it of all of some parts that somebody has made other than it is initially. */
  public void sayOfParts(List<Part> parts, Setting<?> cause, String message) {
    for (Part part : parts) {
      part.keys().forEach(key -> sayOf(part, key, cause.id(), message));
    }
  }

  /** Says it of a property of a part, where somebody has made it other than it is initially. */
  public void sayOf(Part part, StyleKey key, String cause, String message) {
    Object now = value(part, key.property(), key.state());
    Object initially =
        Cascade.value(
            part, key.property(), key.state(), new Scope(document.bands(), List.of()), band);
    if (!now.equals(initially)) {
      add(key.written(), cause, message);
    }
  }

  /** Says that a setting has no effect, and which other one is the cause. */
  public void say(Setting<?> setting, Setting<?> cause, String message) {
    add(setting.id(), cause.id(), message);
  }

  private void add(String value, String cause, String message) {
    found.add(Snag.of(Rule.NO_EFFECT, piece.id(), Extent.of(band), message).about(value, cause));
  }

  /** Says it of each of these that somebody has set. */
  public void sayOf(List<Setting<?>> settings, Setting<?> cause, String message) {
    for (Setting<?> setting : settings) {
      if (set(setting)) {
        say(setting, cause, message);
      }
    }
  }
}
