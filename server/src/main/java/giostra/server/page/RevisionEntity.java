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

/** One revision of a page; rows are only ever added. */
@Entity
@Table(name = "revision")
@IdClass(RevisionEntity.Key.class)
class RevisionEntity {
  record Key(String pageId, int number) implements Serializable {}

  @Id
  @Column(name = "page_id")
  String pageId = "";

  @Id int number;

  /** The change of the site that it is part of. */
  long change;

  /** The revision that the site had with it. */
  @Column(name = "site_number")
  int siteNumber;

  String kind = "";

  /** Version of the format of what follows. */
  int version;

  /** The page part of a document. */
  @JdbcTypeCode(SqlTypes.JSON)
  String document = "{}";

  @JdbcTypeCode(SqlTypes.JSON)
  String edits = "[]";

  /** Edits that lead back, those of the site included. */
  @JdbcTypeCode(SqlTypes.JSON)
  String inverse = "[]";

  /** What was touched, as {@link giostra.core.page.Path#written()}. */
  @JdbcTypeCode(SqlTypes.JSON)
  String paths = "[]";

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
