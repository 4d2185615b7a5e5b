package giostra.server.own;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "own_page")
class OwnPageEntity {
  @Id String id = "";

  @Column(name = "page_id")
  String pageId = "";

  String name = "";

  /** The path of the HTML among its files. */
  String entry = "";

  /** Whether it came as a zip. */
  boolean packed;

  /** As JSON. */
  String places = "[]";

  int revision = 1;

  @Column(name = "brought_at")
  Instant broughtAt = Instant.EPOCH;
}
