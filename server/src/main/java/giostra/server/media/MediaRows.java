package giostra.server.media;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface MediaRows extends JpaRepository<MediaEntity, String> {
  List<MediaEntity> findBySiteIdOrderByCreatedAt(String siteId);

  List<MediaEntity> findBySiteIdAndHash(String siteId, String hash);
}
