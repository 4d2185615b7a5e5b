package giostra.server.own;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;

/** A file of a page that somebody brought. */
@Entity
@Table(name = "own_page_file")
@IdClass(OwnFileEntity.Key.class)
class OwnFileEntity {
  record Key(String ownPageId, int place) implements Serializable {}

  @Id
  @Column(name = "own_page_id")
  String ownPageId = "";

  /** In the order in which they came. */
  @Id int place;

  String path = "";
  String hash = "";
  long bytes;
}
