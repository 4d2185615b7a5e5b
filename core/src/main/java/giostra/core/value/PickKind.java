package giostra.core.value;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** One of a closed set of words: the constants of an enum in lower case with hyphens. */
public record PickKind<E extends Enum<E>>(Class<E> type) implements Kind<E> {
  @Override
  public E read(String what, Object raw) {
    String word = raw.toString().strip().toLowerCase(Locale.ROOT).replace(' ', '-');
    for (E each : type.getEnumConstants()) {
      if (word(each).equals(word)) {
        return each;
      }
    }
    throw new Refused(what, raw.toString(), allowed());
  }

  @Override
  public Object write(E value) {
    return word(value);
  }

  /** All words, in the order in which they are declared. */
  public List<String> words() {
    return Arrays.stream(type.getEnumConstants()).map(PickKind::word).toList();
  }

  @Override
  public String allowed() {
    return words().stream().collect(Collectors.joining(", ", "one of ", ""));
  }

  /** The word of a constant: {@code AT_END} is {@code at-end}. */
  public static String word(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
