package giostra.core.value;

import java.util.Arrays;
import java.util.List;
import java.util.Set;

/** Any of a closed set of words, or none; written with spaces between, in the set's order. */
public record SeveralKind(List<String> words) implements Kind<List<String>> {
  public SeveralKind {
    words = List.copyOf(words);
  }

  @Override
  public List<String> read(String what, Object raw) {
    String text = raw.toString().strip();
    Set<String> found =
        text.isEmpty() ? Set.of() : Set.copyOf(Arrays.asList(text.split("[\\s,]+")));
    for (String word : found) {
      if (!words.contains(word)) {
        throw new Refused(what, word, allowed());
      }
    }
    return words.stream().filter(found::contains).toList();
  }

  @Override
  public Object write(List<String> value) {
    return String.join(" ", value);
  }

  @Override
  public String allowed() {
    return "any of " + String.join(", ", words) + ", or none";
  }
}
