package giostra.server.page;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.page.Document;
import giostra.core.snag.Leaves;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.snag.Stress;
import giostra.core.snag.Sweep;
import giostra.server.media.MediaService;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What is found on the pages that are worked on; remembers the last sweep of each of some. */
@Component
public class Findings {
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

  Findings(PageService pages, MediaService media, Meters meters) {
    this.pages = pages;
    this.media = media;
    this.meters = meters;
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
   * How many there are on a page that count. Pages that nobody works on are gone through for it:
   * they take no place of those that somebody does.
   */
  public int counted(PageService.Head head) {
    List<Snag> found =
        sweeps.getIfPresent(head.id()) == null
            ? Snags.of(pages.shown(head), media.sizes(head.siteId()), 0)
            : of(head);
    return Leaves.counted(pages.shown(head), found).size();
  }
}
