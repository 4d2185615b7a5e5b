package giostra.server.release;

import giostra.core.format.ProofSheet;
import giostra.core.page.Document;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.server.media.MediaService;
import giostra.server.page.Findings;
import giostra.server.page.PageService;
import giostra.server.page.Revisions;
import giostra.server.stock.StockService;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is found on a page as it stands, or on that of a release. */
@Component
class Proofs {
  /**
   * A page with all that is found on it.
   *
   * @param release that it is of; none as it stands
   */
  record Proof(Document document, List<Snag> found, Optional<ProofSheet.Release> release) {}

  private final PageService pages;
  private final Revisions revisions;
  private final ReleaseService releases;
  private final MediaService media;
  private final StockService stock;
  private final Findings findings;

  Proofs(
      PageService pages,
      Revisions revisions,
      ReleaseService releases,
      MediaService media,
      StockService stock,
      Findings findings) {
    this.pages = pages;
    this.revisions = revisions;
    this.releases = releases;
    this.media = media;
    this.stock = stock;
    this.findings = findings;
  }

  /** Of a release of a page, or as it stands where none is named. */
  Proof of(String id, @Nullable Integer release) {
    if (release != null) {
      return of(id, releases.held(id, release));
    }
    PageService.Head head = pages.head(id);
    return new Proof(pages.shown(head), findings.of(head), Optional.empty());
  }

  private Proof of(String id, ReleaseService.Held held) {
    String siteId = pages.place(id).siteId();
    Document document =
        stock.expanded(siteId, revisions.was(id, held.revision(), held.siteRevision()));
    return new Proof(
        document,
        Snags.of(document, media.sizes(siteId), 0),
        Optional.of(releases.told(held, siteId, document)));
  }
}
