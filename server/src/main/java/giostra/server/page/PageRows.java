package giostra.server.page;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface PageRows extends JpaRepository<PageEntity, String> {
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select p from PageEntity p where p.id = ?1")
  Optional<PageEntity> hold(String id);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select p from PageEntity p where p.siteId = ?1 order by p.id")
  List<PageEntity> holdAll(String siteId);

  List<PageEntity> findBySiteIdOrderByCreatedAt(String siteId);

  Optional<PageEntity> findBySiteIdAndSlug(String siteId, String slug);

  boolean existsBySiteIdAndSlug(String siteId, String slug);
}
