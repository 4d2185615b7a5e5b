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
      "update DeliveryEntity d set d.claimedAt = ?4, d.state = giostra.server.delivery.DeliveryEntity.State.SENDS, d.tries = d.tries + 1,"
          + " d.sent = 0, d.files = ?6, d.bytes = ?7"
          + " where d.destinationId = ?1 and d.pageId = ?2 and d.turn = ?3"
          + " and d.state in (giostra.server.delivery.DeliveryEntity.State.WAITS, giostra.server.delivery.DeliveryEntity.State.SENDS)"
          + " and (d.claimedAt is null or d.claimedAt < ?5)")
  int claim(
      String destinationId,
      String pageId,
      int turn,
      Instant now,
      Instant stale,
      int files,
      long bytes);

  /** So far it is; 0 where it is not to be sent any more. */
  @Modifying
  @Query(
      "update DeliveryEntity d set d.sent = ?4, d.claimedAt = ?5"
          + " where d.destinationId = ?1 and d.pageId = ?2 and d.turn = ?3")
  int tell(String destinationId, String pageId, int turn, int sent, Instant now);

  /** Says that somebody is still at it. */
  @Modifying
  @Query(
      "update DeliveryEntity d set d.claimedAt = ?3 where d.destinationId = ?1 and d.pageId = ?2"
          + " and d.claimedAt is not null")
  void renew(String destinationId, String pageId, Instant now);

  /** Nobody is at it any more. */
  @Modifying
  @Query(
      "update DeliveryEntity d set d.claimedAt = null"
          + " where d.destinationId = ?1 and d.pageId = ?2")
  void release(String destinationId, String pageId);

  @Modifying
  @Query(
      "update DeliveryEntity d set d.state = giostra.server.delivery.DeliveryEntity.State.DONE, d.there = d.release, d.problem = '',"
          + " d.endedAt = ?4 where d.destinationId = ?1 and d.pageId = ?2 and d.turn = ?3")
  int done(String destinationId, String pageId, int turn, Instant now);

  /** It did not go; it is tried again at a time, or given up. */
  @Modifying
  @Query(
      "update DeliveryEntity d set d.state = ?4, d.problem = ?5, d.dueAt = ?6, d.endedAt = ?7"
          + " where d.destinationId = ?1 and d.pageId = ?2 and d.turn = ?3")
  int failed(
      String destinationId,
      String pageId,
      int turn,
      DeliveryEntity.State state,
      String problem,
      Instant due,
      Instant now);
}
