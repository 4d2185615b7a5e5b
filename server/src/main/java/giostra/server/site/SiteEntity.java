package giostra.server.site;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A site's row, as it is inserted; it is read and changed through {@link SiteRows}. */
@Entity
@Table(name = "site")
@SuppressWarnings("UnusedVariable") // Hibernate reads them.
public class SiteEntity {
  @Id private String id = "";
  private String name = "";
  private int head;

  @Column(name = "last_change")
  private long lastChange;

  @Column(name = "put_away_at")
  private @Nullable Instant putAwayAt;

  @Column(name = "created_at")
  private Instant createdAt = Instant.EPOCH;

  protected SiteEntity() {}

  /** A new row. */
  public SiteEntity(String id, String name, Instant createdAt) {
    this.id = id;
    this.name = name;
    this.createdAt = createdAt;
  }
}
