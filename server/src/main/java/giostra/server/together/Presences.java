package giostra.server.together;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Who is on which page, and what they have chosen there; forgotten where nobody says so again. */
@Component
class Presences {
  static final String HERE = "here";

  /** Windows say so every fifteen seconds. */
  private static final Duration FORGOTTEN = Duration.ofSeconds(40);

  /** Windows of one page. */
  private static final int MOST = 100;

  private final Clock clock;
  private final Map<String, Map<String, Present>> pages = new ConcurrentHashMap<>();

  Presences(Clock clock) {
    this.clock = clock;
  }

  /**
   * A window of somebody's.
   *
   * @param person id of whose it is
   * @param node that is chosen in it
   * @param path of the value that is being typed; empty for none
   */
  record Present(String window, String person, String name, String node, String path, Instant at) {}

  void heard(String page, JsonNode told) {
    Instant now = clock.instant();
    pages.compute(
        page,
        (_, before) -> {
          Map<String, Present> all = before == null ? new ConcurrentHashMap<>() : before;
          String window = told.path("window").asString();
          all.values().removeIf(each -> each.at.isBefore(now.minus(FORGOTTEN)));
          if (told.path("gone").asBoolean()) {
            all.remove(window);
          } else if (all.size() < MOST || all.containsKey(window)) {
            all.put(
                window,
                new Present(
                    window,
                    told.path("person").asString(),
                    told.path("name").asString(),
                    told.path("node").asString(),
                    told.path("path").asString(),
                    now));
          }
          return all.isEmpty() ? null : all;
        });
  }

  /** Who is on a page now. */
  List<Present> of(String page) {
    Instant old = clock.instant().minus(FORGOTTEN);
    return pages.getOrDefault(page, Map.of()).values().stream()
        .filter(each -> each.at.isAfter(old))
        .sorted(Comparator.comparing(Present::window))
        .toList();
  }
}
