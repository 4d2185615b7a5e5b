package giostra.core.look;

import giostra.core.value.Refused;
import java.util.Arrays;
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

  /**
   * By part, within it what holds last first, then by property. Asked very often: no comparators.
   */
  @Override
  public int compareTo(StyleKey other) {
    int parts = part.compareTo(other.part);
    if (parts != 0) {
      return parts;
    }
    int states = other.state.compareTo(state);
    return states != 0 ? states : property.id().compareTo(other.property.id());
  }

  // As cheap as can be: each lookup of the cascade asks for it.
  @Override
  public int hashCode() {
    return (part.hashCode() * 31 + property.hashCode()) * 31 + state.ordinal();
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
