package giostra.server.own;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface OwnPageRows extends JpaRepository<OwnPageEntity, String> {
  List<OwnPageEntity> findByPageIdOrderByBroughtAtDescId(String pageId);

  long countByPageId(String pageId);

  Optional<OwnPageEntity> findByIdAndPageId(String id, String pageId);

  /** Whoever has it is alone with it until the transaction ends. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select p from OwnPageEntity p where p.id = ?1 and p.pageId = ?2")
  Optional<OwnPageEntity> held(String id, String pageId);

  /** Puts places in; 0 where somebody else was first. */
  @Modifying
  @Query(
      "update OwnPageEntity p set p.places = ?3, p.revision = p.revision + 1"
          + " where p.id = ?1 and p.revision = ?2")
  int place(String id, int revision, String places);

  /** Says what it is now that its files are others. */
  @Modifying
  @Query(
      "update OwnPageEntity p set p.name = ?2, p.entry = ?3, p.packed = ?4, p.places = ?5,"
          + " p.broughtAt = ?6, p.revision = p.revision + 1 where p.id = ?1")
  void bring(String id, String name, String entry, boolean packed, String places, Instant at);

  @Modifying
  @Query("delete from OwnPageEntity p where p.id = ?1 and p.pageId = ?2")
  int drop(String id, String pageId);
}
