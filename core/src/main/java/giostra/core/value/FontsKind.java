package giostra.core.value;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** Fonts of the site that are one family together, by their ids with spaces between. */
public record FontsKind() implements MediaKind {
  /** How many files a family may have: nine weights, upright and slanted. */
  public static final int MOST = 18;

  @Override
  public String read(String what, Object raw) {
    List<String> ids = ids(raw.toString());
    if (ids.size() > MOST || ids.stream().anyMatch(id -> !id.matches("[a-z0-9-]{1,80}"))) {
      throw new Refused(what, raw.toString(), allowed());
    }
    return String.join(" ", ids);
  }

  /** The ids that are in a value, each once. */
  public static List<String> ids(String value) {
    return Arrays.stream(value.strip().split("\\s+"))
        .filter(id -> !id.isEmpty())
        .distinct()
        .collect(Collectors.toUnmodifiableList());
  }

  @Override
  public String allowed() {
    return "ids of at most " + MOST + " fonts of this site, with spaces between";
  }
}
