package giostra.server.page;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RevisionRows extends JpaRepository<RevisionEntity, RevisionEntity.Key> {
  Optional<RevisionEntity> findByPageIdAndNumber(String pageId, int number);

  List<RevisionEntity> findByPageIdAndNumberGreaterThanOrderByNumber(String pageId, int number);

  /** What a list of revisions shows. */
  record Line(int number, String kind, Instant createdAt) {}

  @Query(
      "select new giostra.server.page.RevisionRows$Line(r.number, r.kind, r.createdAt)"
          + " from RevisionEntity r where r.pageId = ?1 order by r.number desc limit 200")
  List<Line> lines(String pageId);
}
