package giostra.server.content;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface SourceRows extends JpaRepository<SourceEntity, String> {
  List<SourceEntity> findBySiteIdOrderByCreatedAt(String siteId);
}
