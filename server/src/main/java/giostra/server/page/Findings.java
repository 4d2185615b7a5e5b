package giostra.server.page;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Linking;
import giostra.core.snag.Leaves;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.snag.Stress;
import giostra.core.snag.Sweep;
import giostra.server.media.MediaService;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** What is found on the pages that are worked on; remembers the last sweep of each of some. */
@Component
public class Findings {
  private static final Logger LOG = LoggerFactory.getLogger(Findings.class);

  /** Nodes of the pages whose sweeps are remembered, together. */
  private static final long MOST_NODES = 4_000;

  private final PageService pages;
  private final MediaService media;
  private final Meters meters;
  private final Cache<String, Sweep> sweeps =
      Caffeine.newBuilder()
          .maximumWeight(MOST_NODES)
          .weigher((String _, Sweep sweep) -> 1 + sweep.nodes())
          .build();

  /** All that the findings of a page depend on which links to nothing. */
  private record Seen(String page, int revision, int siteRevision, PictureSizes pictures) {}

  /**
   * How many there are on a page.
   *
   * @param failed whether the page could not be gone through
   */
  public record Count(int snags, boolean failed) {}

  private final Cache<Seen, Count> counts = Caffeine.newBuilder().maximumSize(10_000).build();

  /** Pages that are being counted, or wait for it. */
  private final Set<Seen> counted = ConcurrentHashMap.newKeySet();

  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().name("findings").daemon().factory());

  Findings(PageService pages, MediaService media, Meters meters) {
    this.pages = pages;
    this.media = media;
    this.meters = meters;
  }

  @PreDestroy
  void stop() {
    worker.shutdownNow();
  }

  /** Everything that is found on a page, on a screen whose scrollbar overlays it. */
  public List<Snag> of(PageService.Head head) {
    Sweep sweep = sweeps.get(head.id(), _ -> new Sweep());
    synchronized (sweep) {
      List<Snag> found =
          meters.sweep.record(() -> sweep.of(pages.shown(head), media.sizes(head.siteId()), 0));
      // Once more, since it weighs something else now.
      sweeps.put(head.id(), sweep);
      return found;
    }
  }

  /**
   * A page as life changes it, and what is found on it.
   *
   * @param own the page as it is
   * @param document the page as it is looked at
   */
  record Swept(Document own, Document document, List<Snag> found) {
    /** The finding with that key. */
    Optional<Snag> named(String key) {
      return found.stream().filter(each -> each.key().equals(key)).findFirst();
    }
  }

  /**
   * Goes through a page.
   *
   * @param stress the word of what it is put to; empty for the page as it is
   */
  Swept swept(PageService.Head head, String stress) {
    Document own = pages.shown(head);
    if (stress.isEmpty()) {
      return new Swept(own, own, of(head));
    }
    Document changed = Stress.named(stress).of(own);
    return new Swept(own, changed, Snags.of(changed, media.sizes(head.siteId()), 0));
  }

  /**
   * How many there are on a page that count. A shelf has many pages: one that is not known yet is
   * gone through when there is time, and whoever asks again is told.
   */
  public Optional<Count> count(PageService.Head head) {
    var seen =
        new Seen(head.id(), head.revision(), head.siteRevision(), media.sizes(head.siteId()));
    @Nullable Count known = counts.getIfPresent(seen);
    // What something is linked to may have changed without the page.
    boolean stands = known != null && head.document().nodes().noneMatch(Linking::linked);
    if (!stands && counted.add(seen)) {
      worker.execute(() -> {
        try {
          counts.put(seen, counted(head));
        } finally {
          counted.remove(seen);
        }
      });
    }
    return Optional.ofNullable(known);
  }

  private Count counted(PageService.Head head) {
    try {
      return new Count(Leaves.counted(pages.shown(head), of(head)).size(), false);
    } catch (RuntimeException e) {
      LOG.warn("page {} cannot be looked through", head.id(), e);
      return new Count(0, true);
    }
  }
}
