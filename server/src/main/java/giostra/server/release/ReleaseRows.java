package giostra.server.release;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReleaseRows extends JpaRepository<ReleaseEntity, Long> {
  List<ReleaseEntity> findByPageIdOrderByNumberDesc(String pageId);

  Optional<ReleaseEntity> findByPageIdAndNumber(String pageId, int number);
}
