package giostra.server.own;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface OwnFileRows extends JpaRepository<OwnFileEntity, OwnFileEntity.Key> {
  List<OwnFileEntity> findByOwnPageIdOrderByPlace(String ownPageId);

  Optional<OwnFileEntity> findByOwnPageIdAndPath(String ownPageId, String path);

  @Modifying
  @Query("delete from OwnFileEntity f where f.ownPageId = ?1")
  void clear(String ownPageId);
}
