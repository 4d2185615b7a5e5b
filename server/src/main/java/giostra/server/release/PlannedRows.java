package giostra.server.release;

import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

@Transactional
interface PlannedRows extends JpaRepository<PlannedEntity, String> {
  /** Plans a page's next release; what was planned before is no more. */
  @Modifying
  @Query(
      value =
          "insert into planned_release (page_id, due_at, note) values (?1, ?2, ?3)"
              + " on conflict (page_id) do update set due_at = excluded.due_at,"
              + " note = excluded.note, failed = '', claimed_at = null",
      nativeQuery = true)
  void plan(String pageId, Instant due, String note);

  List<PlannedEntity> findByDueAtLessThanEqualAndFailedOrderByDueAt(Instant now, String failed);

  /** Takes one in hand; 0 where somebody else has, unless that was too long ago. */
  @Modifying
  @Query(
      "update PlannedEntity p set p.claimedAt = ?3 where p.pageId = ?1 and p.dueAt = ?2"
          + " and p.failed = '' and (p.claimedAt is null or p.claimedAt < ?4)")
  int claim(String pageId, Instant due, Instant now, Instant stale);

  /** It is published: unless it was planned anew meanwhile, there is nothing more to do. */
  @Modifying
  @Query("delete from PlannedEntity p where p.pageId = ?1 and p.dueAt = ?2")
  void done(String pageId, Instant due);

  @Modifying
  @Query("update PlannedEntity p set p.failed = ?3 where p.pageId = ?1 and p.dueAt = ?2")
  void failed(String pageId, Instant due, String why);

  @Modifying
  @Query("delete from PlannedEntity p where p.pageId = ?1")
  int drop(String pageId);
}
