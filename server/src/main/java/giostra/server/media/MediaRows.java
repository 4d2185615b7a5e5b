package giostra.server.media;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface MediaRows extends JpaRepository<MediaEntity, MediaEntity.Key> {
  Optional<MediaEntity> findBySiteIdAndId(String siteId, String id);

  boolean existsBySiteIdAndId(String siteId, String id);

  /** One, held until the transaction ends; the first that is read of it there. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select m from MediaEntity m where m.siteId = ?1 and m.id = ?2")
  Optional<MediaEntity> hold(String siteId, String id);

  List<MediaEntity> findBySiteIdOrderByCreatedAt(String siteId);

  Optional<MediaEntity> findFirstBySiteIdAndHashStartingWith(String siteId, String start);

  Optional<MediaEntity> findFirstByHashStartingWithAndTypeStartingWith(String start, String type);

  List<MediaEntity> findBySiteIdAndHash(String siteId, String hash);
}
