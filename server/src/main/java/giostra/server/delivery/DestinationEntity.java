package giostra.server.delivery;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "destination")
class DestinationEntity {
  @Id String id = "";

  @Column(name = "site_id")
  String siteId = "";

  String name = "";

  @Enumerated(EnumType.STRING)
  Sort sort = Sort.FOLDER;

  String address = "";

  /** The bucket of a store, the branch of a repository; else empty. */
  String place = "";

  /** Under which folder in it pages stand, with a slash at its end; empty for none. */
  String folder = "";

  String account = "";
  String secret = "";

  /** Whether each release that goes live is sent by itself. */
  boolean follows;

  @Column(name = "made_at")
  Instant madeAt = Instant.EPOCH;
}
