package giostra.server.page;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "page")
class PageEntity {
  @Id String id = "";

  @Column(name = "site_id")
  String siteId = "";

  String slug = "";
  int head;

  @Column(name = "live_release")
  @Nullable Long liveRelease;

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
