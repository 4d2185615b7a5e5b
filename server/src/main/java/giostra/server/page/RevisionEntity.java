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
import org.jspecify.annotations.Nullable;

/**
 * One revision; rows are only ever added. What undo would take back at this point is {@code
 * undoTarget}, and what it would take back after that is what the revision {@code undoRest} says;
 * likewise for redo. So both stacks survive a restart without being rewritten.
 */
@Entity
@Table(name = "revision")
@IdClass(RevisionEntity.Key.class)
class RevisionEntity {
  record Key(String pageId, int number) implements Serializable {}

  @Id
  @Column(name = "page_id")
  String pageId = "";

  @Id int number;
  String kind = "";

  @JdbcTypeCode(SqlTypes.JSON)
  String document = "{}";

  @JdbcTypeCode(SqlTypes.JSON)
  String edits = "[]";

  @JdbcTypeCode(SqlTypes.JSON)
  String inverse = "[]";

  @Column(name = "undo_target")
  @Nullable Integer undoTarget;

  @Column(name = "undo_rest")
  @Nullable Integer undoRest;

  @Column(name = "redo_target")
  @Nullable Integer redoTarget;

  @Column(name = "redo_rest")
  @Nullable Integer redoRest;

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
