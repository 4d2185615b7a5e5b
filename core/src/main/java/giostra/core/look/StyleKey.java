package giostra.core.look;

import giostra.core.value.Refused;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * What a value of a style is of: a property of a part in a state.
 *
 * @param part of what
 * @param property what of it
 * @param state while it is in that
 */
public record StyleKey(PartId part, Property<?> property, State state)
    implements Comparable<StyleKey> {
  private static final Comparator<StyleKey> ORDER =
      Comparator.comparing(StyleKey::part)
          .thenComparing(StyleKey::state, Comparator.reverseOrder())
          .thenComparing(key -> key.property().id());

  @Override
  public int compareTo(StyleKey other) {
    return ORDER.compare(this, other);
  }

  /** The same property of the same part in another state. */
  public StyleKey in(State other) {
    return new StyleKey(part, property, other);
  }

  /** As it stands in addresses and paths: {@code video.bar-button/hover/ground}. */
  public String written() {
    return part + "/" + word(state) + "/" + property.id();
  }

  /**
   * Reads what {@link #written} wrote.
   *
   * @throws Refused when it is none
   */
  public static StyleKey parse(String written) {
    String[] names = written.split("/", -1);
    if (names.length != 3) {
      throw new Refused("style", written, "a part, a state and a property, as in a.b/rest/ink");
    }
    return new StyleKey(new PartId(names[0]), Property.named(names[2]), state(names[1]));
  }

  /** The word of a state in documents. */
  public static String word(State state) {
    return state.name().toLowerCase(Locale.ROOT);
  }

  /**
   * The state of that word.
   *
   * @throws Refused naming those there are
   */
  public static State state(String word) {
    List<String> all = Arrays.stream(State.values()).map(StyleKey::word).toList();
    int at = all.indexOf(word);
    if (at < 0) {
      throw new Refused("state", word, "one of " + String.join(", ", all));
    }
    return State.values()[at];
  }
}
