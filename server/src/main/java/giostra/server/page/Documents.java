package giostra.server.page;

import giostra.core.format.DocumentJson;
import giostra.core.page.Document;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Documents of the revisions that were read or written last. A revision never changes, so what is
 * kept is never wrong; all of it can go at any time.
 */
final class Documents {
  private static final int KEPT = 48;

  private final Map<String, Document> byRevision =
      new LinkedHashMap<>(64, .75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Document> eldest) {
          return size() > KEPT;
        }
      };

  synchronized Document of(RevisionEntity row) {
    return byRevision.computeIfAbsent(key(row), _ -> DocumentJson.read(row.document));
  }

  /** Keeps a document once its revision is there for good: what is rolled back never was. */
  void keep(RevisionEntity row, Document document) {
    String key = key(row);
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            put(key, document);
          }
        });
  }

  private synchronized void put(String key, Document document) {
    byRevision.put(key, document);
  }

  private static String key(RevisionEntity row) {
    return row.pageId + "/" + row.number;
  }
}
