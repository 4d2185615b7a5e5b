package giostra.server.page;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One revision of what all pages of a site share; rows are only ever added. */
@Entity
@Table(name = "site_revision")
@IdClass(SiteRevisionEntity.Key.class)
class SiteRevisionEntity {
  record Key(String siteId, int number) implements Serializable {}

  @Id
  @Column(name = "site_id")
  String siteId = "";

  @Id int number;

  /** The change that it is part of. */
  long change;

  /** Version of the format of what follows. */
  int version;

  /** The site part of a document. */
  @JdbcTypeCode(SqlTypes.JSON)
  String document = "{}";

  @JdbcTypeCode(SqlTypes.JSON)
  String edits = "[]";

  @JdbcTypeCode(SqlTypes.JSON)
  String inverse = "[]";

  @JdbcTypeCode(SqlTypes.JSON)
  String paths = "[]";

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
