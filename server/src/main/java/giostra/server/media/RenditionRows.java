package giostra.server.media;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface RenditionRows extends JpaRepository<RenditionEntity, RenditionEntity.Key> {
  List<RenditionEntity> findBySource(String source);

  List<RenditionEntity> findBySourceIn(List<String> sources);

  /** Notes one, unless somebody else has made the same meanwhile. */
  @Modifying
  @Query(
      value =
          "insert into rendition (source, width, hash, bytes) values (?1, ?2, ?3, ?4)"
              + " on conflict do nothing",
      nativeQuery = true)
  void insert(String source, int width, String hash, long bytes);
}
