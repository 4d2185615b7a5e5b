package giostra.server.release;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReleaseFileRows extends JpaRepository<ReleaseFileEntity, ReleaseFileEntity.Key> {
  List<ReleaseFileEntity> findByReleaseIdOrderByPath(long releaseId);

  Optional<ReleaseFileEntity> findByReleaseIdAndPath(long releaseId, String path);
}
