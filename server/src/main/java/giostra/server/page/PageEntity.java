package giostra.server.page;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A page's row; it is read and changed through {@link PageRows}. */
@Entity
@Table(name = "page")
class PageEntity {
  @Id String id = "";

  @Column(name = "site_id")
  String siteId = "";

  String slug = "";

  /** What it is called at its newest revision. */
  String title = "";

  int head;

  @Column(name = "last_change")
  long lastChange;

  @Column(name = "live_release")
  @Nullable Long liveRelease;

  @Column(name = "put_away_at")
  @Nullable Instant putAwayAt;

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
