package giostra.server.release;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReleaseBandRows extends JpaRepository<ReleaseBandEntity, ReleaseBandEntity.Key> {
  List<ReleaseBandEntity> findByReleaseIdOrderByPlace(long releaseId);
}
