package giostra.server.content;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface IntakeRows extends JpaRepository<IntakeEntity, String> {
  List<IntakeEntity> findByPageIdAndPieceOrderByCreatedAt(String pageId, String piece);

  /** One, held until the transaction ends; the first that is read of it there. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select i from IntakeEntity i where i.id = ?1")
  Optional<IntakeEntity> hold(String id);

  @Modifying
  @Query("update IntakeEntity i set i.done = ?2 where i.id = ?1")
  void progress(String id, int done);

  void deleteByPageId(String pageId);

  List<IntakeEntity> findByState(IntakeState state);
}
