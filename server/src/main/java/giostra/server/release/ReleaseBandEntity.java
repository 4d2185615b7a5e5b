package giostra.server.release;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;

/** What the pictures of a release weigh in a band. */
@Entity
@Table(name = "release_band")
@IdClass(ReleaseBandEntity.Key.class)
class ReleaseBandEntity {
  record Key(long releaseId, int place) implements Serializable {}

  @Id
  @Column(name = "release_id")
  long releaseId;

  /** Counted from 0, the narrowest first. */
  @Id int place;

  String name = "";

  /** The width that it is told for, px. */
  int width;

  /** By the density of screens. */
  long[] bytes = {};
}
