package giostra.server.page;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Linking;
import giostra.core.snag.Leaves;
import giostra.core.snag.Severity;
import giostra.core.snag.Snag;
import giostra.core.snag.Sweep;
import giostra.server.media.MediaService;
import java.util.List;
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

  /** All that the findings of a page depend on which links to nothing. */
  private record Seen(String page, int revision, int siteRevision, PictureSizes pictures) {}

  private final Cache<Seen, Integer> counts = Caffeine.newBuilder().maximumSize(10_000).build();

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
   * How many there are on a page that a visitor could meet and nobody leaves on purpose; of one
   * that has not changed since it is known.
   */
  public int count(PageService.Head head) {
    if (head.document().nodes().anyMatch(Linking::linked)) {
      return met(head);
    }
    var seen =
        new Seen(head.id(), head.revision(), head.siteRevision(), media.sizes(head.siteId()));
    Integer known = counts.getIfPresent(seen);
    int count = known == null ? met(head) : known;
    counts.put(seen, count);
    return count;
  }

  private int met(PageService.Head head) {
    Document document = pages.shown(head);
    return (int)
        of(head).stream()
            .filter(snag -> snag.rule().severity() != Severity.NOTE)
            .filter(snag -> !Leaves.left(document, snag))
            .count();
  }
}
