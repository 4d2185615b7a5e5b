package giostra.server.media;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface FramesRows extends JpaRepository<FramesEntity, String> {
  /** Notes those of a clip, unless somebody else has looked at it meanwhile. */
  @Transactional
  @Modifying
  @Query(
      value =
          "insert into clip_frames (source, hash, frames) values (?1, ?2, ?3)"
              + " on conflict do nothing",
      nativeQuery = true)
  void insert(String source, String hash, int frames);
}
