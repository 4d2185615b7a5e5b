package giostra.server.site;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** The rows of sites. */
public interface SiteRows extends JpaRepository<SiteEntity, String> {
  /** All, oldest first. */
  @Query("select s from SiteEntity s order by s.createdAt, s.id")
  List<SiteEntity> inOrder();

  /** One, held until the transaction ends. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select s from SiteEntity s where s.id = ?1")
  Optional<SiteEntity> hold(String id);
}
