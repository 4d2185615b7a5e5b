package giostra.server.shelf;

import giostra.server.page.Findings;
import giostra.server.page.PageService;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * How much is found on the pages of the shelf. A page that nobody has gone through as it stands is
 * gone through when there is time, one after the other, and whoever asks again is told. Whoever
 * does not ask again has gone elsewhere, and what they would have been told is not looked for.
 */
@Component
class Counting {
  private static final Logger LOG = LoggerFactory.getLogger(Counting.class);

  private final ShelfRows rows;
  private final PageService pages;
  private final Findings findings;
  private final Built built;

  /** Somebody who looks at the shelf asks more often than that, in ns. */
  private static final long ASKED_AGAIN = Duration.ofSeconds(6).toNanos();

  /**
   * Pages that wait to be counted, with when they were last asked for, as the JVM's clock has it.
   */
  private final Map<String, Long> waiting = new ConcurrentHashMap<>();

  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().name("counting").daemon().factory());

  Counting(ShelfRows rows, PageService pages, Findings findings, Built built) {
    this.rows = rows;
    this.pages = pages;
    this.findings = findings;
    this.built = built;
  }

  @PreDestroy
  void stop() {
    worker.shutdownNow();
  }

  /** What there is of the pictures of sites, a word for each; none for a site without. */
  Map<String, String> pictures(Set<String> sites) {
    return sites.isEmpty()
        ? Map.of()
        : rows.pictures(sites).stream()
            .collect(Collectors.toMap(ShelfRows.Pictures::getSite, ShelfRows.Pictures::getMark));
  }

  /** All that what is found on a page depends on. */
  String of(ShelfRows.Line line, Map<String, String> pictures) {
    // What it links to changes with other pages of its site.
    boolean linked = Boolean.TRUE.equals(line.getLinked());
    return String.join(
        " ",
        built.word(),
        "" + line.getHead(),
        "" + line.getSiteHead(),
        pictures.getOrDefault(line.getSite(), "none"),
        linked ? "" + line.getLastChange() : "alone");
  }

  /** Has a page gone through. */
  void ask(String page) {
    if (waiting.put(page, System.nanoTime()) == null) {
      worker.execute(() -> {
        // Whoever asks from now on means a page that may have changed since.
        Long asked = waiting.remove(page);
        if (asked != null && System.nanoTime() - asked < ASKED_AGAIN) {
          count(page);
        }
      });
    }
  }

  private void count(String page) {
    try {
      List<ShelfRows.Line> found = rows.line(page);
      if (found.isEmpty()) {
        return;
      }
      ShelfRows.Line line = found.getFirst();
      // Read before the page is: at worst it is gone through once more.
      String of = of(line, pictures(Set.of(line.getSite())));
      if (!of.equals(line.getCountedOf())) {
        @Nullable Integer snags = snags(page);
        rows.count(page, of, Objects.requireNonNullElse(snags, 0), snags == null);
      }
    } catch (RuntimeException e) {
      LOG.warn("page {} cannot be counted", page, e);
    }
  }

  /** How many there are that count; null when it cannot be gone through. */
  private @Nullable Integer snags(String page) {
    try {
      return findings.counted(pages.head(page));
    } catch (RuntimeException e) {
      LOG.warn("page {} cannot be looked through", page, e);
      return null;
    }
  }
}
