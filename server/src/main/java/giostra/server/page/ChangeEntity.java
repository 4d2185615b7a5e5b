package giostra.server.page;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One change of a site and its pages; rows are only ever added. What undo would take back on its
 * page at this point is {@code undoTarget}, and what it would take back after that is what the
 * change {@code undoRest} says; likewise for redo. So both stacks survive a restart without being
 * rewritten.
 */
@Entity
@Table(name = "change")
@IdClass(ChangeEntity.Key.class)
class ChangeEntity {
  record Key(String siteId, long number) implements Serializable {}

  @Id
  @Column(name = "site_id")
  String siteId = "";

  @Id long number;
  String key = "";
  String kind = "";

  /** The page that it was made from. */
  @Column(name = "page_id")
  @Nullable String pageId;

  /** The change that this one is, takes back or brings again. */
  long root;

  @Column(name = "undo_target")
  @Nullable Long undoTarget;

  @Column(name = "undo_rest")
  @Nullable Long undoRest;

  @Column(name = "redo_target")
  @Nullable Long redoTarget;

  @Column(name = "redo_rest")
  @Nullable Long redoRest;

  /** Who made it; none for what the server does by itself, and before it was noted. */
  @Column(name = "person_id")
  @Nullable String personId;

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
