package giostra.server.content;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface SourceRows extends JpaRepository<SourceEntity, SourceEntity.Key> {
  Optional<SourceEntity> findBySiteIdAndId(String siteId, String id);

  List<SourceEntity> findBySiteIdOrderByCreatedAt(String siteId);
}
