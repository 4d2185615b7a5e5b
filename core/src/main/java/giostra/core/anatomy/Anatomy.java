package giostra.core.anatomy;

import giostra.core.look.Part;
import giostra.core.look.PartId;
import giostra.core.look.StyleKey;
import giostra.core.room.Rooms;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** All parts there are, and which of them things of a kind have. */
public final class Anatomy {
  /** Every part, each once. */
  public static final List<Part> EVERY =
      PageParts.joined(Tone.parts(), List.of(TypeParts.FAMILIES), PageParts.ALL, ofKinds());

  /** What a site speaks of: all of it, and the styles of type that words are set in. */
  public static final List<Part> OF_SITE = PageParts.joined(EVERY, TypeStyles.ALL);

  /** What pieces of all kinds have. */
  public static final List<Part> OF_KINDS = ofKinds();

  /** What one item can have for itself: what is not between all of them. */
  public static final List<Part> ITEM =
      OF_KINDS.stream()
          .filter(part -> Rooms.all().stream().noneMatch(room -> room.between().contains(part)))
          .toList();

  private static final Map<PartId, Part> ALL = new LinkedHashMap<>();

  static {
    OF_SITE.forEach(part -> ALL.put(part.id(), part));
  }

  private Anatomy() {}

  /**
   * The part of that name.
   *
   * @throws Refused naming those there are
   */
  public static Part part(PartId id) {
    Part found = ALL.get(id);
    if (found == null) {
      throw new Refused(
          "part",
          id.id(),
          "one of " + String.join(", ", ALL.keySet().stream().map(PartId::id).toList()));
    }
    return found;
  }

  /**
   * What a key's values may be.
   *
   * @throws Refused when there is no such part, or it has no such property or state
   */
  public static Setting<?> setting(StyleKey key) {
    Part part = part(key.part());
    part.check(key);
    return part.setting(key.property()).called(part.said(key));
  }

  /** As people read of it: {@code Bar button on hover, ground}. */
  public static String said(StyleKey key) {
    return part(key.part()).said(key);
  }

  private static List<Part> ofKinds() {
    return Rooms.all().stream().flatMap(room -> room.parts().stream()).distinct().toList();
  }
}
