package giostra.server.release;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "release")
class ReleaseEntity {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  long id;

  @Column(name = "page_id")
  String pageId = "";

  int number;
  int revision;

  @Column(name = "site_revision")
  int siteRevision;

  /** The Content-Security-Policy that it is served under. */
  String policy = "";

  /** What somebody says of it. */
  String note = "";

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
