package giostra.core.look;

import giostra.core.value.Around;
import giostra.core.value.Colour;
import giostra.core.value.Easing;
import giostra.core.value.Ends;
import giostra.core.value.Family;
import giostra.core.value.Focus;
import giostra.core.value.Ground;
import giostra.core.value.GroundFit;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.LetterCase;
import giostra.core.value.LineStyle;
import giostra.core.value.Nudge;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.Shadows;
import giostra.core.value.Slant;
import giostra.core.value.Tilt;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import giostra.core.value.Typeface;
import giostra.core.value.WordsAlign;
import java.time.Duration;
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
 * @param group what it is seen with
 * @param <T> the type of a value
 */
public record Property<T>(String id, String label, Group group) {
  /** What properties are seen together, in the order in which people see them. */
  public enum Group {
    TONE("Colours"),
    LETTERS("Letters"),
    GROUND("Ground and edge"),
    ROOM("Room"),
    BETWEEN("Between states");

    private final String label;

    Group(String label) {
      this.label = label;
    }

    /** What people read. */
    public String label() {
      return label;
    }
  }

  /** Which style of type its words are set in. */
  public static final Property<TypeStyle> TYPE =
      new Property<>("type", "Type style", Group.LETTERS);

  /** Which of the families of the site its letters are of. */
  public static final Property<Family> FAMILY = new Property<>("family", "Family", Group.LETTERS);

  /** Which family texts are of. */
  public static final Property<Typeface> TEXT_FACE =
      new Property<>("text-face", "Family of texts", Group.LETTERS);

  /** Which family headings are of. */
  public static final Property<Typeface> DISPLAY_FACE =
      new Property<>("display-face", "Family of headings", Group.LETTERS);

  public static final Property<Integer> WEIGHT = new Property<>("weight", "Weight", Group.LETTERS);

  /** How large its letters are. */
  public static final Property<TypeSize> TEXT_SIZE =
      new Property<>("text-size", "Text size", Group.LETTERS);

  /** Height of a line as a multiple of the size of the text. */
  public static final Property<Double> LEADING =
      new Property<>("leading", "Leading", Group.LETTERS);

  /** More between letters, as a share of the size of the text. */
  public static final Property<Double> SPACING =
      new Property<>("spacing", "Letter spacing", Group.LETTERS);

  /** Added to each space between words; a multiple of the letters' size. */
  public static final Property<Double> WORD_SPACING =
      new Property<>("word-spacing", "Word spacing", Group.LETTERS);

  /** Whether its letters stand upright. */
  public static final Property<Slant> SLANT = new Property<>("slant", "Slant", Group.LETTERS);

  public static final Property<LetterCase> CASE = new Property<>("case", "Case", Group.LETTERS);

  /** Where its lines begin; as the words around, unless somebody says otherwise. */
  public static final Property<WordsAlign> ALIGN =
      new Property<>("align", "Alignment", Group.LETTERS);

  /** The colour of its words and signs. */
  public static final Property<Ink> INK = new Property<>("ink", "Ink", Group.LETTERS);

  /** What it has under it. */
  public static final Property<Ground> GROUND = new Property<>("ground", "Ground", Group.GROUND);

  /** A picture over its ground; empty for none. */
  public static final Property<String> PICTURE =
      new Property<>("picture", "Picture as ground", Group.GROUND);

  /** How that picture lies in the box. */
  public static final Property<GroundFit> PICTURE_FIT =
      new Property<>("picture-fit", "Picture’s fit", Group.GROUND);

  /** The point of it that stays in view where it is cut; of a pattern, where it begins. */
  public static final Property<Focus> PICTURE_FOCUS =
      new Property<>("picture-focus", "Picture’s focal point", Group.GROUND);

  /** How wide a pattern's picture is each time it is laid. */
  public static final Property<Length> PICTURE_SIZE =
      new Property<>("picture-size", "Width in a pattern", Group.GROUND);

  /** What lies over the picture, under the words. */
  public static final Property<Ground> VEIL = new Property<>("veil", "Overlay on it", Group.GROUND);

  /** How large it is: of a sign, its sides; of a bar, its height. */
  public static final Property<Length> SIZE = new Property<>("size", "Size", Group.ROOM);

  /** The same room on all its sides. */
  public static final Property<Length> PADDING = new Property<>("padding", "Padding", Group.ROOM);

  public static final Property<Length> PADDING_ABOVE =
      new Property<>("padding-above", "Padding above", Group.ROOM);
  public static final Property<Length> PADDING_BELOW =
      new Property<>("padding-below", "Padding below", Group.ROOM);

  /** At its start and at its end. */
  public static final Property<Ends> PADDING_SIDES =
      new Property<>("padding-sides", "Padding at the sides", Group.ROOM);

  /** Before its words, where reading begins. */
  public static final Property<Length> PADDING_START =
      new Property<>("padding-start", "Padding at the start", Group.ROOM);

  /** Between what lies in it. */
  public static final Property<Length> GAP = new Property<>("gap", "Distances inside", Group.ROOM);

  /** Between what lies side by side in it, where that is another distance. */
  public static final Property<Length> GAP_ACROSS =
      new Property<>("gap-across", "Distances across", Group.ROOM);

