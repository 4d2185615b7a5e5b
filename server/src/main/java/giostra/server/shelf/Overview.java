package giostra.server.shelf;

import giostra.core.page.PageSettings;
import giostra.server.host.StagePort;
import giostra.server.page.Findings;
import giostra.server.page.PageService;
import giostra.server.release.ReleaseService;
import giostra.server.site.SiteRows;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** What is on the shelf. One site or page that is broken takes no other off it. */
@Component
class Overview {
  private static final Logger LOG = LoggerFactory.getLogger(Overview.class);

  private final PageService pages;
  private final ReleaseService releases;
  private final Findings findings;
  private final StagePort port;

  Overview(PageService pages, ReleaseService releases, Findings findings, StagePort port) {
    this.pages = pages;
    this.releases = releases;
    this.findings = findings;
    this.port = port;
  }

  /** All that is there. */
  ShelfReply all() {
    return new ShelfReply(port.stage(), pages.sites().stream().map(this::onShelf).toList());
  }

  private ShelfReply.ShelfSite onShelf(SiteRows.SiteLine site) {
    try {
      return new ShelfReply.ShelfSite(
          site.id(), site.name(), pages.shelf(site.id()).stream().map(this::onShelf).toList(), "");
    } catch (RuntimeException e) {
      LOG.warn("site {} cannot be shown", site.id(), e);
      return new ShelfReply.ShelfSite(
          site.id(), site.name(), List.of(), "This site cannot be read.");
    }
  }

  private ShelfReply.ShelfPage onShelf(PageService.Shown shown) {
    PageService.Head head = shown.head();
    if (head == null) {
      return new ShelfReply.ShelfPage(
          shown.id(), shown.slug(), shown.slug(), 0, 0, 0, null, false, shown.said(), true);
    }
    ReleaseService.Line live = releases.live(head.id()).orElse(null);
    String said = shown.said();
    Findings.Count count = findings.count(head).orElse(null);
    if (count != null && count.failed()) {
      said = "This page cannot be looked through for snags.";
    }
    return new ShelfReply.ShelfPage(
        head.id(),
        head.document().page().values().get(PageSettings.TITLE),
        head.slug(),
        head.revision(),
        head.document().pieces().size(),
        count == null ? null : count.snags(),
        live == null ? null : live.number(),
        live != null
            && (live.revision() < head.revision() || live.siteRevision() < head.siteRevision()),
        said,
        false);
  }
}
