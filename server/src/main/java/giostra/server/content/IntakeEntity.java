package giostra.server.content;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.DynamicUpdate;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "intake")
@DynamicUpdate
class IntakeEntity {
  @Id String id = "";

  @Column(name = "page_id")
  String pageId = "";

  String piece = "";
  String source = "";

  @JdbcTypeCode(SqlTypes.JSON)
  String mapping = "[]";

  @JdbcTypeCode(SqlTypes.JSON)
  String mends = "[]";

  @JdbcTypeCode(SqlTypes.JSON)
  @Nullable String rest;

  @Enumerated(EnumType.STRING)
  IntakeState state = IntakeState.OPEN;

  int done;
  int total;
  String said = "";

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
