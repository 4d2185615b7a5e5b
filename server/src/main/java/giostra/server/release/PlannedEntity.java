package giostra.server.release;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "planned_release")
class PlannedEntity {
  @Id
  @Column(name = "page_id")
  String pageId = "";

  @Column(name = "due_at")
  Instant dueAt = Instant.EPOCH;

  String note = "";

  /** Why it could not be published; empty as long as it was not tried. */
  String failed = "";

  /** Since when somebody is at it. */
  @Column(name = "claimed_at")
  @Nullable Instant claimedAt;
}
