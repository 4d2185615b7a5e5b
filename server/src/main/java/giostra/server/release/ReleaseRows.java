package giostra.server.release;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface ReleaseRows extends JpaRepository<ReleaseEntity, Long> {
  List<ReleaseEntity> findByPageIdOrderByNumberDesc(String pageId);

  Optional<ReleaseEntity> findByPageIdAndNumber(String pageId, int number);

  @Modifying
  @Query("update ReleaseEntity r set r.note = ?3 where r.pageId = ?1 and r.number = ?2")
  int say(String pageId, int number, String note);

  /** A file of a release, with the policy that it is served under. */
  record File(String hash, String type, String policy) {}

  @Query(
      "select new giostra.server.release.ReleaseRows$File(f.hash, f.type, r.policy)"
          + " from ReleaseFileEntity f join ReleaseEntity r on r.id = f.releaseId"
          + " where f.releaseId = ?1 and f.path = ?2")
  Optional<File> file(long release, String path);

  /** A file of what is live of a page. */
  record LiveFile(String path, String hash, String type, long bytes, String policy) {}

  /** All files of the release of a page that is live; none where none is. */
  @Transactional(readOnly = true)
  @Query(
      "select new giostra.server.release.ReleaseRows$LiveFile("
          + "f.path, f.hash, f.type, f.bytes, r.policy)"
          + " from PageEntity p join ReleaseEntity r on r.id = p.liveRelease"
          + " join SiteEntity s on s.id = p.siteId"
          + " join ReleaseFileEntity f on f.releaseId = r.id"
          + " where p.siteId = ?1 and p.slug = ?2 and p.putAwayAt is null and s.putAwayAt is null")
  List<LiveFile> liveFiles(String siteId, String slug);

  /**
   * A page that is live.
   *
   * @param since when its release was made
   */
  record Live(String slug, Instant since) {}

  @Query(
      "select new giostra.server.release.ReleaseRows$Live(p.slug, r.createdAt)"
          + " from PageEntity p join ReleaseEntity r on r.id = p.liveRelease"
          + " join SiteEntity s on s.id = p.siteId"
          + " where p.siteId = ?1 and p.putAwayAt is null and s.putAwayAt is null order by p.slug")
  List<Live> live(String siteId);

  /** Where a live page stands. */
  record Place(String site, String slug) {}

  /** What was released last of all that is live, the newest first. */
  @Transactional(readOnly = true)
  @Query(
      "select new giostra.server.release.ReleaseRows$Place(p.siteId, p.slug)"
          + " from PageEntity p join ReleaseEntity r on r.id = p.liveRelease"
          + " join SiteEntity s on s.id = p.siteId"
          + " where p.putAwayAt is null and s.putAwayAt is null order by r.createdAt desc")
  List<Place> newest(Limit most);

  @Modifying
  @Query(
      "delete from ReleaseFileEntity f where f.releaseId in"
          + " (select r.id from ReleaseEntity r where r.pageId = ?1)")
  void deleteFiles(String pageId);

  @Modifying
  @Query("delete from ReleaseEntity r where r.pageId = ?1")
  void deleteOf(String pageId);
}
