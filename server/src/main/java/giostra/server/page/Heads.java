package giostra.server.page;

import giostra.core.format.DocumentJson;
import giostra.core.value.Refused;
import giostra.server.web.Gone;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Pages at their newest revisions, read in a transaction of the caller's. */
@Component
class Heads {
  private static final Logger LOG = LoggerFactory.getLogger(Heads.class);

  private final PageRows pages;
  private final History history;
  private final Documents documents;

  Heads(PageRows pages, History history, Documents documents) {
    this.pages = pages;
    this.history = history;
    this.documents = documents;
  }

  /** A page, whether it can be read or not. */
  PageService.Shown shown(PageRows.PageLine page) {
    try {
      PageService.Head head = of(page);
      List<Refused> mended = documents.mended(page);
      return new PageService.Shown(
          page.id(),
          page.slug(),
          head,
          mended.isEmpty()
              ? ""
              : "Not all of it can be read as it was kept: " + mended.getFirst().getMessage());
    } catch (RuntimeException e) {
      LOG.warn("page {} cannot be read", page.id(), e);
      String why = e instanceof Refused || e instanceof DocumentJson.Faults ? e.getMessage() : "";
      return new PageService.Shown(
          page.id(), page.slug(), null, ("This page cannot be read. " + why).strip());
    }
  }

  /** A page as its row says. */
  PageService.Head of(PageRows.PageLine page) {
    return of(new History.Stand(page, history.ways(page)));
  }

  /** A page as it stands. */
  PageService.Head of(History.Stand stand) {
    PageRows.PageLine page = stand.page();
    History.Ways ways = stand.ways();
    return new PageService.Head(
        page.id(),
        page.siteId(),
        page.slug(),
        page.head(),
        page.siteHead(),
        ways.undo(),
        ways.redo(),
        documents.of(page),
        page.liveRelease());
  }

  /** The row of a page that is there. */
  PageRows.PageLine page(String id) {
    return pages
        .line(id)
        .filter(page -> page.putAwayAt() == null)
        .orElseThrow(() -> new Gone("page", id));
  }
}
