package giostra.server.page;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** Changes, and the revisions that they are made of. */
interface HistoryRows extends Repository<ChangeEntity, ChangeEntity.Key> {
  @Query("select c from ChangeEntity c where c.siteId = ?1 and c.number = ?2")
  Optional<ChangeEntity> change(String siteId, long number);

  @Query("select count(c) > 0 from ChangeEntity c where c.siteId = ?1 and c.key = ?2")
  boolean done(String siteId, String key);

  @Query("select r from RevisionEntity r where r.pageId = ?1 and r.number = ?2")
  Optional<RevisionEntity> revision(String pageId, int number);

  @Query("select s from SiteRevisionEntity s where s.siteId = ?1 and s.number = ?2")
  Optional<SiteRevisionEntity> site(String siteId, int number);

  /** The revision of a site that a change made. */
  @Query("select s from SiteRevisionEntity s where s.siteId = ?1 and s.change = ?2")
  Optional<SiteRevisionEntity> siteOf(String siteId, long change);

  /** The revisions of pages that a change made. */
  @Query(
      "select r from RevisionEntity r join PageEntity p on p.id = r.pageId"
          + " where p.siteId = ?1 and r.change = ?2")
  List<RevisionEntity> pagesOf(String siteId, long change);

  /**
   * What a change touched.
   *
   * @param pageId null for what all pages share
   * @param root see {@link ChangeEntity#root}
   * @param paths as they are kept
   */
  record Touched(long change, long root, @Nullable String pageId, String paths) {}

  @Query(
      "select new giostra.server.page.HistoryRows$Touched(r.change, c.root, r.pageId, r.paths)"
          + " from RevisionEntity r join PageEntity p on p.id = r.pageId"
          + " join ChangeEntity c on c.siteId = p.siteId and c.number = r.change"
          + " where p.siteId = ?1 and r.change > ?2")
  List<Touched> pagesSince(String siteId, long change);

  @Query(
      "select new giostra.server.page.HistoryRows$Touched(s.change, c.root, null, s.paths)"
          + " from SiteRevisionEntity s"
          + " join ChangeEntity c on c.siteId = s.siteId and c.number = s.change"
          + " where s.siteId = ?1 and s.change > ?2")
  List<Touched> siteSince(String siteId, long change);

  /**
   * What a list of revisions shows.
   *
   * @param by who made it; null where that is not known
   */
  record RevisionLine(
      int number, String kind, int siteNumber, Instant createdAt, @Nullable String by) {}

  @Query(
      "select new giostra.server.page.HistoryRows$RevisionLine(r.number, r.kind, r.siteNumber, r.createdAt,"
          + " w.name)"
          + " from RevisionEntity r join PageEntity p on p.id = r.pageId"
          + " left join ChangeEntity c on c.siteId = p.siteId and c.number = r.change"
          + " left join PersonEntity w on w.id = c.personId"
          + " where r.pageId = ?1 order by r.number desc limit 200")
  List<RevisionLine> lines(String pageId);
}
