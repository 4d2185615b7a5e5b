package giostra.server.delivery;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "delivery")
@IdClass(DeliveryEntity.Key.class)
class DeliveryEntity {
  record Key(String destinationId, String pageId) implements Serializable {}

  /** How far it is. */
  enum State {
    WAITS,
    SENDS,
    DONE,
    FAILED
  }

  @Id
  @Column(name = "destination_id")
  String destinationId = "";

  @Id
  @Column(name = "page_id")
  String pageId = "";

  @Column(name = "release_number")
  int release;

  /** Counted up when it is asked for anew: who sends an older one stops. */
  int turn;

  @Enumerated(EnumType.STRING)
  State state = State.WAITS;

  int sent;
  int files;
  long bytes;
  int tries;

  /** What kept it from being sent, the last time. */
  String problem = "";

  /** The release that is there whole; nothing where none is. */
  @Nullable Integer there;

  @Column(name = "asked_at")
  Instant askedAt = Instant.EPOCH;

  @Column(name = "due_at")
  Instant dueAt = Instant.EPOCH;

  @Column(name = "ended_at")
  @Nullable Instant endedAt;

  /** When whoever is at it last said so. */
  @Column(name = "claimed_at")
  @Nullable Instant claimedAt;

  /** Who is at it; empty for nobody. */
  @Column(name = "claimed_by")
  String claimedBy = "";
}
