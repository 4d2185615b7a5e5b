package giostra.server.icon;

import giostra.core.output.Shipped;
import giostra.core.value.Require;
import giostra.server.host.ShippedFiles;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One set of icons, each drawn in a box of 24 by 24. */
@Component
public class IconSet implements Shipped.IconSet {
  private static final int PAGE = 96;

  private final SortedMap<String, Icon> icons = new TreeMap<>();

  /**
   * An icon.
   *
   * @param draw what is drawn, as SVG elements
   */
  public record Icon(String name, String draw, List<String> tags) {}

  IconSet(JsonMapper mapper) {
    for (var each : mapper.readTree(ShippedFiles.load("icons.json")).properties()) {
      JsonNode icon = each.getValue();
      icons.put(
          each.getKey(),
          new Icon(
              each.getKey(),
              icon.path("draw").asString(),
              icon.path("tags").valueStream().map(JsonNode::asString).toList()));
    }
  }

  /** What an icon of that name draws. */
  @Override
  public Optional<String> find(String name) {
    return Optional.ofNullable(icons.get(name)).map(Icon::draw);
  }

  /**
   * Icons that were found.
   *
   * @param all how many there are
   * @param pages how many pages they fill
   */
  public record Found(int all, int pages, List<Icon> icons) {}

  /** One page of what {@link #search} finds, counted from 1. */
  public Found page(String words, int page) {
    Require.within(1, 1000, "page", page);
    List<Icon> found = search(words);
    return new Found(
        found.size(),
        (found.size() + PAGE - 1) / PAGE,
        found.stream().skip((page - 1L) * PAGE).limit(PAGE).toList());
  }

  /** Icons whose name or tags hold all the words, those named so first. */
  public List<Icon> search(String words) {
    List<String> wanted =
        Stream.of(words.toLowerCase(Locale.ROOT).split("[\\s-]+"))
            .filter(word -> !word.isEmpty())
            .toList();
    Stream<Icon> named = icons.values().stream().filter(icon -> named(icon, wanted));
    Stream<Icon> tagged =
        icons.values().stream().filter(icon -> !named(icon, wanted) && tagged(icon, wanted));
    return Stream.concat(named, tagged).toList();
  }

  private static boolean named(Icon icon, List<String> words) {
    return words.stream().allMatch(icon.name()::contains);
  }

  private static boolean tagged(Icon icon, List<String> words) {
    return words.stream()
        .allMatch(word ->
            named(icon, List.of(word)) || icon.tags().stream().anyMatch(t -> t.contains(word)));
  }
}
