package giostra.server.page;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.snag.Snag;
import giostra.core.snag.Sweep;
import giostra.server.media.MediaService;
import java.util.List;
import org.springframework.stereotype.Component;

/** What is found on the pages that are worked on; remembers the last sweep of each of some. */
@Component
public class Findings {
  /** Pieces of the pages whose sweeps are remembered, together. */
  private static final long MOST_PIECES = 4_000;

  private final PageService pages;
  private final MediaService media;
  private final Cache<String, Sweep> sweeps =
      Caffeine.newBuilder()
          .maximumWeight(MOST_PIECES)
          .weigher((String _, Sweep sweep) -> 1 + sweep.pieces())
          .build();

  Findings(PageService pages, MediaService media) {
    this.pages = pages;
    this.media = media;
  }

  /** Everything that is found on a page, on a screen whose scrollbar overlays it. */
  public List<Snag> of(PageService.Head head) {
    Sweep sweep = sweeps.get(head.id(), _ -> new Sweep());
    synchronized (sweep) {
      List<Snag> found = sweep.of(pages.shown(head), media.sizes(head.siteId()), 0);
      // Once more, since it weighs something else now.
      sweeps.put(head.id(), sweep);
      return found;
    }
  }
}
