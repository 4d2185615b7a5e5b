package giostra.core.dress;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Layer;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a part does while the pointer is over it, ready to be tried: ours, each a few values of the
 * properties that a part can say between its states.
 */
public enum ReadyMove {
  LIFT(
      "Lifts",
      "up a little, with a soft shadow under it",
      Map.of(Property.MOVES, "0px -4px", Property.SHADOW, "0px 10px 24px -8px #0000004d"),
      "cubic-bezier(0.2,0.7,0.2,1)",
      "0.22s"),
  SWELL("Swells", "a little larger", Map.of(Property.GROWS, 1.05), "ease-out", "0.2s"),
  SINK(
      "Sinks",
      "a little smaller and down, as if it gave way",
      Map.of(Property.GROWS, 0.97, Property.MOVES, "0px 2px"),
      "ease-out",
      "0.14s"),
  LEAN(
      "Leans",
      "back, as a card that one looks at from below",
      Map.of(Property.TILTS, "9deg -5deg", Property.GROWS, 1.02),
      "cubic-bezier(0.2,0.7,0.2,1)",
      "0.3s"),
  WAG("Wags", "turned, past its end and back", Map.of(Property.TURNS, 4), "spring(0.3)", "0.7s"),
  PERK(
      "Perks up",
      "up at once, and settles",
      Map.of(Property.MOVES, "0px -6px"),
      "spring(0.4)",
      "0.6s"),
  STEP(
      "Steps forward",
      "larger, over what is beside it",
      Map.of(
          Property.GROWS,
          1.08,
          Property.LAYER,
          2,
          Property.SHADOW,
          "0px 16px 40px -12px #00000066"),
      "cubic-bezier(0.3,1.4,0.6,1)",
      "0.35s"),
  STILL("Stays still", "nothing of all that", Map.of(), "ease", "0.2s");

  /** What moves say of a part, so that one takes the place of another. */
  private static final List<Property<?>> OF =
      List.of(
          Property.MOVES,
          Property.GROWS,
          Property.TURNS,
          Property.TILTS,
          Property.SHADOW,
          Property.LAYER);

  private final String label;
  private final String told;
  private final Map<Property<?>, Object> values;
  private final String pace;
  private final String takes;

  ReadyMove(String label, String told, Map<Property<?>, Object> values, String pace, String takes) {
    this.label = label;
    this.told = told;
    this.values = Map.copyOf(values);
    this.pace = pace;
    this.takes = takes;
  }

  /** What people read. */
  public String label() {
    return label;
  }

  /** What it does, in a few words. */
  public String told() {
    return told;
  }

  /** Whether a part can do that: it has a state for a pointer, and can move. */
  public static boolean fit(Part part) {
    return part.has(Property.MOVES) && part.states().contains(State.HOVER);
  }

  /**
   * Edits by which a part does that in all bands, and nothing of another move. A shadow that it
   * throws at rest stays where the move says nothing of shadows.
   *
   * @param node who says it of the part
   */
  public List<Edit> edits(Document document, Node node, Part part) {
    var all = new ArrayList<Edit>();
    String widest = document.bands().all().getLast().id();
    Scope scope = Resolution.scope(document, node);
    Scope others = others(node, scope);
    for (Property<?> property : OF) {
      if (part.has(property)) {
        StyleKey key = part.key(property, State.HOVER);
        Object value = values.get(property);
        // What a look or the page lets it do is not taken away by saying nothing.
        boolean held = value == null && others.speaksOf(key);
        set(
            all,
            document,
            node,
            key,
            widest,
            held ? atRest(document, part, property, scope) : value);
      }
    }
    var between = new LinkedHashMap<Property<?>, @Nullable Object>();
    between.put(Property.TAKES, this == STILL ? null : takes);
    between.put(Property.PACE, this == STILL ? null : pace);
    between.forEach((property, value) ->
        set(all, document, node, part.key(property, State.REST), widest, value));
    return List.copyOf(all);
  }

  private static <T> Object atRest(
      Document document, Part part, Property<T> property, Scope scope) {
    Band widest = document.bands().all().getLast();
    return part.setting(property).write(Cascade.value(part, property, State.REST, scope, widest));
  }

  /** Who else speaks of it. */
  private static Scope others(Node node, Scope scope) {
    Layer own = Resolution.layer(node);
    return new Scope(
        scope.bands(),
        scope.voices().stream().filter(voice -> voice.layer() != own).toList(),
        scope.fonts());
  }

  /** Says it in the widest band and takes away what narrower ones say instead. */
  private static void set(
      List<Edit> all,
      Document document,
      Node node,
      StyleKey key,
      String widest,
      @Nullable Object value) {
    for (Band band : document.bands().all()) {
      Object asked = band.id().equals(widest) ? value : null;
      if (asked != null || node.values().styles().own(key, band.id()) != null) {
        all.add(new Edit.SetStyle(node.id(), key, band.id(), asked));
      }
    }
  }
}
