package giostra.core.look;

import giostra.core.value.Colour;
import giostra.core.value.Family;
import giostra.core.value.Ground;
import giostra.core.value.Ink;
import giostra.core.value.Kind;
import giostra.core.value.Length;
import giostra.core.value.LetterCase;
import giostra.core.value.Nudge;
import giostra.core.value.Refused;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeSize;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What can be said of a part: one line of its look.
 *
 * @param id its name in documents
 * @param label what people read
 * @param <T> the type of a value
 */
public record Property<T>(String id, String label) {
  /** Which of the families of the site its letters are of. */
  public static final Property<Family> FAMILY = new Property<>("family", "Family");

  public static final Property<Integer> WEIGHT = new Property<>("weight", "Weight");

  /** How large its letters are. */
  public static final Property<TypeSize> TEXT_SIZE = new Property<>("text-size", "Text size");

  /** Height of a line as a multiple of the size of the text. */
  public static final Property<Double> LEADING = new Property<>("leading", "Leading");

  /** More between letters, as a share of the size of the text. */
  public static final Property<Double> SPACING = new Property<>("spacing", "Letter spacing");

  public static final Property<LetterCase> CASE = new Property<>("case", "Case");

  /** The colour of its words and signs. */
  public static final Property<Ink> INK = new Property<>("ink", "Ink");

  /** What it has under it. */
  public static final Property<Ground> GROUND = new Property<>("ground", "Ground");

  /** A picture over its ground; empty for none. */
  public static final Property<String> PICTURE = new Property<>("picture", "Picture as ground");

  /** How large it is: of a sign, its sides; of a bar, its height. */
  public static final Property<Length> SIZE = new Property<>("size", "Size");

  /** The same room on all its sides. */
  public static final Property<Length> PADDING = new Property<>("padding", "Padding");

  public static final Property<Length> PADDING_ABOVE =
      new Property<>("padding-above", "Padding above");
  public static final Property<Length> PADDING_BELOW =
      new Property<>("padding-below", "Padding below");

  /** At its start and at its end alike. */
  public static final Property<Length> PADDING_SIDES =
      new Property<>("padding-sides", "Padding at the sides");

  /** Before its words, where reading begins. */
  public static final Property<Length> PADDING_START =
      new Property<>("padding-start", "Padding at the start");

  /** Between what lies in it. */
  public static final Property<Length> GAP = new Property<>("gap", "Distances inside");

  /** Between what lies side by side in it, where that is another distance. */
  public static final Property<Length> GAP_ACROSS =
      new Property<>("gap-across", "Distances across");

  /** Between it and what stands before it. */
  public static final Property<Length> ABOVE = new Property<>("above", "Distance above");

  /** Between it and what stands after it. */
  public static final Property<Length> BELOW = new Property<>("below", "Distance below");

  public static final Property<Length> CORNERS = new Property<>("corners", "Corners");
  public static final Property<Length> BORDER = new Property<>("border", "Border");
  public static final Property<Ink> BORDER_INK = new Property<>("border-ink", "Border’s colour");

  /** A line along its edges that takes no room. */
  public static final Property<Length> EDGE = new Property<>("edge", "Edge");

  public static final Property<Ink> EDGE_INK = new Property<>("edge-ink", "Edge’s colour");
  public static final Property<Double> OPACITY = new Property<>("opacity", "Opacity");

  /** How far its icon is moved, for those that do not look centred. */
  public static final Property<Nudge> NUDGE = new Property<>("nudge", "Icon nudged");

  private static final Map<ToneColour, Property<Colour>> OF_TONE =
      Arrays.stream(ToneColour.values())
          .collect(
              Collectors.toUnmodifiableMap(
                  name -> name,
                  name -> new Property<>("tone-" + Kind.Pick.word(name), name.label())));

  private static final List<Property<?>> ALL =
      Stream.concat(
              Stream.of(
                  FAMILY,
                  WEIGHT,
                  TEXT_SIZE,
                  LEADING,
                  SPACING,
                  CASE,
                  INK,
                  GROUND,
                  PICTURE,
                  SIZE,
                  PADDING,
                  PADDING_ABOVE,
                  PADDING_BELOW,
                  PADDING_SIDES,
                  PADDING_START,
                  GAP,
                  GAP_ACROSS,
                  ABOVE,
                  BELOW,
                  CORNERS,
                  BORDER,
                  BORDER_INK,
                  EDGE,
                  EDGE_INK,
                  OPACITY,
                  NUDGE),
              Arrays.stream(ToneColour.values()).map(Property::of))
          .<Property<?>>map(each -> each)
          .toList();

  /** What a colour of a tone is. */
  public static Property<Colour> of(ToneColour name) {
    return Objects.requireNonNull(OF_TONE.get(name));
  }

  /** All there are, in the order in which people see them. */
  public static List<Property<?>> all() {
    return ALL;
  }

  /**
   * The property of that name.
   *
   * @throws Refused naming those there are
   */
  public static Property<?> named(String id) {
    return ALL.stream()
        .filter(each -> each.id().equals(id))
        .findFirst()
        .orElseThrow(() ->
            new Refused(
                "property",
                id,
                "one of " + String.join(", ", ALL.stream().map(Property::id).toList())));
  }
}
