package giostra.server.content;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "source")
@IdClass(SourceEntity.Key.class)
@DynamicUpdate
class SourceEntity {
  record Key(String siteId, String id) implements Serializable {}

  @Id
  @Column(name = "site_id")
  String siteId = "";

  @Id String id = "";

  String name = "";
  String hash = "";

  @Column(name = "replaced_by")
  @Nullable String replacedBy;

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
