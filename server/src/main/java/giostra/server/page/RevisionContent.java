package giostra.server.page;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** What is in a revision, of a page or of what all pages of a site share. */
@MappedSuperclass
abstract class RevisionContent {
  /** The change of the site that it is part of. */
  long change;

  /** Version of the format of what follows. */
  int version;

  /** Its part of a document, which the database is never asked into. */
  @JdbcTypeCode(SqlTypes.LONGVARCHAR)
  String document = "{}";

  @JdbcTypeCode(SqlTypes.JSON)
  String edits = "[]";

  /** Edits that lead back, in the order in which they are applied. */
  @JdbcTypeCode(SqlTypes.JSON)
  String inverse = "[]";

  /** What was touched, as {@link giostra.core.page.Path#written()}. */
  @JdbcTypeCode(SqlTypes.JSON)
  String paths = "[]";

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