  /** Between it and what stands before it. */
  public static final Property<Length> ABOVE =
      new Property<>("above", "Distance above", Group.ROOM);

  /** Between it and what stands after it. */
  public static final Property<Length> BELOW =
      new Property<>("below", "Distance below", Group.ROOM);

  /** What it keeps free around itself. */
  public static final Property<Around> MARGIN = new Property<>("margin", "Margin", Group.ROOM);

  /** The most that it takes of the width that there is. */
  public static final Property<Length> MOST_WIDE =
      new Property<>("most-wide", "Greatest width", Group.ROOM);

  /** Where it stands in that width, where it takes less of it. */
  public static final Property<WordsAlign> PLACE = new Property<>("place", "Place", Group.ROOM);

  /** What it takes of the width at the least, as far as there is so much. */
  public static final Property<Length> LEAST_WIDE =
      new Property<>("least-wide", "Least width", Group.ROOM);

  /** How high it is at the least. */
  public static final Property<Length> LEAST_HIGH =
      new Property<>("least-high", "Least height", Group.ROOM);

  /** What it lies over: more lies over less. */
  public static final Property<Integer> LAYER =
      new Property<>("layer", "Stacking order", Group.ROOM);

  /** How thick the lines of its sign are, of a drawing that is 24 wide. */
  public static final Property<Double> STROKE =
      new Property<>("stroke", "Line weight", Group.GROUND);

  public static final Property<Around> CORNERS = new Property<>("corners", "Corners", Group.GROUND);
  public static final Property<Around> BORDER = new Property<>("border", "Border", Group.GROUND);

  /** How its border is drawn. */
  public static final Property<LineStyle> BORDER_STYLE =
      new Property<>("border-style", "Border’s style", Group.GROUND);

  public static final Property<Ink> BORDER_INK =
      new Property<>("border-ink", "Border’s colour", Group.GROUND);

  /** A line along its edges that takes no room. */
  public static final Property<Around> EDGE = new Property<>("edge", "Edge", Group.GROUND);

  public static final Property<Ink> EDGE_INK =
      new Property<>("edge-ink", "Edge’s colour", Group.GROUND);
  public static final Property<Double> OPACITY = new Property<>("opacity", "Opacity", Group.GROUND);

  /** How far its icon is moved, for those that do not look centred. */
  public static final Property<Nudge> NUDGE = new Property<>("nudge", "Icon nudged", Group.ROOM);

  /** What it throws on what lies under it, or on itself. */
  public static final Property<Shadows> SHADOW = new Property<>("shadow", "Shadow", Group.GROUND);

  /** How far it stands from its place. */
  public static final Property<Nudge> MOVES = new Property<>("moves", "Moves by", Group.BETWEEN);

  /** Its size as a multiple of what it has room for. */
  public static final Property<Double> GROWS = new Property<>("grows", "Grows to", Group.BETWEEN);

  /** By how many degrees it is turned, clockwise. */
  public static final Property<Double> TURNS = new Property<>("turns", "Turns by", Group.BETWEEN);

  /** How it leans out of the page. */
  public static final Property<Tilt> TILTS = new Property<>("tilts", "Tilts by", Group.BETWEEN);

  /** How long it takes to go over from one state to another. */
  public static final Property<Duration> TAKES =
      new Property<>("takes", "Goes over in", Group.BETWEEN);

  /** How it speeds up and slows down on the way. */
  public static final Property<Easing> PACE = new Property<>("pace", "Pace", Group.BETWEEN);

  /** How long it waits before it goes over. */
  public static final Property<Duration> WAITS =
      new Property<>("waits", "Waits for", Group.BETWEEN);

  private static final Map<ToneColour, Property<Colour>> OF_TONE =
      Arrays.stream(ToneColour.values())
          .collect(
              Collectors.toUnmodifiableMap(
                  name -> name,
                  name -> new Property<>("tone-" + PickKind.word(name), name.label(), Group.TONE)));

  private static final List<Property<?>> ALL =
      Stream.concat(
              Stream.of(
                  TYPE,
                  FAMILY,
                  TEXT_FACE,
                  DISPLAY_FACE,
                  WEIGHT,
                  TEXT_SIZE,
                  LEADING,
                  SPACING,
                  WORD_SPACING,
                  SLANT,
                  CASE,
                  ALIGN,
                  INK,
                  GROUND,
                  PICTURE,
                  PICTURE_FIT,
                  PICTURE_FOCUS,
                  PICTURE_SIZE,
                  VEIL,
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
                  MARGIN,
                  MOST_WIDE,
                  PLACE,
                  LEAST_WIDE,
                  LEAST_HIGH,
                  LAYER,
                  STROKE,
                  CORNERS,
                  BORDER,
                  BORDER_STYLE,
                  BORDER_INK,
                  EDGE,
                  EDGE_INK,
                  OPACITY,
                  SHADOW,
                  NUDGE,
                  MOVES,
                  GROWS,
                  TURNS,
                  TILTS,
                  TAKES,
                  PACE,
                  WAITS),
              Arrays.stream(ToneColour.values()).map(Property::of))
          .<Property<?>>map(each -> each)
          .toList();

  // There is one of each name, and each lookup of the cascade asks for it.
  @Override
  public int hashCode() {
    return id.hashCode();
  }

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
