package giostra.server.page;

import giostra.core.format.DocumentJson;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.SiteDifference;
import giostra.server.web.Gone;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What pages were, and how they become that again. */
@Service
public class Revisions {
  private final History history;
  private final Documents documents;
  private final Heads heads;
  private final PageRows pages;

  Revisions(History history, Documents documents, Heads heads, PageRows pages) {
    this.pages = pages;
    this.history = history;
    this.documents = documents;
    this.heads = heads;
  }

  /** The revisions of a page, newest first. */
  @Transactional(readOnly = true)
  public List<HistoryRows.RevisionLine> history(String pageId) {
    heads.page(pageId);
    return history.lines(pageId);
  }

  /**
   * What a page was.
   *
   * @param site in what its site differed from what it is now
   * @param gone what the page said for bands that are there no more, which goes when it is restored
   *     without its site
   */
  public record Was(Document document, List<SiteDifference> site, List<String> gone) {}

  /** A page as it was at a revision, and how its site differed then. */
  @Transactional(readOnly = true)
  public Was was(String pageId, int number) {
    PageRows.PageLine page = heads.page(pageId);
    Document old = documents.at(page, number);
    Document now = documents.of(page);
    return new Was(
        old,
        SiteDifference.between(old.site(), now.site()),
        old.bands().all().stream()
            .map(band -> band.id())
            .filter(id -> !DocumentJson.ids(now.bands()).contains(id))
            .flatMap(id -> Edits.goingWith(new Document(old.site(), old.page()), id).stream())
            .toList());
  }

  /** A page as it was at a revision, on its site as it was at one of that. */
  @Transactional(readOnly = true)
  public Document was(String pageId, int number, int siteNumber) {
    return documents.at(heads.page(pageId), number, siteNumber);
  }

  /**
   * A page as a link for review shows it.
   *
   * @param release number of a release; null for the page as it stands
   */
  @Transactional(readOnly = true)
  public Document reviewed(String pageId, @Nullable Integer release) {
    PageRows.PageLine page = heads.page(pageId);
    if (release == null) {
      return documents.of(page);
    }
    PageRows.Released made =
        pages
            .released(pageId, release)
            .orElseThrow(() -> new Gone("release", Integer.toString(release)));
    return documents.at(page, made.revision(), made.siteRevision());
  }

  /**
   * Appends a change that makes of a page what it was at a revision.
   *
   * @param site whether what it shares with its site becomes what it was then, on all pages
   */
  @Transactional
  public PageService.Change restore(String pageId, int number, boolean site, @Nullable String key) {
    History.Held held = history.hold(pageId);
    Document before = documents.of(held.page());
    if (history.done(held.site().id(), key)) {
      return changed(held, before, history.stand(held));
    }
    Document old = documents.at(held.page(), number);
    var edits = new ArrayList<Edit>();
    if (site) {
      edits.addAll(Edits.siteEdits(before.site(), old.site()));
    }
    edits.add(new Edit.ReplacePage(site ? old.page() : Edits.fitted(old.page(), before.bands())));
    return changed(held, before, history.append(held, "restore", key, edits));
  }

  private PageService.Change changed(History.Held held, Document before, History.Stand stand) {
    return new PageService.Change(before, held.stood(), heads.of(stand));
  }
}
