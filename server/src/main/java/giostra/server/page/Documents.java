package giostra.server.page;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.format.DocumentJson;
import giostra.core.format.Upgrade;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Page;
import giostra.core.page.Site;
import giostra.core.value.Refused;
import giostra.server.web.Gone;
import giostra.server.web.Later;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Documents of revisions, a page's with its site's. The newest of each page is remembered: a
 * revision never changes, so what is kept is never wrong, and all of it can go at any time.
 */
@Component
class Documents {
  /** Nodes of the documents that are remembered, together; each takes some 600 bytes. */
  private static final long MOST_NODES = 40_000;

  /** A revision of a page, with one of its site. */
  private record Revision(String page, int number, int siteNumber) {}

  /** A revision with what was read of it. */
  private record Newest(Revision revision, DocumentJson.Kept kept) {}

  private final HistoryRows rows;

  /** By page: what was read or written last of it, which is nearly always what is asked for. */
  private final Cache<String, Newest> newest =
      Caffeine.newBuilder()
          .maximumWeight(MOST_NODES)
          .weigher((String _, Newest each) -> each.kept().document().size())
          .build();

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
    var head = new Revision(page.id(), page.head(), page.siteHead());
    Newest known = newest.getIfPresent(page.id());
    if (known != null && known.revision().equals(head)) {
      return known.kept();
    }
    DocumentJson.Kept made = made().get(head);
    if (made != null) {
      return made;
    }
    DocumentJson.Kept kept = at(page.siteId(), head);
    newest.put(page.id(), new Newest(head, kept));
    return kept;
  }

  /** A page as it was, on its site as it was then. */
  Document at(PageRows.PageLine page, int number) {
    int site = revision(page.id(), number).siteNumber;
    return at(page.siteId(), new Revision(page.id(), number, site)).document();
  }

  /** A page as it was, on its site as it was at another time. */
  Document at(PageRows.PageLine page, int number, int siteNumber) {
    return at(page.siteId(), new Revision(page.id(), number, siteNumber)).document();
  }

  private DocumentJson.Kept at(String siteId, Revision wanted) {
    RevisionEntity page = revision(wanted.page(), wanted.number());
    SiteRevisionEntity site =
        rows.site(siteId, wanted.siteNumber())
            .orElseThrow(() -> new Gone("revision of site " + siteId, "" + wanted.siteNumber()));
    known(Math.max(site.version, page.version));
    return DocumentJson.kept(
        Upgrade.site(DocumentJson.parse(site.document), site.version),
        Upgrade.node(DocumentJson.parse(page.document), page.version),
        DocumentJson.VERSION);
  }

  /** What the pages of a site share, at a revision. */
  Site site(String siteId, int number) {
    SiteRevisionEntity row =
        rows.site(siteId, number)
            .orElseThrow(() -> new Gone("revision of site " + siteId, "" + number));
    known(row.version);
    var page = DocumentJson.write(new Page("page", Values.NONE, List.of()));
    return DocumentJson.kept(
            Upgrade.site(DocumentJson.parse(row.document), row.version), page, DocumentJson.VERSION)
        .document()
        .site();
  }

  /** While a newer program takes over, an older one may come upon what that has written. */
  private static void known(int version) {
    if (version > DocumentJson.VERSION) {
      throw Later.elsewhere(
          "A newer Giostra, which is taking over from this one, has changed it last. Nothing was"
              + " changed now; try again in a moment.",
          2);
    }
  }

  private RevisionEntity revision(String pageId, int number) {
    return rows.revision(pageId, number).orElseThrow(() -> new Gone("revision", "" + number));
  }

  /**
   * Remembers a document: whoever has made it at once, all others when its revision is there for
   * good. What is rolled back never was.
   */
  void keep(String pageId, int number, int siteNumber, Document document) {
    Map<Revision, DocumentJson.Kept> made = made();
    if (made.isEmpty()) {
      var own = new Made();
      own.resume();
      TransactionSynchronizationManager.registerSynchronization(own);
      made = own.documents;
    }
    made.put(new Revision(pageId, number, siteNumber), new DocumentJson.Kept(document, List.of()));
  }

  /** The documents that the transaction has made which runs on this thread. */
  @SuppressWarnings("unchecked")
  private Map<Revision, DocumentJson.Kept> made() {
    Object made = TransactionSynchronizationManager.getResource(this);
    return made == null ? Map.of() : (Map<Revision, DocumentJson.Kept>) made;
  }

  /** Documents of a transaction, bound to its thread while it runs there. */
  private final class Made implements TransactionSynchronization {
    private final Map<Revision, DocumentJson.Kept> documents = new LinkedHashMap<>();

    @Override
    public void resume() {
      TransactionSynchronizationManager.bindResource(Documents.this, documents);
    }

    @Override
    public void suspend() {
      TransactionSynchronizationManager.unbindResource(Documents.this);
    }

    @Override
    public void afterCommit() {
      documents.forEach(
          (revision, kept) -> newest.put(revision.page(), new Newest(revision, kept)));
    }

    @Override
    public void afterCompletion(int status) {
      suspend();
    }
  }
}
