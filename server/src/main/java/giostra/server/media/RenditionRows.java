package giostra.server.media;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface RenditionRows extends JpaRepository<RenditionEntity, RenditionEntity.Key> {
  List<RenditionEntity> findBySource(String source);

  List<RenditionEntity> findBySourceIn(List<String> sources);
}
