package giostra.core.anatomy;

import giostra.core.look.Part;
import giostra.core.look.PartId;
import giostra.core.look.StyleKey;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** All parts there are, and which of them things of a kind have. */
public final class Anatomy {
  /** What items of most kinds have beside their own parts. */
  private static final List<Part> WORDED =
      List.of(
          PageParts.KICKER,
          PageParts.SUBHEADING,
          PageParts.ITEM_TEXT,
          PageParts.BUTTON,
          PageParts.SECOND_BUTTON,
          PageParts.BUTTON_ICON);

  /** What stands over, between or after the items of a piece. */
  private static final Set<Part> BETWEEN_ITEMS =
      Set.of(
          TrackParts.HOLD,
          PanelParts.TOOLS,
          PanelParts.SEARCH,
          PanelParts.CHIPS,
          PanelParts.CHIP,
          PanelParts.FOUND,
          GridParts.DIVIDER);

  public static final List<Part> SLIDER = joined(TrackParts.SLIDES, WORDED, TrackParts.MOVING);
  public static final List<Part> CAROUSEL =
      joined(TrackParts.CARDS, List.of(PageParts.ICON), WORDED, TrackParts.MOVING);
  public static final List<Part> TABS = joined(PanelParts.TABS, WORDED);
  public static final List<Part> ACCORDION = joined(PanelParts.ACCORDION, WORDED);
  public static final List<Part> FLIP_BOXES = joined(GridParts.FLIP, WORDED);
  public static final List<Part> COUNTERS = GridParts.COUNTERS;
  public static final List<Part> VIDEO = VideoParts.ALL;
  public static final List<Part> PAGE = PageParts.ALL;

  /** Every part, each once. */
  public static final List<Part> EVERY =
      joined(
          Tone.parts(),
          List.of(TypeParts.FAMILIES),
          PAGE,
          SLIDER,
          CAROUSEL,
          TABS,
          ACCORDION,
          FLIP_BOXES,
          COUNTERS,
          VIDEO);

  /** What pieces of all kinds have. */
  public static final List<Part> OF_KINDS =
      joined(SLIDER, CAROUSEL, TABS, ACCORDION, FLIP_BOXES, COUNTERS, VIDEO);

  /** What one item can have for itself: what is not between all of them. */
  public static final List<Part> ITEM =
      OF_KINDS.stream()
          .filter(part -> !TrackParts.MOVING.contains(part) && !BETWEEN_ITEMS.contains(part))
          .toList();

  private static final Map<PartId, Part> ALL = new LinkedHashMap<>();

  static {
    EVERY.forEach(part -> ALL.put(part.id(), part));
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

  @SafeVarargs
  private static List<Part> joined(List<Part>... lists) {
    return Stream.of(lists).flatMap(List::stream).distinct().toList();
  }
}
