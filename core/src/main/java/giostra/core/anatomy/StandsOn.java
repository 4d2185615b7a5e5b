package giostra.core.anatomy;

import giostra.core.look.Part;
import giostra.core.room.Rooms;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which parts have others under them: what words are read against. What is not among them stands on
 * its section.
 */
public final class StandsOn {
  /** What items of most kinds have on them. */
  public static final List<Part> WORDS =
      List.of(
          PageParts.KICKER,
          PageParts.SUBHEADING,
          PageParts.ITEM_TEXT,
          PageParts.EMPHASIS,
          PageParts.LINK,
          PageParts.BUTTON,
          PageParts.SECOND_BUTTON,
          PageParts.ICON);

  private StandsOn() {}

  /**
   * What a part has under it in things that have some parts.
   *
   * @param kind all parts of what it is a part of
   */
  public static Optional<Part> under(Part part, List<Part> kind) {
    for (Part ground : Known.UNDER.getOrDefault(part, List.of())) {
      if (kind.contains(ground)) {
        return Optional.of(ground);
      }
    }
    return Optional.empty();
  }

  /** What all rooms say of it, asked once: the grounds of each part, in the order of the rooms. */
  private static final class Known {
    static final Map<Part, List<Part>> UNDER =
        Rooms.all().stream()
            .flatMap(room -> room.under().entrySet().stream())
            .collect(
                Collectors.groupingBy(
                    Map.Entry::getKey,
                    Collectors.mapping(Map.Entry::getValue, Collectors.toUnmodifiableList())));
  }

  /** Parts that have one under them: some words, and some of their own. */
  public static Map<Part, Part> on(Part ground, List<Part> words, Part... own) {
    return Stream.concat(words.stream(), Stream.of(own))
        .collect(Collectors.toUnmodifiableMap(part -> part, _ -> ground));
  }
}
