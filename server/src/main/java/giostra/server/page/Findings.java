package giostra.server.page;

import giostra.core.snag.Snag;
import giostra.core.snag.Sweep;
import giostra.server.media.MediaService;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What is found on the pages that are worked on; remembers the last sweep of each of some. */
@Component
class Findings {
  private static final int KEPT = 16;

  private final PageService pages;
  private final MediaService media;
  private final Map<String, Sweep> sweeps =
      new LinkedHashMap<>(KEPT, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Sweep> eldest) {
          return size() > KEPT;
        }
      };

  Findings(PageService pages, MediaService media) {
    this.pages = pages;
    this.media = media;
  }

  /** Everything that is found on a page, on a screen whose scrollbar overlays it. */
  List<Snag> of(PageService.Head head) {
    Sweep sweep;
    synchronized (sweeps) {
      sweep = sweeps.computeIfAbsent(head.id(), _ -> new Sweep());
    }
    synchronized (sweep) {
      return sweep.of(pages.shown(head), media.sizes(head.siteId()), 0);
    }
  }
}
