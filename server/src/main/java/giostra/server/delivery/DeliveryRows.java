package giostra.server.delivery;

import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** Each change is one statement, so that several servers do not send the same. */
@Transactional
interface DeliveryRows extends JpaRepository<DeliveryEntity, DeliveryEntity.Key> {
  List<DeliveryEntity> findByPageId(String pageId);

  /**
   * Asks for a release to be sent. Who is at an older one keeps the claim until it has stopped, so
   * that two are never sent at once.
   */
  @Modifying
  @Query(
      value =
          "insert into delivery (destination_id, page_id, release_number, turn, state, asked_at,"
              + " due_at) values (?1, ?2, ?3, 1, 'WAITS', ?4, ?4)"
              + " on conflict (destination_id, page_id) do update set"
              + " release_number = excluded.release_number, turn = delivery.turn + 1,"
              + " state = 'WAITS', sent = 0, files = 0, bytes = 0, tries = 0, problem = '',"
              + " asked_at = excluded.asked_at, due_at = excluded.due_at, ended_at = null",
      nativeQuery = true)
  void ask(String destinationId, String pageId, int release, Instant now);

  /** What is due and nobody is at, the longest waiting first. */
  @Query(
      "select d from DeliveryEntity d where d.state in (giostra.server.delivery.DeliveryEntity.State.WAITS, giostra.server.delivery.DeliveryEntity.State.SENDS)"
          + " and d.dueAt <= ?1 and (d.claimedAt is null or d.claimedAt < ?2) order by d.dueAt")
  List<DeliveryEntity> due(Instant now, Instant stale);

  /** Takes one in hand; 0 where somebody else has. */
  @Modifying
  @Query(
      "update DeliveryEntity d set d.claimedAt = ?5, d.claimedBy = ?4,"
          + " d.state = giostra.server.delivery.DeliveryEntity.State.SENDS, d.tries = d.tries + 1,"
          + " d.sent = 0 where d.destinationId = ?1 and d.pageId = ?2 and d.turn = ?3"
          + " and d.state in (giostra.server.delivery.DeliveryEntity.State.WAITS,"
          + " giostra.server.delivery.DeliveryEntity.State.SENDS)"
          + " and (d.claimedAt is null or d.claimedAt < ?6)")
  int claim(String destinationId, String pageId, int turn, String by, Instant now, Instant stale);

  /** So much is to be sent. */
  @Modifying
  @Query("update DeliveryEntity d set d.files = ?2, d.bytes = ?3 where d.claimedBy = ?1")
  void begun(String by, int files, long bytes);

  /** So far it is; 0 where it is not to be sent any more, or by somebody else. */
  @Modifying
  @Query(
      "update DeliveryEntity d set d.sent = ?3, d.claimedAt = ?4"
          + " where d.claimedBy = ?1 and d.turn = ?2")
  int tell(String by, int turn, int sent, Instant now);

  /** Says that somebody is still at it. */
  @Modifying
  @Query("update DeliveryEntity d set d.claimedAt = ?2 where d.claimedBy = ?1")
  void renew(String by, Instant now);

  /** Nobody is at it any more. */
  @Modifying
  @Query("update DeliveryEntity d set d.claimedAt = null, d.claimedBy = '' where d.claimedBy = ?1")
  void release(String by);

  @Modifying
  @Query(
      "update DeliveryEntity d set d.state = giostra.server.delivery.DeliveryEntity.State.DONE,"
          + " d.there = d.release, d.problem = '', d.endedAt = ?3"
          + " where d.claimedBy = ?1 and d.turn = ?2")
  int done(String by, int turn, Instant now);

  /** It did not go; it is tried again at a time, or given up. */
  @Modifying
  @Query(
      "update DeliveryEntity d set d.state = ?3, d.problem = ?4, d.dueAt = ?5, d.endedAt = ?6"
          + " where d.claimedBy = ?1 and d.turn = ?2")
  int failed(
      String by, int turn, DeliveryEntity.State state, String problem, Instant due, Instant now);
}
