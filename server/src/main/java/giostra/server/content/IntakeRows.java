package giostra.server.content;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface IntakeRows extends JpaRepository<IntakeEntity, String> {
  List<IntakeEntity> findByPageIdAndPieceOrderByCreatedAt(String pageId, String piece);

  List<IntakeEntity> findByState(IntakeState state);
}
