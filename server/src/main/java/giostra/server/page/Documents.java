package giostra.server.page;

import giostra.core.band.Refused;
import giostra.core.band.Values;
import giostra.core.format.DocumentJson;
import giostra.core.format.Upgrade;
import giostra.core.page.Document;
import giostra.core.page.Page;
import giostra.core.page.Site;
import giostra.server.web.Gone;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Documents of revisions, a page's with its site's. Those that were read or written last are
 * remembered: a revision never changes, so what is kept is never wrong, and all of it can go at any
 * time.
 */
@Component
class Documents {
  private static final int KEPT = 64;

  private final HistoryRows rows;
  private final Map<String, DocumentJson.Kept> byRevision =
      new LinkedHashMap<>(64, .75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, DocumentJson.Kept> eldest) {
          return size() > KEPT;
        }
      };

  Documents(HistoryRows rows) {
    this.rows = rows;
  }

  /** A page as it stands. */
  Document of(PageRows.PageLine page) {
    return read(page).document();
  }

  /** What of a page could not be read as it stands in the database. */
  List<Refused> mended(PageRows.PageLine page) {
    return read(page).mended();
  }

  private DocumentJson.Kept read(PageRows.PageLine page) {
    return at(page.siteId(), page.id(), page.head(), page.siteHead());
  }

  /** A page as it was, on its site as it was then. */
  Document at(PageRows.PageLine page, int number) {
    int site = revision(page.id(), number).siteNumber;
    return at(page.siteId(), page.id(), number, site).document();
  }

  /** Only what is in memory is guarded: nobody waits for the database of somebody else. */
  private DocumentJson.Kept at(String siteId, String pageId, int number, int siteNumber) {
    String key = key(pageId, number, siteNumber);
    synchronized (byRevision) {
      DocumentJson.Kept known = byRevision.get(key);
      if (known != null) {
        return known;
      }
    }
    RevisionEntity page = revision(pageId, number);
    SiteRevisionEntity site =
        rows.site(siteId, siteNumber)
            .orElseThrow(() -> new Gone("revision of site " + siteId, "" + siteNumber));
    var kept =
        DocumentJson.kept(
            Upgrade.site(DocumentJson.parse(site.document), site.version),
            Upgrade.node(DocumentJson.parse(page.document), page.version),
            DocumentJson.VERSION);
    put(key, kept);
    return kept;
  }

  /** What the pages of a site share, at a revision. */
  Site site(String siteId, int number) {
    SiteRevisionEntity row =
        rows.site(siteId, number)
            .orElseThrow(() -> new Gone("revision of site " + siteId, "" + number));
    var page = DocumentJson.write(new Page("page", Values.NONE, List.of()));
    return DocumentJson.kept(
            Upgrade.site(DocumentJson.parse(row.document), row.version), page, DocumentJson.VERSION)
        .document()
        .site();
  }

  private RevisionEntity revision(String pageId, int number) {
    return rows.revision(pageId, number).orElseThrow(() -> new Gone("revision", "" + number));
  }

  /** Keeps a document once its revision is there for good: what is rolled back never was. */
  void keep(String pageId, int number, int siteNumber, Document document) {
    String key = key(pageId, number, siteNumber);
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            put(key, new DocumentJson.Kept(document, List.of()));
          }
        });
  }

  private void put(String key, DocumentJson.Kept kept) {
    synchronized (byRevision) {
      byRevision.put(key, kept);
    }
  }

  private static String key(String pageId, int number, int siteNumber) {
    return pageId + "/" + number + "/" + siteNumber;
  }
}
