package giostra.server.media;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface MediaRows extends JpaRepository<MediaEntity, String> {
  List<MediaEntity> findBySiteIdOrderByCreatedAt(String siteId);

  Optional<MediaEntity> findFirstBySiteIdAndHashStartingWith(String siteId, String start);

  List<MediaEntity> findBySiteIdAndHash(String siteId, String hash);
}
