package giostra.core.anatomy;

import giostra.core.look.Part;
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
  private static final List<Part> WORDS =
      List.of(
          PageParts.KICKER,
          PageParts.SUBHEADING,
          PageParts.ITEM_TEXT,
          PageParts.BUTTON,
          PageParts.SECOND_BUTTON,
          PageParts.ICON);

  private static final Map<Part, Part> CARD =
      all(
          TrackParts.CARD,
          WORDS,
          TrackParts.CARD_HEADING,
          TrackParts.QUOTATION_TEXT,
          TrackParts.QUOTE_MARK,
          TrackParts.SPEAKER_NAME,
          TrackParts.ROLE);
  private static final Map<Part, Part> TABS = all(PanelParts.PANEL, WORDS);
  private static final Map<Part, Part> ACCORDION =
      all(PanelParts.ROW, WORDS, PanelParts.QUESTION, PanelParts.SHARE, PanelParts.MARKER);
  private static final Map<Part, Part> FLIP =
      joined(
          all(GridParts.FRONT, List.of(), GridParts.HEADING, GridParts.ICON, PageParts.ITEM_TEXT),
          all(
              GridParts.BACK,
              List.of(),
              GridParts.BACK_HEADING,
              GridParts.BACK_TEXT,
              GridParts.BACK_ICON,
              GridParts.BACK_BUTTON));
  private static final Map<Part, Part> COUNTERS =
      all(GridParts.FIGURE, List.of(), GridParts.NUMBER, GridParts.TITLE, GridParts.COUNTER_ICON);

  private static final List<Map<Part, Part>> ALL = List.of(CARD, TABS, ACCORDION, FLIP, COUNTERS);

  private StandsOn() {}

  /**
   * What a part has under it in things that have some parts.
   *
   * @param kind all parts of what it is a part of
   */
  public static Optional<Part> under(Part part, List<Part> kind) {
    return ALL.stream()
        .map(map -> Optional.ofNullable(map.get(part)))
        .flatMap(Optional::stream)
        .filter(kind::contains)
        .findFirst();
  }

  private static Map<Part, Part> all(Part ground, List<Part> words, Part... own) {
    return Stream.concat(words.stream(), Stream.of(own))
        .collect(Collectors.toUnmodifiableMap(part -> part, _ -> ground));
  }

  private static Map<Part, Part> joined(Map<Part, Part> one, Map<Part, Part> other) {
    return Stream.of(one, other)
        .flatMap(map -> map.entrySet().stream())
        .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue));
  }
}
