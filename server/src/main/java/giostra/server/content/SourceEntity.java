package giostra.server.content;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "source")
class SourceEntity {
  @Id String id = "";

  @Column(name = "site_id")
  String siteId = "";

  String name = "";
  String hash = "";

  @Column(name = "replaced_by")
  @Nullable String replacedBy;

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
