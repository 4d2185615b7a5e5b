package giostra.server.page;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;

/** One revision of a page; rows are only ever added. Its inverse has the edits of the site, too. */
@Entity
@Table(name = "revision")
@IdClass(RevisionEntity.Key.class)
class RevisionEntity extends RevisionContent {
  record Key(String pageId, int number) implements Serializable {}

  @Id
  @Column(name = "page_id")
  String pageId = "";

  @Id int number;

  /** The revision that the site had with it. */
  @Column(name = "site_number")
  int siteNumber;

  String kind = "";
}
