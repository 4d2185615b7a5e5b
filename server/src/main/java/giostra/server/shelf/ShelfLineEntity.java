package giostra.server.shelf;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** What the shelf shows of a page; it is read and written through {@link ShelfRows}. */
@Entity
@Table(name = "shelf_line")
class ShelfLineEntity {
  @Id
  @Column(name = "page_id")
  String pageId = "";

  @Column(name = "read_of")
  String readOf = "";

  int pieces;
  boolean linked;
  String said = "";
  boolean broken;
}
