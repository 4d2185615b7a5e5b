package giostra.server.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A person's row; it is read through {@link PeopleRows}. */
@Entity
@Table(name = "person")
@SuppressWarnings("UnusedVariable") // Hibernate reads them.
class PersonEntity {
  @Id private String id = "";
  private String name = "";

  @Column(name = "made_at")
  private Instant madeAt = Instant.EPOCH;

  protected PersonEntity() {}
}
