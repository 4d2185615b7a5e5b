package giostra.server.page;

import giostra.server.site.SiteRows;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/**
 * The rows of pages, read as values: see {@link giostra.server.site.SiteRows}. A page is read in
 * one statement with the number of its site's revision, so that both are of one moment.
 */
interface PageRows extends Repository<PageEntity, String> {
  /**
   * A page.
   *
   * @param title what it is called at its newest revision; empty for none
   * @param head number of its newest revision
   * @param siteHead number of its site's newest revision
   * @param lastChange number of the newest change that was made from it
   * @param putAwayAt when it, or its site, was put away; null for one that is there
   */
  record PageLine(
      String id,
      String siteId,
      String slug,
      String title,
      int head,
      int siteHead,
      long lastChange,
      @Nullable Long liveRelease,
      @Nullable Instant putAwayAt) {
    /** The page after a change. */
    PageLine at(String title, int head, int siteHead, long lastChange) {
      return new PageLine(
          id, siteId, slug, title, head, siteHead, lastChange, liveRelease, putAwayAt);
    }
  }

  String NEW =
      "new giostra.server.page.PageRows$PageLine(p.id, p.siteId, p.slug, p.title, p.head, s.head,"
          + " p.lastChange, p.liveRelease, coalesce(p.putAwayAt, s.putAwayAt))";

  String FROM = " from PageEntity p join SiteEntity s on s.id = p.siteId ";

  String LINE = "select " + NEW + FROM;

  @Query(LINE + "where p.id = ?1")
  Optional<PageLine> line(String id);

  /** Holds the site of a page until the transaction ends. */
  @Query(
      value = "select id from site where id = (select site_id from page where id = ?1) for update",
      nativeQuery = true)
  Optional<String> hold(String id);

  /** A page with its site, once that is held: what is read of both then stands. */
  @Query(
      "select new giostra.server.page.History$Held("
          + SiteRows.NEW
          + ", "
          + NEW
          + ", exists(select 1 from StockEntity k where k.siteId = p.siteId and k.homePage = p.id))"
          + FROM
          + "where p.id = ?1")
  Optional<History.Held> held(String id);

  /** The pages of a site that are there, oldest first. */
  @Query(LINE + "where p.siteId = ?1 and p.putAwayAt is null order by p.createdAt, p.id")
  List<PageLine> ofSite(String siteId);

  /** All pages of a site, those that are put away as well. */
  @Query(LINE + "where p.siteId = ?1 order by p.createdAt, p.id")
  List<PageLine> allOfSite(String siteId);

  @Query(LINE + "where p.siteId = ?1 and p.slug = ?2")
  Optional<PageLine> find(String siteId, String slug);

  /** Pages of sites that are there which are put away themselves, the last one first. */
  @Query(
      LINE
          + "where p.putAwayAt is not null and s.putAwayAt is null order by p.putAwayAt desc, p.id")
  List<PageLine> putAway();

  @Query("select p.id from PageEntity p where p.putAwayAt < ?1")
  List<String> putAwayBefore(Instant time);

  /** Takes an id and an address for a new page; 0 when one of them is taken. */
  @Modifying(flushAutomatically = true)
  @Query(
      value =
          "insert into page (id, site_id, slug, head, created_at) values (?1, ?2, ?3, 0, ?4)"
              + " on conflict do nothing",
      nativeQuery = true)
  int insert(String id, String siteId, String slug, Instant at);

  /** After a change that was made elsewhere. */
  @Modifying(flushAutomatically = true)
  @Query("update PageEntity p set p.head = ?2, p.title = ?3 where p.id = ?1")
  void changed(String id, int head, String title);

  /** After a change that was made from it. */
  @Modifying(flushAutomatically = true)
  @Query("update PageEntity p set p.head = ?2, p.title = ?3, p.lastChange = ?4 where p.id = ?1")
  void changed(String id, int head, String title, long change);

  @Modifying(flushAutomatically = true)
  @Query("update PageEntity p set p.liveRelease = ?2 where p.id = ?1")
  void live(String id, long release);

  @Modifying(flushAutomatically = true)
  @Query("update PageEntity p set p.slug = ?2 where p.id = ?1")
  void address(String id, String slug);

  @Modifying(flushAutomatically = true)
  @Query("update PageEntity p set p.putAwayAt = ?2 where p.id = ?1")
  void putAway(String id, @Nullable Instant at);

  // --- what goes for good ---

  @Modifying(flushAutomatically = true)
  @Query(value = "delete from revision where page_id = ?1", nativeQuery = true)
  void deleteRevisions(String id);

  @Modifying(flushAutomatically = true)
  @Query(value = "delete from former_address where page_id = ?1", nativeQuery = true)
  void deleteFormer(String id);

  @Modifying(flushAutomatically = true)
  @Query(value = "delete from page where id = ?1", nativeQuery = true)
  void delete(String id);

  // --- addresses that pages had before ---

  @Query(
      value = "select page_id from former_address where site_id = ?1 and slug = ?2",
      nativeQuery = true)
  Optional<String> formerly(String siteId, String slug);

  @Modifying(flushAutomatically = true)
  @Query(
      value =
          "insert into former_address (site_id, slug, page_id) values (?1, ?2, ?3)"
              + " on conflict (site_id, slug) do update set page_id = ?3",
      nativeQuery = true)
  void noteFormer(String siteId, String slug, String pageId);

  @Modifying(flushAutomatically = true)
  @Query(value = "delete from former_address where site_id = ?1 and slug = ?2", nativeQuery = true)
  void forgetFormer(String siteId, String slug);

  /** The revisions that a release was made of. */
  record Released(int revision, int siteRevision) {}

  @Query(
      value =
          """
          select revision as "revision", site_revision as "siteRevision" from release
          where page_id = ?1 and number = ?2
          """,
      nativeQuery = true)
  Optional<Released> released(String page, int number);
}
