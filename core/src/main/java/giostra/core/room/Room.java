package giostra.core.room;

import giostra.core.look.Part;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What a kind of piece says of itself, as far as nobody has to know what a piece is. Each package
 * that asks a kind for more has an interface of its own that goes on from this one; a kind
 * implements them all in one class, which stands in {@code META-INF/services} and in {@code
 * module-info.java}.
 */
public interface Room {
  /** Its name in documents: lower-case letters and hyphens. */
  String word();

  /** What can be set on it, in the order in which people see it. */
  List<Setting<?>> settings();

  /** The parts of it and of its items. */
  List<Part> parts();

  /** Those of them that stand over, between or after its items: no item has one for itself. */
  default Set<Part> between() {
    return Set.of();
  }

  /** What parts of it are read against: which part lies under which. */
  default Map<Part, Part> under() {
    return Map.of();
  }

  /** Whether pins may stand on its items. */
  default boolean hasPins() {
    return false;
  }

  /** Whether its items have panels, which hold blocks. */
  default boolean hasPanels() {
    return false;
  }
}
