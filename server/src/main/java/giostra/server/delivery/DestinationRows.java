package giostra.server.delivery;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface DestinationRows extends JpaRepository<DestinationEntity, String> {
  List<DestinationEntity> findBySiteIdOrderByMadeAtAscIdAsc(String siteId);

  Optional<DestinationEntity> findByIdAndSiteId(String id, String siteId);

  long countBySiteId(String siteId);

  @Modifying
  @Query("update DestinationEntity d set d.follows = ?3 where d.id = ?1 and d.siteId = ?2")
  int follow(String id, String siteId, boolean follows);

  @Modifying
  @Query("delete from DestinationEntity d where d.id = ?1 and d.siteId = ?2")
  int drop(String id, String siteId);
}
